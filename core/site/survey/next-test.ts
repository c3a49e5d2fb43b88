import { entropy, mostTelling } from '../diagnose/narrowing';
import { testKey, type Probe, type Survey } from '../../job/model/survey';
import { causeIn, causesOf, SURE, type Cause } from './causes';
import { weigh, type Standing } from './evidence';
import { evidenceKey } from './evidence-key';
import type { FirstGrade } from './first-grade';
import { proofTests } from './proofs';
import { isPossible, pairOf, verdictOf, type Verdict } from './verdict';
import { type Test, costed, testsOf } from './possible-tests';

/** A test as it is put to a person. */
export interface Suggestion {
  readonly test: Test;
  /** Further tests of the same set-up, taken in one go with it. */
  readonly together: readonly Test[];
  /** Bits that it is expected to tell, of the verdict and of what the conductors are. */
  readonly narrowing: number;
  /** True where an earlier reading is taken again. */
  readonly again: boolean;
}

/**
 * Guesses looked at when tests are compared, first roughly, then well; and of those that one more reading is to rule out
 * the most believed. All are looked at when a reading comes in.
 */
const LOOKED_AT = { roughly: 10, well: 24, closing: 200 } as const;
/** Tests that are left of the rough comparison. */
const SHORTLIST = 5;
/** Weight of knowing what each conductor is, beside the verdict. */
const DETAIL = 0.05;

/**
 * The test that narrows most for its effort and risk, or none once the verdict stands, or where nothing that can be
 * measured here would narrow it. After a contradiction it is the suspect reading, again.
 */
export function nextTest(
  survey: Survey,
  standings: readonly Standing[] = weigh(survey),
  skipped: ReadonlySet<string> = new Set(),
  verdict: Verdict = verdictOf(survey, standings),
): Suggestion | null {
  if (verdict.contradiction) {
    // What showed the same twice is not taken a third time: the next suspect is.
    const [suspect] = verdict.contradiction.suspects.filter(({ times }) => times < 2);
    if (!suspect) return null;
    const { setup, probe } = suspect;
    return { test: costed({ setup, probe }), together: [], narrowing: 0, again: true };
  }
  if (verdict.tap === 'no') return naming(survey, standings, skipped);
  if (verdict.tap === 'yes' || verdict.unknownUse) return null;
  const { first } = verdict;
  const ordinary = !survey.proveAll && first !== null && first.withheld.length === 0;
  if (ordinary) {
    if (first.reached) return null;
    const basic = nextBasic(survey, first, skipped);
    if (basic) return basic;
  }
  if (verdict.left === 'yes') return missingProof(survey, verdict, standings, skipped);
  const taken = new Set([...survey.readings.map(testKey), ...skipped]);
  const all = testsOf(survey, standings).filter((test) => !taken.has(testKey(test)));
  // What is heavy waits until nothing light is left, or until the box is odd.
  const light = ordinary || (!survey.proveAll && first === null) ? all.filter(isLight) : all;
  return (
    bestOf(survey, standings, light) ??
    bestOf(survey, standings, all) ??
    missingProof(survey, verdict, standings, skipped)
  );
}

/** Tests that may follow a no, so that a hazard is named and not only the answer known. */
const AFTER_NO = 2;
/** What they must tell of the cause, bits. */
const WORTH_NAMING = 0.1;

/** After a no: the light test that tells most of why, while several causes are left and one of them can hurt. */
function naming(
  survey: Survey,
  standings: readonly Standing[],
  skipped: ReadonlySet<string>,
): Suggestion | null {
  const agreeing = standings.filter(({ against }) => against.length === 0);
  const causes = causesOf(survey, agreeing);
  if ((causes[0]?.[1] ?? 1) >= SURE || !causes.some(([{ hazard }]) => hazard)) return null;
  const before = survey.readings.slice(0, -AFTER_NO);
  if (survey.readings.length >= AFTER_NO && verdictOf({ ...survey, readings: before }).tap === 'no')
    return null;
  const looked = agreeing.slice(0, LOOKED_AT.well);
  const names = looked.map(({ weighed }) => causeIn(survey, weighed));
  const taken = new Set([...survey.readings.map(testKey), ...skipped]);
  const tests = testsOf(survey, standings).filter(
    (test) => (isLight(test) || test.probe.with === 'drop') && !taken.has(testKey(test)),
  );
  const [best] = mostTelling(
    {
      looked,
      allows: ({ weighed }, { setup, probe }: Test) => weighed.allows(setup, probe),
      uncertainty: (weights) => {
        const shares = new Map<Cause, number>();
        names.forEach((name, index) => {
          shares.set(name, (shares.get(name) ?? 0) + (weights[index] ?? 0));
        });
        return entropy([...shares.values()]);
      },
    },
    tests,
    1,
  );
  return best && best.narrowing >= WORTH_NAMING ? { ...best, together: [], again: false } : null;
}

/** The next of the readings of the first grade, with those of the same set-up: they are taken in one go. */
function nextBasic(survey: Survey, { basics }: FirstGrade, skipped: ReadonlySet<string>): Suggestion | null {
  const taken = new Set(survey.readings.map(testKey));
  const missing = basics.filter(({ reading }) => reading === null);
  // What was taken and showed something else is no reading of a sound pair.
  if (missing.some((one) => taken.has(testKey(one)))) return null;
  const open = missing.filter((one) => !skipped.has(testKey(one))).map(costed);
  const [test, ...rest] = open;
  if (!test) return null;
  const same = ({ setup }: Test) => (setup.breakers === 'on') === (test.setup.breakers === 'on');
  return { test, together: rest.filter(same), narrowing: 0, again: false };
}

/** Taken at the box as it was found: nothing lifted, nothing done in the panel, no load carried there. */
const isLight = ({ setup, probe }: Test): boolean => setup.apart === 'as found' && !HEAVY.has(probe.with);
const HEAVY: ReadonlySet<Probe['with']> = new Set<Probe['with']>([
  'clamp',
  'drop',
  'residual',
  'panel clamp',
  'feed clamp',
  'lifted neutral',
]);

/** The test that narrows most for its effort and risk. */
function bestOf(survey: Survey, standings: readonly Standing[], tests: readonly Test[]): Suggestion | null {
  if (isAllBut(standings)) {
    const last = closing(survey, standings, tests);
    if (last) return last;
  }
  const roughly = ranked(tests, sample(standings, LOOKED_AT.roughly), SHORTLIST);
  const well = sample(standings, LOOKED_AT.well);
  // Where the few guesses of the rough look agree on everything, more of them may not.
  return (
    ranked(roughly.length > 0 ? roughly.map(({ test }) => test) : tests, well, 1)[0] ??
    closing(survey, standings, tests)
  );
}

/** Share of the belief in one answer from which only the ruling out of the other is left to do. */
const ALL_BUT = 0.75;

function isAllBut(standings: readonly Standing[]): boolean {
  const yes = standings.reduce((sum, { weighed, weight }) => sum + (weighed.facts.tap ? weight : 0), 0);
  return Math.max(yes, 1 - yes) >= ALL_BUT;
}

/**
 * What is all but ruled out, and still only by one reading, is ruled out by another: the test whose outcome, if the most
 * believed guess is right, speaks against most of what says otherwise, for its effort.
 */
function closing(survey: Survey, standings: readonly Standing[], tests: readonly Test[]): Suggestion | null {
  const [best] = standings.filter(({ against }) => against.length === 0);
  if (!best) return null;
  const yes = best.weighed.facts.tap !== null;
  const others = standings
    .filter((one) => isPossible(one) && (one.weighed.facts.tap !== null) !== yes)
    .slice(0, LOOKED_AT.closing);
  const used = new Set(survey.readings.map((reading) => evidenceKey(survey, reading)));
  let found: { test: Test; score: number } | null = null;
  for (const test of [...tests].sort((a, b) => a.effort - b.effort)) {
    // None can strike more than all there are: from here on each costs too much.
    if (others.length / test.effort <= (found?.score ?? 0)) break;
    if (used.has(evidenceKey(survey, test))) continue;
    const mask = best.weighed.allows(test.setup, test.probe);
    const struck = others.filter(
      ({ weighed }) => (weighed.allows(test.setup, test.probe) & mask) === 0,
    ).length;
    const score = struck / test.effort;
    if (struck > 0 && score > (found?.score ?? 0)) found = { test, score };
  }
  return found && { test: found.test, together: [], narrowing: 0, again: false };
}

/** No other answer is left: what is missing is a reading that gives one of the proofs, the safest first. */
function missingProof(
  survey: Survey,
  { proofs }: Verdict,
  standings: readonly Standing[],
  skipped: ReadonlySet<string>,
): Suggestion | null {
  const box = survey.boxes.find(({ id }) => id === survey.target);
  const [best] = standings.filter(({ against }) => against.length === 0);
  const pair = best && pairOf(best);
  if (!box || !pair) return null;
  const missing = new Set(proofs.filter(({ reading }) => reading === null).map(({ of }) => of));
  const taken = new Set(survey.readings.map(testKey));
  const tests = proofTests(box, pair)
    .filter(
      ({ of, setup, probe }) => of.some((one) => missing.has(one)) && !taken.has(testKey({ setup, probe })),
    )
    .map(costed)
    .filter((test) => !skipped.has(testKey(test)))
    .sort((a, b) => a.effort - b.effort);
  const [test] = tests;
  return test ? { test, together: [], narrowing: 0, again: false } : null;
}

/** The tests that tell most of the verdict, and a little of which guess it is, for their effort. */
const ranked = (tests: readonly Test[], looked: readonly Standing[], most: number): Suggestion[] =>
  mostTelling(
    {
      looked,
      allows: ({ weighed }, { setup, probe }: Test) => weighed.allows(setup, probe),
      uncertainty: (weights) => uncertainty(weights, looked),
    },
    tests,
    most,
  ).map((one) => ({ ...one, together: [], again: false }));

/** The most believed guesses of either verdict, so that a comparison always has both. */
function sample(standings: readonly Standing[], size: number): Standing[] {
  const possible = standings.filter(isPossible);
  const yes = possible.filter(({ weighed }) => weighed.facts.tap !== null);
  const no = possible.filter(({ weighed }) => weighed.facts.tap === null);
  const share = Math.max(size / 2, size - Math.min(yes.length, no.length));
  return [...yes.slice(0, share), ...no.slice(0, share)];
}

/** Entropy of the verdict, and a little of which guess it is, bits. */
function uncertainty(weights: ArrayLike<number>, standings: readonly Standing[]): number {
  let [yes, total] = [0, 0];
  standings.forEach(({ weighed }, index) => {
    const weight = weights[index] ?? 0;
    total += weight;
    if (weighed.facts.tap) yes += weight;
  });
  return entropy([yes, total - yes]) + DETAIL * entropy(weights);
}
