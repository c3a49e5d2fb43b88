import { green, still, terminal, type DeviceKind } from './kind';
import { say } from '../../base/words/devices';

/** Single receptacle: one place for one plug, no tabs. */
export const single: DeviceKind = {
  ...still,
  id: 'single',
  name: say('single.singleReceptacle'),
  singleOutlet: true,
  serves: 'outlet',
  receptacle: true,
  yoke: true,
  terminals: [
    terminal('hot', say('single.brassScrew'), 'brass', 'right', 0.5),
    terminal('neutral', say('single.silverScrew'), 'silver', 'left', 0.5),
    green,
  ],
  parts: [
    {
      does: 'power',
      id: 'outlet',
      name: say('single.outlet'),
      hot: 'hot',
      neutral: 'neutral',
      ground: 'ground',
      plug: true,
    },
  ],
};
