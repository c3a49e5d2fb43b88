import { green, still, terminal, type DeviceKind } from './kind';
import { offOn } from './switch-parts';
import { say } from '../../base/words/devices';

/**
 * Combination device: a switch and a receptacle on one yoke, their commons joined by a break-off jumper. The switch
 * has two equal ends, so the feed may sit on a common or on the switch screw.
 */
export const combination: DeviceKind = {
  ...still,
  id: 'combination',
  name: say('combination.combinationDevice'),
  serves: 'switch and outlet',
  receptacle: true,
  yoke: true,
  terminals: [
    terminal('common-switch', say('combination.upperCommon'), 'dark', 'right', 0.28),
    terminal('common-outlet', say('combination.lowerCommon'), 'dark', 'right', 0.72),
    terminal('switched', say('combination.brassSwitchScrew'), 'brass', 'left', 0.28),
    terminal('neutral', say('combination.silverScrew'), 'silver', 'left', 0.72),
    green,
  ],
  tabs: [
    {
      id: 'jumper',
      name: say('combination.jumperBetweenCommons'),
      short: say('combination.jumper'),
      joins: ['common-switch', 'common-outlet'],
    },
  ],
  parts: [
    {
      does: 'power',
      id: 'outlet',
      name: say('combination.outlet'),
      hot: 'common-outlet',
      neutral: 'neutral',
      ground: 'ground',
      plug: true,
    },
    {
      does: 'control',
      id: 'handle',
      name: say('switchParts.handle'),
      feedSide: ['common-switch'],
      loadSide: ['switched'],
    },
  ],
  positions: offOn,
  inner: (position) => (position === 1 ? [['common-switch', 'switched']] : []),
};
