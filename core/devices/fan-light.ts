import { green, still, terminal, type DeviceKind } from './kind';

const part = (id: 'fan' | 'light') =>
  ({
    does: 'power',
    id,
    name: id,
    hot: `hot-${id}`,
    neutral: 'neutral',
    ground: 'ground',
    plug: false,
  }) as const;

/** A ceiling fan with its light: black lead for the motor, blue for the light, one white for both. */
export const fanLight: DeviceKind = {
  ...still,
  id: 'fan-light',
  name: 'fan with light',
  receptacle: false,
  yoke: false,
  terminals: [
    terminal('hot-fan', 'black lead (fan)', 'lead', 'right', 0.25),
    terminal('hot-light', 'blue lead (light)', 'lead', 'right', 0.5),
    terminal('neutral', 'white lead', 'lead', 'left', 0.3),
    { ...green, height: 0.8 },
  ],
  parts: [part('fan'), part('light')],
};
