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
  /** True where the hypothesis allows the reading. */
  readonly explains: (hypothesis: H, reading: R) => boolean;
  /** Readings with the same key are the same evidence, and count once. */
  readonly evidence: (reading: R) => string;
}

/** Every hypothesis with the readings that speak against it, most believed first. */
export function weighed<H, R>(
  hypotheses: readonly H[],
  readings: readonly R[],
  { prior, explains, evidence }: Weighing<H, R>,
): (Belief<R> & { readonly of: H })[] {
  const keys = readings.map(evidence);
  const beliefs = hypotheses.map((of) => {
    const against = readings.flatMap((reading, index) =>
      explains(of, reading) ? [] : [{ reading, key: keys[index] }],
    );
    const weightAgainst = new Set(against.map(({ key }) => key)).size;
    return {
      of,
      against: against.map(({ reading }) => reading),
      weightAgainst,
      weight: prior(of) * WRONG_READING ** weightAgainst,
    };
  });
  const total = beliefs.reduce((sum, { weight }) => sum + weight, 0);
  return beliefs
    .map((one) => ({ ...one, weight: total > 0 ? one.weight / total : 0 }))
    .sort((a, b) => b.weight - a.weight);
}
