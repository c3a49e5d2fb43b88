import type { Value } from '../job/model/survey';

/** Another reading of the same instrument. */
export function falsified(value: Value, random: () => number): Value {
  const roll = random();
  switch (value.is) {
    case 'volts': {
      // A few tenths of a volt on a neutral are what a residual is about.
      if (value.high < 5 && value.high > 0.15) return { is: 'volts', low: 0, high: 0 };
      if (value.high < 5 && roll < 0.3) return { is: 'volts', low: 0.8, high: 0.8 };
      const options = (
        [
          [0, 0],
          [120, 120],
          [0, 120],
          [60, 60],
          [240, 240],
        ] as const
      ).filter(([low, high]) => Math.abs(low - value.low) > 35 || Math.abs(high - value.high) > 35);
      const [low, high] = options[Math.floor(roll * options.length)]!;
      return { is: 'volts', low, high };
    }
    case 'ohms':
      return {
        is: 'ohms',
        ohms:
          value.ohms === null
            ? roll < 0.7
              ? 0.3
              : 100
            : value.ohms < 3
              ? roll < 0.7
                ? null
                : 100
              : roll < 0.5
                ? null
                : 0.3,
      };
    case 'glow':
      return { is: 'glow', glows: !value.glows };
    case 'lights': {
      const flip = Math.floor(roll * 3);
      const [a, b, c] = value.lights;
      return { is: 'lights', lights: [flip === 0 ? !a : a, flip === 1 ? !b : b, flip === 2 ? !c : c] };
    }
    case 'lamp':
      return { ...value, lit: !value.lit, changes: false };
    case 'amps':
      return { is: 'amps', amps: value.amps > 0.05 ? 0 : 2 };
    case 'drop':
      return value.riseV > 0.42 * value.sagV
        ? { ...value, riseV: 0 }
        : { is: 'drop', sagV: Math.max(value.sagV, 2), riseV: Math.max(value.sagV, 2) / 2 };
    case 'tripped':
      return { is: 'volts', low: 0, high: 0 };
  }
}
