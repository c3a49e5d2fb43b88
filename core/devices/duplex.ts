import { green, type DeviceKind } from './kind';

/** Duplex receptacle: two halves, a tab on each side. Brass is the hot side, silver the neutral side. */
export const duplex: DeviceKind = {
  id: 'duplex',
  name: 'duplex receptacle',
  receptacle: true,
  terminals: [
    { id: 'hot-upper', name: 'brass, upper', screw: 'brass', side: 'right', height: 0.28 },
    { id: 'hot-lower', name: 'brass, lower', screw: 'brass', side: 'right', height: 0.72 },
    { id: 'neutral-upper', name: 'silver, upper', screw: 'silver', side: 'left', height: 0.28 },
    { id: 'neutral-lower', name: 'silver, lower', screw: 'silver', side: 'left', height: 0.72 },
    green,
  ],
  tabs: [
    { id: 'hot-tab', name: 'tab between the brass screws', joins: ['hot-upper', 'hot-lower'] },
    { id: 'neutral-tab', name: 'tab between the silver screws', joins: ['neutral-upper', 'neutral-lower'] },
  ],
  parts: [half('upper', 'upper half'), half('lower', 'lower half')],
  positions: [],
  inner: () => [],
};

function half(id: 'upper' | 'lower', name: string) {
  return {
    does: 'power',
    id,
    name,
    hot: `hot-${id}`,
    neutral: `neutral-${id}`,
    ground: 'ground',
    plug: true,
  } as const;
}
