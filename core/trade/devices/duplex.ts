import { green, still, terminal, type DeviceKind } from './kind';
import { say } from '../../base/words/devices';

const half = (id: 'upper' | 'lower') =>
  ({
    does: 'power',
    id,
    name: id === 'upper' ? say('duplex.upperHalf') : say('duplex.lowerHalf'),
    hot: `hot-${id}`,
    neutral: `neutral-${id}`,
    ground: 'ground',
    plug: true,
  }) as const;

/** Duplex receptacle: two halves, a tab on each side. Brass is the hot side, silver the neutral side. */
export const duplex: DeviceKind = {
  ...still,
  id: 'duplex',
  name: say('duplex.duplexReceptacle'),
  halves: true,
  serves: 'outlet',
  receptacle: true,
  yoke: true,
  terminals: [
    terminal('hot-upper', say('duplex.upperBrassScrew'), 'brass', 'right', 0.28),
    terminal('hot-lower', say('duplex.lowerBrassScrew'), 'brass', 'right', 0.72),
    terminal('neutral-upper', say('duplex.upperSilverScrew'), 'silver', 'left', 0.28),
    terminal('neutral-lower', say('duplex.lowerSilverScrew'), 'silver', 'left', 0.72),
    green,
  ],
  tabs: [
    {
      id: 'hot-tab',
      name: say('duplex.tabBetweenBrassScrews'),
      short: say('duplex.brassTab'),
      joins: ['hot-upper', 'hot-lower'],
    },
    {
      id: 'neutral-tab',
      name: say('duplex.tabBetweenSilverScrews'),
      short: say('duplex.silverTab'),
      joins: ['neutral-upper', 'neutral-lower'],
    },
  ],
  parts: [half('upper'), half('lower')],
};
