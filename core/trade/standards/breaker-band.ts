import { say } from '../../base/words/standards';
/** The longest a breaker may take at a multiple of its rating, s; Infinity up to 100 % (UL 489, from memory). */
export function longestS(times: number): number {
  if (times <= 1) return Number.POSITIVE_INFINITY;
  const known = [
    [1.35, 3600],
    [2, 120],
  ] as const;
  const [[lowTimes, lowS], [highTimes, highS]] = known;
  if (times < lowTimes) return Number.POSITIVE_INFINITY;
  if (times < highTimes) {
    // Straight on doubly logarithmic paper between the two points that the standard gives.
    const share = Math.log(times / lowTimes) / Math.log(highTimes / lowTimes);
    return Math.exp(Math.log(lowS) + share * (Math.log(highS) - Math.log(lowS)));
  }
  return highS * (highTimes / times) ** 2;
}

/** Where a maker's instantaneous pick-up lies, in multiples of the rating (common practice). */
export const PICK_UP = { from: 6, to: 15 } as const;

/** Points of the band for a chart: multiple of the rating, longest time in seconds. */
export const BAND: readonly { readonly times: number; readonly seconds: number }[] = [
  1.35, 1.5, 1.75, 2, 2.5, 3, 4, 5, 6, 8, 10, 12, 15,
].map((times) => ({ times, seconds: longestS(times) }));

/** What the breaker does at a current, in words. */
export function breakerSays(amps: number, ratingA: number): string {
  const times = amps / ratingA;
  if (times <= 1) return say('breakerBand.holds');
  const longest = longestS(times);
  if (!Number.isFinite(longest)) return say('breakerBand.over');
  return longest >= 120
    ? say('breakerBand.tripsWithinMin', { round: Math.round(longest / 60) })
    : say('breakerBand.tripsWithinS', { round: Math.round(longest) });
}
