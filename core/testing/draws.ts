/** True in `npm run test:long`, which the release list asks for. */
export const LONG = process.env['LONG'] === '1';
/** True in `npm run check`, for the hand that works. */
const QUICK = process.env['QUICK'] === '1';

/** The share of the usual draws that `scripts/mutants.ts` asks for. */
const SHARE = Number(process.env['DRAWS_SHARE'] ?? 1);

/**
 * How many cases a law draws: `usual` in `npm test`, a fifth of them in `npm run check`, `long` of them in
 * `npm run test:long` (`docs/tests.md`).
 */
export const draws = (usual: number, long: number): number =>
  LONG ? long : Math.ceil(QUICK ? usual / 5 : usual * SHARE);

/** As many cases of a list as a law draws, evenly from all of it: every one in `npm run test:long`. */
export function sampled<T>(all: readonly T[], usual: number): readonly T[] {
  const count = Math.min(draws(usual, all.length), all.length);
  return all.filter(
    (_, index) => Math.floor(((index + 1) * count) / all.length) > Math.floor((index * count) / all.length),
  );
}
