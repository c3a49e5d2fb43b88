import { describe, expect, test } from '@jest/globals';
import { dice } from '../../base/dice';
import { answer } from '../../handover/drills/answer';
import type { Situation } from '../../handover/drills/situation';
import { demoRecord } from '../../handover/jobs/demo-house';
import type { Reading, Survey } from '../../job/model/survey';
import { LONG } from '../../testing/draws';
import { walls } from '../../testing/walls';
import { causesOf, SURE } from './causes';
import { weigh } from './evidence';
import { nextTest } from './next-test';
import { study } from './study';
import { verdictOf } from './verdict';

/*
 * A no gives its cause only where the readings leave no other. What is wrong with each wall is known from how it was
 * made; invented walls, simulated readings.
 */

/** What a wall is truly called, by the class that it was made of. */
const TRULY: Readonly<Record<string, readonly string[]>> = {
  'hot open upstream': ['a hot open upstream'],
  'neutral open upstream': ['a neutral open upstream'],
  'ground open upstream': ['no equipment ground'],
  'pair changed over upstream': ['hot and neutral reversed upstream'],
  'wrong breaker in the directory': ['another breaker than the one named'],
  'a sound ground capped here': ['a ground that is capped here'],
  'a retired cable beside it; hot open upstream': ['a hot open upstream'],
  'a motor that stays connected; ground open upstream': ['no equipment ground'],
  'wrong breaker in the directory; bootleg upstream': [
    'another breaker than the one named',
    'a bootleg ground',
  ],
};

function end(situation: Situation, seed: number): { survey: Survey; afterNo: number } {
  const random = dice(seed);
  let { survey } = situation;
  let afterNo = 0;
  for (let count = 0; count < 30; count++) {
    const verdict = verdictOf(survey);
    const next = nextTest(survey, undefined, undefined, verdict);
    if (!next || next.again) break;
    if (verdict.tap === 'no') afterNo++;
    const { setup, probe } = next.test;
    const reading: Reading = {
      id: `r${count}`,
      setup,
      probe,
      value: answer(situation, setup, probe, random),
      times: 1,
    };
    survey = { ...survey, readings: [...survey.readings, reading] };
  }
  return { survey, afterNo };
}

describe('walls of which no outlet can be fed', () => {
  const ends = walls()
    .filter(({ kind }, index) => kind in TRULY && (LONG || index % 2 === 0))
    .map(({ kind, situation }, index) => ({ kind, situation, ...end(situation, index + 7) }))
    .filter(({ survey }) => verdictOf(survey).tap === 'no');
  const agreeing = (survey: Survey) => weigh(survey).filter(({ against }) => against.length === 0);

  test('a cause that is given is the true one; until then the true one is among those named', () => {
    let [sure, named] = [0, 0];
    for (const { kind, situation, survey } of ends) {
      const causes = causesOf(survey, agreeing(survey));
      const truly = TRULY[kind] ?? [];
      const [top] = causes;
      if (!top) throw new Error('a no without a cause');
      if (top[1] >= SURE) {
        sure++;
        expect([situation.name, truly.includes(top[0].called)]).toEqual([situation.name, true]);
        expect(study(survey).advice.reason).toBe(top[0].reason(survey));
      } else {
        named++;
        const { reason } = study(survey).advice;
        expect([situation.name, truly.some((one) => reason.includes(one))]).toEqual([situation.name, true]);
      }
    }
    process.stdout.write(
      `find: of ${ends.length} walls with a no, ${sure} with their cause, ${named} with what it may be\n`,
    );
    expect(sure).toBeGreaterThan(3);
  });

  test('one or two tests follow a no, and no more', () => {
    expect(Math.max(...ends.map(({ afterNo }) => afterNo))).toBeLessThanOrEqual(2);
  });
});

test('a look tells a switch loop, and that no reading shows it yet is said', () => {
  const [hatch] = demoRecord('attic-hatch-switch').surveys;
  const { verdict, advice } = study({ ...hatch!, readings: [] });
  expect(verdict.tap).toBe('no');
  expect(advice.reason).toMatch(/^Almost always a switch loop/);
  expect(advice.waysOut.length).toBeGreaterThanOrEqual(3);
});
