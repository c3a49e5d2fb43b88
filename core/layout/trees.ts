import { loopsOfRuns } from '../model/references';
import { PANEL, type Circuit, type Job, type Run } from '../model/job';
import type { Refusal } from './refusal';

/** One circuit's runs as a tree with the panel at its root. */
export interface CircuitTree {
  readonly circuit: Circuit;
  /** Steps from the panel, by box; the panel itself is not in it. */
  readonly parents: ReadonlyMap<string, Step>;
}

export interface Step {
  readonly from: string;
  readonly run: Run;
  readonly depth: number;
}

/** The tree of every circuit, or refusals that name the runs of a loop. */
export function circuitTrees(job: Job): { trees: Map<string, CircuitTree>; refusals: Refusal[] } {
  const refusals: Refusal[] = loopsOfRuns(job).map(({ closing, runs }) => ({
    code: 'loop',
    message: `Runs ${runs.join(', ')} form a loop: power would reach a box by two ways.`,
    at: runs.map((id) => ({ kind: 'run', id })),
    ways: [`Remove run ${closing}.`],
  }));
  const trees = new Map<string, CircuitTree>();
  if (refusals.length > 0) return { trees, refusals };
  const roads = new Map<string, { to: string; run: Run }[]>();
  const road = (from: string, to: string, run: Run) => {
    const list = roads.get(from);
    if (list) list.push({ to, run });
    else roads.set(from, [{ to, run }]);
  };
  for (const run of job.runs) {
    road(run.from, run.to, run);
    road(run.to, run.from, run);
  }
  for (const circuit of job.circuits) trees.set(circuit.id, { circuit, parents: walk(circuit.id, roads) });
  return { trees, refusals };
}

function walk(circuit: string, roads: ReadonlyMap<string, { to: string; run: Run }[]>): Map<string, Step> {
  const parents = new Map<string, Step>();
  let front = [PANEL];
  for (let depth = 1; front.length > 0; depth++) {
    const next: string[] = [];
    for (const place of front) {
      for (const { to, run } of roads.get(place) ?? []) {
        if (to === PANEL || parents.has(to) || (run.circuits && !run.circuits.includes(circuit))) continue;
        parents.set(to, { from: place, run, depth });
        next.push(to);
      }
    }
    front = next;
  }
  return parents;
}

/** Ids of the runs on the way between two places of one tree. */
export function runsBetween(tree: CircuitTree, a: string, b: string): string[] {
  const runs: string[] = [];
  const depth = (place: string) => tree.parents.get(place)?.depth ?? 0;
  while (a !== b) {
    if (depth(a) < depth(b)) [a, b] = [b, a];
    const step = tree.parents.get(a);
    if (!step) break;
    runs.push(step.run.id);
    a = step.from;
  }
  return runs;
}

/** True when the box lies at or beyond the run's far end, seen from the panel. */
export function isBeyond(tree: CircuitTree, run: string, box: string): boolean {
  for (let step = tree.parents.get(box); step; step = tree.parents.get(step.from)) {
    if (step.run.id === run) return true;
  }
  return false;
}
