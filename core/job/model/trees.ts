import { UnionFind } from '../../base/graph/union-find';
import { PANEL, type Circuit, type Design, type Run } from './design';

/** One way to reach boxes over runs, without a loop. */
export interface Tree {
  readonly root: string;
  /** Steps from the root, by place; the root itself is not in it. */
  readonly parents: ReadonlyMap<string, Step>;
}

/** A circuit's runs, each box reached from the panel by the fewest of them. */
export interface CircuitTree extends Tree {
  readonly circuit: Circuit;
}

export interface Step {
  readonly from: string;
  readonly run: Run;
  readonly depth: number;
}

/** Runs by the place they leave, both ways. */
export type Roads = ReadonlyMap<string, readonly { readonly to: string; readonly run: Run }[]>;

export const serves = (run: Run, circuit: string): boolean =>
  run.circuits === undefined || run.circuits.includes(circuit);

export function roadsOf(runs: readonly Run[]): Roads {
  const roads = new Map<string, { to: string; run: Run }[]>();
  const road = (from: string, to: string, run: Run) => {
    const list = roads.get(from);
    if (list) list.push({ to, run });
    else roads.set(from, [{ to, run }]);
  };
  for (const run of runs) {
    road(run.from, run.to, run);
    road(run.to, run.from, run);
  }
  return roads;
}

/** True where some of the runs form a loop, two runs between the same places included. */
export function formLoops(runs: readonly Run[]): boolean {
  const numbers = new Map<string, number>();
  const number = (place: string): number => {
    const known = numbers.get(place) ?? numbers.size;
    numbers.set(place, known);
    return known;
  };
  const joined = new UnionFind(2 * runs.length);
  return runs.some(({ from, to }) => !joined.join(number(from), number(to)));
}

/** What every circuit reaches from the panel, by the fewest runs. */
export function circuitTrees(job: Design): Map<string, CircuitTree> {
  const roads = roadsOf(job.runs);
  return new Map(
    job.circuits.map((circuit) => [
      circuit.id,
      { circuit, root: PANEL, parents: walk(PANEL, roads, (run) => serves(run, circuit.id)) },
    ]),
  );
}

/** Breadth first from a root over the runs that are allowed; the panel is a place like any other. */
export function walk(root: string, roads: Roads, allowed: (run: Run) => boolean): Map<string, Step> {
  const parents = new Map<string, Step>();
  let front = [root];
  for (let depth = 1; front.length > 0; depth++) {
    const next: string[] = [];
    for (const place of front) {
      for (const { to, run } of roads.get(place) ?? []) {
        if (to === root || parents.has(to) || !allowed(run)) continue;
        parents.set(to, { from: place, run, depth });
        next.push(to);
      }
    }
    front = next;
  }
  return parents;
}

/** Runs on the way between two places of one tree, in order from the first; empty where they do not meet. */
export function runsBetween({ parents }: Tree, a: string, b: string): Run[] {
  const [up, down]: [Run[], Run[]] = [[], []];
  const depth = (place: string) => parents.get(place)?.depth ?? 0;
  while (a !== b) {
    const higher = depth(a) < depth(b);
    const step = parents.get(higher ? b : a);
    if (!step) break;
    if (higher) {
      down.push(step.run);
      b = step.from;
    } else {
      up.push(step.run);
      a = step.from;
    }
  }
  return [...up, ...down.reverse()];
}
