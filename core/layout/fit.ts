import type { Habits } from '../model/job';
import { cableRow, cablesOfGauge, isWhite, type CableType, type Insulation } from '../standards/cables';
import type { Gauge } from '../standards/conductors';
import type { Net } from './nets';

/** Which conductor of a cable carries which net; conductors without one are spare. */
export interface Fit {
  readonly type: CableType;
  /** Net ids in the order of the cable's insulated conductors. */
  readonly nets: readonly (string | null)[];
  /** Whites used as hots. */
  readonly tapedWhites: number;
  /** How far the colors are from the plainest ones. */
  readonly oddness: number;
}

const FORBIDDEN = Number.POSITIVE_INFINITY;

/** What carrying a net on an insulation color costs in plainness; infinite where the color rule forbids it. */
function colorCost(
  net: Net,
  insulation: Insulation,
  neutralInCable: boolean,
  cable: CableType,
  habits: Habits,
): number {
  if (net.role === 'neutral') return insulation === 'white' ? 0 : insulation === 'white-red' ? 1 : FORBIDDEN;
  if (isWhite(insulation)) {
    // 200.7(C)(1): only where no neutral runs in the cable, and never the return from the last switch.
    if (neutralInCable) return FORBIDDEN;
    if (net.role === 'hot') return 8;
    return net.role === 'traveler' ? 12 : FORBIDDEN;
  }
  const wide = cableRow(cable).insulated.length > 2;
  const [constant, switched] =
    habits.runColors === 'red constant' && wide ? ['red', 'black'] : ['black', 'red'];
  switch (net.role) {
    case 'hot':
      return insulation === constant ? 0 : insulation === switched ? 2 : 3;
    case 'switched':
      return insulation === switched ? 0 : insulation === constant ? 1 : 2;
    case 'traveler':
      return insulation === constant ? 1 : 0;
    case 'ground':
      return FORBIDDEN;
  }
}

/** The plainest way to carry the nets in this cable, or `null` where the color rule or the count forbids it. */
export function fitCable(type: CableType, nets: readonly Net[], habits: Habits): Fit | null {
  const { insulated } = cableRow(type);
  if (nets.length > insulated.length) return null;
  const neutralInCable = nets.some((net) => net.role === 'neutral');
  const placed: (Net | null)[] = insulated.map(() => null);
  let best: { nets: (Net | null)[]; cost: number } | null = null;
  const place = (index: number, cost: number): void => {
    if (best && cost >= best.cost) return;
    const net = nets[index];
    if (!net) {
      best = { nets: [...placed], cost };
      return;
    }
    insulated.forEach((insulation, slot) => {
      if (placed[slot]) return;
      const step = colorCost(net, insulation, neutralInCable, type, habits);
      if (step === FORBIDDEN) return;
      placed[slot] = net;
      place(index + 1, cost + step);
      placed[slot] = null;
    });
  };
  place(0, 0);
  if (!best) return null;
  const found: { nets: (Net | null)[]; cost: number } = best;
  return {
    type,
    nets: found.nets.map((net) => net?.id ?? null),
    tapedWhites: found.nets.filter((net, slot) => {
      const insulation = insulated[slot];
      return net && net.role !== 'neutral' && insulation && isWhite(insulation);
    }).length,
    oddness: found.cost,
  };
}

/**
 * The smallest cable of a gauge that carries the nets; `null` where none does. A white is taped as a hot only
 * where no larger cable is asked for: an extra conductor costs more than a band of tape.
 */
export function smallestCable(gauge: Gauge, nets: readonly Net[], habits: Habits): Fit | null {
  for (const { type } of cablesOfGauge(gauge)) {
    const fit = fitCable(type, nets, habits);
    if (fit) return fit;
  }
  return null;
}
