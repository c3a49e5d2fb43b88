import { UnionFind } from '../graph/union-find';
import type { Job } from '../model/job';
import type { Net } from './nets';
import { runsBetween, type CircuitTree } from './trees';

/** The nets each run carries, by run id: every net runs over the smallest subtree that holds its places. */
export function netsOfRuns(
  job: Job,
  trees: ReadonlyMap<string, CircuitTree>,
  nets: readonly Net[],
): Map<string, Net[]> {
  const carried = new Map<string, Net[]>(job.runs.map((run) => [run.id, []]));
  for (const net of nets) {
    const seen = new Set<string>();
    for (const [box, circuit] of net.boxes) {
      const tree = trees.get(circuit);
      if (!tree) continue;
      for (const run of runsBetween(tree, net.source, box)) {
        if (seen.has(run)) continue;
        seen.add(run);
        carried.get(run)?.push(net);
      }
    }
  }
  joinAtClosedBoxes(job, carried);
  return carried;
}

/**
 * Runs that meet in a box that stays closed are spliced color to color, so each carries all that any of them does:
 * where a net is not needed its conductor is capped at the next open box.
 */
function joinAtClosedBoxes(job: Job, carried: Map<string, Net[]>): void {
  for (const cluster of closedClusters(job)) {
    const all = [...new Set(cluster.flatMap((run) => carried.get(run) ?? []))];
    for (const run of cluster) carried.set(run, all);
  }
}

/** Groups of run ids joined by boxes that stay closed; runs that meet none are left out. */
export function closedClusters(job: Job): string[][] {
  const closed = job.boxes.filter((box) => box.closed);
  if (closed.length === 0) return [];
  const numbers = new Map(job.runs.map(({ id }, index) => [id, index]));
  const joined = new UnionFind(job.runs.length);
  const members = new Set<string>();
  for (const { id } of closed) {
    const own = job.runs.filter(({ from, to }) => from === id || to === id);
    for (const run of own) {
      members.add(run.id);
      joined.join(numbers.get(own[0]?.id ?? '') ?? 0, numbers.get(run.id) ?? 0);
    }
  }
  const clusters = new Map<number, string[]>();
  for (const run of members) {
    const root = joined.find(numbers.get(run) ?? 0);
    clusters.set(root, [...(clusters.get(root) ?? []), run]);
  }
  return [...clusters.values()];
}
