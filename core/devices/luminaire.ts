import { green, lead, still, type DeviceKind } from './kind';
import { say } from '../words/devices';

/** A luminaire on its box: the screw shell is the neutral, the center contact the hot. */
export const luminaire: DeviceKind = {
  ...still,
  id: 'luminaire',
  name: say('luminaire.luminaire'),
  serves: 'light',
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
      id: 'lamp',
      name: say('luminaire.lamp'),
      hot: 'hot',
      neutral: 'neutral',
      ground: 'ground',
      plug: false,
    },
  ],
};
