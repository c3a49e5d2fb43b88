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
    const tree = trees.get(net.circuit);
    if (!tree) continue;
    const seen = new Set<string>();
    for (const box of net.boxes) {
      for (const run of runsBetween(tree, net.source, box)) {
        if (seen.has(run)) continue;
        seen.add(run);
        carried.get(run)?.push(net);
      }
    }
  }
  return carried;
}
