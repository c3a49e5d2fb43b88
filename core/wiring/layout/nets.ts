import {
  powerParts,
  switchFamily,
  switchForPlace,
  wishKind,
  type ControlPart,
  type DeviceKind,
} from '../../trade/devices';
import { PANEL, type Device, type Group, type Design, type PowerWant } from '../../job/model/design';
import {
  switchedNet,
  terminalId,
  travelerNet,
  type DomainId,
  type NetId,
  type NetRole,
  type TerminalId,
} from '../../job/model/wiring';
import { domainId, hotNetId, neutralNetId, type Feed } from './domains';

/**
 * What a net runs for: the constant feed of one domain, or one control group. Each purpose has a tree of its own over
 * the runs, and all that serves it keeps to that tree, so that its currents cancel in every cable.
 */
export type PurposeId = NetId;
export const constantPurpose = (feed: Feed): PurposeId => hotNetId(feed);
export const groupPurpose = (group: string): PurposeId => switchedNet(group);

/** A box that a net must reach for some purpose. */
export interface Demand {
  readonly purpose: PurposeId;
  readonly box: string;
  /** It only waits there for a later device: given up where an existing cable has no conductor for it. */
  readonly soft: boolean;
}

/** A terminal that a net lands on, by the way of its purpose. */
export interface Landing {
  readonly box: string;
  readonly terminal: TerminalId;
  readonly purpose: PurposeId;
}

/** Places joined by metal in every state: what one conductor of a run can carry. */
export interface Net {
  readonly id: NetId;
  readonly role: NetRole;
  readonly circuit: string;
  /** What its current must cancel with in every cable. */
  readonly domain: DomainId;
  readonly group: string | null;
  /** The box (or the panel) where it starts. */
  readonly source: string;
  readonly demands: readonly Demand[];
  readonly terminals: readonly Landing[];
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

export function consumers(job: Design): readonly Consumer[] {
  const known = consumersOf.get(job);
  if (known) return known;
  const found: Consumer[] = [];
  for (const device of job.devices) {
    for (const [part, want] of Object.entries(device.wants))
      if (want.does === 'power') found.push({ device, part, want });
  }
  consumersOf.set(job, found);
  return found;
}
/** A job is never changed: what uses power in it is gathered once. */
const consumersOf = new WeakMap<Design, readonly Consumer[]>();

export const controlGroups = (job: Design): ControlGroup[] => {
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
  readonly netOfTerminal: ReadonlyMap<TerminalId, NetId>;
  /** The kind each device is wired as: a switch becomes single-pole, 3-way or 4-way. */
  readonly kinds: ReadonlyMap<string, DeviceKind>;
  /** Terminals that two nets would have to share: the device cannot do what is asked of it. */
  readonly conflicts: readonly { readonly device: string; readonly terminal: string }[];
}

/** Switch boxes that get a neutral for later. */
export type SpareNeutrals = readonly { readonly feed: Feed; readonly group: string; readonly box: string }[];

/** The nets that the wishes ask for, given each group's order of places. */
export function deriveNets(
  job: Design,
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
    const purpose = want.control === null ? constantPurpose(want) : groupPurpose(want.control);
    const feed = want.control === null ? build.hot(want) : switched.get(want.control);
    if (feed) build.attach(feed, device, power.hot, purpose);
    build.attach(build.neutral(want), device, power.neutral, purpose);
  }
  for (const { feed, group, box } of spareNeutrals) {
    build.neutral(feed).demands.push({ purpose: groupPurpose(group), box, soft: true });
  }
  return build.finish(kinds);
}

/** What each device is wired as, for given orders. */
function kindsOf(job: Design, groups: readonly ControlGroup[], orders: Orders): Map<string, DeviceKind> {
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
  readonly demands: Demand[];
  readonly terminals: Landing[];
}

class NetBuilder {
  private readonly drafts = new Map<NetId, Draft>();
  private readonly netOfTerminal = new Map<TerminalId, NetId>();
  private readonly conflicts: { device: string; terminal: string }[] = [];

  constructor(private readonly job: Design) {}

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
    const purpose = groupPurpose(group.id);
    let arriving: Draft[] = [this.hot(feed)];
    order.forEach((device, rank) => {
      const handle = controlPart(kinds.get(device.id) ?? wishKind(device.kind));
      const last = rank === order.length - 1;
      const draft = (id: NetId, role: NetRole) => this.draft(id, role, feed, group.id, device.box);
      const leaving = last
        ? [draft(switchedNet(group.id), 'switched')]
        : (['a', 'b'] as const).map((wire) => draft(travelerNet(group.id, rank + 1, wire), 'traveler'));
      const [feedScrews, loadScrews] = this.isTurned(device, handle, order.length, last, loads)
        ? [handle.loadSide, handle.feedSide]
        : [handle.feedSide, handle.loadSide];
      this.land(device, feedScrews, arriving, purpose);
      this.land(device, loadScrews, leaving, purpose);
      if (handle.neutral !== undefined) this.attach(this.neutral(feed), device, handle.neutral, purpose);
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
    return this.job.habits.lineScrew === 'upper' && wishKind(device.kind).equalScrews === true;
  }

  private land(device: Device, screws: readonly string[], nets: readonly Draft[], purpose: PurposeId): void {
    screws.forEach((terminal, index) => {
      const net = nets[index];
      if (net) this.attach(net, device, terminal, purpose);
    });
  }

  attach(net: Draft, device: Device, terminal: string, purpose: PurposeId): void {
    const id = terminalId(device.id, terminal);
    const taken = this.netOfTerminal.get(id);
    if (taken !== undefined && taken !== net.id) {
      this.conflicts.push({ device: device.id, terminal });
      return;
    }
    net.demands.push({ purpose, box: device.box, soft: false });
    net.terminals.push({ box: device.box, terminal: id, purpose });
    this.netOfTerminal.set(id, net.id);
  }

  /** A hot or neutral: from the panel, or from the LOAD terminal of a protecting device. */
  private source(id: NetId, role: 'hot' | 'neutral', feed: Feed): Draft {
    const known = this.drafts.get(id);
    if (known) return known;
    const device = this.job.devices.find((one) => one.id === feed.via);
    const net = this.draft(id, role, feed, null, device?.box ?? PANEL);
    const load = device && wishKind(device.kind).protection?.load;
    if (device && load) {
      const terminal = terminalId(device.id, load[role]);
      net.terminals.push({ box: device.box, terminal, purpose: constantPurpose(feed) });
      this.netOfTerminal.set(terminal, net.id);
    }
    return net;
  }

  private draft(id: NetId, role: NetRole, feed: Feed, group: string | null, source: string): Draft {
    const known = this.drafts.get(id);
    if (known) return known;
    const fresh: Draft = {
      id,
      role,
      circuit: feed.circuit,
      domain: domainId(this.job, feed),
      group,
      source,
      demands: [],
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
