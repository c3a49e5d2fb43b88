import type { Network } from '../network/network';
import { solve, type OperatingPoint } from './solve';
import type { State } from './state';

/** A breaker that opened by itself. */
export interface Trip {
  readonly circuit: string;
  readonly amps: number;
  readonly times: number;
}

export interface Energized {
  readonly point: OperatingPoint;
  /** Breakers that opened on a short circuit, in the order they did. */
  readonly trips: readonly Trip[];
  /** Breakers that hold for now but carry more than their rating. */
  readonly overloads: readonly Overload[];
}

export interface Overload {
  readonly circuit: string;
  readonly amps: number;
  readonly band: string;
}

/**
 * From this multiple of its rating a breaker is taken to open at once. Makers' instantaneous pick-ups lie between
 * about 6 and 15 times (common practice); below, it would open within seconds anyway.
 */
export const TRIP_TIMES = 6;

/** Solves a state, opening breakers on a short circuit until none is left that would. */
export function energize(network: Network, state: State): Energized {
  const trips: Trip[] = [];
  let open = state.openBreakers;
  for (;;) {
    const point = solve(network, { ...state, openBreakers: open });
    const worst = network.circuits
      .filter(({ id }) => !open.has(id))
      .map(({ id, breakerA }) => ({ circuit: id, amps: point.breakerCurrent(id), breakerA }))
      .map((one) => ({ circuit: one.circuit, amps: one.amps, times: one.amps / one.breakerA }))
      .reduce<Trip | null>((most, one) => (!most || one.times > most.times ? one : most), null);
    if (!worst || worst.times < TRIP_TIMES) {
      return { point, trips, overloads: overloads(network, point) };
    }
    trips.push(worst);
    open = new Set([...open, worst.circuit]);
  }
}

/** Bands of a molded-case breaker's curve up to 30 A (UL 489, from memory). */
function overloads(network: Network, point: OperatingPoint): Overload[] {
  return network.circuits.flatMap(({ id, breakerA }) => {
    const amps = point.breakerCurrent(id);
    const times = amps / breakerA;
    if (times <= 1.0005) return [];
    const band =
      times >= 2
        ? 'opens within 2 minutes'
        : times >= 1.35
          ? 'opens within an hour'
          : 'over its rating; may or may not open';
    return [{ circuit: id, amps, band }];
  });
}
