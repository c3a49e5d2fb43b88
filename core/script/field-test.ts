import type { PartKey } from '../model/wiring';
import type { Stimulus } from './stimuli';

/** What is held in the hand. */
export type Instrument =
  'a look at the breaker' | 'light' | 'tester' | 'meter' | 'non-contact' | 'clamp' | 'button' | 'ohms';

/** What is put where, and read. */
export type Probe =
  | { readonly read: 'trips' }
  | { readonly read: 'lit'; readonly part: PartKey }
  | { readonly read: 'lights'; readonly part: PartKey }
  /** Volts between two points; to the service neutral where `to` is null. */
  | { readonly read: 'volts'; readonly from: string; readonly to: string | null }
  | { readonly read: 'glow'; readonly at: string }
  /** Net amperes of everything in a cable. */
  | { readonly read: 'net amps'; readonly cable: string }
  | { readonly read: 'opens'; readonly device: string }
  /** Whether metal joins two points with the breakers off; with the neutrals lifted from their bar where it says so. */
  | { readonly read: 'joined'; readonly from: string; readonly to: string; readonly lifted: boolean };

/** One thing that is done and read: instrument, place, state. */
export interface FieldTest {
  readonly id: string;
  readonly box: string;
  readonly instrument: Instrument;
  readonly probe: Probe;
  readonly stimulus: Stimulus;
  /** True where something is live while it is done. */
  readonly live: boolean;
  /** Minutes, about. Common practice. */
  readonly effort: number;
}

/** What a test shows, as a code that can be kept: "110", "lit", "120 V", "floating", "joined"; `tripsOf` what trips. */
export type Outcome = string;

/** What opened by itself: breakers by circuit, devices by id. */
export interface Opened {
  readonly breakers: readonly string[];
  readonly devices: readonly string[];
}

const TRIPS = 'trips ';

/** The outcome of a look at what opens: "holds" where nothing does. */
export const tripsOf = ({ breakers, devices }: Opened): Outcome =>
  breakers.length + devices.length === 0
    ? 'holds'
    : `${TRIPS}${JSON.stringify({ breakers: [...new Set(breakers)].sort(), devices: [...new Set(devices)].sort() })}`;

/** What opened by an outcome; null where the outcome says something else. */
export const openedIn = (outcome: Outcome): Opened | null =>
  outcome.startsWith(TRIPS) ? (JSON.parse(outcome.slice(TRIPS.length)) as Opened) : null;

export const EFFORT: Readonly<Record<Instrument, number>> = {
  'a look at the breaker': 0.2,
  light: 0.3,
  tester: 0.5,
  button: 0.5,
  'non-contact': 0.7,
  meter: 1.5,
  ohms: 1.5,
  clamp: 2.5,
};
