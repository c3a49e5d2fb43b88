import { readMeter, readNonContact, type MeterReading } from '../../power/energize/instruments';
import { readOhms } from '../../power/energize/solve';
import { isMetal } from '../../trade/standards/boxes';
import { isGround } from '../../trade/standards/cables';
import { boxGroundId } from '../../job/model/wiring';
import { movables } from './rewire';
import type { Scene } from './scene';
import type { Setting, Standing } from './standing';

export type Shown =
  | MeterReading
  | { readonly kind: 'ohms'; readonly ohms: number }
  /** Voltage across what an ohmmeter is put on. */
  | { readonly kind: 'live' };

/** Voltage to ground from which an ohmmeter must not be used, V. Plausible figure. */
const LIVE_V = 1;

/** What the meter shows; null while a probe is missing. */
export function meterShows({ network, state, energized }: Standing, { meter }: Scene): Shown | null {
  const { from, to, impedance } = meter;
  if (from === null || to === null) return null;
  if (impedance !== 'ohms') return readMeter(network, state, { impedance, from, to });
  const [a, b] = [network.point(from), network.point(to)];
  if (a === undefined || b === undefined) return { kind: 'ohms', ohms: Number.POSITIVE_INFINITY };
  const live = [a, b].some((at) => Math.abs(energized.point.volts(at)) > LIVE_V);
  return live ? { kind: 'live' } : { kind: 'ohms', ohms: readOhms(network, state, a, b) };
}

/** Net amperes in a clamp: of one conductor or pigtail, or of a cable's insulated ones, the bare folded back. */
export function clampShows({ house, energized }: Standing, round: string): number {
  const cable = house.wiring.cables.find(({ id }) => id === round);
  const { point } = energized;
  return Math.abs(
    cable
      ? cable.conductors.reduce(
          (sum, { id, insulation }) => (isGround(insulation) ? sum : sum + point.wireCurrent(id)),
          0,
        )
      : point.wireCurrent(round),
  );
}

/** What a non-contact tester does at a point; null where nothing is. */
export function tipShows({ network, energized }: Standing, at: string): 'glows' | 'dark' | 'unsure' | null {
  const point = network.point(at);
  return point === undefined ? null : readNonContact(energized, point);
}

/** Voltage of each metal box to the panel's ground, V; NaN where nothing leads to it. */
export function metalVolts({ job }: Setting, { network, energized }: Standing): ReadonlyMap<string, number> {
  return new Map(
    job.boxes
      .filter(({ family }) => isMetal(family))
      .map(({ id }) => {
        const point = network.point(boxGroundId(id));
        return [id, point === undefined ? Number.NaN : Math.abs(energized.point.volts(point))];
      }),
  );
}

export interface HotSpot {
  readonly end: string;
  readonly ohms: number;
  readonly amps: number;
  readonly watts: number;
}

/** What the loose contacts make of what runs through them: I²R. */
export function hotSpots({ house }: Setting, { energized }: Standing, { rewired }: Scene): HotSpot[] {
  const known = movables(house.wiring);
  return Object.entries(rewired.loose).flatMap(([end, ohms]) => {
    const own = known.get(end);
    if (!own) return [];
    const amps = Math.abs(energized.point.wireCurrent(own.wire));
    return [{ end, ohms, amps, watts: amps ** 2 * ohms }];
  });
}
