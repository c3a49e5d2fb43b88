import { green, still, terminal, type DeviceKind } from './kind';

/** Single receptacle: one place for one plug, no tabs. */
export const single: DeviceKind = {
  ...still,
  id: 'single',
  name: 'single receptacle',
  singleOutlet: true,
  serves: 'outlet',
  receptacle: true,
  yoke: true,
  terminals: [
    terminal('hot', 'brass screw', 'brass', 'right', 0.5),
    terminal('neutral', 'silver screw', 'silver', 'left', 0.5),
    green,
  ],
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
};
