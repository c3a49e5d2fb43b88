import { PANEL, type Run } from '../../job/model/design';
import type { Net } from './nets';
import { runsBetween, type Roads, type Tree } from '../../job/model/trees';

/**
 * Ways along runs, each with a number of its own, so that two are the same exactly when they start at the same place
 * and follow the same runs.
 */
export class Ways {
  private readonly starts = new Map<string, number>();
  private readonly steps = new Map<number, Map<string, number>>();
  private count = 0;

  from(place: string): number {
    const known = this.starts.get(place);
    if (known !== undefined) return known;
    this.starts.set(place, ++this.count);
    return this.count;
  }

  along(way: number, run: Run): number {
    const own = this.steps.get(way) ?? new Map<string, number>();
    this.steps.set(way, own);
    const known = own.get(run.id);
    if (known !== undefined) return known;
    own.set(run.id, ++this.count);
    return this.count;
  }
}

/** One conductor's way along one run: from the place nearer the net's source to the farther one. */
export interface Thread {
  readonly run: Run;
  readonly near: string;
  readonly far: string;
  /** The ways by which the net came to the two places: what meets there by the same way is joined. */
  readonly nearWay: number;
  readonly farWay: number;
}

/** Places whose cables stay spliced color to color. */
export interface House {
  readonly roads: Roads;
  /** True where there are two ways between some two places. */
  readonly loops: boolean;
  readonly closed: ReadonlySet<string>;
}

/** The threads of a net from its source to some boxes by one tree. */
export function threadsTo(ways: Ways, house: House, tree: Tree, source: string, boxes: Iterable<string>) {
  const threads = new Map<number, Thread>();
  for (const box of boxes) {
    let [place, way] = [source, ways.from(source)];
    for (const run of runsBetween(tree, source, box)) {
      const far = run.from === place ? run.to : run.from;
      const farWay = ways.along(way, run);
      if (!threads.has(farWay)) {
        threads.set(farWay, { run, near: place, far, nearWay: way, farWay });
        if (house.closed.size > 0) spliceOn(ways, house, threads, run, far, farWay);
      }
      [place, way] = [far, farWay];
    }
    if (house.closed.size > 0) {
      const start = ways.from(source);
      if (house.closed.has(source)) spliceOn(ways, house, threads, null, source, start);
    }
  }
  return threads;
}

/**
 * In a box that stays closed a conductor goes on into every other cable, needed there or not; where it is not
 * needed it is capped at the next open box.
 */
function spliceOn(
  ways: Ways,
  house: House,
  threads: Map<number, Thread>,
  came: Run | null,
  place: string,
  way: number,
): void {
  if (!house.closed.has(place)) return;
  for (const { to, run } of house.roads.get(place) ?? []) {
    if (run === came) continue;
    const farWay = ways.along(way, run);
    if (threads.has(farWay)) continue;
    threads.set(farWay, { run, near: place, far: to, nearWay: way, farWay });
    // A ring of closed boxes would go on for ever: it cannot be cut open, and no plan is made over it.
    if (threads.size < 2000) spliceOn(ways, house, threads, run, to, farWay);
  }
}

/** The way by which a place is reached from a source. */
export const wayTo = (ways: Ways, tree: Tree, source: string, place: string): number =>
  runsBetween(tree, source, place).reduce((way, run) => ways.along(way, run), ways.from(source));

/** A net on one conductor of one run. */
export interface Strand extends Thread {
  /** Unique within the run: the net, counted where two conductors of it run side by side. */
  readonly id: string;
  readonly net: Net;
  /** It only waits at the far end for a later device. */
  readonly soft: boolean;
}

/** True where it ends in the panel without coming from there: it could only be spliced or capped in the panel. */
export const endsInPanel = ({ far, near, nearWay }: Thread, ways: Ways): boolean =>
  far === PANEL || (near === PANEL && nearWay !== ways.from(PANEL));
