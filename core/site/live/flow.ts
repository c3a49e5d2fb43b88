import { reduced, solve, type OperatingPoint } from '../../power/energize/solve';
import type { State } from '../../power/energize/state';
import { loadWire, type PartKey } from '../../job/model/wiring';
import type { Network, Resistor } from '../../power/network/network';

/**
 * The way of one load's current: to it, and back from it; by wire, true where that way leads from the first end to the
 * second, whichever leg it is on.
 */
export interface LoadFlow {
  readonly part: PartKey;
  readonly amps: number;
  readonly to: ReadonlyMap<string, boolean>;
  readonly back: ReadonlyMap<string, boolean>;
}

/**
 * Current that a load must draw to have a way, A, and the share of it that belongs to the way. Less is what other loads
 * draw more because the voltage recovers: a few hundredths, the loop's resistance over theirs.
 */
const FROM_A = 0.005;
const SHARE = 0.1;

/**
 * Where the current of a load runs in a state: what changes in the wires when the load is taken away, followed from its
 * hot side back to the source and from its neutral side on to it. Where another load carries it on (an open neutral
 * between two legs) the way leads through that load.
 */
export function flowOf(
  network: Network,
  state: State,
  point: OperatingPoint,
  part: PartKey,
): LoadFlow | null {
  const own = network.parts.find(({ key }) => key === part);
  const loads = new Map(state.loads);
  if (!own || !loads.delete(part)) return null;
  const { at, resistors: lists } = reduced(network, state);
  const resistors = lists.flat();
  const drawn = resistors.find(({ id }) => id === loadWire(part));
  const amps = drawn ? point.current(drawn) : 0;
  if (!drawn || Math.abs(amps) < FROM_A) return null;
  const without = solve(network, { ...state, loads });
  const ways = resistors.flatMap((resistor): Edge[] => {
    if (resistor === drawn) return [];
    const change = (point.current(resistor) - without.current(resistor)) * Math.sign(amps);
    if (Math.abs(change) < SHARE * Math.abs(amps)) return [];
    const [from, to] = change > 0 ? [resistor.a, resistor.b] : [resistor.b, resistor.a];
    return [{ resistor, from: at(from), to: at(to) }];
  });
  const ends = new Set([network.legs.A, network.legs.B, network.reference].map(at));
  const follow = (start: number, next: (edge: Edge, here: number) => number | null) => {
    const seen = new Set([start]);
    const wires = new Map<string, boolean>();
    for (const here of seen) {
      if (ends.has(here)) continue;
      for (const edge of ways) {
        const there = next(edge, here);
        if (there === null) continue;
        wires.set(edge.resistor.id, edge.from === at(edge.resistor.a));
        seen.add(there);
      }
    }
    return wires;
  };
  return {
    part,
    amps: Math.abs(amps),
    to: follow(at(own.hot), ({ from, to }, here) => (to === here ? from : null)),
    back: follow(at(own.neutral), ({ from, to }, here) => (from === here ? to : null)),
  };
}

interface Edge {
  readonly resistor: Resistor;
  readonly from: number;
  readonly to: number;
}
