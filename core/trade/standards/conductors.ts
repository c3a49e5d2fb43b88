/** Solid copper branch-circuit sizes this tool plans with, AWG. */
export const GAUGES = [14, 12, 10] as const;
export type Gauge = (typeof GAUGES)[number];

interface ConductorRow {
  /** Box volume one conductor takes, in³. NEC Table 314.16(B). */
  readonly boxVolumeIn3: number;
  /** DC resistance at 75 °C, solid, uncoated, ohms per 1000 ft. NEC Chapter 9 Table 8. */
  readonly ohmsPerKft: number;
  /** Largest breaker, A. NEC 240.4(D). */
  readonly maxBreakerA: number;
}

const ROWS: Record<Gauge, ConductorRow> = {
  14: { boxVolumeIn3: 2.0, ohmsPerKft: 3.07, maxBreakerA: 15 },
  12: { boxVolumeIn3: 2.25, ohmsPerKft: 1.93, maxBreakerA: 20 },
  10: { boxVolumeIn3: 2.5, ohmsPerKft: 1.21, maxBreakerA: 30 },
};

/** Box volume per conductor, in³ (NEC Table 314.16(B), from memory). */
export const boxVolumeIn3 = (gauge: Gauge): number => ROWS[gauge].boxVolumeIn3;

/** Resistance of a length of one conductor, Ω, at 75 °C (NEC Chapter 9 Table 8, from memory). */
export const conductorOhms = (gauge: Gauge, lengthFt: number): number =>
  (ROWS[gauge].ohmsPerKft * lengthFt) / 1000;

/** The largest breaker a copper conductor of this size may sit on, A (NEC 240.4(D), from memory). */
export const maxBreakerA = (gauge: Gauge): number => ROWS[gauge].maxBreakerA;

/** Ampacity of copper, A, at 60 and 90 °C (NEC Table 310.16, 2017: Table 310.15(B)(16); from memory). */
export const AMPACITY_60_A: Record<Gauge, number> = { 14: 15, 12: 20, 10: 30 };
export const AMPACITY_90_A: Record<Gauge, number> = { 14: 25, 12: 30, 10: 40 };

/** Share of its ampacity that each of so many current-carrying conductors together keeps (310.15(C)(1), from memory). */
export const bundleFactor = (conductors: number): number =>
  conductors <= 3 ? 1 : conductors <= 6 ? 0.8 : conductors <= 9 ? 0.7 : conductors <= 20 ? 0.5 : 0.45;

/** The smallest copper conductor for a breaker (NEC 240.4(D), from memory); `undefined` over 30 A. */
export const gaugeForBreaker = (breakerA: number): Gauge | undefined =>
  GAUGES.find((gauge) => maxBreakerA(gauge) >= breakerA);
