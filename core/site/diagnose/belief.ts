/** How often a reading is taken wrongly or in the wrong place; weighs hypotheses, decides nothing. A plausible figure. */
export const WRONG_READING = 0.03;

/** A hypothesis after the readings: how many of them it cannot explain. */
export interface Belief<R> {
  readonly against: readonly R[];
  /** How many of those are independent of each other. */
  readonly weightAgainst: number;
  /** Share of the belief, all hypotheses together 1. */
  readonly weight: number;
}

/** What must be known of hypotheses to hold readings against them. */
export interface Weighing<H, R> {
  /** How likely a hypothesis is before any reading; any scale. */
  readonly prior: (hypothesis: H) => number;
  /** What tells of each hypothesis, by its place among them, whether it allows the reading. */
  readonly explains: (reading: R) => (hypothesis: H, at: number) => boolean;
  /** Readings with the same key are the same evidence, and count once. */
  readonly evidence: (reading: R) => string;
}

/** Every hypothesis with the readings that speak against it, most believed first. */
export function weighed<H, R>(
  hypotheses: readonly H[],
  readings: readonly R[],
  { prior, explains, evidence }: Weighing<H, R>,
): (Belief<R> & { readonly of: H })[] {
  const numbers = new Map<string, number>();
  const keys = readings.map((reading) => {
    const key = evidence(reading);
    const known = numbers.get(key) ?? numbers.size;
    numbers.set(key, known);
    return known;
  });
  const allows = readings.map(explains);
  // Which hypothesis counted an evidence last: told apart without a set for each.
  const counted = new Int32Array(numbers.size).fill(-1);
  const beliefs = hypotheses.map((of, turn) => {
    const against: R[] = [];
    let weightAgainst = 0;
    for (let index = 0; index < readings.length; index++) {
      if (allows[index]?.(of, turn)) continue;
      const key = keys[index] ?? 0;
      against.push(readings[index] as R);
      if (counted[key] === turn) continue;
      counted[key] = turn;
      weightAgainst++;
    }
    return { of, against, weightAgainst, weight: prior(of) * WRONG_READING ** weightAgainst };
  });
  const total = beliefs.reduce((sum, { weight }) => sum + weight, 0);
  return beliefs
    .map((one) => ({ ...one, weight: total > 0 ? one.weight / total : 0 }))
    .sort((a, b) => b.weight - a.weight);
}
