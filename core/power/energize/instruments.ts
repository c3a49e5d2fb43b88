import type { Network, NetworkPart } from '../network/network';
import { energize, type Energized } from './energize';
import type { OperatingPoint } from './solve';
import { TESTER_LIGHT_V, type Meter, type State } from './state';
import { say } from '../../base/words/energize';

/** The three lights of a plug-in tester: hot to neutral, hot to ground, neutral to ground. */
export type TesterLights = readonly [boolean, boolean, boolean];

export interface TesterReading {
  readonly lights: TesterLights;
  /** What the legend on such a tester says of the pattern; it is not always right. */
  readonly legend: string;
}

const LEGEND: Record<string, string> = {
  '110': say('instruments.correct'),
  '100': say('instruments.openGround'),
  '010': say('instruments.openNeutral'),
  '000': say('instruments.openHot'),
  '011': say('instruments.hotGroundSwapped'),
  '101': say('instruments.hotNeutralSwapped'),
};

/** Reads the lights of a tester that the state has plugged into a part. */
export function readTester(point: OperatingPoint, part: NetworkPart): TesterReading {
  const [hot, neutral, ground] = [point.volts(part.hot), point.volts(part.neutral), point.volts(part.ground)];
  const lit = (drop: number) => Math.abs(drop) >= TESTER_LIGHT_V;
  const lights: TesterLights = [lit(hot - neutral), lit(hot - ground), lit(neutral - ground)];
  return { lights, legend: LEGEND[lights.map(Number).join('')] ?? say('instruments.notLegend') };
}

export type MeterReading =
  | { readonly kind: 'volts'; readonly volts: number }
  /** A floating conductor on a high-impedance meter: anything between the rails may show. */
  | { readonly kind: 'ghost' };

/**
 * Volts between two points. A point with no path to a source picks up a ghost voltage on a high-impedance meter;
 * a low-impedance one loads it down and decides. Gives `null` when a probe is on nothing.
 */
export function readMeter(network: Network, state: State, meter: Meter): MeterReading | null {
  const [from, to] = [network.point(meter.from), network.point(meter.to)];
  if (from === undefined || to === undefined) return null;
  if (meter.impedance === 'high') {
    const bare = energize(network, { ...state, meter: null }).point;
    const floats = Number.isNaN(bare.volts(from)) || Number.isNaN(bare.volts(to));
    if (floats && !bare.same(from, to)) return { kind: 'ghost' };
  }
  const { point } = energize(network, { ...state, meter });
  const volts = Math.abs(point.volts(from) - point.volts(to));
  return { kind: 'volts', volts: Number.isNaN(volts) ? 0 : volts };
}

/** Volts from which a lamp is lit, and from which it is far too bright. Plausible figures. */
export const LIT_V = 60;
export const BRIGHT_V = 150;

/** Voltage to ground from which a non-contact tester glows, V. Common practice. */
export const GLOW_V = 50;

/** What a non-contact tester does at a point: it may do anything at a floating one. */
export function readNonContact({ point }: Energized, at: number): 'glows' | 'dark' | 'unsure' {
  const volts = point.volts(at);
  if (Number.isNaN(volts)) return 'unsure';
  return Math.abs(volts) >= GLOW_V ? 'glows' : 'dark';
}
