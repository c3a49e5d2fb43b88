import type { Probe, Setup, Value } from '@core/job/model/survey';
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
} from '@core/job/seen/outcomes';
import { say } from '~/words/find';

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
        { label: say('values.noLight'), value: { is: 'glow', glows: false } },
        { label: say('values.hot'), value: { is: 'glow', glows: true } },
      ];
    case 'meter':
      return [
        { label: worked ? say('values.staysAbout0V') : say('values.about0V'), value: volts(0, 0) },
        { label: worked ? say('values.staysAbout120V') : say('values.about120V'), value: volts(120, 120) },
        ...(worked ? [{ label: say('values.comesGoes'), value: volts(0, 120) }] : []),
        { label: say('values.between'), value: volts(50, 50) },
        { label: say('values.about240V'), value: volts(240, 240) },
        ...(probe.impedance === 'low'
          ? [{ label: say('values.tripped'), value: { is: 'tripped' } as const }]
          : []),
      ];
    case 'lamp':
      return [
        { label: say('values.dark'), value: { is: 'lamp', lit: false, changes: false } },
        { label: say('values.lit'), value: { is: 'lamp', lit: true, changes: false } },
        ...(worked
          ? [{ label: say('values.comesGoes'), value: { is: 'lamp', lit: false, changes: true } as const }]
          : []),
        { label: say('values.tripped'), value: { is: 'tripped' } },
      ];
    case 'continuity':
    case 'lifted neutral':
      return [
        { label: say('values.nearZero'), value: { is: 'ohms', ohms: 0.3 } },
        { label: say('values.open'), value: { is: 'ohms', ohms: null } },
        { label: say('values.throughLoad'), value: { is: 'ohms', ohms: 200 } },
      ];
    case 'clamp':
      return [
        { label: say('values.noCurrent'), value: { is: 'amps', amps: 0 } },
        { label: say('values.current'), value: { is: 'amps', amps: 1 } },
      ];
    case 'sweep':
      return [
        { label: say('values.allDead'), value: { is: 'glow', glows: false } },
        { label: say('values.somethingLive'), value: { is: 'glow', glows: true } },
      ];
    case 'drop':
      return [
        { label: say('values.neutralRisesHalfSag'), value: { is: 'drop', sagV: 2, riseV: 1 } },
        { label: say('values.neutralHardlyRises'), value: { is: 'drop', sagV: 2, riseV: 0.1 } },
        { label: say('values.noSagSpeak'), value: { is: 'drop', sagV: 0.2, riseV: 0 } },
        { label: say('values.tripped'), value: { is: 'tripped' } },
      ];
    case 'residual':
      return [
        { label: say('values.nothingUnder01V'), value: volts(0, 0) },
        { label: say('values.something02VMore'), value: volts(0.5, 0.5) },
      ];
    case 'panel clamp':
    case 'feed clamp':
      return [
        { label: say('values.noCurrent'), value: { is: 'amps', amps: 0 } },
        { label: say('values.current'), value: { is: 'amps', amps: 8 } },
        { label: say('values.tripped'), value: { is: 'tripped' } },
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
  if (outcome === TRIPS) return say('values.trips');
  if (outcome === CHANGES) return say('values.comesGoes');
  switch (probe.with) {
    case 'meter':
      return (
        {
          [ZERO]: say('values.about0V'),
          [LOW]: say('values.between'),
          [HOT]: say('values.about120V'),
          [DOUBLE]: say('values.about240V'),
        }[outcome] ?? ''
      );
    case 'continuity':
    case 'lifted neutral':
      return outcome === JOINED
        ? say('values.joined')
        : outcome === THROUGH
          ? say('values.throughLoad')
          : say('values.open');
    case 'non-contact':
      return outcome === YES ? say('values.hot') : say('values.noLight');
    case 'lamp':
      return outcome === YES ? say('values.lit') : say('values.dark');
    case 'sweep':
      return outcome === NO ? say('values.allDead') : say('values.somethingLive');
    case 'drop':
      return outcome === SEPARATE
        ? say('values.neutralRisesHalfSag')
        : outcome === ONE_PATH
          ? say('values.neutralHardlyRises')
          : say('values.noSagSpeak');
    case 'residual':
      return outcome === NO ? say('values.nothing') : say('values.something');
    case 'clamp':
    case 'panel clamp':
    case 'feed clamp':
      return outcome === NO ? say('values.noCurrent') : say('values.current');
    case 'tester':
      return dots(LIGHT_PATTERNS.map(pattern).find((lights) => lightsBit(lights) === outcome) ?? []);
  }
}
