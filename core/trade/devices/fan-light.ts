import { green, lead, still, type DeviceKind } from './kind';
import { say } from '../../base/words/devices';

const part = (id: 'fan' | 'light') =>
  ({
    does: 'power',
    id,
    name: id === 'fan' ? say('fanLight.fanName') : say('fanLight.lightName'),
    hot: `hot-${id}`,
    neutral: 'neutral',
    ground: 'ground',
    plug: false,
  }) as const;

/** A ceiling fan with its light: black lead for the motor, blue for the light, one white for both. */
export const fanLight: DeviceKind = {
  ...still,
  id: 'fan-light',
  name: say('fanLight.fanLight'),
  serves: 'fan',
  paddles: true,
  receptacle: false,
  yoke: false,
  terminals: [
    lead('hot-fan', 'black', 'right', 0.25, say('fanLight.fan')),
    lead('hot-light', 'blue', 'right', 0.5, say('fanLight.light')),
    lead('neutral', 'white', 'left', 0.3),
    { ...green, height: 0.8 },
  ],
  parts: [part('fan'), part('light')],
};
