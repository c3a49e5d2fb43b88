import { SENSES } from '../../trade/devices';
import { UnionFind } from '../../base/graph/union-find';
import type { Circuit } from '../../job/model/design';
import { breakerNeutralWire, breakerWire, contactWire } from '../../job/model/wiring';
import type { Network, NetworkProtection } from '../network/network';
import { solve, type OperatingPoint } from './solve';
import type { State } from './state';

/** Current that a Class A device takes for a ground fault, A: must trip at 6 mA, must not at 4 (UL 943, from memory). */
const GROUND_FAULT_A = 0.005;
/** A LOAD neutral that finds ground through less than this trips even with nothing in use, Ω (UL 943, from memory). */
const GROUNDED_NEUTRAL_OHMS = 4;
/** Line voltage under which such a device cannot act, V. Plausible figure. */
const ALIVE_V = 85;

/** True where a protecting device has the line power that its trip, its TEST and its RESET need. */
export const hasLinePower = (point: OperatingPoint, { line }: NetworkProtection): boolean =>
  Math.abs(point.volts(line.hot) - point.volts(line.neutral)) > ALIVE_V;

export interface GroundFaultTrip {
  /** Protecting device, or circuit where the breaker protects. */
  readonly at: string;
  readonly by: 'device' | 'breaker';
  readonly reason: 'imbalance' | 'grounded neutral';
  /** What leaked, A; 0 where the grounded neutral alone did it. */
  readonly amps: number;
}

/** Ground-fault element of an AFCI that has one, A. Common practice: it guards wiring, not people. */
const AFCI_SHARE_A = 0.03;

/** Current from which a protecting kind opens on a ground fault, A; null where it has no element for that. */
const opensFrom = (kind: keyof typeof SENSES, id: string, { groundFaultShare }: State): number | null =>
  SENSES[kind].people
    ? GROUND_FAULT_A
    : SENSES[kind].share && groundFaultShare?.has(id)
      ? AFCI_SHARE_A
      : null;

/** The longest a Class A device may take at a ground-fault current, s; above 264 mA 25 ms (UL 943, from memory). */
export function groundFaultLongestS(amps: number): number {
  const milliamps = amps * 1000;
  if (milliamps < 6) return Number.POSITIVE_INFINITY;
  return milliamps > 264 ? 0.025 : (20 / milliamps) ** 1.43;
}

/** The first protecting device that would open in this state, or none. With two in series either may be first. */
export function groundFault(
  network: Network,
  state: State,
  point: OperatingPoint,
  openBreakers: ReadonlySet<string>,
): GroundFaultTrip | null {
  for (const device of network.protecting) {
    const from = opensFrom(device.kind, device.device, state);
    if (from === null || state.tripped.has(device.device)) continue;
    if (!hasLinePower(point, device)) continue;
    const amps = Math.abs(
      point.wireCurrent(contactWire(device.device, 'hot')) +
        point.wireCurrent(contactWire(device.device, 'neutral')),
    );
    if (amps >= from) return { at: device.device, by: 'device', reason: 'imbalance', amps };
    if (from === GROUND_FAULT_A && isNeutralGrounded(network, state, device)) {
      return { at: device.device, by: 'device', reason: 'grounded neutral', amps: 0 };
    }
  }
  for (const circuit of network.circuits) {
    const from = opensFrom(circuit.protection, circuit.id, state);
    if (from === null || openBreakers.has(circuit.id)) continue;
    const amps = breakerImbalance(network, point, circuit);
    if (amps >= from) return { at: circuit.id, by: 'breaker', reason: 'imbalance', amps };
  }
  return null;
}

/**
 * What a breaker sees: its hots less its neutral. A multiwire pair whose circuits are protected alike is one two-pole
 * breaker; where only one of them is, that one misses what returns for the other.
 */
export function breakerImbalance(network: Network, point: OperatingPoint, circuit: Circuit): number {
  const pair = network.circuits.filter(
    ({ id, protection }) =>
      id === circuit.id || (id === circuit.multiwireWith && protection === circuit.protection),
  );
  const hots = pair.reduce((sum, { id }) => sum + point.wireCurrent(breakerWire(id)), 0);
  const neutrals = pair.reduce((sum, { id }) => sum + point.wireCurrent(breakerNeutralWire(id)), 0);
  return Math.abs(hots - neutrals);
}

/** Grounded-neutral detection: with the contacts open, the LOAD neutral still finds the panel through metal. */
function isNeutralGrounded(network: Network, state: State, device: NetworkProtection): boolean {
  const joined = new UnionFind(network.points.length);
  network.points.forEach((_, point) => joined.join(point, network.metal.find(point)));
  for (const { a, b } of network.wires) joined.join(a, b);
  // The loop that it listens to runs through both: of a device fed on LOAD the LINE neutral leads nowhere.
  const panel = joined.find(network.reference);
  if (joined.find(device.load.neutral) !== panel || joined.find(device.line.neutral) !== panel) return false;
  // Draw a known small current through the suspect path and take its resistance.
  const probe = {
    ...state,
    tripped: new Set([...state.tripped, device.device]),
    loads: new Map(),
    meter: null,
  };
  const test = 1000;
  const hot = network.legs.A;
  const point = solve(
    { ...network, wires: [...network.wires, { id: 'probe', a: hot, b: device.load.neutral, ohms: test }] },
    probe,
  );
  const amps = Math.abs(point.wireCurrent('probe'));
  const ohms = Math.abs(point.volts(device.load.neutral)) / amps;
  return ohms < GROUNDED_NEUTRAL_OHMS;
}
