import { deviceKind } from '../../trade/devices';
import { isMetal } from '../../trade/standards/boxes';
import { circuitsOf, inBox } from '../../job/model/in-box';
import type { Tick } from '../../job/model/record';
import { boxGroundId, endId, terminalId, type PartKey } from '../../job/model/wiring';
import { switchStates } from '../../power/proof/states';
import { readOhms, solve } from '../../power/energize/solve';
import { REST, type State } from '../../power/energize/state';
import { buildNetwork, type Network } from '../../power/network/network';
import type { Drawable } from '../../wiring/plan';
import { mixedHouse, type Loose, type MixedHouse } from './mixed';

/** From what voltage to ground on an end is live, V: what a hand is to be kept from (NFPA 70E takes 50 V, from memory). */
const LIVE_V = 30;
/** Metal that is joined shows less, Ω. */
const JOINED_OHMS = 1;
/** What is in use where something is: a load behind which a loose neutral is live, W. */
const IN_USE_W = 60;

/** Why a breaker may not be on as the work stands. */
export type NotSafe =
  | { readonly is: 'bare end'; readonly box: string; readonly point: string }
  | { readonly is: 'open box'; readonly box: string }
  /** A metal box, closed, that nothing bonds yet. */
  | { readonly is: 'no ground'; readonly box: string }
  /** A part that has its hot and not its neutral or its ground yet. */
  | { readonly is: 'half wired'; readonly box: string; readonly part: PartKey }
  /** Nothing is known of what is joined in a box that is to be changed. */
  | { readonly is: 'not known'; readonly box: string };

/** What makes it safe: an end to cap, a box to cover. */
export type Measure =
  | { readonly do: 'cap'; readonly box: string; readonly point: string }
  | { readonly do: 'cover'; readonly box: string };

/** Whether the breaker of a circuit may be on, if everyone leaves now. */
export interface Stop {
  readonly circuit: string;
  readonly on: boolean;
  /** Empty where it may be on. */
  readonly why: readonly NotSafe[];
  /** What would make it so; null where only leaving it off and locked does. */
  readonly first: readonly Measure[] | null;
}

/**
 * Where everyone may stop: for each circuit of the job whether its breaker may be on as the work stands now, by energizing the
 * house as it is, with every handle both ways, nothing in use and everything. What is off and locked is safe whatever hangs.
 */
export function stopsOf(plan: Drawable, ticks: readonly Tick[]): Stop[] {
  const house = new Standing(plan, mixedHouse(plan, ticks));
  const alone = plan.job.circuits.map(({ id }) => stopOf(house, id));
  const on = alone.flatMap((stop) => (stop.on ? [stop.circuit] : []));
  // What is safe one by one must be so together as well: two circuits may meet on one neutral.
  const together = house.amiss(house.with(on));
  if (together.length === 0) return alone;
  return alone.map((stop) => (stop.on ? { ...stop, on: false, why: together, first: null } : stop));
}

function stopOf(house: Standing, circuit: string): Stop {
  const alive = house.with([circuit]);
  const why = house.amiss(alive);
  if (why.length === 0) return { circuit, on: true, why, first: [] };
  const measures = why.map((one): Measure | null =>
    one.is === 'bare end'
      ? { do: 'cap', box: one.box, point: one.point }
      : one.is === 'open box'
        ? { do: 'cover', box: one.box }
        : null,
  );
  const first = measures.flatMap((one) => one ?? []);
  const helps = first.length === measures.length && house.amiss(alive, first).length === 0;
  return { circuit, on: false, why, first: helps ? first : null };
}

/** Breakers that are on, and the points that carry a voltage then, in whatever state. */
interface Alive {
  readonly on: readonly string[];
  readonly live: ReadonlySet<string>;
}

/** The house as it stands, asked what is live in it. */
class Standing {
  private readonly network: Network;

  constructor(
    private readonly plan: Drawable,
    private readonly house: MixedHouse,
  ) {
    this.network = buildNetwork(house.wiring, plan.job.circuits);
  }

  /** What is wrong with these breakers being on, once the measures are taken. */
  amiss({ on, live }: Alive, measures: readonly Measure[] = []): NotSafe[] {
    const { states, loose } = this.house;
    const covered = new Set(measures.flatMap((one) => (one.do === 'cover' ? [one.box] : [])));
    const capped = new Set(measures.flatMap((one) => (one.do === 'cap' ? [one.point] : [])));
    const isOpen = (box: string) => states.get(box) === 'open' && !covered.has(box);
    const boxes = this.plan.job.boxes.map(({ id }) => id);
    return [
      ...boxes
        .filter(
          (box) =>
            states.get(box) === 'as it was' &&
            on.some((one) => circuitsOf(inBox(this.plan.wiring, box).cables).has(one)),
        )
        .map((box): NotSafe => ({ is: 'not known', box })),
      ...loose
        .filter(({ box, point }) => states.get(box) !== 'as it was' && !capped.has(point) && live.has(point))
        .map(({ box, point }: Loose): NotSafe => ({ is: 'bare end', box, point })),
      ...boxes
        .filter((box) => isOpen(box) && this.pointsIn(box).some((point) => live.has(point)))
        .map((box): NotSafe => ({ is: 'open box', box })),
      ...boxes
        .filter((box) => !isOpen(box) && states.get(box) !== 'as it was')
        .flatMap((box) => this.unfinished(box, live)),
    ];
  }

  /** A closed box that is live and lacks what protects from it. */
  private unfinished(box: string, live: ReadonlySet<string>): NotSafe[] {
    const family = this.plan.job.boxes.find(({ id }) => id === box)?.family;
    const bonds = inBox(this.plan.wiring, box).tails.some(({ to }) => to === boxGroundId(box));
    const isLive = this.pointsIn(box).some((point) => live.has(point));
    const unbonded =
      isLive &&
      bonds &&
      family !== undefined &&
      isMetal(family) &&
      !this.joined(boxGroundId(box), this.network.ground);
    return [
      ...(unbonded ? [{ is: 'no ground', box } as const] : []),
      ...this.network.parts
        .filter(({ device }) => device.box === box)
        .filter(
          ({ hot, neutral }) => this.isLive(hot, live) && !this.joinedPoints(neutral, this.network.reference),
        )
        .map(({ key }): NotSafe => ({ is: 'half wired', box, part: key })),
    ];
  }

  private isLive = (point: number, live: ReadonlySet<string>): boolean =>
    live.has(this.network.points[point] ?? '');

  private joined(id: string, to: number): boolean {
    const point = this.network.point(id);
    return point !== undefined && this.joinedPoints(point, to);
  }
  private joinedPoints = (from: number, to: number): boolean =>
    readOhms(this.network, REST, from, to) < JOINED_OHMS;

  /** All that can be touched in an open box: ends, splices, screws. */
  private pointsIn(box: string): readonly string[] {
    const { cables, devices, splices, tails } = inBox(this.house.wiring, box);
    return [
      ...cables.flatMap(({ conductors }) => conductors.map(({ id }) => endId(id, box))),
      ...splices.map(({ id }) => id),
      ...tails.map(({ to }) => to),
      ...devices.flatMap(({ id, kind }) => deviceKind(kind).terminals.map((one) => terminalId(id, one.id))),
    ];
  }

  /** With these breakers on: every handle one way and the other, nothing in use and all of it. */
  with(on: readonly string[]): Alive {
    const { network } = this;
    const openBreakers = new Set(network.circuits.map(({ id }) => id).filter((id) => !on.includes(id)));
    const used = new Map(network.parts.map(({ key }) => [key, IN_USE_W] as const));
    const live = new Set<string>();
    const handles = network.devices
      .filter(({ kind }) => kind.positions.length > 1)
      .map(({ wired }) => wired.id);
    for (const positions of switchStates(handles).states)
      for (const loads of [REST.loads, used]) {
        const state: State = { ...REST, openBreakers, positions, loads };
        const { volts } = solve(network, state);
        network.points.forEach((id, point) => {
          if (Math.abs(volts(point)) >= LIVE_V) live.add(id);
        });
      }
    return { on, live };
  }
}
