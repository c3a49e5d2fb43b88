import { byId } from '../../base/by-id';
import { deviceKind, type Tab } from '../../trade/devices';
import { connectorOf } from '../../wiring/makeup/splice-steps';
import type { Box, Circuit, Design, Device, Run } from '../../job/model/design';
import type { Tail, WiredCable, WiredDevice, Wiring } from '../../job/model/wiring';
import type { Drawable } from '../../wiring/plan';
import { cableTypeName } from '../../job/model/called';
import type { Connector } from '../../trade/standards/connectors';

/** What a plan takes beyond what is there, each thing once: what it costs and how it is ordered are others' business. */
export interface Bill {
  /** Cables to pull, with the existing one that each replaces. */
  readonly cables: readonly { readonly cable: WiredCable; readonly replaces: Run['existing'] }[];
  /** Boxes to set; `instead`: a larger one in the place of one that was there. */
  readonly boxes: readonly { readonly box: Box; readonly instead: boolean }[];
  /** Devices to set; `instead`: another in the place of one that was there. */
  readonly devices: readonly { readonly device: Device; readonly instead: boolean }[];
  /** Breakers that become another kind, and ties that are added or taken off. */
  readonly breakers: readonly {
    readonly circuit: Circuit;
    readonly protection: boolean;
    readonly tie: boolean;
  }[];
  /** Boxes that were there and have to be opened. */
  readonly opened: ReadonlySet<string>;
}

/** The bill of a plan against the job as it was; without one, everything but existing cables is new. */
export function billOf({ job, wiring }: Pick<Drawable, 'job' | 'wiring'>, before: Design | null): Bill {
  const old = {
    boxes: byId(before?.boxes ?? []),
    devices: byId(before?.devices ?? []),
    runs: byId(before?.runs ?? []),
    circuits: byId(before?.circuits ?? []),
  };
  const opened = new Set<string>();
  const open = (box: string) => old.boxes.get(box)?.existing && opened.add(box);
  const cables = wiring.cables
    .filter(({ existing }) => !existing)
    .map((cable) => ({ cable, replaces: old.runs.get(cable.run)?.existing ?? null }));
  for (const { cable } of cables) [cable.from, cable.to].forEach(open);
  const boxes = job.boxes.flatMap((box) => {
    const was = old.boxes.get(box.id);
    if (was && was.volumeIn3 === box.volumeIn3 && was.gangs === box.gangs) return [];
    if (was) opened.add(box.id);
    return [{ box, instead: was !== undefined }];
  });
  const devices = job.devices.flatMap((device) => {
    const was = old.devices.get(device.id);
    if (
      was &&
      was.kind === device.kind &&
      was.ratingA === device.ratingA &&
      was.color === device.color &&
      was.box === device.box
    )
      return [];
    open(device.box);
    return [{ device, instead: was !== undefined }];
  });
  const breakers = job.circuits.flatMap((circuit) => {
    const was = old.circuits.get(circuit.id);
    const protection = circuit.protection !== (was?.protection ?? 'none');
    const tie = circuit.tiedWith !== (was?.tiedWith ?? null);
    return protection || tie ? [{ circuit, protection, tie }] : [];
  });
  return { cables, boxes, devices, breakers, opened };
}

/** New cable by what it is called, ft; runs in `pulled` are left out: they were to be pulled before. */
export function newCableFt(
  wiring: Pick<Wiring, 'cables'>,
  pulled: ReadonlySet<string> = new Set(),
): ReadonlyMap<string, number> {
  const feet = new Map<string, number>();
  for (const cable of wiring.cables) {
    const called = cableTypeName(cable);
    if (!cable.existing && !pulled.has(cable.run)) feet.set(called, (feet.get(called) ?? 0) + cable.lengthFt);
  }
  return feet;
}

/** All of it, ft. */
export const totalFt = (feet: ReadonlyMap<string, number>): number =>
  [...feet.values()].reduce((sum, one) => sum + one, 0);

/** Tabs to break, by device. */
export const brokenTabs = (
  wiring: Pick<Wiring, 'devices'>,
): readonly { readonly device: WiredDevice; readonly tab: Tab }[] =>
  wiring.devices.flatMap((device) =>
    deviceKind(device.kind)
      .tabs.filter(({ id }) => device.brokenTabs.includes(id))
      .map((tab) => ({ device, tab })),
  );

/** Connectors that the make-up takes, how many of each; null for a splice that none on the list holds. */
export function connectorsOf(plan: Pick<Drawable, 'job' | 'wiring'>): ReadonlyMap<Connector | null, number> {
  const counts = new Map<Connector | null, number>();
  for (const splice of plan.wiring.splices) {
    const connector = connectorOf(plan, splice) ?? null;
    counts.set(connector, (counts.get(connector) ?? 0) + 1);
  }
  return counts;
}

/** Short wires to cut: pigtails and jumpers, without the leads that devices bring along. */
export const pigtailsOf = (wiring: Pick<Wiring, 'tails'>): readonly Tail[] =>
  wiring.tails.filter(({ lead }) => !lead);
