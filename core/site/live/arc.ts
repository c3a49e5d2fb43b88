import { SENSES } from '../../trade/devices';
import { solve } from '../../power/energize/solve';
import type { State } from '../../power/energize/state';
import type { Happening, Opener } from './scene';
import type { Standing } from './standing';

/** Smallest current of a series arc that a device must open, A (UL 1699, from memory). */
const ARC_A = 5;
/** The longest it may take at an arc current, 120 V: A and s (UL 1699, from memory). Between them on doubly logarithmic paper. */
const ARC_TIMES = [
  [5, 1],
  [10, 0.4],
  [15, 0.28],
  [20, 0.2],
  [30, 0.14],
] as const;

export function arcLongestS(amps: number): number | null {
  if (amps < ARC_A) return null;
  const [, lastS] = ARC_TIMES[ARC_TIMES.length - 1] ?? [0, 0];
  for (let index = 1; index < ARC_TIMES.length; index++) {
    const [low, high] = [ARC_TIMES[index - 1], ARC_TIMES[index]];
    if (!low || !high || amps > high[0]) continue;
    const share = Math.log(amps / low[0]) / Math.log(high[0] / low[0]);
    return Math.exp(Math.log(low[1]) + share * (Math.log(high[1]) - Math.log(low[1])));
  }
  return lastS;
}

/** Current under which there is nothing to arc, A, and the share of it that is left where an opening put it out. */
const NOTHING_A = 0.05;
const OUT = 0.05;

/**
 * An arc in a broken or loose conductor, in series with what runs through it. It is opened by an AFCI that carries the
 * arc's own current: one whose opening puts it out. Of two in a row either may act; the device is named.
 */
export function strike(
  { network, state, energized }: Standing,
  wire: string,
): Extract<Happening, { what: 'arc' }> {
  const amps = Math.abs(energized.point.wireCurrent(wire));
  const nothing = (why: 'none there' | 'too small' | 'no current') =>
    ({ what: 'arc', amps, opened: null, why }) as const;
  if (amps < NOTHING_A) return nothing('no current');
  const putsOut = (change: Partial<State>): boolean =>
    Math.abs(solve(network, { ...state, ...change }).wireCurrent(wire)) < OUT * amps;
  const device = network.protecting.find(
    (one) =>
      SENSES[one.kind].arcs &&
      !state.tripped.has(one.device) &&
      putsOut({ tripped: new Set([...state.tripped, one.device]) }),
  );
  const circuit = network.circuits.find(
    ({ id, protection }) =>
      SENSES[protection].arcs &&
      !state.openBreakers.has(id) &&
      putsOut({ openBreakers: new Set([...state.openBreakers, id]) }),
  );
  const opener: Omit<Opener, 'withinS'> | null = device
    ? { at: device.device, by: 'device' }
    : circuit
      ? { at: circuit.id, by: 'breaker' }
      : null;
  if (!opener) return nothing('none there');
  const withinS = arcLongestS(amps);
  if (withinS === null) return nothing('too small');
  return { what: 'arc', amps, opened: { ...opener, withinS }, why: null };
}
