import { green, still, terminal, type DeviceKind } from './kind';

/** A luminaire on its box: the screw shell is the neutral, the center contact the hot. */
export const luminaire: DeviceKind = {
  ...still,
  id: 'luminaire',
  name: 'luminaire',
  receptacle: false,
  yoke: false,
  terminals: [
    terminal('hot', 'black lead', 'lead', 'right', 0.3),
    terminal('neutral', 'white lead', 'lead', 'left', 0.3),
    { ...green, height: 0.8 },
  ],
  parts: [
    {
      does: 'power',
      id: 'lamp',
      name: 'lamp',
      hot: 'hot',
      neutral: 'neutral',
      ground: 'ground',
      plug: false,
    },
  ],
};
