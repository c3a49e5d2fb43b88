import { sure } from '../../base/sure';
import type { UnionFind } from '../../base/graph/union-find';
import type { Network, Resistor } from '../network/network';
import { BREAKER_OHMS, SOURCE_OHMS } from '../network/network';
import {
  breakerWire,
  contactWire,
  loadWire,
  METER_WIRE,
  panelHotId,
  PERSON_WIRE,
  testerWire,
} from '../../job/model/wiring';
import { nodal, type Feed } from './nodal';
import { Room } from './room';
import { METER_OHMS, PERSON_OHMS, TESTER_LIGHT_OHMS, type State } from './state';

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

/** Breakers, contacts, loads and instruments of a state as resistors. */
export function stateResistors(network: Network, state: State): Resistor[] {
  const resistors: Resistor[] = [];
  for (const circuit of network.circuits) {
    const hot = network.point(panelHotId(circuit.id));
    if (hot === undefined || state.openBreakers.has(circuit.id)) continue;
    resistors.push({ id: breakerWire(circuit.id), a: network.legs[circuit.leg], b: hot, ohms: BREAKER_OHMS });
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
      resistors.push({ id: loadWire(part.key), a: part.hot, b: part.neutral, ohms: 120 ** 2 / watts });
    }
    if (state.testers.has(part.key)) {
      const pairs = [
        [part.hot, part.neutral],
        [part.hot, part.ground],
        [part.neutral, part.ground],
      ] as const;
      pairs.forEach(([a, b], index) =>
        resistors.push({ id: testerWire(part.key, index), a, b, ohms: TESTER_LIGHT_OHMS }),
      );
    }
  }
  const across = (id: string, points: { readonly from: string; readonly to: string }, ohms: number) => {
    const [a, b] = [network.point(points.from), network.point(points.to)];
    if (a !== undefined && b !== undefined) resistors.push({ id, a, b, ohms });
  };
  if (state.meter) across(METER_WIRE, state.meter, METER_OHMS[state.meter.impedance]);
  if (state.person) across(PERSON_WIRE, state.person, PERSON_OHMS);
  return resistors;
}

/** Both legs as currents behind their source resistance. */
export const sources = (network: Network): Feed[] =>
  (['A', 'B'] as const).map((leg) => ({
    point: network.legs[leg],
    amps: LEG_V[leg] / SOURCE_OHMS,
    siemens: 1 / SOURCE_OHMS,
  }));

/** Where solving starts: the service neutral is the reference, then the legs. */
export const starts = (network: Network, at: (point: number) => number): [number, number, number] => [
  at(network.reference),
  at(network.legs.A),
  at(network.legs.B),
];

/** The wires of a network by id: the same in every state. */
function wiresById(wires: readonly Resistor[]): ReadonlyMap<string, Resistor> {
  const known = byId.get(wires) ?? new Map(wires.map((wire) => [wire.id, wire]));
  byId.set(wires, known);
  return known;
}
const byId = new WeakMap<readonly Resistor[], ReadonlyMap<string, Resistor>>();

/** Nothing of it is asked for once a state is solved. */
const room = new Room();

/** Solves one state as it stands; nothing opens by itself here. */
export function solve(network: Network, state: State): OperatingPoint {
  const { at, root, resistors, added } = reduced(network, state);
  const { volts } = nodal(resistors, root, starts(network, at), sources(network), room.clear());
  const current = ({ a, b, ohms }: Resistor): number => {
    if (at(a) === at(b)) return 0;
    const drop = volts(a) - volts(b);
    return Number.isNaN(drop) ? 0 : drop / ohms;
  };
  const wires = wiresById(network.wires);
  let named: ReadonlyMap<string, Resistor> | null = null;
  const addedById = () => (named ??= new Map(added.map((one) => [one.id, one])));
  const wireCurrent = (id: string): number => {
    const resistor = wires.get(id) ?? addedById().get(id);
    return resistor ? current(resistor) : 0;
  };
  return {
    network,
    volts,
    current,
    wireCurrent,
    breakerCurrent: (circuit) => Math.abs(wireCurrent(breakerWire(circuit))),
    same: (a, b) => at(a) === at(b),
  };
}

/**
 * What an ohmmeter shows between two points of a wiring that is dead: Ω, Infinity where nothing joins them. The
 * state's breakers are taken as open, whatever it says.
 */
export function readOhms(network: Network, state: State, from: number, to: number): number {
  const dead = { ...state, openBreakers: new Set(network.circuits.map(({ id }) => id)) };
  const { at, root, resistors } = reduced(network, dead);
  const [a, b] = [at(from), at(to)];
  if (a === b) return 0;
  const [volts = Number.NaN] = nodal(resistors, root, [b], [], room.clear()).perAmpere(a, [a]);
  return Number.isNaN(volts) ? Number.POSITIVE_INFINITY : volts;
}

/** A state's resistors, and the one point that stands for all that metal joins to each. */
export function reduced(network: Network, state: State) {
  const joined = joinedInState(network, state);
  const added = stateResistors(network, state);
  const root = new Int32Array(network.points.length);
  for (let point = 0; point < root.length; point++) root[point] = joined.find(point);
  return {
    at: (point: number): number => sure(root[point], 'such point'),
    root,
    added,
    resistors: [network.wires, added],
  };
}
