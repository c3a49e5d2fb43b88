import { describe, expect, test } from '@jest/globals';
import { demoRecord } from '../../handover/jobs/demo-house';
import { testKey, type Reading, type Survey } from '../../job/model/survey';
import { dice } from '../../base/dice';
import { answer } from '../../handover/drills/answer';
import type { Situation } from '../../handover/drills/situation';
import { library } from '../../testing/situations';
import { walls } from '../../testing/walls';
import { study } from './study';
import { nextTest } from './next-test';
import { READINGS_AGAINST, verdictOf } from './verdict';
import { weigh } from './evidence';
import { LONG } from '../../testing/draws';
import { say } from '../../base/words/survey';

/* Laws of a verdict, on opened boxes of random houses (invented data; simulated readings). */

const SPOILED = walls()
  .filter(({ kind }) =>
    ['hot open upstream', 'bootleg upstream', 'wrong breaker in the directory'].includes(kind),
  )
  .map(({ situation }) => situation);
/** A sample; the whole of them by `npm run test:long`. */
const SETTLED = [
  ...library(LONG ? 8 : 4, 300),
  ...SPOILED.filter((_, index) => index % (LONG ? 2 : 6) === 0),
].map((situation, index) => ({
  situation,
  survey: settle(situation, index % 2 === 0),
}));

/** To its end: by turns to the first grade, and with each proof read at the box. */
function settle(situation: Situation, proveAll: boolean): Survey {
  let survey: Survey = { ...situation.survey, proveAll };
  const random = dice(5);
  for (let count = 0; count < 40; count++) {
    const next = nextTest(survey);
    if (!next || next.again) break;
    const { setup, probe } = next.test;
    const value = answer(situation, setup, probe, random);
    const reading: Reading = { id: `r${count}`, setup, probe, value, times: 1 };
    survey = { ...survey, readings: [...survey.readings, reading] };
  }
  return survey;
}
const tap = (survey: Survey) => verdictOf(survey).tap;

test('they are settled, both ways', () => {
  const verdicts = SETTLED.map(({ survey }) => tap(survey));
  expect(verdicts).toContain('yes');
  expect(verdicts).toContain('no');
});

/* One situation after the other, so that its guesses stay at hand. */
describe.each(SETTLED.map((one) => [one.situation.name, one] as const))('%s', (_, { survey, situation }) => {
  const { truth } = situation;
  test('what is left open is left open: never the opposite of the truth', () => {
    expect(tap(survey)).not.toBe(truth.tap ? 'no' : 'yes');
  });
  test('the order in which readings came in does not matter', () => {
    expect(tap({ ...survey, readings: [...survey.readings].reverse() })).toBe(tap(survey));
  });
  test('no single reading carries the verdict: without any one of them it is the same or open, never the opposite', () => {
    survey.readings.forEach((__, index) => {
      const without = { ...survey, readings: survey.readings.filter((___, at) => at !== index) };
      expect(tap(without)).not.toBe(truth.tap ? 'no' : 'yes');
    });
  });
  test('every guess that says otherwise is at odds with two readings, and the truth is among those that agree', () => {
    if (tap(survey) === 'not known yet') return;
    const standings = weigh(survey);
    for (const { weighed, weightAgainst } of standings) {
      if ((weighed.facts.tap !== null) !== truth.tap)
        expect(weightAgainst).toBeGreaterThanOrEqual(READINGS_AGAINST.usual);
    }
    expect(
      standings.some(
        ({ against, weighed }) => against.length === 0 && (weighed.facts.tap !== null) === truth.tap,
      ),
    ).toBe(true);
  });
  test('beliefs add up to one, and more readings never bring back a guess', () => {
    const all = weigh(survey);
    expect(all.reduce((sum, { weight }) => sum + weight, 0)).toBeCloseTo(1, 9);
    const fewer = weigh({ ...survey, readings: survey.readings.slice(0, -1) });
    const open = (list: typeof all) => list.filter(({ against }) => against.length === 0).length;
    expect(open(all)).toBeLessThanOrEqual(open(fewer));
  });
  test('answer, reason and ways out fit the verdict', () => {
    const { advice, suggestion, verdict, believed } = study(survey);
    if (verdict.first?.reached) {
      expect(advice.answer).toBe(say('advice.yesOnReadings'));
      expect(suggestion).toBeNull();
      expect(verdict.from).toBeNull();
    } else if (verdict.tap === 'not known yet' && !verdict.groundUnproven) {
      expect([say('advice.notKnownYet'), say('advice.readingsAtOdds')]).toContain(advice.answer);
      expect(verdict.from).toBeNull();
    } else if (verdict.groundUnproven) {
      expect(advice.reason).toContain(say('advice.groundPathOpen'));
      expect(verdict.from).toBeNull();
    } else if (truth.tap) {
      expect(suggestion).toBeNull();
      expect(advice.answer).toMatch(/^Yes/);
      expect(advice.waysOut).toEqual([]);
      expect(verdict.from).not.toBeNull();
      expect(verdict.proofs.every(({ reading }) => reading !== null)).toBe(true);
    } else {
      expect(advice.answer).toMatch(/^No/);
      expect(advice.waysOut.length).toBeGreaterThanOrEqual(3);
      expect(verdict.from).toBeNull();
      // Never the wrong thing missing: a ground that is there is not said to be absent.
      if (truth.ground && verdict.ground === 'yes') expect(advice.reason).not.toMatch(/ground/);
    }
    expect(Object.keys(believed).sort()).toEqual(
      survey.boxes.flatMap(({ cables }) => cables.map(({ id }) => id)).sort(),
    );
  });
});

describe('what a study says', () => {
  test('a study is plain data: a worker can send it', () => {
    const [first] = SETTLED;
    const said = study(first!.survey);
    expect(structuredClone(said)).toEqual(said);
  });
  test('what a test may show adds up to one, the likeliest first, each speaking for something', () => {
    for (const { situation } of SETTLED.slice(0, 4)) {
      const { expected, suggestion } = study(situation.survey);
      if (!suggestion) continue;
      expect(expected.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
      expected.forEach(({ share, speaksFor }, index) => {
        if (index > 0) expect(share).toBeLessThanOrEqual(expected[index - 1]!.share);
        expect(speaksFor).toMatch(/:/);
      });
    }
  });
  test('a test that is skipped is not suggested again', () => {
    const { survey } = SETTLED[0]!.situation;
    const first = study(survey).suggestion!;
    const key = testKey(first.test);
    const second = study(survey, [key]).suggestion!;
    expect(testKey(second.test)).not.toBe(key);
  });
});

test('what stands after it was taken twice, and still cannot all be true, is no longer asked for: the box is', () => {
  const [hall] = demoRecord('hall-console').surveys;
  const box = hall!.boxes[0]!;
  const white = box.ends.find(({ insulation }) => insulation === 'white')!;
  const at = { on: 'conductor', cable: white.cable, insulation: 'white' } as const;
  const dead = { apart: 'as found', switches: 'as they are', loadsOut: false } as const;
  const found = (times: number): Reading[] => [
    {
      id: 'bonded',
      setup: { ...dead, breakers: 'all off' },
      probe: { with: 'continuity', from: at, to: { on: 'ground', box: box.id } },
      value: { is: 'ohms', ohms: 0.3 },
      times,
    },
    {
      id: 'glowing',
      setup: { ...dead, breakers: 'off' },
      probe: { with: 'non-contact', at },
      value: { is: 'glow', glows: true },
      times,
    },
    {
      id: 'floating',
      setup: { ...dead, breakers: 'on', switches: 'worked' },
      probe: { with: 'meter', impedance: 'low', from: at, to: { ...at, insulation: 'black' } },
      value: { is: 'volts', low: 240, high: 240 },
      times,
    },
    {
      id: 'open',
      setup: { ...dead, breakers: 'all off', loadsOut: true },
      probe: { with: 'continuity', from: at, to: { on: 'ground', box: box.id } },
      value: { is: 'ohms', ohms: null },
      times,
    },
  ];
  const once = { ...hall!, readings: found(1) };
  expect(verdictOf(once).contradiction).not.toBeNull();
  expect(nextTest(once)).toMatchObject({ again: true });
  const twice = { ...hall!, readings: found(2) };
  expect(verdictOf(twice).contradiction!.says).toBe(say('verdict.twiceAtOdds'));
  expect(nextTest(twice)).toBeNull();
  expect(verdictOf(twice).tap).toBe('not known yet');
});
