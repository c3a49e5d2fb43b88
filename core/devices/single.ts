import { green, type DeviceKind } from './kind';

/** Single receptacle: one place for one plug, no tabs. */
export const single: DeviceKind = {
  id: 'single',
  name: 'single receptacle',
  receptacle: true,
  terminals: [
    { id: 'hot', name: 'brass', screw: 'brass', side: 'right', height: 0.5 },
    { id: 'neutral', name: 'silver', screw: 'silver', side: 'left', height: 0.5 },
    green,
  ],
  tabs: [],
  parts: [
    {
      does: 'power',
      id: 'outlet',
      name: 'outlet',
      hot: 'hot',
      neutral: 'neutral',
      ground: 'ground',
      plug: true,
    },
  ],
  positions: [],
  inner: () => [],
};
