import {
  powerParts,
  switchFamily,
  switchForPlace,
  wishKind,
  type ControlPart,
  type DeviceKind,
} from '../devices';
import { PANEL, type Device, type Group, type Job, type PowerWant } from '../model/job';
import { terminalId, type NetRole } from '../model/wiring';
import { domainId, hotNetId, neutralNetId, type Feed } from './domains';

/** Places joined by metal in every state: what one conductor of a run can carry. */
export interface Net {
  readonly id: string;
  readonly role: NetRole;
  readonly circuit: string;
  /** What its current must cancel with in every cable. */
  readonly domain: string;
  readonly group: string | null;
  /** The box (or the panel) where it starts. */
  readonly source: string;
  /** Boxes that need it, each with the circuit whose tree leads there. */
  readonly boxes: ReadonlyMap<string, string>;
  /** Terminals in those boxes. */
  readonly terminals: readonly { readonly box: string; readonly terminal: string }[];
}

/** A part that uses power, with its device and want. */
export interface Consumer {
  readonly device: Device;
  readonly part: string;
  readonly want: PowerWant;
}

/** A control group as the wishes describe it: its switch places and what they control. */
export interface ControlGroup {
  readonly group: Group;
  /** Places that are wired; radio switches on the wall are not among them. */
  readonly places: readonly Device[];
  readonly loads: readonly Consumer[];
}

export const consumers = (job: Job): Consumer[] =>
  job.devices.flatMap((device) =>
    Object.entries(device.wants).flatMap(([part, want]) =>
      want.does === 'power' ? [{ device, part, want }] : [],
    ),
  );

export const controlGroups = (job: Job): ControlGroup[] => {
  const places = new Map<string, Device[]>(job.groups.map(({ id }) => [id, []]));
  const loads = new Map<string, Consumer[]>(job.groups.map(({ id }) => [id, []]));
  for (const device of job.devices) {
    for (const [part, want] of Object.entries(device.wants)) {
      if (want.does === 'power') {
        if (want.control !== null) loads.get(want.control)?.push({ device, part, want });
      } else if (!wishKind(device.kind).wireless) places.get(want.group)?.push(device);
    }
  }
  return job.groups.map((group) => ({
    group,
    places: places.get(group.id) ?? [],
    loads: loads.get(group.id) ?? [],
  }));
};

/** The order of switch places from feed to load, by group id. */
export type Orders = ReadonlyMap<string, readonly Device[]>;

export interface NetList {
  readonly nets: readonly Net[];
  readonly netOfTerminal: ReadonlyMap<string, string>;
  /** The kind each device is wired as: a switch becomes single-pole, 3-way or 4-way. */
  readonly kinds: ReadonlyMap<string, DeviceKind>;
  /** Terminals that two nets would have to share: the device cannot do what is asked of it. */
  readonly conflicts: readonly { readonly device: string; readonly terminal: string }[];
}

export const GROUND_NET = 'ground';

/** Switch boxes that get a neutral for later, by feed. */
export type SpareNeutrals = readonly { readonly feed: Feed; readonly boxes: Set<string> }[];

/** The nets that the wishes ask for, given each group's order of places. */
export function deriveNets(
  job: Job,
  groups: readonly ControlGroup[],
  orders: Orders,
  spareNeutrals: SpareNeutrals,
): NetList {
  const build = new NetBuilder(job);
  const kinds = kindsOf(job, groups, orders);
  const switched = new Map<string, Draft>();
  for (const { group, places, loads } of groups) {
    const [first] = loads;
    const order = orders.get(group.id) ?? places;
    if (first && order.length > 0)
      switched.set(group.id, build.chain(group, order, kinds, first.want, loads));
  }
  for (const { device, part, want } of consumers(job)) {
    const kind = kinds.get(device.id) ?? wishKind(device.kind);
    const power = powerParts(kind).find((candidate) => candidate.id === part);
    if (!power) continue;
    const feed = want.control === null ? build.hot(want) : switched.get(want.control);
    if (feed) build.attach(feed, device, power.hot, want.circuit);
    build.attach(build.neutral(want), device, power.neutral, want.circuit);
  }
  for (const { feed, boxes } of spareNeutrals) {
    for (const box of boxes) build.neutral(feed).boxes.set(box, feed.circuit);
  }
  return build.finish(kinds);
}

/** What each device is wired as, for given orders. */
function kindsOf(job: Job, groups: readonly ControlGroup[], orders: Orders): Map<string, DeviceKind> {
  const kinds = new Map(job.devices.map((device) => [device.id, wishKind(device.kind)]));
  for (const { group, places } of groups) {
    const order = orders.get(group.id) ?? places;
    order.forEach((device, rank) => {
      const family = switchFamily(device.kind);
      const kind = family ? switchForPlace(family, rank, order.length) : null;
      if (kind) kinds.set(device.id, kind);
    });
  }
  return kinds;
}

interface Draft extends Net {
  readonly boxes: Map<string, string>;
  readonly terminals: { box: string; terminal: string }[];
}

class NetBuilder {
  private readonly drafts = new Map<string, Draft>();
  private readonly netOfTerminal = new Map<string, string>();
  private readonly conflicts: { device: string; terminal: string }[] = [];

  constructor(private readonly job: Job) {}

  hot = (feed: Feed): Draft => this.source(hotNetId(feed), 'hot', feed);
  neutral = (feed: Feed): Draft => this.source(neutralNetId(this.job, feed), 'neutral', feed);

  /** Travelers from place to place and the switched hot after the last; gives the latter. */
  chain(
    group: Group,
    order: readonly Device[],
    kinds: ReadonlyMap<string, DeviceKind>,
    feed: Feed,
    loads: readonly Consumer[],
  ): Draft {
    let arriving: Draft[] = [this.hot(feed)];
    order.forEach((device, rank) => {
      const handle = controlPart(kinds.get(device.id) ?? wishKind(device.kind));
      const last = rank === order.length - 1;
      const draft = (id: string, role: NetRole) => this.draft(id, role, feed, group.id, device.box);
      const leaving = last
        ? [draft(`switched-${group.id}`, 'switched')]
        : ['a', 'b'].map((wire) => draft(`traveler-${group.id}-${rank + 1}${wire}`, 'traveler'));
      const [feedScrews, loadScrews] = this.isTurned(device, handle, order.length, last, loads)
        ? [handle.loadSide, handle.feedSide]
        : [handle.feedSide, handle.loadSide];
      this.land(device, feedScrews, arriving, feed.circuit);
      this.land(device, loadScrews, leaving, feed.circuit);
      if (handle.neutral !== undefined) this.attach(this.neutral(feed), device, handle.neutral, feed.circuit);
      arriving = leaving;
    });
    return arriving[0] ?? this.hot(feed);
  }

  /**
   * A 3-way that ends the chain is turned about: travelers arrive at its pair. A lone switch is turned by the line
   * screw habit; on a combination device, so that its jumper carries the switched hot to its own outlet.
   */
  private isTurned(
    device: Device,
    handle: ControlPart,
    places: number,
    last: boolean,
    loads: readonly Consumer[],
  ): boolean {
    if (places > 1) return last;
    const jumped = wishKind(device.kind).tabs.some(({ joins }) =>
      joins.some((end) => handle.feedSide.includes(end)),
    );
    if (jumped) return loads.some((load) => load.device.id === device.id);
    return this.job.habits.lineScrew === 'upper' && wishKind(device.kind).id === 'single-pole';
  }

  private land(device: Device, screws: readonly string[], nets: readonly Draft[], circuit: string): void {
    screws.forEach((terminal, index) => {
      const net = nets[index];
      if (net) this.attach(net, device, terminal, circuit);
    });
  }

  attach(net: Draft, device: Device, terminal: string, circuit: string): void {
    const id = terminalId(device.id, terminal);
    const taken = this.netOfTerminal.get(id);
    if (taken === net.id) return;
    if (taken !== undefined) {
      this.conflicts.push({ device: device.id, terminal });
      return;
    }
    net.boxes.set(device.box, circuit);
    net.terminals.push({ box: device.box, terminal: id });
    this.netOfTerminal.set(id, net.id);
  }

  /** A hot or neutral: from the panel, or from the LOAD terminal of a protecting device. */
  private source(id: string, role: 'hot' | 'neutral', feed: Feed): Draft {
    const known = this.drafts.get(id);
    if (known) return known;
    const device = this.job.devices.find((one) => one.id === feed.via);
    const net = this.draft(id, role, feed, null, device?.box ?? PANEL);
    const load = device && wishKind(device.kind).protection?.load;
    if (device && load) this.attach(net, device, load[role], feed.circuit);
    return net;
  }

  private draft(id: string, role: NetRole, feed: Feed, group: string | null, source: string): Draft {
    const known = this.drafts.get(id);
    if (known) return known;
    const domain = domainId(this.job, feed);
    const fresh: Draft = {
      id,
      role,
      circuit: feed.circuit,
      domain,
      group,
      source,
      boxes: new Map(),
      terminals: [],
    };
    this.drafts.set(id, fresh);
    return fresh;
  }

  finish(kinds: ReadonlyMap<string, DeviceKind>): NetList {
    return {
      nets: [...this.drafts.values()],
      netOfTerminal: this.netOfTerminal,
      kinds,
      conflicts: this.conflicts,
    };
  }
}

function controlPart(kind: DeviceKind): ControlPart {
  const part = kind.parts.find((candidate): candidate is ControlPart => candidate.does === 'control');
  if (!part) throw new Error(`${kind.name} has no handle`);
  return part;
}
