import type { Setup } from '@core/job/model/survey';
import { say } from '~/words/find';

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
    label: say('instruments.meterLowImpedanceVolts'),
    places: ['from', 'to'],
    probe: { with: 'meter', impedance: 'low' },
  },
  'meter high': {
    label: say('instruments.meterHighImpedanceVolts'),
    places: ['from', 'to'],
    probe: { with: 'meter', impedance: 'high' },
  },
  continuity: {
    label: say('instruments.meterOhmsDead'),
    places: ['from', 'to'],
    probe: { with: 'continuity' },
    breakers: 'all off',
  },
  'non-contact': {
    label: say('instruments.nonContactTester'),
    places: ['at'],
    probe: { with: 'non-contact' },
  },
  sweep: { label: say('instruments.meterAllBox'), places: [], probe: { with: 'sweep' } },
  tester: { label: say('instruments.plugTester'), places: [], probe: { with: 'tester' } },
  lamp: { label: say('instruments.testLamp'), places: ['from', 'to'], probe: { with: 'lamp' } },
  clamp: { label: say('instruments.clampMeter'), places: ['at'], probe: { with: 'clamp' } },
  'drop 8': {
    label: say('instruments.knownLoad960WSag'),
    places: ['hot', 'neutral', 'ground'],
    probe: { with: 'drop', loadA: 8 },
    breakers: 'on',
  },
  'drop 12': {
    label: say('instruments.knownLoad1440WSag'),
    places: ['hot', 'neutral', 'ground'],
    probe: { with: 'drop', loadA: 12 },
    breakers: 'on',
  },
  residual: {
    label: say('instruments.residual'),
    places: ['neutral', 'ground'],
    probe: { with: 'residual' },
    breakers: 'off',
  },
  'panel clamp': {
    label: say('instruments.clampPanelRoundCable'),
    places: ['hot', 'neutral'],
    probe: { with: 'panel clamp' },
    breakers: 'on',
  },
  'feed clamp': {
    label: say('instruments.clampFeedRoundCable'),
    places: ['hot', 'neutral'],
    probe: { with: 'feed clamp' },
    breakers: 'on',
  },
  'lifted neutral': {
    label: say('instruments.ohmsNeutralLiftedPanel'),
    places: ['neutral', 'ground'],
    probe: { with: 'lifted neutral' },
    breakers: 'all off',
  },
};
