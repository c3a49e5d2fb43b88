import type { PartKey } from '../../job/model/wiring';
import type { Stimulus } from './stimuli';

/** What is held in the hand. */
export type Instrument =
  'a look at the breaker' | 'light' | 'tester' | 'meter' | 'non-contact' | 'clamp' | 'button' | 'ohms';

/** What is put where, and read. */
export type Probe =
  | { readonly read: 'trips' }
  | { readonly read: 'lit'; readonly part: PartKey }
  | { readonly read: 'lights'; readonly part: PartKey }
  /** Volts between two points; to the service neutral where `to` is null; `slots`: in those of a receptacle. */
  | { readonly read: 'volts'; readonly from: string; readonly to: string | null; readonly slots?: PartKey }
  | { readonly read: 'glow'; readonly at: string }
  /** Net amperes of everything in a cable. */
  | { readonly read: 'net amps'; readonly cable: string }
  | { readonly read: 'opens'; readonly device: string }
  /** Whether metal joins two points with the breakers off; with the neutrals lifted from their bar where it says so. */
  | {
      readonly read: 'joined';
      readonly from: string;
      readonly to: string;
      readonly lifted: boolean;
      readonly slots?: PartKey;
    };

/**
 * Where the hands are: outside (slots of a receptacle, lamps, handles, buttons, the breakers' own), behind a plate at
 * screws and cables, in the open panel or at the end of a lead to it.
 */
export type Reach = 'outside' | 'screws' | 'panel';

/** One thing that is done and read: instrument, place, state. */
export interface FieldTest {
  readonly id: string;
  readonly box: string;
  readonly instrument: Instrument;
  readonly probe: Probe;
  readonly stimulus: Stimulus;
  /** True where something is live while it is done. */
  readonly live: boolean;
  readonly reach: Reach;
  /** Minutes of its own, the risk of a live screw counted in; and of what is set up for it. Common practice. */
  readonly own: number;
  readonly setup: { readonly key: string; readonly minutes: number };
  /** Both together. */
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

const EFFORT: Readonly<Record<Instrument, number>> = {
  'a look at the breaker': 0.2,
  light: 0.3,
  tester: 0.5,
  button: 0.5,
  'non-contact': 0.7,
  meter: 1.5,
  ohms: 1.5,
  clamp: 2.5,
};

/** What is added behind a plate, and where something is live there, minutes; and what setting up takes. */
const BEHIND_MIN = 2;
const LIVE_RISK_MIN = 2;
const SET_UP_MIN = { handles: 0.3, load: 1, 'breaker off': 1, buttons: 0.5 } as const satisfies Record<
  Stimulus['is'],
  number
>;
/** Breaker off and proved dead; a lead to the bar of the open panel; every neutral off that bar. */
const DEAD_MIN = { box: 1.5, 'lead to the panel': 6, 'neutrals lifted': 12 } as const;
const PANEL_OPEN_MIN = 5;

/** What a test takes. */
export function priced(
  test: Omit<FieldTest, 'own' | 'setup' | 'effort'>,
): Pick<FieldTest, 'own' | 'setup' | 'effort'> {
  const { instrument, probe, stimulus, live, reach } = test;
  const behind = reach === 'outside' ? 0 : BEHIND_MIN + (live ? LIVE_RISK_MIN : 0);
  const own = EFFORT[instrument] + behind;
  const setup = setUpOf(probe, stimulus, reach);
  return { own, setup, effort: own + setup.minutes };
}

function setUpOf(probe: Probe, stimulus: Stimulus, reach: Reach): FieldTest['setup'] {
  if (probe.read === 'joined') {
    const how = reach !== 'panel' ? 'box' : probe.lifted ? 'neutrals lifted' : 'lead to the panel';
    return { key: `dead ${how}`, minutes: DEAD_MIN[how] };
  }
  const minutes = SET_UP_MIN[stimulus.is];
  return reach === 'panel'
    ? { key: `panel ${stimulus.key}`, minutes: minutes + PANEL_OPEN_MIN }
    : { key: stimulus.key, minutes };
}

/** Volts as they are told apart on a meter: to the nearest that matters; under load, to 5 V. */
export function voltsRead(read: number, loaded: boolean): Outcome {
  if (Number.isNaN(read)) return 'floating';
  if (loaded) return `${Math.round(read / 5) * 5} V`;
  return read < 10 ? '0 V' : read > 105 && read < 130 ? '120 V' : read > 215 ? '240 V' : 'in between';
}

/** True where a figure is read, to be told apart as finely as a load needs it. */
export const isLoaded = ({ probe, stimulus }: Pick<FieldTest, 'probe' | 'stimulus'>): boolean =>
  probe.read === 'volts' && stimulus.is === 'load';

const LIGHTS = ['110', '100', '010', '000', '011', '101', '111', '001'] as const;
/** All that an instrument can show where it is put; of volts under load only the usual, any other is entered. */
export function canShow(test: Pick<FieldTest, 'probe' | 'stimulus'>): readonly Outcome[] {
  switch (test.probe.read) {
    case 'lights':
      return LIGHTS;
    case 'lit':
      return ['lit', 'dark', 'far too bright'];
    case 'volts':
      return isLoaded(test)
        ? ['0 V', '120 V', '240 V', 'floating']
        : ['0 V', 'in between', '120 V', '240 V', 'floating'];
    case 'glow':
      return ['lights', 'no light', 'inconclusive'];
    case 'net amps':
      return ['0 A', 'current'];
    case 'opens':
      return ['trips', 'does nothing'];
    case 'joined':
      return ['joined', 'open'];
    case 'trips':
      return [];
  }
}
