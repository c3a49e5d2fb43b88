import type { Probe, Value } from '../model/survey';

/*
 * What an instrument can show, coarse enough that unknown lamps and lengths do not matter, as bits: a guess allows a
 * set of them, a reading is one of them (two, where it stands near a border).
 */
export const ZERO = 1;
export const LOW = 2;
export const HOT = 4;
export const DOUBLE = 8;
export const CHANGES = 16;
export const TRIPS = 32;
export const ANY_VOLTS = ZERO | LOW | HOT | DOUBLE;

export const JOINED = 1;
export const THROUGH = 2;
export const OPEN = 4;

/** With a known load on: the neutral rises over ground by its own share of the sag, by next to nothing, or no load ran. */
export const SEPARATE = 1;
export const ONE_PATH = 2;
export const NO_SAG = 4;
/**
 * Ohms of hot and neutral together under which nothing can be told: the panel's own part of the sag would count too
 * much (about 22 ft of 14 AWG); and the share of the sag, half in theory, from which the ground is a path of its own.
 */
const LEAST_OHMS = 0.135;
const OWN_SHARE = 0.42;
/** Neutral to ground with its own breaker off and loads on all others: over this, another circuit returns on it, V. */
const RESIDUAL_V = 0.15;
/** What a clamp round a whole cable shows where its hots and neutral do not add to zero, A, of a known load of 10. */
const IMBALANCE_A = 1;

function dropMask(loadA: number, sagV: number, riseV: number): number {
  if (sagV < LEAST_OHMS * loadA) return NO_SAG;
  return riseV >= OWN_SHARE * sagV ? SEPARATE : ONE_PATH;
}

/** For instruments that only say yes or no: non-contact tester, lamp, clamp. */
export const NO = 1;
export const YES = 2;

/** How near a border counts as both sides of it, V. */
const MARGIN_V = 5;
/** Up to where a reading is nothing, in between, and about 120 V; from there on about 240 V. */
const NOTHING_V = 15;
const BETWEEN_V = 90;
const LEG_V = 150;

export function voltsMask(volts: number): number {
  let mask = 0;
  if (volts < NOTHING_V + MARGIN_V) mask |= ZERO;
  if (volts >= NOTHING_V - MARGIN_V && volts < BETWEEN_V + MARGIN_V) mask |= LOW;
  if (volts >= BETWEEN_V - MARGIN_V && volts < LEG_V + MARGIN_V) mask |= HOT;
  if (volts >= LEG_V - MARGIN_V) mask |= DOUBLE;
  return mask;
}

/** Between the smallest and the largest that loads of unknown size allow, everything is allowed. */
export function filled(mask: number): number {
  const steps = mask & ANY_VOLTS;
  if (steps === 0) return mask;
  const top = 31 - Math.clz32(steps);
  const low = 31 - Math.clz32(steps & -steps);
  return mask | ((1 << (top + 1)) - (1 << low));
}

export function ohmsMask(ohms: number): number {
  let mask = 0;
  if (ohms < 3) mask |= JOINED;
  if (ohms >= 1 && ohms < 1e6) mask |= THROUGH;
  if (ohms >= 5e4) mask |= OPEN;
  return mask;
}

/** Yes where the voltage is past a threshold, both near it. */
export const pastMask = (volts: number, threshold: number, margin: number): number =>
  (volts >= threshold - margin ? YES : 0) | (volts < threshold + margin ? NO : 0);

/** A reading as bits of its instrument. 0 where the value is not of that instrument's kind. */
export function valueMask(probe: Probe, value: Value): number {
  if (value.is === 'tripped') return TRIPS;
  switch (probe.with) {
    case 'meter': {
      if (value.is !== 'volts') return 0;
      const [low, high] = [voltsMask(value.low), voltsMask(value.high)];
      return (low & high) !== 0 ? low & high : CHANGES;
    }
    case 'continuity':
    case 'lifted neutral':
      return value.is === 'ohms' ? ohmsMask(value.ohms ?? Number.POSITIVE_INFINITY) : 0;
    case 'non-contact':
      return value.is === 'glow' ? (value.glows ? YES : NO) : 0;
    case 'lamp':
      return value.is === 'lamp' ? (value.changes ? CHANGES : value.lit ? YES : NO) : 0;
    case 'clamp':
      return value.is === 'amps' ? (value.amps > 0.05 ? YES : NO) : 0;
    case 'tester':
      return value.is === 'lights' ? lightsBit(value.lights) : 0;
    case 'sweep':
      return value.is === 'glow' ? (value.glows ? YES : NO) : 0;
    case 'drop':
      return value.is === 'drop' ? dropMask(probe.loadA, value.sagV, value.riseV) : 0;
    case 'residual':
      return value.is === 'volts' ? (value.high > RESIDUAL_V ? YES : NO) : 0;
    case 'panel clamp':
    case 'feed clamp':
      return value.is === 'amps' ? (value.amps > IMBALANCE_A ? YES : NO) : 0;
  }
}

export const lightsBit = (lights: readonly boolean[]): number =>
  1 << lights.reduce((sum, lit, index) => sum + (lit ? 1 << index : 0), 0);
