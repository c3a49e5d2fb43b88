import { green, still, terminal, type DeviceKind } from './kind';

const half = (id: 'upper' | 'lower') =>
  ({
    does: 'power',
    id,
    name: `${id} half`,
    hot: `hot-${id}`,
    neutral: `neutral-${id}`,
    ground: 'ground',
    plug: true,
  }) as const;

/** Duplex receptacle: two halves, a tab on each side. Brass is the hot side, silver the neutral side. */
export const duplex: DeviceKind = {
  ...still,
  id: 'duplex',
  name: 'duplex receptacle',
  halves: true,
  serves: 'outlet',
  receptacle: true,
  yoke: true,
  terminals: [
    terminal('hot-upper', 'upper brass screw', 'brass', 'right', 0.28),
    terminal('hot-lower', 'lower brass screw', 'brass', 'right', 0.72),
    terminal('neutral-upper', 'upper silver screw', 'silver', 'left', 0.28),
    terminal('neutral-lower', 'lower silver screw', 'silver', 'left', 0.72),
    green,
  ],
  tabs: [
    { id: 'hot-tab', name: 'tab between the brass screws', joins: ['hot-upper', 'hot-lower'] },
    { id: 'neutral-tab', name: 'tab between the silver screws', joins: ['neutral-upper', 'neutral-lower'] },
  ],
  parts: [half('upper'), half('lower')],
};
