import type { Resistor } from '../network/network';
import { factor } from './ldl';
import type { Room } from './room';

/** A current that enters at a point, A, with siemens to the reference behind it. */
export interface Feed {
  readonly point: number;
  readonly amps: number;
  readonly siemens: number;
}

/** Volts by point; NaN where nothing leads to a start. */
type Volts = (point: number) => number;

export interface Nodal {
  readonly volts: Volts;
  /** May be asked until the room is cleared. */
  readonly perAmpere: (from: number, at: readonly number[]) => number[];
}

/** What lies between the points that stand for what metal joins: by point, from `offset` on, its neighbours and siemens. */
interface Graph {
  readonly offset: Int32Array;
  readonly neighbour: Int32Array;
  readonly siemens: Float64Array;
}

function graphOf(lists: readonly (readonly Resistor[])[], root: Int32Array, room: Room): Graph {
  const offset = room.ints(root.length + 1);
  for (const resistors of lists)
    for (const resistor of resistors) {
      const [a, b] = [root[resistor.a] ?? 0, root[resistor.b] ?? 0];
      if (a === b) continue;
      offset[a] = (offset[a] ?? 0) + 1;
      offset[b] = (offset[b] ?? 0) + 1;
    }
  // Where each ends; filling from the last on leaves where each begins.
  for (let point = 0; point < root.length; point++)
    offset[point + 1] = (offset[point + 1] ?? 0) + (offset[point] ?? 0);
  const all = offset[root.length] ?? 0;
  const [neighbour, siemens] = [room.ints(all), room.floats(all)];
  for (const resistors of lists)
    for (const resistor of resistors) {
      const [a, b] = [root[resistor.a] ?? 0, root[resistor.b] ?? 0];
      if (a === b) continue;
      const own = 1 / resistor.ohms;
      const [slot, back] = [(offset[a] ?? 0) - 1, (offset[b] ?? 0) - 1];
      offset[a] = slot;
      neighbour[slot] = b;
      siemens[slot] = own;
      offset[b] = back;
      neighbour[back] = a;
      siemens[back] = own;
    }
  return { offset, neighbour, siemens };
}

/**
 * Nodal analysis: joins what metal joins, numbers the points that lead to a start outward from it, and factors the
 * conductance matrix from the far ends inward, so that a tree of wires fills in nothing. The first start is the
 * reference at 0 V. Gives the volts that the feeds make, and those at some points that 1 A into one point alone would make.
 * @param root by point, the one that stands for all that metal joins to it
 */
export function nodal(
  resistors: readonly (readonly Resistor[])[],
  root: Int32Array,
  starts: readonly [number, ...number[]],
  feeds: readonly Feed[],
  room: Room,
): Nodal {
  const points = root.length;
  const [reference] = starts;
  const { offset, neighbour, siemens } = graphOf(resistors, root, room);
  const { order, reached } = outwardOrder({ offset, neighbour }, points, starts, room);
  // Unknowns are numbered backwards from the farthest; the reference comes first and is left out.
  const unknownOf = room.ints(points);
  unknownOf.fill(-1, 0, points);
  const size = reached - 1;
  for (let index = 1; index < reached; index++) unknownOf[order[index] ?? 0] = size - index;
  const unknown = (point: number): number => unknownOf[root[point] ?? 0] ?? -1;

  const [diagonal, start] = [room.floats(size), room.ints(size + 1)];
  const most = (offset[points] ?? 0) / 2;
  const [rows, values] = [room.ints(most), room.floats(most)];
  let above = 0;
  for (let j = 0; j < size; j++) {
    const point = order[size - j] ?? 0;
    const end = offset[point + 1] ?? 0;
    let sum = 0;
    for (let slot = offset[point] ?? 0; slot < end; slot++) {
      const own = siemens[slot] ?? 0;
      sum += own;
      const i = unknownOf[neighbour[slot] ?? 0] ?? -1;
      if (i < 0 || i > j) continue;
      rows[above] = i;
      values[above] = -own;
      above++;
    }
    diagonal[j] = sum;
    start[j + 1] = above;
  }
  for (const { point, siemens: own } of feeds) {
    const index = unknown(point);
    if (index >= 0) diagonal[index] = (diagonal[index] ?? 0) + own;
  }
  const solveInPlace = factor({ size, diagonal, start, rows, values }, room);
  if (!solveInPlace) throw new Error('The conductance matrix of a grounded network cannot be singular');
  const entering = room.floats(size);
  const solve = (all: readonly Feed[]): void => {
    entering.fill(0, 0, size);
    for (const { point, amps } of all) {
      const index = unknown(point);
      if (index >= 0) entering[index] = (entering[index] ?? 0) + amps;
    }
    solveInPlace(entering);
  };
  solve(feeds);
  const open = new Float64Array(points).fill(Number.NaN);
  open[reference] = 0;
  for (let index = 1; index < reached; index++) open[order[index] ?? 0] = entering[size - index] ?? 0;
  return {
    volts: (point) => open[root[point] ?? 0] ?? Number.NaN,
    perAmpere: (from, at) => {
      solve([{ point: from, amps: 1, siemens: 0 }]);
      return at.map((point) => {
        if (root[point] === reference) return 0;
        const index = unknown(point);
        return index < 0 ? Number.NaN : (entering[index] ?? Number.NaN);
      });
    },
  };
}

/** Points that lead to a source, breadth first from it, the starts in the order given, and how many they are. */
function outwardOrder(
  { offset, neighbour }: Pick<Graph, 'offset' | 'neighbour'>,
  points: number,
  starts: readonly number[],
  room: Room,
): { readonly order: Int32Array; readonly reached: number } {
  const [seen, order] = [room.ints(points), room.ints(points)];
  let reached = 0;
  for (const start of starts) {
    if (seen[start]) continue;
    seen[start] = 1;
    order[reached++] = start;
  }
  for (let head = 0; head < reached; head++) {
    const point = order[head] ?? 0;
    const end = offset[point + 1] ?? 0;
    for (let slot = offset[point] ?? 0; slot < end; slot++) {
      const next = neighbour[slot] ?? 0;
      if (seen[next]) continue;
      seen[next] = 1;
      order[reached++] = next;
    }
  }
  return { order, reached };
}
