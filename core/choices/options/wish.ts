import { byId } from '../../base/by-id';
import { roomOf } from '../../job/model/room-of';
import { applyCommands, type DesignCommand } from '../../job/commands/command';
import { switchFamily, wishKind } from '../../trade/devices';
import { apartFt, measureRun } from '../../job/rooms/route';
import type { Box, Circuit, Device, Design, PowerWant, Run } from '../../job/model/design';

/** What an outlet is to do, carry and stand, whatever takes its place. */
export interface Wish {
  /** What the upper and the lower half are to do; the same twice where the outlet has but one. */
  readonly halves: readonly [PowerWant, PowerWant];
  readonly outlet: Device;
  /** The box it was wished in; null where that box stays without it. */
  readonly place: Box | null;
  /** The box it was wished in, whether it stays or not. */
  readonly stood: Box | undefined;
}

/** Receptacles that the Options stage can look for another way for. */
export const outletsOf = (job: Design): Device[] =>
  job.devices.filter(({ kind }) => wishKind(kind).receptacle);

/**
 * What takes an outlet out of a job: with it a new box and run that serve nothing else. Of a device with a handle of
 * its own a plain switch stays: what it controls is wished too.
 */
export function removalOf(job: Design, outlet: Device): DesignCommand[] {
  if (Object.values(outlet.wants).some(({ does }) => does === 'control'))
    return [{ do: 'set kind', device: outlet.id, kind: 'switch' }];
  const box = job.boxes.find(({ id }) => id === outlet.box);
  const alone = job.devices.every((one) => one === outlet || one.box !== outlet.box);
  const runs = job.runs.filter(({ from, to }) => from === outlet.box || to === outlet.box);
  // A job keeps its last box.
  return box && !box.existing && alone && runs.length === 1 && job.boxes.length > 1
    ? [{ do: 'remove box', box: box.id }]
    : [{ do: 'remove device', device: outlet.id }];
}

/** The job as it stands before the outlet is there; null where it cannot be taken out. */
export function withoutOutlet(job: Design, outlet: Device): Design | null {
  const done = applyCommands(job, removalOf(job, outlet));
  return done.ok ? done.value.job : null;
}

/** The wish of an outlet; null where it takes no power. */
export function wishOf(job: Design, base: Design, outlet: Device): Wish | null {
  const wants = Object.values(outlet.wants).flatMap((want) => (want.does === 'power' ? [want] : []));
  const [first, second = first] = wants;
  if (!first || !second) return null;
  const box = job.boxes.find(({ id }) => id === outlet.box);
  const stays = base.boxes.some(({ id }) => id === outlet.box);
  return { halves: [first, second], outlet, place: stays ? null : (box ?? null), stood: box };
}

/** Both halves do the same: a device with one outlet, or with contacts of its own, can stand for them. */
export const isWhole = ({ halves: [upper, lower] }: Wish): boolean =>
  upper.circuit === lower.circuit && upper.control === lower.control;

/** Always on, as the receptacle of a combination device is. */
export const isConstant = (wish: Wish): boolean => isWhole(wish) && wish.halves[0].control === null;

/** A cord reaches so far along a wall, ft: what a receptacle serves (210.52(A)(1)). */
const CORD_FT = 6;

/**
 * True where nothing that is said of a box puts it elsewhere than the outlet was wished: in another room or air, off the
 * counter it was to serve, further along the walls than a cord reaches.
 */
export function isSamePlace({ rooms }: Design, box: Box, { stood }: Wish): boolean {
  const [here, there] = [roomOf(box), roomOf(stood)];
  if (here !== null && there !== null && here !== there) return false;
  if (box.exposure !== (stood?.exposure ?? 'dry') || box.counter !== (stood?.counter ?? false)) return false;
  const room = rooms.find(({ id }) => id === here);
  return !room || !box.spot || !stood?.spot || apartFt(room, box.spot, stood.spot) <= CORD_FT;
}

/** What a way adds to a job: the device that holds the outlet, and a new box. */
export interface Added {
  readonly device: Device;
  readonly box: Box | null;
  readonly run: Run | null;
  /** Those that feed it. */
  readonly circuits: readonly Circuit[];
}

/** Found by doing it, since ids follow from the job; null where it cannot be done. */
export function addedBy(base: Design, commands: readonly DesignCommand[]): Added | null {
  const done = applyCommands(base, commands);
  if (!done.ok) return null;
  const { job } = done.value;
  const old = byId(base.devices);
  const device = job.devices.find(({ id, kind }) => wishKind(kind).receptacle && old.get(id)?.kind !== kind);
  const box = job.boxes.find(({ id }) => !base.boxes.some((one) => one.id === id)) ?? null;
  const run = job.runs.find(({ id }) => !base.runs.some((one) => one.id === id)) ?? null;
  if (!device) return null;
  const fed = Object.values(device.wants).flatMap((want) => (want.does === 'power' ? [want.circuit] : []));
  return { device, box, run, circuits: job.circuits.filter(({ id }) => fed.includes(id)) };
}

/** The commands of a way, and those that give what it adds all that was wished of the outlet and its place. */
export function carried(
  base: Design,
  wish: Wish,
  commands: readonly DesignCommand[],
): DesignCommand[] | null {
  const plain = addedBy(base, commands);
  if (!plain) return null;
  // A single receptacle stays one: what stands alone on it is not to share it.
  const single = wishKind(wish.outlet.kind).singleOutlet && wishKind(plain.device.kind).halves;
  const placed: DesignCommand[] = [
    ...commands,
    ...(plain.box ? [{ do: 'set box' as const, box: plain.box.id, change: placeFacts(wish) }] : []),
    ...(single ? [{ do: 'set kind' as const, device: plain.device.id, kind: wish.outlet.kind }] : []),
  ];
  const added = addedBy(base, placed);
  if (!added) return null;
  const { device, run } = added;
  return [
    ...placed,
    ...measured(base, placed, run),
    ...Object.entries(device.wants).flatMap(([part, want]): DesignCommand[] =>
      want.does === 'power' ? wishFor(wish, device, part) : [],
    ),
    { do: 'set rating', device: device.id, ratingA: wish.outlet.ratingA },
    { do: 'set device', device: device.id, change: { marks: wish.outlet.marks } },
  ];
}

/** A new run is measured along the wall where both its ends have a spot there; else its length stays a guess. */
function measured(base: Design, commands: readonly DesignCommand[], run: Run | null): DesignCommand[] {
  const done = run && applyCommands(base, commands);
  return run && done?.ok && measureRun(done.value.job, run, 'along')
    ? [{ do: 'set run', run: run.id, change: { route: 'along' } }]
    : [];
}

/** What a half is to do and carry; one outlet that stands for two halves carries the load of both. */
function wishFor({ halves }: Wish, device: Device, part: string): DesignCommand[] {
  const [first, ...second] = [...new Set(halves)];
  if (!first) return [];
  const { circuit, control } = part === 'lower' ? halves[1] : halves[0];
  const loads = part === 'upper' ? [first] : part === 'lower' ? second : [first, ...second];
  const watts = loads.map((half) => half.watts ?? 0).reduce((sum, one) => sum + one, 0);
  const at = { device: device.id, part };
  return [
    { do: 'set want', ...at, change: { circuit, control } },
    {
      do: 'set load',
      ...at,
      watts: Math.min(watts, 7200),
      continuous: loads.some(({ continuous }) => continuous === true),
    },
    {
      do: 'set use',
      ...at,
      change: {
        fixed: loads.some(({ fixed }) => fixed === true),
        motor: loads.some(({ motor }) => motor === true),
        ...(loads.length === 1 && first.appliance ? { appliance: loads[0]?.appliance ?? null } : {}),
      },
    },
  ];
}

/** Facts of the place that rules ask for; the box itself too, where the one that was wished is gone. */
function placeFacts({ place, stood }: Wish): Partial<Box> {
  if (!stood) return {};
  const { room, exposure, waterFt, counter, reach, faces } = stood;
  const facts = { room: roomOf(stood), exposure, waterFt, counter, reach, faces };
  if (!place) return facts;
  const { family, gangs, volumeIn3, ringIn3, internalClamps, heightIn, spot } = place;
  return { ...facts, room, family, gangs, volumeIn3, ringIn3, internalClamps, heightIn, spot };
}

/** A switch of some kind, alone or on a yoke with an outlet. */
export const isSwitch = ({ kind }: Device): boolean => switchFamily(kind) !== null;
