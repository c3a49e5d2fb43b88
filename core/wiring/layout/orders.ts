import { switchFamily, switchForPlace } from '../../trade/devices';
import type { Device } from '../../job/model/design';
import { runsBetween, type Tree } from '../../job/model/trees';

/**
 * The orders of a group's switch places from feed to load that are worth looking at on one tree: for every first and
 * last place the walk that visits each side branch as it passes. On a tree no other order with the same ends has fewer
 * travelers in any run (`rank` numbers the runs and decides between branches): runs between the two ends are walked once, and runs off that way twice, which is the least.
 */
export function ordersOn(
  tree: Tree,
  places: readonly Device[],
  rank: ReadonlyMap<string, number>,
): (readonly Device[])[] {
  if (places.length < 2) return [places];
  return places.flatMap((first) =>
    places.flatMap((last) => {
      if (first === last) return [];
      const order = walkFrom(tree, first, last, places, rank);
      return canStand(order) ? [order] : [];
    }),
  );
}

function walkFrom(
  tree: Tree,
  first: Device,
  last: Device,
  places: readonly Device[],
  rank: ReadonlyMap<string, number>,
): readonly Device[] {
  const stops = (to: Device): number[] =>
    runsBetween(tree, first.box, to.box).map(({ id }) => rank.get(id) ?? rank.size);
  const way = stops(last);
  const between = places.filter((place) => place !== first && place !== last);
  const placed = between.map((place) => {
    const own = stops(place);
    let shared = 0;
    while (shared < way.length && own[shared] === way[shared]) shared++;
    return { place, leaves: shared, branch: own.slice(shared) };
  });
  // Along the way by where they branch off it; within a branch, depth first.
  placed.sort((a, b) => a.leaves - b.leaves || compareBranches(a.branch, b.branch));
  return [first, ...placed.map(({ place }) => place), last];
}

/** Depth first: what lies on the way to another comes before it, and one branch is finished before the next. */
function compareBranches(a: readonly number[], b: readonly number[]): number {
  for (let at = 0; at < Math.min(a.length, b.length); at++) {
    const differ = (a[at] ?? 0) - (b[at] ?? 0);
    if (differ !== 0) return differ;
  }
  return a.length - b.length;
}

/** False where a switch that can only end a chain stands between two others. */
const canStand = (order: readonly Device[]): boolean =>
  order.every(({ kind }, rank) => {
    const family = switchFamily(kind);
    return family === null || switchForPlace(family, rank, order.length) !== null;
  });
