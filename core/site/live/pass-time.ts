import { TRIP_TIMES } from '../../power/energize/energize';
import type { OperatingPoint } from '../../power/energize/solve';
import type { Network } from '../../power/network/network';
import { longestS } from '../../trade/standards/breaker-band';
import type { Scene, Happening } from './scene';
import { settled, tripped } from './settle';
import { type Setting, standing } from './standing';

/** How fast a breaker that is not overloaded cools, share of its longest time a second. A plausible figure. */
const COOLS = 1 / 600;

/** Lets time pass: an overloaded breaker opens at the latest when its band says; others cool. */
export function passed(setting: Setting, scene: Scene, seconds: number): Scene {
  let now: Scene = { ...scene, happened: [] };
  let left = seconds;
  for (;;) {
    const { network, energized } = standing(setting, now);
    const rates = heating(network, energized.point);
    const { heat } = now.clock;
    const [first, within] = soonest(rates, heat);
    const opens = first !== null && within <= left;
    const step = opens ? within : left;
    const warmed = Object.fromEntries(
      [...rates].flatMap(([id, rate]) => {
        const own = Math.max(0, (heat[id] ?? 0) + rate * step);
        return own > 0 ? [[id, own] as const] : [];
      }),
    );
    now = { ...now, clock: { seconds: now.clock.seconds + step, heat: warmed } };
    left -= step;
    if (!opens) return now;
    const trip: Happening = {
      what: 'overload',
      circuit: first,
      amps: energized.point.breakerCurrent(first),
      afterS: now.clock.seconds,
    };
    const rest = Object.fromEntries(Object.entries(warmed).filter(([id]) => id !== first));
    const before = now.happened;
    now = settled(
      setting,
      tripped(
        setting,
        { ...now, clock: { ...now.clock, heat: rest } },
        { at: first, by: 'breaker', withinS: null },
      ),
      [...before, trip],
    );
  }
}

/** By circuit, the share of its breaker's longest time that passes in a second. */
function heating(network: Network, point: OperatingPoint): Map<string, number> {
  return new Map(
    network.circuits.map(({ id, breakerA }) => {
      const times = point.breakerCurrent(id) / breakerA;
      const longest = times < TRIP_TIMES ? longestS(times) : Number.POSITIVE_INFINITY;
      return [id, Number.isFinite(longest) ? 1 / longest : -COOLS];
    }),
  );
}

function soonest(
  rates: ReadonlyMap<string, number>,
  heat: Readonly<Record<string, number>>,
): readonly [circuit: string | null, seconds: number] {
  let best: readonly [string | null, number] = [null, Number.POSITIVE_INFINITY];
  for (const [id, rate] of rates) {
    const within = rate > 0 ? Math.max(0, 1 - (heat[id] ?? 0)) / rate : Number.POSITIVE_INFINITY;
    if (within < best[1]) best = [id, within];
  }
  return best;
}
