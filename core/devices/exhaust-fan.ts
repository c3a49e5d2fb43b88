import { green, lead, still, type DeviceKind } from './kind';
import { say } from '../words/devices';

/** An exhaust fan with its own housing, as over a bath: black lead for the motor, white for the neutral. */
export const exhaustFan: DeviceKind = {
  ...still,
  id: 'exhaust-fan',
  name: say('exhaustFan.exhaustFan'),
  serves: 'fan',
  receptacle: false,
  yoke: false,
  terminals: [
    lead('hot', 'black', 'right', 0.3),
    lead('neutral', 'white', 'left', 0.3),
    { ...green, height: 0.8 },
  ],
  parts: [
    {
      does: 'power',
      id: 'fan',
      name: say('exhaustFan.fan'),
      hot: 'hot',
      neutral: 'neutral',
      ground: 'ground',
      plug: false,
    },
  ],
};
