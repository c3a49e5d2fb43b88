import { green, terminal, type DeviceKind } from './kind';
import { handle, switchBase } from './switch-parts';

/** Single-pole switch: two equal brass screws, joined when the handle is on. */
export const singlePole: DeviceKind = {
  ...switchBase,
  id: 'single-pole',
  name: 'single-pole switch',
  equalScrews: true,
  terminals: [
    terminal('upper', 'upper brass screw', 'brass', 'right', 0.25),
    terminal('lower', 'lower brass screw', 'brass', 'right', 0.75),
    green,
  ],
  parts: handle(['lower'], ['upper']),
  positions: ['off', 'on'],
  inner: (position) => (position === 1 ? [['lower', 'upper']] : []),
};
