import type { Draft } from 'immer';
import { switchFamily, wishKind, type WishKind } from '../devices';
import { PANEL, type Job, type Want } from '../model/job';
import type { Command } from './command';
import { freshId } from './fresh-id';

/** Carries a command out on a draft whose named things were checked to be there. */
export function change(job: Draft<Job>, command: Command): void {
  switch (command.do) {
    case 'rename job':
      job.name = command.name;
      return;
    case 'set edition':
      job.edition = command.edition;
      return;
    case 'set habits':
      if (command.habits.switchedHalf && command.habits.switchedHalf !== job.habits.switchedHalf)
        turnHalves(job);
      Object.assign(job.habits, command.habits);
      return;
    case 'set circuit':
      Object.assign(find(job.circuits, command.circuit), command.change);
      return;
    case 'move feed': {
      const run = find(job.runs, command.run);
      if (run.from === PANEL) run.to = command.box;
      else run.from = command.box;
      return;
    }
    case 'set box':
      Object.assign(find(job.boxes, command.box), command.change);
      return;
    case 'set run':
      Object.assign(find(job.runs, command.run), command.change);
      return;
    case 'set control':
    case 'set load': {
      const want = find(job.devices, command.device).wants[command.part];
      if (want?.does !== 'power') return;
      if (command.do === 'set control') want.control = command.control;
      else Object.assign(want, { watts: command.watts, continuous: command.continuous });
      return;
    }
    case 'set want': {
      const want = find(job.devices, command.device).wants[command.part];
      if (want?.does === 'power') Object.assign(want, command.change);
      return;
    }
    case 'set group': {
      const want = find(job.devices, command.device).wants[command.part];
      if (want?.does === 'control') want.group = command.group;
      dropUnused(job);
      return;
    }
    case 'set kind':
      setKind(job, command.device, command.kind);
      return;
    case 'move device':
      moveDevice(job, command.device, command.box);
      return;
    case 'move gang':
      moveGang(job, command.device, command.toward);
      return;
    case 'add run':
      job.runs.push({
        id: freshId(job.runs, `${command.from} ${command.to}`),
        from: command.from,
        to: command.to,
        lengthFt: command.lengthFt,
        existing: null,
        route: 'given',
        ...(command.circuits ? { circuits: command.circuits } : {}),
      });
      return;
    case 'remove run':
      job.runs = job.runs.filter(({ id }) => id !== command.run);
      dropLines(job);
      return;
    case 'split run':
      splitRun(job, command.run, command.name);
      return;
    case 'free the pair':
      freeThePair(job, command.device);
      return;
    case 'set brief':
      Object.assign(job.brief, command.change);
      return;
    case 'add plan lines':
      for (const line of command.lines) {
        job.brief.lines.push({ ...line, id: freshId(job.brief.lines, line.says) });
      }
      return;
    case 'remove plan line':
      job.brief.lines = job.brief.lines.filter(({ id }) => id !== command.line);
      return;
    case 'mark note': {
      const about = find(job.brief.lines, command.line).about;
      if (about.kind === 'note') about.met = command.met;
      return;
    }
    case 'set room': {
      const known = job.rooms.find(({ id }) => id === command.room.id);
      if (known) Object.assign(known, command.room);
      else job.rooms.push(command.room);
      return;
    }
    case 'remove room':
      job.rooms = job.rooms.filter(({ id }) => id !== command.room);
      for (const box of job.boxes) if (box.spot?.room === command.room) box.spot = null;
      return;
    case 'tick':
      job.ticks = job.ticks.filter(({ box, step }) => box !== command.tick.box || step !== command.tick.step);
      job.ticks.push(command.tick);
      return;
    case 'untick':
      job.ticks = job.ticks.filter(({ box, step }) => box !== command.box || step !== command.step);
      return;
    case 'set connector': {
      const connector = job.connectors.find(({ id }) => id === command.connector);
      if (connector) connector.holds = command.holds;
      return;
    }
    case 'set rating':
      find(job.devices, command.device).ratingA = command.ratingA;
      return;
    case 'add box': {
      const id = freshId(job.boxes, command.name);
      job.boxes.push({
        id,
        name: command.name,
        family: command.holds === 'light' ? 'ceiling' : 'nail-on',
        gangs: 1,
        volumeIn3: command.holds === 'light' ? 22.5 : 20.3,
        ringIn3: 0,
        internalClamps: false,
        existing: false,
        closed: false,
        doorSide: null,
        heightIn: null,
        spot: null,
      });
      job.runs.push({
        id: freshId(job.runs, `${command.from} ${id}`),
        from: command.from,
        to: id,
        lengthFt: command.lengthFt,
        existing: null,
        route: 'given',
        ...(command.from === PANEL ? { circuits: [command.circuit] } : {}),
      });
      addDevice(job, id, command);
      return;
    }
    case 'add device':
      addDevice(job, command.box, command);
      return;
    case 'remove device': {
      const device = find(job.devices, command.device);
      job.devices = job.devices.filter((one) => one !== device);
      dropVia(job, device.id);
      dropUnused(job);
      return;
    }
    case 'remove box':
      removeBox(job, command.box);
      return;
  }
}

/** Typical nonmetallic new-work volumes by gangs, in³ (common practice). */
const NAIL_ON_IN3: Record<number, number> = { 1: 20.3, 2: 32, 3: 44, 4: 60 };

function addDevice(
  job: Draft<Job>,
  box: string,
  { holds, circuit, group }: { holds: 'outlet' | 'switch' | 'light'; circuit: string; group: string | null },
): void {
  const kind = HOLDS[holds];
  const gang = wishKind(kind).yoke ? seatIn(job, box) : 0;
  const power = (control: string | null) => ({ does: 'power' as const, circuit, control, via: null });
  const wants: Record<string, Draft<Want>> = holds === 'outlet'
    ? { upper: power(null), lower: power(group) }
    : holds === 'light'
      ? { lamp: { ...power(group), watts: 60 } }
      : { handle: { does: 'control', group: group ?? newGroup(job, box) } };
  job.devices.push({ id: freshId(job.devices, `${box} ${holds}`), box, gang, kind, ratingA: 15, wants });
}

const HOLDS = { outlet: 'duplex', light: 'luminaire', switch: 'switch' } as const;

/** A box goes with its devices; what was fed through it is fed from the box before it. */
function removeBox(job: Draft<Job>, box: string): void {
  const arriving = job.runs.find((run) => run.to === box) ?? job.runs.find((run) => run.from === box);
  const before = arriving && (arriving.to === box ? arriving.from : arriving.to);
  job.boxes = job.boxes.filter(({ id }) => id !== box);
  job.ticks = job.ticks.filter((tick) => tick.box !== box);
  job.brief.lines = job.brief.lines.filter(({ about }) => !('box' in about) || about.box !== box);
  for (const device of job.devices.filter((one) => one.box === box)) dropVia(job, device.id);
  job.devices = job.devices.filter((device) => device.box !== box);
  job.runs = job.runs.filter((run) => run !== arriving);
  for (const run of job.runs) {
    for (const end of ['from', 'to'] as const) {
      if (run[end] !== box || before === undefined) continue;
      run[end] = before;
      if (before === PANEL && arriving?.circuits) run.circuits = arriving.circuits;
    }
  }
  dropUnused(job);
  dropLines(job);
}

/** Plan lines about a run that is gone go with it. */
function dropLines(job: Draft<Job>): void {
  job.brief.lines = job.brief.lines.filter(
    ({ about }) => !('run' in about) || job.runs.some(({ id }) => id === about.run),
  );
}

/** Groups that no switch is left for: what they controlled is always on. */
function dropUnused(job: Draft<Job>): void {
  const switched = new Set(
    job.devices.flatMap(({ wants }) =>
      Object.values(wants).flatMap((want) => (want.does === 'control' ? [want.group] : [])),
    ),
  );
  job.groups = job.groups.filter(({ id }) => switched.has(id));
  for (const { wants } of job.devices) {
    for (const want of Object.values(wants)) {
      if (want.does === 'power' && want.control !== null && !switched.has(want.control)) want.control = null;
    }
  }
}

function find<T extends { id: string }>(list: T[], id: string): T {
  const item = list.find((one) => one.id === id);
  if (!item) throw new Error(`"${id}" was checked to be there`);
  return item;
}

/** The other half becomes the switched one on every half-switched duplex: the same through the whole job. */
function turnHalves(job: Draft<Job>): void {
  for (const { kind, wants } of job.devices) {
    const { upper, lower } = wants;
    if (kind !== 'duplex' || upper?.does !== 'power' || lower?.does !== 'power') continue;
    if ((upper.control === null) === (lower.control === null)) continue;
    wants['upper'] = lower;
    wants['lower'] = upper;
  }
}

/** Another kind in the same place: what its parts must do is taken over where it can be. */
function setKind(job: Draft<Job>, id: string, kind: WishKind): void {
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
  device.wants = wants;
  if (!wishKind(kind).protection) dropVia(job, id);
  dropUnused(job);
}

function newGroup(job: Draft<Job>, box: string): string {
  const name = job.boxes.find(({ id }) => id === box)?.name ?? box;
  const id = freshId(job.groups, `${box} switch`);
  job.groups.push({ id, name: `the ${name} switch` });
  return id;
}

/** What hung on a LOAD side that is gone is fed from the panel side. */
function dropVia(job: Draft<Job>, device: string): void {
  for (const { wants } of job.devices) {
    for (const want of Object.values(wants))
      if (want.does === 'power' && want.via === device) want.via = null;
  }
}

/** Takes a free gang in the box, and a larger box where there is none. */
function seatIn(job: Draft<Job>, box: string): number {
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

function moveDevice(job: Draft<Job>, id: string, box: string): void {
  const device = find(job.devices, id);
  if (device.box === box) return;
  const gang = seatIn(job, box);
  Object.assign(device, { box, gang });
}

/** Changes places with the neighbour, or moves into an empty gang. */
function moveGang(job: Draft<Job>, id: string, toward: 'left' | 'right'): void {
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

/** A box in the middle of a run: two runs of half the length. */
function splitRun(job: Draft<Job>, id: string, name: string): void {
  const run = find(job.runs, id);
  const box = freshId(job.boxes, name);
  job.boxes.push({
    id: box,
    name,
    family: 'nail-on',
    gangs: 1,
    volumeIn3: 20.3,
    ringIn3: 0,
    internalClamps: false,
    existing: false,
    closed: false,
    doorSide: null,
    heightIn: null,
    spot: null,
  });
  const half = Math.max(Math.round(run.lengthFt / 2), 0.5);
  job.runs.push({
    id: freshId(job.runs, `${box} on`),
    from: box,
    to: run.to,
    lengthFt: half,
    existing: run.existing,
    route: 'given',
  });
  run.to = box;
  run.lengthFt = half;
}

/** A radio switch on the wall and its receiver at what it controls: the two wires between carry power instead. */
function freeThePair(job: Draft<Job>, id: string): void {
  const device = find(job.devices, id);
  const handle = Object.values(device.wants).find((want) => want.does === 'control');
  if (handle?.does !== 'control' || switchFamily(device.kind) === null) return;
  const load = job.devices.find(({ wants }) =>
    Object.values(wants).some((want) => want.does === 'power' && want.control === handle.group),
  );
  if (!load) return;
  device.kind = 'radio-switch';
  device.wants = { handle: { ...handle } };
  job.devices.push({
    id: freshId(job.devices, `${load.box} receiver`),
    box: load.box,
    gang: load.gang,
    kind: 'radio-receiver',
    ratingA: 15,
    wants: { handle: { does: 'control', group: handle.group } },
  });
}
