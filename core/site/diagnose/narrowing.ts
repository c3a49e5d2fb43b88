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
  readonly uncertainty: (weights: readonly number[]) => number;
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

/** Entropy of shares that add to 1, bits. */
export const entropy = (shares: readonly number[]): number =>
  shares.reduce((sum, share) => (share > 0 ? sum - share * Math.log2(share) : sum), 0);

/** What a test is expected to tell, bits: a reading in many is taken wrongly. */
export function expectedNarrowing<H, T>(
  { looked, allows, uncertainty }: Question<H, T>,
  test: T,
  before: number,
): number {
  const masks = looked.map((one) => allows(one, test));
  const outcomes = bitsOf(masks.reduce((all, mask) => all | mask, 0));
  let [after, total] = [0, 0];
  for (const outcome of outcomes) {
    const weights = looked.map(({ weight }, index) => {
      const mask = sure(masks[index], 'such hypothesis');
      const share = 1 / Math.max(bitsOf(mask).length, 1);
      return (
        weight * ((mask & outcome) !== 0 ? (1 - WRONG_READING) * share : WRONG_READING / outcomes.length)
      );
    });
    const chance = weights.reduce((sum, weight) => sum + weight, 0);
    after += chance * uncertainty(weights);
    total += chance;
  }
  return total > 0 ? before - after / total : 0;
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
