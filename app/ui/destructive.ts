/** How long a second tap is taken for the same one, ms. */
const SAME_TAP_MS = 700;

let last = Number.NEGATIVE_INFINITY;

/**
 * What removes something, once: a second tap of the same finger, on whatever has come to stand under it, removes
 * nothing more.
 */
export const destructive =
  (act: () => void) =>
  ({ timeStamp }: { readonly timeStamp: number }): void => {
    if (timeStamp - last < SAME_TAP_MS) return;
    last = timeStamp;
    act();
  };
