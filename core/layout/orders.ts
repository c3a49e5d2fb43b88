import { switchFamily, switchForPlace } from '../devices';
import type { Device } from '../model/job';
import type { ControlGroup, Orders } from './nets';

/** Combinations of switch orders that one circuit's search looks at before it gives up. */
export const ORDER_LIMIT = 5_000;

/**
 * Every joint choice of feed-to-load orders of several groups, as a generator: groups share conductors, so each
 * one's best order alone is not the best together.
 */
export function* jointOrders(groups: readonly ControlGroup[]): Generator<Orders> {
  const [first, ...rest] = groups;
  if (!first) {
    yield new Map();
    return;
  }
  for (const tail of jointOrders(rest)) {
    for (const order of permutations(first.places)) {
      if (!canStand(order)) continue;
      yield new Map(tail).set(first.group.id, order);
    }
  }
}

/** False where a switch that can only end a chain stands between two others. */
const canStand = (order: readonly Device[]): boolean =>
  order.every(({ kind }, rank) => {
    const family = switchFamily(kind);
    return family === null || switchForPlace(family, rank, order.length) !== null;
  });

/** How many joint choices there are. */
export const countOrders = (groups: readonly ControlGroup[]): number =>
  groups.reduce((product, { places }) => product * factorial(places.length), 1);

function* permutations(items: readonly Device[]): Generator<Device[]> {
  if (items.length <= 1) {
    yield [...items];
    return;
  }
  for (const [index, item] of items.entries()) {
    for (const rest of permutations(items.toSpliced(index, 1))) yield [item, ...rest];
  }
}

const factorial = (n: number): number => (n <= 1 ? 1 : n * factorial(n - 1));
