import { green, terminal, type DeviceKind } from './kind';
import { handle, offOn, switchBase } from './switch-parts';
import { say } from '../../base/words/devices';

/** Single-pole switch: two equal brass screws, joined when the handle is on. */
export const singlePole: DeviceKind = {
  ...switchBase,
  id: 'single-pole',
  name: say('singlePole.singlePoleSwitch'),
  equalScrews: true,
  terminals: [
    terminal('upper', say('singlePole.upperBrassScrew'), 'brass', 'right', 0.25),
    terminal('lower', say('singlePole.lowerBrassScrew'), 'brass', 'right', 0.75),
    green,
  ],
  parts: handle(['lower'], ['upper']),
  positions: offOn,
  inner: (position) => (position === 1 ? [['lower', 'upper']] : []),
};
