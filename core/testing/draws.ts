/** True in `npm run test:long`, which the release list asks for. */
export const LONG = process.env['LONG'] === '1';

/**
 * How many cases a law draws: as many as find something (docs/tests.md tells how that was measured) each time, `long`
 * of them in `npm run test:long`.
 */
export const draws = (usual: number, long: number): number => (LONG ? long : usual);
