import { permutations } from '../../base/permutations';
/** A cable's conductor ends in one box, each with the element of the middle row it leads to. */
export interface CableEnds {
  readonly id: string;
  readonly ends: readonly { readonly end: string; readonly target: string }[];
}

/** An element of the middle row: a splice, a conductor that passes through to a terminal, or a cap. */
export interface MiddleElement {
  readonly id: string;
  /** Splices keep their make-up order; the others go where they cross least. */
  readonly kind: 'splice' | 'pass' | 'cap';
  /** In lanes. */
  readonly width: number;
  /** Where its lower ends lead, as ranks in the bottom row. */
  readonly below: readonly number[];
}

export interface Ordering {
  readonly cables: readonly CableEnds[];
  readonly middle: readonly MiddleElement[];
  readonly crossings: number;
}

/** Cables up to which every order is tried. */
const TRY_ALL_CABLES = 5;

/**
 * The order of cables, of conductors within them and of the middle row that crosses least. Conductors fan out of
 * their sheath in the order of their targets, which is always best; cable orders are all tried while they are few.
 */
export function bestOrdering(cables: readonly CableEnds[], middle: readonly MiddleElement[]): Ordering {
  let best: Ordering | null = null;
  const orders = cables.length <= TRY_ALL_CABLES ? permutations(cables) : [cables, ...rotations(cables)];
  for (const order of orders) {
    const tried = settle(order, middle);
    if (!best || tried.crossings < best.crossings) best = tried;
    if (best.crossings === 0) break;
  }
  return best ?? { cables, middle, crossings: 0 };
}

/** Sifts the free elements of the middle row to their best places for one order of cables. */
function settle(cables: readonly CableEnds[], start: readonly MiddleElement[]): Ordering {
  let middle = [...start];
  let crossings = count(cables, middle);
  for (let improved = true; improved;) {
    improved = false;
    for (const element of middle.filter(({ kind }) => kind !== 'splice')) {
      const rest = middle.filter((other) => other !== element);
      for (let slot = 0; slot <= rest.length; slot++) {
        const tried = rest.toSpliced(slot, 0, element);
        const now = count(cables, tried);
        if (now < crossings) {
          [middle, crossings, improved] = [tried, now, true];
        }
      }
    }
  }
  return { cables: cables.map((cable) => fanOut(cable, middle)), middle, crossings };
}

/** Conductors of one cable in the order of what they lead to. */
function fanOut(cable: CableEnds, middle: readonly MiddleElement[]): CableEnds {
  const rank = new Map(middle.map(({ id }, index) => [id, index]));
  return {
    ...cable,
    ends: [...cable.ends].sort((a, b) => (rank.get(a.target) ?? 0) - (rank.get(b.target) ?? 0)),
  };
}

/** Crossings between neighbouring rows: pairs whose order turns round. */
function count(cables: readonly CableEnds[], middle: readonly MiddleElement[]): number {
  const rank = new Map(middle.map(({ id }, index) => [id, index]));
  const upper = cables
    .map((cable) => fanOut(cable, middle))
    .flatMap(({ ends }) => ends.map(({ target }) => rank.get(target) ?? 0));
  const lower = middle.flatMap(({ below }) => [...below].sort((a, b) => a - b));
  return inversions(upper) + inversions(lower);
}

function inversions(ranks: readonly number[]): number {
  let total = 0;
  for (let i = 0; i < ranks.length; i++) {
    for (let j = i + 1; j < ranks.length; j++) if ((ranks[i] ?? 0) > (ranks[j] ?? 0)) total++;
  }
  return total;
}

const rotations = <T>(items: readonly T[]): T[][] =>
  items.map((_, index) => [...items.slice(index), ...items.slice(0, index)]);
