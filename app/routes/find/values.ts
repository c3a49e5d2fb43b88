import type { Probe, Setup, Value } from '@core/model/survey';
import {
  CHANGES,
  DOUBLE,
  HOT,
  JOINED,
  lightsBit,
  LOW,
  NO,
  ONE_PATH,
  SEPARATE,
  THROUGH,
  TRIPS,
  YES,
  ZERO,
} from '@core/survey/outcomes';

interface Quick {
  readonly label: string;
  readonly value: Value;
}

const LIGHT_PATTERNS = ['110', '100', '010', '000', '011', '101', '111', '001'] as const;
const pattern = (code: string): [boolean, boolean, boolean] => [
  code[0] === '1',
  code[1] === '1',
  code[2] === '1',
];
const dots = (lights: readonly boolean[]) => lights.map((lit) => (lit ? '●' : '○')).join(' ');
const volts = (low: number, high: number): Value => ({ is: 'volts', low, high });

/** The readings that an instrument can give in a setup, each one tap. */
export function quickValues(setup: Setup, probe: Probe): Quick[] {
  const worked = setup.switches === 'worked';
  switch (probe.with) {
    case 'non-contact':
      return [
        { label: 'No light', value: { is: 'glow', glows: false } },
        { label: 'Hot', value: { is: 'glow', glows: true } },
      ];
    case 'meter':
      return [
        { label: worked ? 'Stays about 0 V' : 'About 0 V', value: volts(0, 0) },
        { label: worked ? 'Stays about 120 V' : 'About 120 V', value: volts(120, 120) },
        ...(worked ? [{ label: 'Comes and goes', value: volts(0, 120) }] : []),
        { label: 'In between', value: volts(50, 50) },
        { label: 'About 240 V', value: volts(240, 240) },
        ...(probe.impedance === 'low' ? [{ label: 'It tripped', value: { is: 'tripped' } as const }] : []),
      ];
    case 'lamp':
      return [
        { label: 'Dark', value: { is: 'lamp', lit: false, changes: false } },
        { label: 'Lit', value: { is: 'lamp', lit: true, changes: false } },
        ...(worked
          ? [{ label: 'Comes and goes', value: { is: 'lamp', lit: false, changes: true } as const }]
          : []),
        { label: 'It tripped', value: { is: 'tripped' } },
      ];
    case 'continuity':
    case 'lifted neutral':
      return [
        { label: 'Near 0 Ω', value: { is: 'ohms', ohms: 0.3 } },
        { label: 'Open', value: { is: 'ohms', ohms: null } },
        { label: 'Through a load', value: { is: 'ohms', ohms: 200 } },
      ];
    case 'clamp':
      return [
        { label: 'No current', value: { is: 'amps', amps: 0 } },
        { label: 'Current', value: { is: 'amps', amps: 1 } },
      ];
    case 'sweep':
      return [
        { label: 'No light anywhere', value: { is: 'glow', glows: false } },
        { label: 'Hot somewhere', value: { is: 'glow', glows: true } },
      ];
    case 'drop':
      return [
        { label: 'Neutral rises by half the sag', value: { is: 'drop', sagV: 2, riseV: 1 } },
        { label: 'Neutral hardly rises', value: { is: 'drop', sagV: 2, riseV: 0.1 } },
        { label: 'No sag to speak of', value: { is: 'drop', sagV: 0.2, riseV: 0 } },
      ];
    case 'residual':
      return [
        { label: 'Nothing, under 0.1 V', value: volts(0, 0) },
        { label: 'Something, 0.2 V or more', value: volts(0.5, 0.5) },
      ];
    case 'panel clamp':
      return [
        { label: 'No current', value: { is: 'amps', amps: 0 } },
        { label: 'Current', value: { is: 'amps', amps: 8 } },
      ];
    case 'tester':
      return LIGHT_PATTERNS.map((code) => ({
        label: dots(pattern(code)),
        value: { is: 'lights', lights: pattern(code) },
      }));
  }
}

/** An outcome of an instrument, as one would read it off. */
export function outcomeWords(probe: Probe, outcome: number): string {
  if (outcome === TRIPS) return 'It trips';
  if (outcome === CHANGES) return 'Comes and goes';
  switch (probe.with) {
    case 'meter':
      return (
        { [ZERO]: 'About 0 V', [LOW]: 'In between', [HOT]: 'About 120 V', [DOUBLE]: 'About 240 V' }[
          outcome
        ] ?? ''
      );
    case 'continuity':
    case 'lifted neutral':
      return outcome === JOINED ? 'Joined' : outcome === THROUGH ? 'Through a load' : 'Open';
    case 'non-contact':
      return outcome === YES ? 'Hot' : 'No light';
    case 'lamp':
      return outcome === YES ? 'Lit' : 'Dark';
    case 'sweep':
      return outcome === NO ? 'No light anywhere' : 'Hot somewhere';
    case 'drop':
      return outcome === SEPARATE
        ? 'Neutral rises by half the sag'
        : outcome === ONE_PATH
          ? 'Neutral hardly rises'
          : 'No sag to speak of';
    case 'residual':
      return outcome === NO ? 'Nothing' : 'Something';
    case 'clamp':
    case 'panel clamp':
      return outcome === NO ? 'No current' : 'Current';
    case 'tester':
      return dots(LIGHT_PATTERNS.map(pattern).find((lights) => lightsBit(lights) === outcome) ?? []);
  }
}
