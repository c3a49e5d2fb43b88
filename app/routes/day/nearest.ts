interface Spanned {
  readonly from: number;
  readonly to: number;
}

/**
 * What a thumb means on a lane, by the minute that it touches: the block there or the nearest; of those that are as near, the
 * shortest, which is the hardest to hit.
 */
export function nearest<Block extends Spanned>(blocks: readonly Block[], minute: number): Block | null {
  const away = ({ from, to }: Spanned) => Math.max(from - minute, minute - to, 0);
  return blocks.reduce<Block | null>(
    (best, one) =>
      best === null ||
      away(one) < away(best) ||
      (away(one) === away(best) && one.to - one.from < best.to - best.from)
        ? one
        : best,
    null,
  );
}
