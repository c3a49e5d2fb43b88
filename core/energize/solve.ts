import { prepare } from 'cholesky-solve';
import type { UnionFind } from '../graph/union-find';
import type { Network, Resistor } from '../network/network';
import { BREAKER_OHMS, SOURCE_OHMS } from '../network/network';
import { panelHotId } from '../model/wiring';
import { METER_OHMS, TESTER_LIGHT_OHMS, type State } from './state';

/** Nominal leg voltage to the service neutral, V; leg B is 180° behind leg A, hence the sign. */
export const LEG_V = { A: 120, B: -120 } as const;

/** One solved state. Voltages are to the service neutral, signed by leg; NaN where nothing leads to a source. */
export interface OperatingPoint {
  readonly network: Network;
  readonly volts: (point: number) => number;
  /** Current from `a` to `b`, A. */
  readonly current: (resistor: Resistor) => number;
  /** Current through a wire by id, from its first end to its second, A; 0 for an open one. */
  readonly wireCurrent: (id: string) => number;
  readonly breakerCurrent: (circuit: string) => number;
  /** True when two points are joined by metal alone in this state. */
  readonly same: (a: number, b: number) => boolean;
}

/** What metal joins in a state: tabs, and each handle's contacts in its position. */
export function joinedInState(network: Network, state: State): UnionFind {
  const joined = network.metal.copy();
  for (const { wired, kind, point } of network.devices) {
    if (kind.positions.length === 0) continue;
    for (const [a, b] of kind.inner(state.positions.get(wired.id) ?? 0)) joined.join(point(a), point(b));
  }
  return joined;
}

/** The closed contact of one pole of a protecting device. */
export const contactWire = (device: string, pole: 'hot' | 'neutral'): string => `contact:${device}:${pole}`;

/** Breakers, contacts, loads and instruments of a state as resistors. */
export function stateResistors(network: Network, state: State): Resistor[] {
  const resistors: Resistor[] = [];
  for (const circuit of network.circuits) {
    const hot = network.point(panelHotId(circuit.id));
    if (hot === undefined || state.openBreakers.has(circuit.id)) continue;
    resistors.push({ id: `breaker:${circuit.id}`, a: network.legs[circuit.leg], b: hot, ohms: BREAKER_OHMS });
  }
  for (const { device, line, load } of network.protecting) {
    if (state.tripped.has(device)) continue;
    for (const pole of ['hot', 'neutral'] as const) {
      resistors.push({ id: contactWire(device, pole), a: line[pole], b: load[pole], ohms: BREAKER_OHMS });
    }
  }
  for (const part of network.parts) {
    const watts = state.loads.get(part.key);
    if (watts !== undefined && watts > 0) {
      resistors.push({ id: `load:${part.key}`, a: part.hot, b: part.neutral, ohms: 120 ** 2 / watts });
    }
    if (state.testers.has(part.key)) {
      const pairs = [
        [part.hot, part.neutral],
        [part.hot, part.ground],
        [part.neutral, part.ground],
      ] as const;
      pairs.forEach(([a, b], index) =>
        resistors.push({ id: `tester:${part.key}:${index}`, a, b, ohms: TESTER_LIGHT_OHMS }),
      );
    }
  }
  if (state.meter) {
    const [a, b] = [network.point(state.meter.from), network.point(state.meter.to)];
    if (a !== undefined && b !== undefined) {
      resistors.push({ id: 'meter', a, b, ohms: METER_OHMS[state.meter.impedance] });
    }
  }
  return resistors;
}

/**
 * Nodal analysis of one state: joins what metal joins, numbers the points that lead to a source outward from it,
 * and factors the conductance matrix from the far ends inward, so that a tree of wires fills in nothing.
 */
export function solve(network: Network, state: State): OperatingPoint {
  const joined = joinedInState(network, state);
  const added = stateResistors(network, state);
  const resistors = added.length > 0 ? [...network.wires, ...added] : network.wires;
  const root = new Int32Array(network.points.length);
  for (let point = 0; point < root.length; point++) root[point] = joined.find(point);
  const at = (point: number): number => root[point] ?? 0;
  const reference = at(network.reference);

  const reached = outwardOrder(resistors, at, root.length, [
    reference,
    at(network.legs.A),
    at(network.legs.B),
  ]);
  // Unknowns are numbered backwards from the farthest; the reference comes first and is left out.
  const unknownOf = new Int32Array(root.length).fill(-1);
  const size = reached.length - 1;
  reached.forEach((point, index) => {
    if (index > 0) unknownOf[point] = size - index;
  });

  const upper: [number, number, number][] = [];
  const diagonal = new Float64Array(size);
  const feed = new Float64Array(size);
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
    if (i >= 0 && j >= 0) upper.push(i < j ? [i, j, -siemens] : [j, i, -siemens]);
  }
  for (const leg of ['A', 'B'] as const) {
    const index = unknownOf[at(network.legs[leg])] ?? -1;
    if (index < 0) continue;
    add(index, 1 / SOURCE_OHMS);
    feed[index] = (feed[index] ?? 0) + LEG_V[leg] / SOURCE_OHMS;
  }
  diagonal.forEach((value, index) => upper.push([index, index, value]));
  const solved = size > 0 ? prepare(upper, size, null)?.(feed) : [];
  if (!solved) throw new Error('The conductance matrix of a grounded network cannot be singular');

  const volts = (point: number): number => {
    const node = at(point);
    if (node === reference) return 0;
    const index = unknownOf[node] ?? -1;
    return index < 0 ? Number.NaN : (solved[index] ?? Number.NaN);
  };
  const current = ({ a, b, ohms }: Resistor): number => {
    if (at(a) === at(b)) return 0;
    const drop = volts(a) - volts(b);
    return Number.isNaN(drop) ? 0 : drop / ohms;
  };
  let byId: Map<string, Resistor> | null = null;
  const wireCurrent = (id: string): number => {
    byId ??= new Map(resistors.map((resistor) => [resistor.id, resistor]));
    const resistor = byId.get(id);
    return resistor ? current(resistor) : 0;
  };
  return {
    network,
    volts,
    current,
    wireCurrent,
    breakerCurrent: (circuit) => Math.abs(wireCurrent(`breaker:${circuit}`)),
    same: (a, b) => at(a) === at(b),
  };
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
