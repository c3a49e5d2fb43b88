import { sure } from '../../base/sure';
import { WRONG_READING } from './belief';

/** A test with what it costs: work and risk, in units of one reading on a dead circuit. */
export interface Costed {
  readonly effort: number;
  readonly live: boolean;
}

/** A test with the bits that it is expected to tell. */
export interface Narrowing<T> {
  readonly test: T;
  readonly narrowing: number;
}

/** What is compared: hypotheses with their weight, what a test may show of each, and what is not known yet. */
export interface Question<H, T> {
  readonly looked: readonly (H & { readonly weight: number })[];
  /** The outcomes that a hypothesis allows, as bits. */
  readonly allows: (hypothesis: H, test: T) => number;
  /** How much is unknown when the hypotheses weigh that much, bits; no test can tell more. */
  readonly uncertainty: (weights: ArrayLike<number>) => number;
}

/** Below this nothing worth a test is learnt, bits; from this on a dead test is worth taking before a live one. */
const NOTHING = 1e-4;
const WORTH_WHILE = 0.1;
/** And at least this share of what the best test tells. */
const SHARE = 0.25;

/** The single outcomes in a set of them. */
export function bitsOf(mask: number): number[] {
  const bits: number[] = [];
  for (let rest = mask; rest !== 0; rest &= rest - 1) bits.push(rest & -rest);
  return bits;
}

/** Entropy of weights, bits: of their shares, whatever they add to (Shannon 1948). */
export function entropy(weights: ArrayLike<number>): number {
  let [sum, logs] = [0, 0];
  for (let index = 0; index < weights.length; index++) {
    const weight = weights[index] ?? 0;
    if (weight <= 0) continue;
    sum += weight;
    logs += weight * Math.log2(weight);
  }
  return sum > 0 ? Math.log2(sum) - logs / sum : 0;
}

/** What a test is expected to tell, bits: a reading in many is taken wrongly. */
export function expectedNarrowing<H, T>(question: Question<H, T>, test: T, before: number): number {
  const { looked, allows } = question;
  const masks = new Int32Array(looked.length);
  let all = 0;
  for (let index = 0; index < looked.length; index++)
    all |= masks[index] = allows(sure(looked[index], 'such hypothesis'), test);
  const outcomes = bitsOf(all);
  const wrongly = WRONG_READING / outcomes.length;
  /** How often an outcome is read of a hypothesis that allows those. */
  const often = (mask: number, outcome: number) =>
    (mask & outcome) === 0 ? wrongly : (1 - WRONG_READING) / count(mask);
  const left =
    question.uncertainty === entropy ? leftOfEntropy(looked, masks) : leftBy(question, looked, masks);
  let [after, total] = [0, 0];
  for (const outcome of outcomes) {
    const [chance, unknown] = left((mask) => often(mask, outcome));
    after += chance * unknown;
    total += chance;
  }
  return total > 0 ? before - after / total : 0;
}

type Weighed = readonly { readonly weight: number }[];
/** Of an outcome, by how often hypotheses of each set of outcomes show it: its chance, and what is unknown after it, bits. */
type Left = (often: (mask: number) => number) => readonly [chance: number, unknown: number];

function leftBy(
  { uncertainty }: Pick<Question<unknown, unknown>, 'uncertainty'>,
  looked: Weighed,
  masks: Int32Array,
): Left {
  // Asked of every test for every question: one list of weights, filled anew for each outcome.
  const weights = new Float64Array(looked.length);
  return (often) => {
    let chance = 0;
    for (let index = 0; index < weights.length; index++)
      chance += weights[index] = (looked[index]?.weight ?? 0) * often(masks[index] ?? 0);
    return [chance, uncertainty(weights)];
  };
}

/**
 * The same where the hypotheses themselves are what is unknown: those with one set of outcomes are one sum. With f how often
 * each of a sum is read so, w f log(w f) = f w log w + f log f w.
 */
function leftOfEntropy(looked: Weighed, masks: Int32Array): Left {
  const logs = logsOf(looked);
  const sums = new Map<number, { weight: number; logs: number }>();
  for (let index = 0; index < masks.length; index++) {
    const mask = masks[index] ?? 0;
    let sum = sums.get(mask);
    if (!sum) sums.set(mask, (sum = { weight: 0, logs: 0 }));
    sum.weight += looked[index]?.weight ?? 0;
    sum.logs += logs[index] ?? 0;
  }
  return (often) => {
    let [chance, all] = [0, 0];
    for (const [mask, sum] of sums) {
      const share = often(mask);
      chance += share * sum.weight;
      all += share * (sum.logs + Math.log2(share) * sum.weight);
    }
    return [chance, chance > 0 ? Math.log2(chance) - all / chance : 0];
  };
}

const logged = new WeakMap<Weighed, Float64Array>();
/** Of each weight w: w log w, bits; worked out once for all tests of a question. */
function logsOf(looked: Weighed): Float64Array {
  let known = logged.get(looked);
  if (!known) {
    known = Float64Array.from(looked, ({ weight }) => (weight > 0 ? weight * Math.log2(weight) : 0));
    logged.set(looked, known);
  }
  return known;
}

/** How many outcomes a set has. */
function count(mask: number): number {
  let outcomes = 0;
  for (let rest = mask; rest !== 0; rest &= rest - 1) outcomes++;
  return outcomes;
}

/**
 * The tests that tell most for their effort, best first, none that tells nothing; at most so many. A dead test that
 * tells something worth while comes before any live one.
 */
export function mostTelling<H, T extends Costed>(
  question: Question<H, T>,
  tests: readonly T[],
  most: number,
): Narrowing<T>[] {
  const any = bestFor(question, tests, most);
  const top = any.reduce((best, { narrowing }) => Math.max(best, narrowing), 0);
  const dead = bestFor(
    question,
    tests.filter(({ live }) => !live),
    most,
    Math.max(WORTH_WHILE, SHARE * top),
  );
  return dead.length > 0 ? dead : any;
}

function bestFor<H, T extends Costed>(
  question: Question<H, T>,
  tests: readonly T[],
  most: number,
  atLeast = NOTHING,
): Narrowing<T>[] {
  const unknown = question.uncertainty(question.looked.map(({ weight }) => weight));
  const score = ({ test, narrowing }: Narrowing<T>) => narrowing / test.effort;
  const best: Narrowing<T>[] = [];
  for (const test of [...tests].sort((a, b) => a.effort - b.effort)) {
    const least = best[most - 1];
    // No test can tell more than there is to be told: from here on each costs too much to be among the best.
    if (least && unknown / test.effort <= score(least)) break;
    const narrowing = expectedNarrowing(question, test, unknown);
    if (narrowing <= atLeast) continue;
    const found = { test, narrowing };
    const place = best.findIndex((one) => score(found) > score(one));
    best.splice(place < 0 ? best.length : place, 0, found);
    if (best.length > most) best.pop();
  }
  return best;
}
