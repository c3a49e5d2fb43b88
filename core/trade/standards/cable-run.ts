/** First staple from a box, ft, and widest gap between supports, ft (NEC 334.30, from memory). */
export const FIRST_STAPLE_FT = 1;
export const STAPLE_SPACING_FT = 4.5;
/** What lies nearer to the edge of framing than this wants a plate, in (NEC 300.4, from memory). */
export const FRAMING_EDGE_IN = 1.25;

/** Make-up allowance at each end of a new cable, in: inside the box, and slack before it. Common practice. */
export const ALLOWANCE_IN = { inside: 8, slack: 6, panel: 48 } as const;
/** Share of a cable that is pulled and not used, %. Common practice. */
export const WASTE_PERCENT = 10;

/** Staples along a run: one near each box, the rest no farther apart than they may be. */
export const staplesAlong = (lengthFt: number): number =>
  2 + Math.max(Math.ceil(Math.max(lengthFt - 2 * FIRST_STAPLE_FT, 0) / STAPLE_SPACING_FT) - 1, 0);
