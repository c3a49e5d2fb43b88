/** How long a second tap is taken for the same one, ms. */
const SAME_TAP_MS = 700;

let last = Number.NEGATIVE_INFINITY;

/**
 * True for a second tap of the same finger, on whatever has come to stand under it: it removes nothing more. Asked where what
 * removes something is sent, whichever button sends it.
 */
export function isSameTap(): boolean {
  const now = performance.now();
  if (now - last < SAME_TAP_MS) return true;
  last = now;
  return false;
}
