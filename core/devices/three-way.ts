import { green, terminal, type DeviceKind } from './kind';
import { handle, switchBase } from './switch-parts';

/** 3-way switch: the dark common meets one traveler or the other. */
export const threeWay: DeviceKind = {
  ...switchBase,
  symbol: 'S3',
  id: 'three-way',
  name: '3-way switch',
  terminals: [
    terminal('common', 'dark common screw', 'dark', 'right', 0.75),
    terminal('traveler-1', 'left brass screw', 'brass', 'left', 0.25),
    terminal('traveler-2', 'right brass screw', 'brass', 'right', 0.25),
    green,
  ],
  parts: handle(['common'], ['traveler-1', 'traveler-2']),
  positions: ['down', 'up'],
  inner: (position) => [['common', position === 0 ? 'traveler-1' : 'traveler-2']],
};
