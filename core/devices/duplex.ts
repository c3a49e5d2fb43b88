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
  receptacle: true,
  yoke: true,
  terminals: [
    terminal('hot-upper', 'brass, upper', 'brass', 'right', 0.28),
    terminal('hot-lower', 'brass, lower', 'brass', 'right', 0.72),
    terminal('neutral-upper', 'silver, upper', 'silver', 'left', 0.28),
    terminal('neutral-lower', 'silver, lower', 'silver', 'left', 0.72),
    green,
  ],
  tabs: [
    { id: 'hot-tab', name: 'tab between the brass screws', joins: ['hot-upper', 'hot-lower'] },
    { id: 'neutral-tab', name: 'tab between the silver screws', joins: ['neutral-upper', 'neutral-lower'] },
  ],
  parts: [half('upper'), half('lower')],
};
