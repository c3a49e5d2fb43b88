import type { Setup } from '@core/model/survey';

/** A thing that an instrument is put on. */
export type Place = 'from' | 'to' | 'at' | 'hot' | 'neutral' | 'ground';

export interface Instrument {
  readonly label: string;
  /** What it is put on. */
  readonly places: readonly Place[];
  /** What is the same at every reading of it. */
  readonly probe: object;
  /** The breakers, where the test itself says which are off. */
  readonly breakers?: Setup['breakers'];
}

/** Every instrument that a reading of one’s own can be taken with. */
export const INSTRUMENTS: Readonly<Record<string, Instrument>> = {
  'meter low': {
    label: 'Meter, low-impedance volts',
    places: ['from', 'to'],
    probe: { with: 'meter', impedance: 'low' },
  },
  'meter high': {
    label: 'Meter, high-impedance volts',
    places: ['from', 'to'],
    probe: { with: 'meter', impedance: 'high' },
  },
  continuity: {
    label: 'Meter, ohms (dead)',
    places: ['from', 'to'],
    probe: { with: 'continuity' },
    breakers: 'all off',
  },
  'non-contact': { label: 'Non-contact tester', places: ['at'], probe: { with: 'non-contact' } },
  sweep: { label: 'Non-contact tester, all of the box', places: [], probe: { with: 'sweep' } },
  tester: { label: 'Plug-in tester', places: [], probe: { with: 'tester' } },
  lamp: { label: 'Test lamp', places: ['from', 'to'], probe: { with: 'lamp' } },
  clamp: { label: 'Clamp meter', places: ['at'], probe: { with: 'clamp' } },
  'drop 8': {
    label: 'Known load, 960 W: sag and rise',
    places: ['hot', 'neutral', 'ground'],
    probe: { with: 'drop', loadA: 8 },
    breakers: 'on',
  },
  'drop 12': {
    label: 'Known load, 1440 W: sag and rise',
    places: ['hot', 'neutral', 'ground'],
    probe: { with: 'drop', loadA: 12 },
    breakers: 'on',
  },
  residual: {
    label: 'Neutral to ground, other circuits loaded',
    places: ['neutral', 'ground'],
    probe: { with: 'residual' },
    breakers: 'off',
  },
  'panel clamp': {
    label: 'Clamp at the panel round the cable',
    places: ['hot', 'neutral'],
    probe: { with: 'panel clamp' },
    breakers: 'on',
  },
  'lifted neutral': {
    label: 'Ohms, neutral lifted at the panel',
    places: ['neutral', 'ground'],
    probe: { with: 'lifted neutral' },
    breakers: 'all off',
  },
};
