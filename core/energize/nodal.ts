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

/**
 * Nodal analysis: joins what metal joins, numbers the points that lead to a start outward from it, and factors the
 * conductance matrix from the far ends inward, so that a tree of wires fills in nothing. The first start is the
 * reference at 0 V. Gives the volts that the feeds make, and those that 1 A into any one point alone would make.
 */
export function nodal(
  resistors: readonly Resistor[],
  at: (point: number) => number,
  count: number,
  starts: readonly [number, ...number[]],
  feeds: readonly Feed[],
): { readonly volts: Volts; readonly perAmpere: (point: number) => Volts } {
  const [reference] = starts;
  const reached = outwardOrder(resistors, at, count, starts);
  // Unknowns are numbered backwards from the farthest; the reference comes first and is left out.
  const unknownOf = new Int32Array(count).fill(-1);
  const size = reached.length - 1;
  reached.forEach((point, index) => {
    if (index > 0) unknownOf[point] = size - index;
  });
  const unknown = (point: number): number => unknownOf[at(point)] ?? -1;

  const upper = { rows: [] as number[], columns: [] as number[], values: [] as number[] };
  const diagonal = new Float64Array(size);
  const add = (index: number, value: number) => {
    diagonal[index] = (diagonal[index] ?? 0) + value;
  };
  for (const { a, b, ohms } of resistors) {
    const [first, second] = [at(a), at(b)];
    if (first === second) continue;
    const [i, j] = [unknownOf[first] ?? -1, unknownOf[second] ?? -1];
    const siemens = 1 / ohms;
    if (i >= 0) add(i, siemens);
    if (j >= 0) add(j, siemens);
    if (i < 0 || j < 0) continue;
    upper.rows.push(Math.min(i, j));
    upper.columns.push(Math.max(i, j));
    upper.values.push(-siemens);
  }
  for (const { point, siemens } of feeds) if (unknown(point) >= 0) add(unknown(point), siemens);
  const factored = factor({
    diagonal,
    rows: Int32Array.from(upper.rows),
    columns: Int32Array.from(upper.columns),
    values: Float64Array.from(upper.values),
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
      if (at(point) === reference) return 0;
      const index = unknown(point);
      return index < 0 ? Number.NaN : (volts[index] ?? Number.NaN);
    };
  };
  return { volts: solved(feeds), perAmpere: (point) => solved([{ point, amps: 1, siemens: 0 }]) };
}

/** Points that lead to a source, breadth first from it, the starts in the order given. */
function outwardOrder(
  resistors: readonly Resistor[],
  at: (point: number) => number,
  count: number,
  starts: readonly number[],
): number[] {
  const degree = new Int32Array(count + 1);
  for (const { a, b } of resistors) {
    const [first, second] = [at(a), at(b)];
    if (first === second) continue;
    degree[first] = (degree[first] ?? 0) + 1;
    degree[second] = (degree[second] ?? 0) + 1;
  }
  const offset = new Int32Array(count + 1);
  for (let point = 0; point < count; point++) offset[point + 1] = (offset[point] ?? 0) + (degree[point] ?? 0);
  const neighbours = new Int32Array(offset[count] ?? 0);
  const filled = offset.slice();
  const link = (from: number, to: number) => {
    const slot = filled[from] ?? 0;
    neighbours[slot] = to;
    filled[from] = slot + 1;
  };
  for (const { a, b } of resistors) {
    const [first, second] = [at(a), at(b)];
    if (first === second) continue;
    link(first, second);
    link(second, first);
  }
  const seen = new Uint8Array(count);
  const order: number[] = [];
  for (const start of starts) {
    if (seen[start]) continue;
    seen[start] = 1;
    order.push(start);
  }
  for (let head = 0; head < order.length; head++) {
    const point = order[head] ?? 0;
    for (let slot = offset[point] ?? 0; slot < (offset[point + 1] ?? 0); slot++) {
      const next = neighbours[slot] ?? 0;
      if (seen[next]) continue;
      seen[next] = 1;
      order.push(next);
    }
  }
  return order;
}
