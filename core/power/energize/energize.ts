import { breakerSays } from '../../trade/standards/breaker-band';
import type { Network } from '../network/network';
import { groundFault, type GroundFaultTrip } from './ground-fault';
import { solve, type OperatingPoint } from './solve';
import type { State } from './state';

/** A breaker that opened by itself on a short circuit. */
export interface Trip {
  readonly circuit: string;
  readonly amps: number;
  readonly times: number;
}

export interface Energized {
  readonly point: OperatingPoint;
  /** The state that was reached: breakers and contacts that opened by themselves included. */
  readonly state: State;
  /** Breakers that opened on a short circuit, in the order they did. */
  readonly trips: readonly Trip[];
  /** Protecting devices and breakers that opened on a ground fault, in the order they did. */
  readonly groundFaults: readonly GroundFaultTrip[];
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

/** Solves a state, opening what would open by itself until nothing more does. */
export function energize(network: Network, start: State): Energized {
  const trips: Trip[] = [];
  const groundFaults: GroundFaultTrip[] = [];
  let state = start;
  for (;;) {
    const point = solve(network, state);
    const worst = worstBreaker(network, state, point);
    if (worst && worst.times >= TRIP_TIMES) {
      trips.push(worst);
      state = { ...state, openBreakers: withTied(network, state, worst.circuit) };
      continue;
    }
    const fault = groundFault(network, state, point, state.openBreakers);
    if (!fault) return { point, state, trips, groundFaults, overloads: overloads(network, point) };
    groundFaults.push(fault);
    state =
      fault.by === 'device'
        ? { ...state, tripped: new Set([...state.tripped, fault.at]) }
        : { ...state, openBreakers: withTied(network, state, fault.at) };
  }
}

function worstBreaker(network: Network, state: State, point: OperatingPoint): Trip | null {
  let worst: Trip | null = null;
  for (const { id, breakerA } of network.circuits) {
    if (state.openBreakers.has(id)) continue;
    const amps = point.breakerCurrent(id);
    if (!worst || amps / breakerA > worst.times) worst = { circuit: id, amps, times: amps / breakerA };
  }
  return worst;
}

/** A breaker with whatever its handle is tied to. */
function withTied(network: Network, { openBreakers }: State, circuit: string): Set<string> {
  const tied = network.circuits.find(({ id }) => id === circuit)?.tiedWith ?? null;
  return new Set([...openBreakers, circuit, ...(tied === null ? [] : [tied])]);
}

/** Currents over the rating, and what the breaker does about them. */
function overloads(network: Network, point: OperatingPoint): Overload[] {
  return network.circuits.flatMap(({ id, breakerA }) => {
    const amps = point.breakerCurrent(id);
    if (amps / breakerA <= 1.0005) return [];
    const band = breakerSays(amps, breakerA);
    return [{ circuit: id, amps, band }];
  });
}
