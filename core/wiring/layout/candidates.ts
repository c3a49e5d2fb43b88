import { isHome, PANEL, type Run } from '../../job/model/design';
import { runsBetween, walk, type Roads, type Tree } from '../../job/model/trees';

/** Trees that one purpose is offered where its runs form loops; the shortest are found first. */
const MOST_TREES = 60;

/** Whether power may pass from one run to another in the panel. */
export type AtPanel =
  /** It starts there and may leave by several runs. */
  | 'starts'
  /** It starts there and leaves by one run: what follows would have to be spliced in the panel. */
  | 'starts on one run'
  /** The panel may hold splices (312.8): it is a box like any other. */
  | 'passes'
  /** It starts elsewhere and may not pass the panel. */
  | 'barred';

export interface Wanted {
  readonly root: string;
  readonly needs: ReadonlySet<string>;
  readonly panel: AtPanel;
}

/**
 * Every tree over the allowed runs that joins the root with all that is needed, no run in vain: one where the runs
 * hold no loop, several where they do, at most `MOST_TREES`; none where something cannot be reached.
 */
export function treesFor(roads: Roads, allowed: (run: Run) => boolean, wanted: Wanted): Tree[] {
  const { root, needs, panel } = wanted;
  if (panel === 'starts on one run') {
    const homes = (roads.get(PANEL) ?? []).map(({ run }) => run).filter(allowed);
    return homes.flatMap((home) =>
      search(roads, (run) => allowed(run) && (!isHome(run) || run === home), root, needs),
    );
  }
  const barred = panel === 'barred';
  return search(roads, (run) => allowed(run) && !(barred && isHome(run)), root, needs);
}

function search(
  roads: Roads,
  allowed: (run: Run) => boolean,
  root: string,
  needs: ReadonlySet<string>,
): Tree[] {
  const found = new Map<string, Tree>();
  const seen = new Set<string>();
  const look = (removed: ReadonlySet<Run>): void => {
    if (found.size >= MOST_TREES) return;
    const parents = walk(root, roads, (run) => allowed(run) && !removed.has(run));
    if (![...needs].every((place) => place === root || parents.has(place))) return;
    const tree = { root, parents };
    const loop = loopAmong(roads, (run) => allowed(run) && !removed.has(run), tree, needs);
    if (!loop) {
      const own = prune(tree, needs);
      const key = [...own.parents.values()]
        .map(({ run }) => run.id)
        .sort()
        .join('>');
      if (!found.has(key)) found.set(key, own);
      return;
    }
    for (const run of loop) {
      const without = new Set([...removed, run]);
      const key = [...without]
        .map(({ id }) => id)
        .sort()
        .join('>');
      if (seen.has(key)) continue;
      seen.add(key);
      look(without);
    }
  };
  look(new Set());
  return [...found.values()];
}

/**
 * The one tree of `treesFor` where no runs of the house form a loop, as a part of what the circuit reaches from the
 * panel; null where it starts elsewhere.
 */
export function onlyTree(whole: Tree, { root, needs, panel }: Wanted): Tree[] | null {
  if (root !== whole.root || panel === 'barred') return null;
  if (![...needs].every((place) => place === root || whole.parents.has(place))) return [];
  const own = prune(whole, needs);
  if (panel !== 'starts on one run') return [own];
  const homes = [...own.parents.values()].filter(({ from }) => from === PANEL);
  return homes.length > 1 ? [] : [own];
}

/** The steps of a tree that lead to what is needed. */
function prune({ root, parents }: Tree, needs: ReadonlySet<string>): Tree {
  const kept = new Map<string, NonNullable<ReturnType<typeof parents.get>>>();
  for (const place of needs) {
    let at = place;
    for (let step = parents.get(at); step && !kept.has(at); step = parents.get(at)) {
      kept.set(at, step);
      at = step.from;
    }
  }
  return { root, parents: kept };
}

/**
 * A loop that the way to something needed could go round by, its dearest runs first: those are left out first.
 * None where what is left is a tree, but for ends that lead nowhere.
 */
function loopAmong(
  roads: Roads,
  allowed: (run: Run) => boolean,
  tree: Tree,
  needs: ReadonlySet<string>,
): Run[] | null {
  const places = new Set([tree.root, ...tree.parents.keys()]);
  const inTree = new Set([...tree.parents.values()].map(({ run }) => run));
  // Ends that lead nowhere are cut back, so that only loops on some way count.
  const degree = new Map<string, Set<Run>>();
  for (const place of places) {
    const own = new Set<Run>();
    for (const { to, run } of roads.get(place) ?? []) if (to !== place && allowed(run)) own.add(run);
    degree.set(place, own);
  }
  const ends = [...places].filter(
    (place) => (degree.get(place)?.size ?? 0) < 2 && place !== tree.root && !needs.has(place),
  );
  for (let end = ends.pop(); end !== undefined; end = ends.pop()) {
    for (const run of degree.get(end) ?? []) {
      const other = run.from === end ? run.to : run.from;
      const left = degree.get(other);
      left?.delete(run);
      if (left && left.size < 2 && other !== tree.root && !needs.has(other)) ends.push(other);
    }
    degree.set(end, new Set());
  }
  for (const place of places) {
    for (const run of degree.get(place) ?? []) {
      if (inTree.has(run)) continue;
      const loop = [...runsBetween(tree, run.from, run.to), run];
      const cost = (one: Run) => (one.existing === null ? one.lengthFt : 0);
      return loop.sort((a, b) => cost(b) - cost(a));
    }
  }
  return null;
}
