import type { Resistor } from '../network/network';
import { factor } from './ldl';

/** A current that enters at a point, A, with siemens to the reference behind it. */
export interface Feed {
  readonly point: number;
  readonly amps: number;
  readonly siemens: number;
}

/** Volts by point; NaN where nothing leads to a start. */
export type Volts = (point: number) => number;

/** Resistors between the points that stand for what metal joins: their two ends and siemens, side by side. */
interface Edges {
  readonly count: number;
  readonly first: Int32Array;
  readonly second: Int32Array;
  readonly siemens: Float64Array;
}

/** What lies between two points that metal does not join. */
function edgesOf(lists: readonly (readonly Resistor[])[], root: Int32Array): Edges {
  const most = lists.reduce((sum, { length }) => sum + length, 0);
  const [first, second, siemens] = [new Int32Array(most), new Int32Array(most), new Float64Array(most)];
  let count = 0;
  for (const resistors of lists)
    for (let index = 0; index < resistors.length; index++) {
      const resistor = resistors[index];
      if (!resistor) continue;
      const [a, b] = [root[resistor.a] ?? 0, root[resistor.b] ?? 0];
      if (a === b) continue;
      first[count] = a;
      second[count] = b;
      siemens[count] = 1 / resistor.ohms;
      count++;
    }
  return { count, first, second, siemens };
}

/**
 * Nodal analysis: joins what metal joins, numbers the points that lead to a start outward from it, and factors the
 * conductance matrix from the far ends inward, so that a tree of wires fills in nothing. The first start is the
 * reference at 0 V. Gives the volts that the feeds make, and those that 1 A into any one point alone would make.
 * @param root by point, the one that stands for all that metal joins to it
 */
export function nodal(
  resistors: readonly (readonly Resistor[])[],
  root: Int32Array,
  starts: readonly [number, ...number[]],
  feeds: readonly Feed[],
): { readonly volts: Volts; readonly perAmpere: (point: number) => Volts } {
  const [reference] = starts;
  const edges = edgesOf(resistors, root);
  const { count, first, second, siemens } = edges;
  const { order, reached } = outwardOrder(edges, root.length, starts);
  // Unknowns are numbered backwards from the farthest; the reference comes first and is left out.
  const unknownOf = new Int32Array(root.length).fill(-1);
  const size = reached - 1;
  for (let index = 1; index < reached; index++) unknownOf[order[index] ?? 0] = size - index;
  const unknown = (point: number): number => unknownOf[root[point] ?? 0] ?? -1;

  const [rows, columns, values] = [new Int32Array(count), new Int32Array(count), new Float64Array(count)];
  const diagonal = new Float64Array(size);
  let above = 0;
  for (let edge = 0; edge < count; edge++) {
    const i = unknownOf[first[edge] ?? 0] ?? -1;
    const j = unknownOf[second[edge] ?? 0] ?? -1;
    const own = siemens[edge] ?? 0;
    if (i >= 0) diagonal[i] = (diagonal[i] ?? 0) + own;
    if (j >= 0) diagonal[j] = (diagonal[j] ?? 0) + own;
    if (i < 0 || j < 0) continue;
    rows[above] = i < j ? i : j;
    columns[above] = i < j ? j : i;
    values[above] = -own;
    above++;
  }
  for (const { point, siemens: own } of feeds) {
    const index = unknown(point);
    if (index >= 0) diagonal[index] = (diagonal[index] ?? 0) + own;
  }
  const factored = factor({
    diagonal,
    rows: rows.subarray(0, above),
    columns: columns.subarray(0, above),
    values: values.subarray(0, above),
  });
  if (!factored) throw new Error('The conductance matrix of a grounded network cannot be singular');
  const solved = (entering: readonly Feed[]): Volts => {
    const feed = new Float64Array(size);
    for (const { point, amps } of entering) {
      const index = unknown(point);
      if (index >= 0) feed[index] = (feed[index] ?? 0) + amps;
    }
    const volts = factored(feed);
    return (point) => {
      if (root[point] === reference) return 0;
      const index = unknown(point);
      return index < 0 ? Number.NaN : (volts[index] ?? Number.NaN);
    };
  };
  return { volts: solved(feeds), perAmpere: (point) => solved([{ point, amps: 1, siemens: 0 }]) };
}

/** Points that lead to a source, breadth first from it, the starts in the order given, and how many they are. */
function outwardOrder(
  { count, first, second }: Edges,
  points: number,
  starts: readonly number[],
): { readonly order: Int32Array; readonly reached: number } {
  const offset = new Int32Array(points + 1);
  for (let edge = 0; edge < count; edge++) {
    const [a, b] = [(first[edge] ?? 0) + 1, (second[edge] ?? 0) + 1];
    offset[a] = (offset[a] ?? 0) + 1;
    offset[b] = (offset[b] ?? 0) + 1;
  }
  for (let point = 0; point < points; point++)
    offset[point + 1] = (offset[point + 1] ?? 0) + (offset[point] ?? 0);
  const neighbours = new Int32Array(2 * count);
  const filled = offset.slice();
  for (let edge = 0; edge < count; edge++) {
    const [a, b] = [first[edge] ?? 0, second[edge] ?? 0];
    const slot = filled[a] ?? 0;
    neighbours[slot] = b;
    filled[a] = slot + 1;
    const back = filled[b] ?? 0;
    neighbours[back] = a;
    filled[b] = back + 1;
  }
  const seen = new Uint8Array(points);
  const order = new Int32Array(points);
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
      const next = neighbours[slot] ?? 0;
      if (seen[next]) continue;
      seen[next] = 1;
      order[reached++] = next;
    }
  }
  return { order, reached };
}
