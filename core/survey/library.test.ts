import { describe, expect, test } from '@jest/globals';
import type { Reading, Survey, Value } from '../model/survey';
import { answer, dice, fourCables, library, type Situation } from '../testing/situations';
import { weigh } from './evidence';
import { nextTest, type Suggestion } from './next-test';
import { verdictOf } from './verdict';

/*
 * Opened boxes of random houses that the compiler wired, so that the truth is known from their nets. Invented data;
 * what an instrument shows is simulated on the true wiring, with far switches, loads and ghost voltages by chance.
 */

const LIBRARY = [...library(48), ...fourCables()];
const TRIALS = 10_000;
const MOST_TESTS = 30;

/** One step of the finder, kept by what was read so far: trials share most of their way. */
const steps = new Map<string, { suggestion: Suggestion | null; verdict: ReturnType<typeof verdictOf> }>();
function step(survey: Survey) {
  const key = JSON.stringify([
    survey.name,
    survey.readings.map(({ setup, probe, value, times }) => [setup, probe, coarse(value), times]),
  ]);
  const known = steps.get(key);
  if (known) return known;
  const standings = weigh(survey);
  const fresh = { suggestion: nextTest(survey, standings), verdict: verdictOf(survey, standings) };
  steps.set(key, fresh);
  return fresh;
}
/** Volts to the nearest ten: what lies between two borders is one outcome. */
const coarse = (value: Value): Value =>
  value.is === 'volts'
    ? { ...value, low: Math.round(value.low / 10) * 10, high: Math.round(value.high / 10) * 10 }
    : value.is === 'ohms'
      ? { ...value, ohms: value.ohms === null ? null : value.ohms < 3 ? 0.3 : 100 }
      : value;

const taken = ({ setup, probe }: Suggestion['test'], value: Value, index: number): Reading => ({
  id: `r${index}`,
  setup,
  probe,
  value: coarse(value),
  times: 1,
});

/** Answers every suggested test truthfully until none is left. */
function finish(situation: Situation, random: () => number) {
  let survey = situation.survey;
  let [live, dead] = [0, 0];
  for (let count = 0; count < MOST_TESTS; count++) {
    const { suggestion, verdict } = step(survey);
    if (!suggestion || suggestion.again) return { verdict, live, dead };
    if (suggestion.test.live) live++;
    else dead++;
    const value = answer(situation, suggestion.test.setup, suggestion.test.probe, random);
    survey = { ...survey, readings: [...survey.readings, taken(suggestion.test, value, count)] };
  }
  return { verdict: step(survey).verdict, live, dead };
}

/** Separate, cap, and test each: one live reading to ground a conductor, then every hot to every white. */
function fixedRoutine({ survey }: Situation): number {
  const insulated = survey.boxes.flatMap(({ ends }) =>
    ends.filter(({ insulation }) => insulation !== 'bare'),
  );
  const whites = insulated.filter(({ insulation }) => insulation === 'white').length;
  return insulated.length + (insulated.length - whites) * whites;
}

const median = (list: readonly number[]): number =>
  [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)]!;

describe('as-found situations whose truth is known', () => {
  test('there are at least 40, with all kinds of ground, device and answer among them', () => {
    expect(LIBRARY.length).toBeGreaterThanOrEqual(40);
    const truths = LIBRARY.map(({ truth }) => truth);
    expect(truths.filter(({ tap }) => tap).length).toBeGreaterThan(10);
    expect(truths.filter(({ tap }) => !tap).length).toBeGreaterThan(10);
    expect(truths.some(({ ground }) => !ground)).toBe(true);
    const kinds = new Set(LIBRARY.flatMap(({ survey }) => survey.boxes[0]!.devices.map(({ kind }) => kind)));
    for (const kind of ['single-pole', 'three-way', 'duplex', 'luminaire'] as const)
      expect(kinds).toContain(kind);
  });

  test('truthful answers reach the right verdict, in a median of at most 3 live tests', () => {
    const ends = LIBRARY.map((situation, index) => ({ situation, ...finish(situation, dice(index + 1)) }));
    for (const { situation, verdict } of ends) {
      expect({ at: situation.name, tap: verdict.tap }).toEqual({
        at: situation.name,
        tap: situation.truth.tap ? 'yes' : 'no',
      });
      if (verdict.ground !== 'not known yet') {
        expect({ at: situation.name, ground: verdict.ground }).toEqual({
          at: situation.name,
          ground: situation.truth.ground ? 'yes' : 'no',
        });
      }
      if (situation.truth.tap) {
        // The pair that is named must be a constant hot and a neutral of one net.
        const cable = situation.wiring.cables.find(({ id }) => id === verdict.from?.cable)!;
        const of = (color: string | undefined) =>
          cable.conductors.find(({ insulation }) => insulation === color);
        expect(of(verdict.from?.hot)?.role).toBe('hot');
        expect(of(verdict.from?.neutral)?.role).toBe('neutral');
      }
    }
    const live = median(ends.map((end) => end.live));
    const routine = median(LIBRARY.map(fixedRoutine));
    process.stdout.write(
      `find: ${LIBRARY.length} situations, median live tests ${live} (most ${Math.max(...ends.map((end) => end.live))}), dead ${median(ends.map((end) => end.dead))}; separate, cap and test each: ${routine} live\n`,
    );
    expect(live).toBeLessThanOrEqual(3);
    expect(live).toBeLessThan(routine);
  });

  test(`one false reading: never a wrong verdict, in ${TRIALS} random trials`, () => {
    let [contradicted, unharmed, open] = [0, 0, 0];
    for (let trial = 0; trial < TRIALS; trial++) {
      const random = dice(trial * 7919 + 13);
      // One situation after the other, so that its guesses stay at hand.
      const situation = LIBRARY[Math.floor((trial * LIBRARY.length) / TRIALS)]!;
      const falseAt = Math.floor(random() * 5);
      let survey = situation.survey;
      let contradiction = false;
      for (let count = 0; count < MOST_TESTS; count++) {
        const { suggestion, verdict } = step(survey);
        contradiction ||= verdict.contradiction !== null;
        if (!suggestion || contradiction) break;
        const truthful = answer(situation, suggestion.test.setup, suggestion.test.probe, random);
        const value = count === falseAt ? falsified(truthful, random) : truthful;
        survey = { ...survey, readings: [...survey.readings, taken(suggestion.test, value, count)] };
      }
      const { verdict } = step(survey);
      const wrong = situation.truth.tap ? 'no' : 'yes';
      expect({ trial, at: situation.name, tap: verdict.tap }).not.toEqual({
        trial,
        at: situation.name,
        tap: wrong,
      });
      if (contradiction) contradicted++;
      else if (verdict.tap === 'not known yet') open++;
      else unharmed++;
    }
    process.stdout.write(
      `find: ${TRIALS} trials with one false reading: ${contradicted} contradictions reported, ${unharmed} right all the same, ${open} left open, 0 wrong\n`,
    );
    expect(contradicted).toBeGreaterThan(0);
  });
});

/** Another reading of the same instrument. */
function falsified(value: Value, random: () => number): Value {
  const roll = random();
  switch (value.is) {
    case 'volts': {
      const options = (
        [
          [0, 0],
          [120, 120],
          [0, 120],
          [60, 60],
          [240, 240],
        ] as const
      ).filter(([low, high]) => Math.abs(low - value.low) > 35 || Math.abs(high - value.high) > 35);
      const [low, high] = options[Math.floor(roll * options.length)]!;
      return { is: 'volts', low, high };
    }
    case 'ohms':
      return {
        is: 'ohms',
        ohms:
          value.ohms === null
            ? roll < 0.7
              ? 0.3
              : 100
            : value.ohms < 3
              ? roll < 0.7
                ? null
                : 100
              : roll < 0.5
                ? null
                : 0.3,
      };
    case 'glow':
      return { is: 'glow', glows: !value.glows };
    case 'lights': {
      const flip = Math.floor(roll * 3);
      const [a, b, c] = value.lights;
      return { is: 'lights', lights: [flip === 0 ? !a : a, flip === 1 ? !b : b, flip === 2 ? !c : c] };
    }
    case 'lamp':
      return { ...value, lit: !value.lit, changes: false };
    case 'amps':
      return { is: 'amps', amps: value.amps > 0.05 ? 0 : 2 };
    case 'tripped':
      return { is: 'volts', low: 0, high: 0 };
  }
}
