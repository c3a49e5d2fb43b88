import { green, type DeviceKind } from './kind';

/** A luminaire on its box: the screw shell is the neutral, the center contact the hot. */
export const luminaire: DeviceKind = {
  id: 'luminaire',
  name: 'luminaire',
  receptacle: false,
  terminals: [
    { id: 'hot', name: 'black lead', screw: 'lead', side: 'right', height: 0.3 },
    { id: 'neutral', name: 'white lead', screw: 'lead', side: 'left', height: 0.3 },
    { ...green, height: 0.8 },
  ],
  tabs: [],
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
  positions: [],
  inner: () => [],
};
