import { green, terminal, type DeviceKind } from './kind';
import { downUp, handle, switchBase } from './switch-parts';
import { say } from '../../base/words/devices';

/** 3-way switch: the dark common meets one traveler or the other. */
export const threeWay: DeviceKind = {
  ...switchBase,
  symbol: 'S3',
  id: 'three-way',
  name: say('threeWay.n3WaySwitch'),
  terminals: [
    terminal('common', say('threeWay.darkCommonScrew'), 'dark', 'right', 0.75),
    terminal('traveler-1', say('threeWay.leftBrassScrew'), 'brass', 'left', 0.25),
    terminal('traveler-2', say('threeWay.rightBrassScrew'), 'brass', 'right', 0.25),
    green,
  ],
  parts: handle(['common'], ['traveler-1', 'traveler-2']),
  positions: downUp,
  inner: (position) => [['common', position === 0 ? 'traveler-1' : 'traveler-2']],
};
