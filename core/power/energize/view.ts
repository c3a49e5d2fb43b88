import { sure } from '../../base/sure';
import type { Network } from '../network/network';
import { nodal, type Nodal } from './nodal';
import { Room } from './room';
import { reduced, sources, starts } from './solve';
import type { State } from './state';

/** A state seen from a few points: what any instrument between two of them would show, from one factoring. */
export interface View {
  /** Volts to the service neutral; NaN where the point floats. */
  readonly volts: (index: number) => number;
  /** Volts that an instrument of so many ohms shows between two of the points, its own load counted. */
  readonly across: (from: number, to: number, ohms: number) => number;
  readonly same: (from: number, to: number) => boolean;
}

const room = new Room();

/**
 * Thévenin: between two points stands their open voltage behind the resistance that 1 A in and out of them finds.
 * Indexes are those of `points`.
 */
export function view(network: Network, state: State, points: readonly number[]): View {
  const { at, root, resistors } = reduced(network, state);
  const solved = nodal(resistors, root, starts(network, at), sources(network), room.clear());
  const open = Float64Array.from(points, solved.volts);
  // Where nothing stands between any two of them, no instrument loads anything.
  const known = open.filter((volts) => !Number.isNaN(volts));
  const behind = known.some((volts) => volts !== known[0]) ? behindPoints(points, solved) : null;
  const nodes = Int32Array.from(points, at);
  return {
    volts: (index) => open[index] ?? Number.NaN,
    same: (from, to) => nodes[from] === nodes[to],
    across: (from, to, ohms) => {
      const between = (open[from] ?? Number.NaN) - (open[to] ?? Number.NaN);
      // A floating point follows the instrument: nothing flows, nothing shows.
      if (behind === null || Number.isNaN(between) || between === 0) return 0;
      return (Math.abs(between) * ohms) / (ohms + behind(from, to));
    },
  };
}

/** What leaks from any point of a dead wiring to the panel, Ω: far beyond what an ohmmeter tells from open. */
const LEAK_OHMS = 1e9;

/** Ω between any two of a few points of a dead wiring, as `readOhms` gives them, from one factoring. */
export function ohmsView(
  network: Network,
  state: State,
  points: readonly number[],
): (from: number, to: number) => number {
  const dead = { ...state, openBreakers: new Set(network.circuits.map(({ id }) => id)) };
  const { at, root, resistors } = reduced(network, dead);
  const leaks = network.points.map((id, point) => ({
    id,
    a: point,
    b: network.reference,
    ohms: LEAK_OHMS,
  }));
  const start = at(network.reference);
  const behind = behindPoints(points, nodal([...resistors, leaks], root, [start], [], room.clear()));
  const nodes = Int32Array.from(points, at);
  return (from, to) => (nodes[from] === nodes[to] ? 0 : behind(from, to));
}

/** Ω that 1 A in at one point and out at another finds, by their indexes. */
function behindPoints(points: readonly number[], { perAmpere }: Nodal): (from: number, to: number) => number {
  const size = points.length;
  const raised = new Float64Array(size * size);
  points.forEach((point, row) => {
    raised.set(perAmpere(point, points), row * size);
  });
  const of = (row: number, column: number): number =>
    sure(raised[row * size + column], 'such pair of points');
  return (from, to) => of(from, from) + of(to, to) - 2 * of(from, to);
}
