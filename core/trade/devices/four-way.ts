import { green, terminal, type DeviceKind } from './kind';
import { downUp, handle, switchBase } from './switch-parts';
import { say } from '../../base/words/devices';

/** 4-way switch: one pair in, one pair out, straight through or crossed. */
export const fourWay: DeviceKind = {
  ...switchBase,
  symbol: 'S4',
  id: 'four-way',
  name: say('fourWay.n4WaySwitch'),
  terminals: [
    terminal('in-1', say('fourWay.lowerLeftBrassScrew'), 'brass', 'left', 0.75),
    terminal('in-2', say('fourWay.lowerRightBrassScrew'), 'brass', 'right', 0.75),
    terminal('out-1', say('fourWay.upperLeftDarkScrew'), 'dark', 'left', 0.25),
    terminal('out-2', say('fourWay.upperRightDarkScrew'), 'dark', 'right', 0.25),
    green,
  ],
  parts: handle(['in-1', 'in-2'], ['out-1', 'out-2']),
  positions: downUp,
  inner: (position) =>
    position === 0
      ? [
          ['in-1', 'out-1'],
          ['in-2', 'out-2'],
        ]
      : [
          ['in-1', 'out-2'],
          ['in-2', 'out-1'],
        ],
};
