import { deviceKind, powerParts, switchForPlace, type ControlPart, type DeviceKind } from '../devices';
import { PANEL, type Device, type Group, type Job, type PowerWant } from '../model/job';
import { terminalId, type NetRole } from '../model/wiring';

/** Places joined by metal in every state: what one conductor of a run can carry. */
export interface Net {
  readonly id: string;
  readonly role: NetRole;
  readonly circuit: string;
  readonly group: string | null;
  /** The box (or the panel) where it starts. */
  readonly source: string;
  /** Boxes that need it, the source left out. */
  readonly boxes: ReadonlySet<string>;
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
      if (want.does === 'control') places.get(want.group)?.push(device);
      else if (want.control !== null) loads.get(want.control)?.push({ device, part, want });
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
}

export const hotNet = (circuit: string): string => `hot-${circuit}`;
export const neutralNet = (circuit: string): string => `neutral-${circuit}`;
export const GROUND_NET = 'ground';

/**
 * The nets that the wishes ask for, given each group's order of places. Neutrals listed in `spareNeutrals` reach
 * a switch box for later use only.
 */
export function deriveNets(
  job: Job,
  groups: readonly ControlGroup[],
  orders: Orders,
  spareNeutrals: ReadonlyMap<string, ReadonlySet<string>>,
): NetList {
  const drafts = new Map<string, Draft>();
  const netOfTerminal = new Map<string, string>();
  const kinds = new Map<string, DeviceKind>();

  const draft = (id: string, role: NetRole, circuit: string, group: string | null, source: string): Draft => {
    const known = drafts.get(id);
    if (known) return known;
    const fresh: Draft = { id, role, circuit, group, source, boxes: new Set(), terminals: [] };
    drafts.set(id, fresh);
    return fresh;
  };
  const attach = (net: Draft, device: Device, terminal: string) => {
    net.boxes.add(device.box);
    const id = terminalId(device.id, terminal);
    net.terminals.push({ box: device.box, terminal: id });
    netOfTerminal.set(id, net.id);
  };
  const hot = (circuit: string) => draft(hotNet(circuit), 'hot', circuit, null, PANEL);
  const neutral = (circuit: string) => draft(neutralNet(circuit), 'neutral', circuit, null, PANEL);

  for (const device of job.devices) {
    if (device.kind !== 'switch') kinds.set(device.id, deviceKind(device.kind));
  }
  const switchedNets = new Map<string, Draft>();
  for (const { group, places, loads } of groups) {
    const order = orders.get(group.id) ?? places;
    order.forEach((device, rank) => kinds.set(device.id, switchForPlace(rank, order.length)));
    const circuit = loads[0]?.want.circuit;
    if (circuit === undefined) continue;
    let arriving: Draft[] = [hot(circuit)];
    order.forEach((device, rank) => {
      const handle = controlPart(kinds.get(device.id) ?? switchForPlace(rank, order.length));
      const last = rank === order.length - 1;
      const leaving = last
        ? [draft(`switched-${group.id}`, 'switched', circuit, group.id, device.box)]
        : ['a', 'b'].map((wire) =>
            draft(`traveler-${group.id}-${rank + 1}${wire}`, 'traveler', circuit, group.id, device.box),
          );
      // A 3-way that ends the chain is turned about: travelers arrive at its pair, the load leaves its common.
      const turned = order.length > 1 && last;
      const [arrivals, departures] = turned
        ? [handle.loadSide, handle.feedSide]
        : [handle.feedSide, handle.loadSide];
      const flipped = order.length === 1 && job.habits.lineScrew === 'upper';
      const [feedScrews, loadScrews] = flipped ? [departures, arrivals] : [arrivals, departures];
      feedScrews.forEach((terminal, index) => {
        const net = arriving[index];
        if (net) attach(net, device, terminal);
      });
      loadScrews.forEach((terminal, index) => {
        const net = leaving[index];
        if (net) attach(net, device, terminal);
      });
      arriving = leaving;
    });
    const end = arriving[0];
    if (end) switchedNets.set(group.id, end);
  }

  for (const { device, part, want } of consumers(job)) {
    const kind = kinds.get(device.id);
    const power = kind && powerParts(kind).find((candidate) => candidate.id === part);
    if (!power) continue;
    const feed = want.control === null ? hot(want.circuit) : switchedNets.get(want.control);
    if (feed) attach(feed, device, power.hot);
    attach(neutral(want.circuit), device, power.neutral);
  }
  for (const [circuit, boxes] of spareNeutrals) {
    for (const box of boxes) neutral(circuit).boxes.add(box);
  }
  return { nets: [...drafts.values()], netOfTerminal, kinds };
}

interface Draft extends Net {
  readonly boxes: Set<string>;
  readonly terminals: { box: string; terminal: string }[];
}

function controlPart(kind: DeviceKind): ControlPart {
  const part = kind.parts.find((candidate): candidate is ControlPart => candidate.does === 'control');
  if (!part) throw new Error(`${kind.name} has no handle`);
  return part;
}
