import { describe, expect, test } from '@jest/globals';
import { dice } from '../../base/dice';
import { HAZARDS_LEFT, type HazardLeft, type Survey } from '../../job/model/survey';
import { commonBoxes } from '../../testing/common-boxes';
import { draws, LONG, sampled } from '../../testing/draws';
import { falsified } from '../../testing/falsified';
import { library } from '../../testing/situations';
import { visit, withOwed, type Visit } from '../../testing/visit';
import { walls } from '../../testing/walls';
import { mayBeLeft } from './first-grade';
import { nextTest } from './next-test';
import { owedOf } from './owed';
import { study } from './study';
import { verdictOf } from './verdict';
import { setupWords } from './words';
import { say } from '../../base/words/survey';

/*
 * The first grade: *yes, on these readings*. The walls are invented, what an instrument shows is simulated on the true
 * wiring; the truth is known from how each was made.
 */

const reached = ({ first }: Visit): boolean => first?.reached === true;

describe('the seven commonest boxes', () => {
  test.each(commonBoxes().map((one) => [one.name, one] as const))(
    '%s: yes after at most five readings in two set-ups, nothing taken apart',
    (_, situation) => {
      const end = visit(situation, dice(3));
      expect(reached(end)).toBe(true);
      expect(end.readings).toBeLessThanOrEqual(5);
      expect(end.setups).toBeLessThanOrEqual(2);
      expect(end.heavy).toBe(0);
      for (const { setup } of end.survey.readings) expect(setup.apart).toBe('as found');
      // The pair is a constant hot and the neutral of its net.
      const { cable, hot, neutral } = end.first!.pair;
      const roles = situation.wiring.cables.find(({ id }) => id === cable)!.conductors;
      expect(roles.find(({ insulation }) => insulation === hot)?.role).toBe('hot');
      expect(roles.find(({ insulation }) => insulation === neutral)?.role).toBe('neutral');
      // Each reading that it stands on is one that was taken.
      for (const { reading } of end.first!.basics) expect(end.survey.readings).toContain(reading);
      const { advice } = study(end.survey);
      expect(advice.answer).toBe(say('advice.yesOnReadings'));
    },
  );

  test('readings of one set-up come as one card, the dead ones first', () => {
    const [plain] = commonBoxes();
    const { suggestion } = study(plain!.survey);
    expect(suggestion?.test.live).toBe(false);
    expect(suggestion?.together.length).toBe(1);
    for (const { setup } of [suggestion!.test, ...suggestion!.together])
      expect(setup.breakers).not.toBe('on');
    expect(setupWords(plain!.survey, suggestion!.test.setup).join(' ')).toContain('off');
  });

  test('each of its readings is wanted: without it, or where it shows something else, there is no such yes', () => {
    for (const situation of commonBoxes()) {
      const { survey, first } = visit(situation, dice(5));
      for (const { reading } of first!.basics) {
        const without = survey.readings.filter((one) => one !== reading);
        expect(verdictOf({ ...survey, readings: without }).first?.reached ?? false).toBe(false);
        const false_ = survey.readings.map((one) =>
          one === reading ? { ...one, value: falsified(one.value, dice(9)) } : one,
        );
        expect(verdictOf({ ...survey, readings: false_ }).first?.reached ?? false).toBe(false);
      }
    }
  });
});

describe('what withholds it', () => {
  const [plain] = commonBoxes();
  const { survey } = visit(plain!, dice(3));
  const box = survey.boxes[0]!;
  const withBox = (change: Partial<typeof box>): Survey => ({ ...survey, boxes: [{ ...box, ...change }] });
  test.each<[string, Survey]>([
    ['the cable has no ground', withBox({ cables: box.cables.map((one) => ({ ...one, hasGround: false })) })],
    [
      'a white is taped',
      withBox({ ends: box.ends.map((one) => ({ ...one, taped: one.insulation === 'white' })) }),
    ],
    ['another breaker feeds this box as well', { ...survey, others: ['16'] }],
    [
      'a reading is none of an ordinary wall',
      {
        ...survey,
        readings: [
          ...survey.readings,
          {
            id: 'odd',
            setup: { breakers: 'on', apart: 'as found', switches: 'as they are', loadsOut: false },
            probe: {
              with: 'meter',
              impedance: 'high',
              from: { on: 'conductor', cable: box.cables[1]!.id, insulation: 'black' },
              to: { on: 'ground', box: box.id },
            },
            value: { is: 'volts', low: 47, high: 47 },
            times: 1,
          },
        ],
      },
    ],
  ])('%s', (why, odd) => {
    const { first, tap } = verdictOf(odd);
    expect(first?.reached ?? false).toBe(false);
    expect(tap).not.toBe('yes');
    if (first) expect(first.withheld).toContain(why);
  });
  test('where each proof is asked for it is not given, and the tests go on', () => {
    const all = { ...survey, proveAll: true };
    expect(verdictOf(all).first?.reached).toBe(false);
    expect(nextTest(all)).not.toBeNull();
  });
});

/** What of a wall a yes must not hide, by the class that it was made of; null where the yes is right. */
const HIDDEN: Readonly<Record<string, HazardLeft>> = {
  'bootleg upstream': 'bootleg',
  'a retired cable beside it; bootleg upstream': 'bootleg',
  'borrowed neutral': 'borrowed neutral',
  'hot and neutral by two cables': 'two cables',
};

/** A law over every wall of the tests, a sample of it in the usual run. */
const WALLS = walls().filter((_, index) => LONG || index % 2 === 0 || index > 40);
const HOUSES = library(draws(8, 40), 60).map((situation) => ({ kind: 'random', situation }));

describe('walls that are not as they should be', () => {
  const ends = [...WALLS, ...HOUSES].map(({ kind, situation }, index) => ({
    kind,
    situation,
    end: visit(situation, dice(index + 1)),
  }));

  test('a yes on readings is right, or what is wrong stands on its list of what is not excluded', () => {
    let [given, wrong] = [0, 0];
    for (const { kind, situation, end } of ends) {
      if (!reached(end)) continue;
      given++;
      if (situation.truth.tap) continue;
      wrong++;
      const hidden = HIDDEN[kind];
      expect([situation.name, end.first!.left.includes(hidden!)]).toEqual([situation.name, true]);
    }
    expect(given).toBeGreaterThan(10);
    expect(wrong).toBeGreaterThan(2);
  });

  test('at most four readings in the middle, eight in nine of ten', () => {
    const counts = ends
      .filter(({ end }) => reached(end))
      .map(({ end }) => end.readings)
      .sort((a, b) => a - b);
    const setups = ends.filter(({ end }) => reached(end)).map(({ end }) => end.setups);
    process.stdout.write(
      `find: first grade in ${counts.length} walls: median ${counts[Math.floor(counts.length / 2)]}, nine of ten ${counts[Math.floor(counts.length * 0.9)]} readings; most ${Math.max(...setups)} set-ups\n`,
    );
    expect(counts[Math.floor(counts.length / 2)]).toBeLessThanOrEqual(4);
    expect(counts[Math.floor(counts.length * 0.9)]).toBeLessThanOrEqual(8);
  });

  test('a hazard that went along is named at the new outlet, before its cover goes on; a sound one is cleared', () => {
    let [named, cleared] = [0, 0];
    for (const { kind, situation, end } of ends) {
      if (!reached(end)) continue;
      const { pair, left } = end.first!;
      const survey: Survey = { ...end.survey, laidOut: { pair, left: left.filter(mayBeLeft) } };
      expect(owedOf(survey).length).toBe(left.length);
      const found = owedOf(withOwed(situation, survey, dice(77)));
      const hidden = HIDDEN[kind];
      if (hidden) {
        expect([
          situation.name,
          found.filter(({ found: is }) => is === 'there').map(({ left: one }) => one),
        ]).toEqual([situation.name, expect.arrayContaining([hidden]) as unknown]);
        named++;
      } else if (situation.truth.tap) {
        // A run too short to sag says nothing; nothing sound is ever called a hazard.
        expect(found.filter(({ found: is }) => is === 'there')).toEqual([]);
        cleared++;
      }
    }
    expect(named).toBeGreaterThan(2);
    expect(cleared).toBeGreaterThan(5);
  });

  test('with one false reading: a yes is right, or what is wrong is named as not excluded, or as excluded by one reading', () => {
    let given = 0;
    for (const [index, { kind, situation }] of sampled([...WALLS, ...HOUSES], 8).entries()) {
      for (let lie = 0; lie < 4; lie++) {
        const end = visit(situation, dice(index + 100 * lie), { lies: new Set([lie]) });
        if (!reached(end)) continue;
        given++;
        if (situation.truth.tap) continue;
        const { left, once } = end.first!;
        const hidden = HIDDEN[kind];
        // What makes a wall no wall to tap is of a class that has its name.
        const named = hidden === undefined ? once.length > 0 : [...left, ...once].includes(hidden);
        expect([situation.name, lie, named]).toEqual([situation.name, lie, true]);
      }
    }
    expect(given).toBeGreaterThan(0);
  });
});

test('every hazard that may be left has its test at the new outlet, with what it shows either way', () => {
  const [plain] = commonBoxes();
  const { survey, first } = visit(plain!, dice(3));
  const owed = owedOf({ ...survey, laidOut: { pair: first!.pair, left: [...HAZARDS_LEFT] } });
  expect(owed.map(({ left }) => left)).toEqual([...HAZARDS_LEFT]);
  for (const one of owed) {
    expect(one.found).toBe('open');
    expect(one.reading).toBeNull();
    expect([one.says, one.common, one.how, one.then].every((words) => words.length > 10)).toBe(true);
  }
});
