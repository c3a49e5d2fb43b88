import { green, still, terminal, type DeviceKind } from './kind';
import { contacts, lineAndLoad, protectedOutlet } from './protecting';

/**
 * Combination device: a switch and a receptacle on one yoke, their commons joined by a break-off jumper. The switch
 * has two equal ends, so the feed may sit on a common or on the switch screw.
 */
export const combination: DeviceKind = {
  ...still,
  id: 'combination',
  name: 'combination device',
  receptacle: true,
  yoke: true,
  terminals: [
    terminal('common-switch', 'dark common, upper (switch)', 'dark', 'right', 0.28),
    terminal('common-outlet', 'dark common, lower (outlet)', 'dark', 'right', 0.72),
    terminal('switched', 'brass switch screw', 'brass', 'left', 0.28),
    terminal('neutral', 'silver', 'silver', 'left', 0.72),
    green,
  ],
  tabs: [{ id: 'jumper', name: 'jumper between the commons', joins: ['common-switch', 'common-outlet'] }],
  parts: [
    {
      does: 'power',
      id: 'outlet',
      name: 'outlet',
      hot: 'common-outlet',
      neutral: 'neutral',
      ground: 'ground',
      plug: true,
    },
    { does: 'control', id: 'handle', name: 'handle', feedSide: ['common-switch'], loadSide: ['switched'] },
  ],
  positions: ['off', 'on'],
  inner: (position) => (position === 1 ? [['common-switch', 'switched']] : []),
};

/** Combination device with GFCI: its switch has two leads of its own and stays alive when the device trips. */
export const combinationGfci: DeviceKind = {
  ...still,
  id: 'combination-gfci',
  name: 'combination device with GFCI',
  receptacle: true,
  yoke: true,
  terminals: [
    ...lineAndLoad,
    terminal('lead-1', 'black switch lead', 'lead', 'right', 0.5),
    terminal('lead-2', 'red switch lead', 'lead', 'right', 0.92),
    green,
  ],
  parts: [
    protectedOutlet,
    { does: 'control', id: 'handle', name: 'handle', feedSide: ['lead-1'], loadSide: ['lead-2'] },
  ],
  positions: ['off', 'on'],
  inner: (position) => (position === 1 ? [['lead-1', 'lead-2']] : []),
  protection: contacts('gfci'),
};
