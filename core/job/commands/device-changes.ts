import type { Draft } from 'immer';
import { switchFamily, wishKind, type WishKind } from '../../trade/devices';
import { Device, type Design, type Want } from '../model/design';
import { dropUnused, dropVia, find } from './upkeep';
import { freshId } from '../model/fresh-id';
import { say } from '../../base/words/commands';

/** Typical nonmetallic new-work volumes by gangs, in³ (common practice). */
const NAIL_ON_IN3: Record<number, number> = { 1: 20.3, 2: 32, 3: 44, 4: 60 };

export function addDevice(
  job: Draft<Design>,
  box: string,
  { holds, circuit, group }: { holds: 'outlet' | 'switch' | 'light'; circuit: string; group: string | null },
): void {
  const kind = HOLDS[holds];
  const gang = wishKind(kind).yoke ? seatIn(job, box) : 0;
  const power = (control: string | null) => ({ does: 'power' as const, circuit, control, via: null });
  const top = job.habits.switchedHalf === 'top';
  const wants: Record<string, Draft<Want>> = holds === 'outlet'
    ? { upper: power(top ? group : null), lower: power(top ? null : group) }
    : holds === 'light'
      ? { lamp: { ...power(group), watts: 60 } }
      : { handle: { does: 'control', group: group ?? newGroup(job, box) } };
  job.devices.push(Device.parse({ id: freshId(job.devices, `${box} ${holds}`), box, gang, kind, wants }));
}

const HOLDS = { outlet: 'duplex', light: 'luminaire', switch: 'switch' } as const;

/** The other half becomes the switched one on every half-switched duplex: the same through the whole job. */
export function turnHalves(job: Draft<Design>): void {
  for (const { kind, wants } of job.devices) {
    const { upper, lower } = wants;
    if (!wishKind(kind).halves || upper?.does !== 'power' || lower?.does !== 'power') continue;
    if ((upper.control === null) === (lower.control === null)) continue;
    wants['upper'] = lower;
    wants['lower'] = upper;
  }
}

/** Another kind in the same place: what its parts must do is taken over where it can be. */
export function setKind(job: Draft<Design>, id: string, kind: WishKind): void {
  const device = find(job.devices, id);
  const old = Object.values(device.wants);
  const power = old.find((want) => want.does === 'power');
  const control = old.find((want) => want.does === 'control');
  const circuit = power?.does === 'power' ? power.circuit : (job.circuits[0]?.id ?? '');
  const { parts } = wishKind(kind);
  const wants: Record<string, Draft<Want>> = {};
  for (const part of parts) {
    const same = device.wants[part.id];
    if (same?.does === part.does) wants[part.id] = same;
    else if (part.does === 'power') {
      wants[part.id] =
        power?.does === 'power' ? { ...power } : { does: 'power', circuit, control: null, via: null };
    } else wants[part.id] = control ? { ...control } : { does: 'control', group: newGroup(job, device.box) };
  }
  device.kind = kind;
  device.was = false;
  device.wants = wants;
  if (!wishKind(kind).protection) dropVia(job, id);
  dropUnused(job);
}

function newGroup(job: Draft<Design>, box: string): string {
  const name = job.boxes.find(({ id }) => id === box)?.name ?? box;
  const id = freshId(job.groups, `${box} switch`);
  job.groups.push({ id, name: say('deviceChanges.namedSwitch', { name }) });
  return id;
}

/** Takes a free gang in the box, and a larger box where there is none. */
function seatIn(job: Draft<Design>, box: string): number {
  const own = find(job.boxes, box);
  const taken = job.devices
    .filter((device) => device.box === box && wishKind(device.kind).yoke)
    .map(({ gang }) => gang);
  const gang = [0, 1, 2, 3].find((seat) => !taken.includes(seat)) ?? 3;
  if (gang >= own.gangs) {
    own.gangs = Math.min(gang + 1, 4);
    if (own.family === 'nail-on' || own.family === 'cut-in') {
      own.volumeIn3 = Math.max(own.volumeIn3, NAIL_ON_IN3[own.gangs] ?? own.volumeIn3);
    }
  }
  return gang;
}

export function moveDevice(job: Draft<Design>, id: string, box: string): void {
  const device = find(job.devices, id);
  if (device.box === box) return;
  const gang = seatIn(job, box);
  Object.assign(device, { box, gang });
}

/** Changes places with the neighbour, or moves into an empty gang. */
export function moveGang(job: Draft<Design>, id: string, toward: 'left' | 'right'): void {
  const device = find(job.devices, id);
  const gangs = find(job.boxes, device.box).gangs;
  const next = device.gang + (toward === 'left' ? -1 : 1);
  if (next < 0 || next >= gangs) return;
  const neighbour = job.devices.find(
    (one) => one.box === device.box && one.gang === next && wishKind(one.kind).yoke,
  );
  if (neighbour) neighbour.gang = device.gang;
  device.gang = next;
}

/** A radio switch on the wall and its receiver at what it controls: the two wires between carry power instead. */
export function freeThePair(job: Draft<Design>, id: string): void {
  const device = find(job.devices, id);
  const handle = Object.values(device.wants).find((want) => want.does === 'control');
  if (handle?.does !== 'control' || switchFamily(device.kind) === null) return;
  const load = job.devices.find(({ wants }) =>
    Object.values(wants).some((want) => want.does === 'power' && want.control === handle.group),
  );
  if (!load) return;
  device.kind = 'radio-switch';
  device.was = false;
  device.wants = { handle: { ...handle } };
  job.devices.push(
    Device.parse({
      id: freshId(job.devices, `${load.box} receiver`),
      box: load.box,
      gang: load.gang,
      kind: 'radio-receiver',
      wants: { handle: { does: 'control', group: handle.group } },
    }),
  );
}
