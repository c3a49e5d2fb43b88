import { describe, expect, test } from '@jest/globals';
import type { Reading, Survey, Value } from '../../job/model/survey';
import { dice } from '../../base/dice';
import { answer } from '../../handover/drills/answer';
import type { Situation } from '../../handover/drills/situation';
import { falsified } from '../../testing/falsified';
import { fourCables, library } from '../../testing/situations';
import { walls } from '../../testing/walls';
import { weigh } from './evidence';
import { nextTest, type Suggestion } from './next-test';
import { verdictOf } from './verdict';
import { draws, LONG } from '../../testing/draws';

/*
 * Opened boxes of random houses that the compiler wired, so that the truth is known from their nets. Invented data;
 * what an instrument shows is simulated on the true wiring, with far switches, loads and ghost voltages by chance.
 */

const LIBRARY = [...library(draws(6, 48)), ...fourCables().slice(0, LONG ? 6 : 1)];
/** A wall of each class, all of them by `npm run test:long`. */
const WALLS = walls().filter(
  ({ kind }, index, all) => LONG || all.findIndex((one) => one.kind === kind) === index,
);
/** Random studies with one and with two false readings; the whole of them by `npm run test:long`. */
const TRIALS = draws(16, 10_000);
const MOST_TESTS = 45;

/** One step of the finder, kept by what was read so far: trials share most of their way. */
const steps = new Map<string, { suggestion: Suggestion | null; verdict: ReturnType<typeof verdictOf> }>();
function step(survey: Survey) {
  const key = JSON.stringify([
    survey.boxes,
    survey.breaker,
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
  value.is === 'volts' && value.high > 5
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

/** Answers every suggested test until each proof is read or none is left; those in `lies` falsely. */
function finish(situation: Situation, random: () => number, lies: ReadonlySet<number> = new Set()) {
  let survey: Survey = { ...situation.survey, proveAll: true };
  let [live, dead] = [0, 0];
  let contradicted = false;
  for (let count = 0; count < MOST_TESTS; count++) {
    const { suggestion, verdict } = step(survey);
    contradicted ||= verdict.contradiction !== null;
    if (!suggestion || suggestion.again || contradicted) break;
    if (suggestion.test.live) live++;
    else dead++;
    const truthful = answer(situation, suggestion.test.setup, suggestion.test.probe, random);
    const value = lies.has(count) ? falsified(truthful, random) : truthful;
    survey = { ...survey, readings: [...survey.readings, taken(suggestion.test, value, count)] };
  }
  const { verdict } = step(survey);
  return { verdict, survey, live, dead, contradicted };
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

/** All that a short run lets be proven, or a yes. */
const isProven = ({ tap, groundUnproven }: ReturnType<typeof verdictOf>) => tap === 'yes' || groundUnproven;

describe('as-found situations whose truth is known', () => {
  test('there are enough, with all kinds of ground, device and answer among them', () => {
    expect(LIBRARY.length).toBeGreaterThanOrEqual(LONG ? 40 : 7);
    const truths = LIBRARY.map(({ truth }) => truth);
    expect(truths.filter(({ tap }) => tap).length).toBeGreaterThan(LONG ? 4 : 2);
    expect(truths.filter(({ tap }) => !tap).length).toBeGreaterThan(LONG ? 4 : 2);
    const kinds = new Set(LIBRARY.flatMap(({ survey }) => survey.boxes[0]!.devices.map(({ kind }) => kind)));
    for (const kind of ['single-pole', 'duplex'] as const) expect(kinds).toContain(kind);
  });

  test('truthful answers never reach a wrong verdict, and mostly the right one', () => {
    const ends = LIBRARY.map((situation, index) => ({ situation, ...finish(situation, dice(index + 1)) }));
    for (const { situation, verdict } of ends) {
      if (verdict.tap !== 'not known yet')
        expect({ at: situation.name, tap: verdict.tap }).toEqual({
          at: situation.name,
          tap: situation.truth.tap ? 'yes' : 'no',
        });
      if (verdict.groundUnproven) expect(situation.truth.hot && situation.truth.neutral).toBe(true);
      if (verdict.tap === 'yes') {
        // The pair that is named must be a constant hot and a neutral of one net.
        const cable = situation.wiring.cables.find(({ id }) => id === verdict.from?.cable)!;
        const of = (color: string | undefined) =>
          cable.conductors.find(({ insulation }) => insulation === color);
        expect(of(verdict.from?.hot)?.role).toBe('hot');
        expect(of(verdict.from?.neutral)?.role).toBe('neutral');
        // A second circuit is no bar where each of its conductors is named; all else has a reading of its own.
        const bare = verdict.proofs.filter(({ reading }) => reading === null).map(({ of }) => of);
        if (bare.length > 0)
          expect({ bare, shared: verdict.shared }).toEqual({ bare: ['nothing else'], shared: 'yes' });
      }
    }
    const settled = ends.filter(({ verdict }) => verdict.tap === 'no' || isProven(verdict));
    const live = median(ends.map((end) => end.live));
    const routine = median(LIBRARY.map(fixedRoutine));
    process.stdout.write(
      `find: ${LIBRARY.length} situations, ${ends.length - settled.length} left open, median live tests ${live} (most ${Math.max(...ends.map((end) => end.live))}), dead ${median(ends.map((end) => end.dead))}; separate, cap and test each, which proves no ground: ${routine} live\n`,
    );
    expect(settled.length / ends.length).toBeGreaterThan(0.5);
  });

  test('walls that are not as they should be: no wrong yes, and each is called what it is or left open', () => {
    const kinds = new Map<string, { right: number; open: number; of: number; wrongNo: string[] }>();
    for (const [index, { kind, situation }] of WALLS.entries()) {
      const { verdict } = finish(situation, dice(index + 11));
      const row = kinds.get(kind) ?? { right: 0, open: 0, of: 0, wrongNo: [] };
      kinds.set(kind, row);
      row.of++;
      if (!situation.truth.tap)
        expect({ at: situation.name, tap: verdict.tap }).not.toEqual({ at: situation.name, tap: 'yes' });
      if (situation.truth.tap ? isProven(verdict) : verdict.tap === 'no') row.right++;
      else if (verdict.tap === 'not known yet') row.open++;
      else row.wrongNo.push(situation.name);
    }
    for (const [kind, { right, open, of, wrongNo }] of kinds)
      process.stdout.write(
        `find: ${kind}: ${right} of ${of} right, ${open} left open${wrongNo.length > 0 ? `, no where it was yes: ${wrongNo.join('; ')}` : ''}\n`,
      );
    expect([...kinds.values()].flatMap(({ wrongNo }) => wrongNo)).toEqual([]);
    const all = [...kinds.values()].reduce(
      (sum, { right, of }) => ({ right: sum.right + right, of: sum.of + of }),
      { right: 0, of: 0 },
    );
    expect(all.right / all.of).toBeGreaterThan(0.6);
  });

  test.each([1, 2])(
    `%i false readings: never a wrong yes with one, at most one in a thousand with two, in ${TRIALS} random studies`,
    (count) => {
      const all = [...LIBRARY, ...WALLS.map(({ situation }) => situation)];
      const wrongNos: string[] = [];
      const wrongYeses: string[] = [];
      const tests: number[] = [];
      let [contradicted, right, open, wrongYes, wrongNo] = [0, 0, 0, 0, 0];
      for (let trial = 0; trial < TRIALS; trial++) {
        const random = dice(trial * 7919 + 13 * count);
        // One situation after the other, so that its guesses stay at hand.
        const situation = all[Math.floor((trial * all.length) / TRIALS)]!;
        const lies = new Set(Array.from({ length: count }, () => Math.floor(random() * 12)));
        const end = finish(situation, random, lies);
        const { tap } = end.verdict;
        tests.push(end.live + end.dead);
        if (tap === 'yes' && !situation.truth.tap) {
          wrongYes++;
          wrongYeses.push(
            `${situation.name}: false ${[...lies].join()}: ${end.survey.readings.map(({ probe, value }) => `${probe.with} ${JSON.stringify(value)}`).join(' ')}`,
          );
        } else if (tap === 'no' && situation.truth.tap) {
          wrongNo++;
          wrongNos.push(`${situation.name}: ${end.survey.readings.map(({ probe }) => probe.with).join(' ')}`);
        } else if (end.contradicted) contradicted++;
        else if (tap === 'not known yet' && !end.verdict.groundUnproven) open++;
        else right++;
      }
      process.stdout.write(
        `find: ${TRIALS} studies with ${count} false: ${wrongYes} wrong yes, ${wrongNo} wrong no, ${contradicted} contradictions reported, ${right} right all the same, ${open} left open, median ${median(tests)} tests\n`,
      );
      if (wrongYeses.length > 0)
        process.stdout.write(`find: wrong yes: ${wrongYeses.slice(0, 6).join('; ')}\n`);
      if (wrongNos.length > 0) process.stdout.write(`find: wrong no: ${wrongNos.slice(0, 6).join('; ')}\n`);
      expect(wrongYes).toBeLessThanOrEqual(count === 1 ? 0 : Math.ceil(TRIALS / 1000));
      expect(contradicted).toBeGreaterThan(0);
    },
  );
});
