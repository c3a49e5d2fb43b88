/** True in `npm run test:long`, which the release list asks for. */
export const LONG = process.env['LONG'] === '1';
/** True in `npm run check`, for the hand that works. */
const QUICK = process.env['QUICK'] === '1';

/**
 * How many cases a law draws: `usual` in `npm test`, a fifth of them in `npm run check`, `long` of them in
 * `npm run test:long` (`docs/tests.md`).
 */
export const draws = (usual: number, long: number): number =>
  LONG ? long : QUICK ? Math.ceil(usual / 5) : usual;
