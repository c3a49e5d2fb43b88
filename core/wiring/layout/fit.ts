import type { Habits } from '../../job/model/design';
import {
  cableRow,
  cablesOfGauge,
  isWhite,
  type CableType,
  type Insulation,
} from '../../trade/standards/cables';
import type { Gauge } from '../../trade/standards/conductors';
import type { Net } from './nets';

/** A net as a cable sees it. The id tells it from the others in the same run. */
export interface Carried extends Pick<Net, 'role' | 'domain' | 'circuit' | 'group' | 'source'> {
  readonly id: string;
}

/** Which conductor of a cable carries which net; conductors without one are spare. */
export interface Fit {
  readonly type: CableType;
  /** Net ids in the order of the cable's insulated conductors. */
  readonly nets: readonly (string | null)[];
  /** How far the colors are from the plainest ones. */
  readonly oddness: number;
}

const FORBIDDEN = Number.POSITIVE_INFINITY;
/**
 * A white taped as a hot supply, or as a traveler: allowed, and last among the colors. Where one of the two must be, the
 * feed keeps its black: one tape either way (common practice).
 */
const TAPED_SUPPLY = 8;
const TAPED_TRAVELER = 8;

/** What carrying a net on an insulation color costs in plainness; infinite where the color rule forbids it. */
function colorCost(
  net: Carried,
  insulation: Insulation,
  neutralInCable: boolean,
  wide: boolean,
  habits: Habits,
): number {
  if (net.role === 'neutral') return insulation === 'white' ? 0 : insulation === 'white-red' ? 1 : FORBIDDEN;
  if (isWhite(insulation)) {
    // 200.7(C)(1): only where no neutral runs in the cable, and never the return from the last switch.
    if (neutralInCable) return FORBIDDEN;
    if (net.role === 'hot') return TAPED_SUPPLY;
    return net.role === 'traveler' ? TAPED_TRAVELER : FORBIDDEN;
  }
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

/** In x-2-2 the pairs are black with white and red with striped white: a domain keeps to its pair. */
const PAIR: Partial<Record<Insulation, number>> = { black: 1, white: 1, red: 2, 'white-red': 2 };
const SPLIT_PAIR = 4;

function pairCost(insulated: readonly Insulation[], placed: readonly (Carried | null)[]): number {
  if (!insulated.includes('white-red')) return 0;
  const pairs = new Map<string, Set<number>>();
  insulated.forEach((insulation, slot) => {
    const net = placed[slot];
    const pair = PAIR[insulation];
    if (net && pair !== undefined) pairs.set(net.domain, (pairs.get(net.domain) ?? new Set()).add(pair));
  });
  return [...pairs.values()].filter((used) => used.size > 1).length * SPLIT_PAIR * (pairs.size > 1 ? 1 : 0);
}

/**
 * The plainest way to carry the nets in this cable, or `null` where the color rule or the count forbids it.
 * `only` narrows it to these insulations: what a cable shares with those it stays spliced to.
 */
export function fitCable(
  type: CableType,
  nets: readonly Carried[],
  habits: Habits,
  only?: ReadonlySet<Insulation>,
): Fit | null {
  let best: Fit | null = null;
  eachFit(type, nets, habits, only, (fit) => {
    if (best === null || fit.oddness < best.oddness) best = fit;
    return best.oddness;
  });
  return best;
}

/** A traveler on black where nothing else asks for it: what two colors alike from box to box may cost. */
const ALIKE = 1;

/** Every way to carry the nets that is hardly odder than `plain`, the plainest there is. */
export function fitsLike(plain: Fit, nets: readonly Carried[], habits: Habits): Fit[] {
  const found: Fit[] = [];
  const most = plain.oddness + ALIKE + 1e-9;
  eachFit(
    plain.type,
    nets,
    habits,
    undefined,
    (fit) => {
      found.push(fit);
      return most;
    },
    most,
  );
  return found;
}

/** Tells every way that costs less than what was given back last. */
function eachFit(
  type: CableType,
  nets: readonly Carried[],
  habits: Habits,
  only: ReadonlySet<Insulation> | undefined,
  tell: (fit: Fit) => number,
  below = Number.POSITIVE_INFINITY,
): void {
  const { insulated } = cableRow(type);
  if (nets.length > insulated.length) return;
  const neutralInCable = nets.some((net) => net.role === 'neutral');
  const wide = (only?.size ?? insulated.length) > 2;
  const placed: (Carried | null)[] = insulated.map(() => null);
  let most = below;
  const place = (index: number, cost: number): void => {
    if (cost >= most) return;
    const net = nets[index];
    if (!net) {
      const oddness = cost + pairCost(insulated, placed);
      if (oddness < most) most = tell({ type, nets: placed.map((one) => one?.id ?? null), oddness });
      return;
    }
    insulated.forEach((insulation, slot) => {
      if (placed[slot] || (only && !only.has(insulation))) return;
      const step = colorCost(net, insulation, neutralInCable, wide, habits);
      if (step === FORBIDDEN) return;
      placed[slot] = net;
      place(index + 1, cost + step);
      placed[slot] = null;
    });
  };
  place(0, 0);
}

/**
 * The smallest cable of a gauge that carries the nets; `null` where none does. A white is taped as a hot only
 * where no larger cable is asked for: an extra conductor costs more than a band of tape.
 */
export function smallestCable(gauge: Gauge, nets: readonly Carried[], habits: Habits): Fit | null {
  for (const { type } of cablesOfGauge(gauge)) {
    const fit = fitCable(type, nets, habits);
    if (fit) return fit;
  }
  return null;
}
