import { enablePatches, produceWithPatches, type Draft, type Patch } from 'immer';
import { z } from 'zod';
import { checkReferences } from '../model/references';
import { zodProblems } from '../model/file';
import { Box, Circuit, Habits, Job, PANEL, Run } from '../model/job';
import { bad, good, type Checked } from '../model/problem';
import { EDITIONS } from '../standards/source';

enablePatches();

const Id = Box.shape.id;

/** What a user can do to a job. Each is a pure change with its inverse. */
export const Command = z.discriminatedUnion('do', [
  z.strictObject({ do: z.literal('rename job'), name: Job.shape.name }),
  z.strictObject({ do: z.literal('set edition'), edition: z.enum(EDITIONS) }),
  z.strictObject({ do: z.literal('set habits'), habits: Habits.partial() }),
  z.strictObject({
    do: z.literal('set circuit'),
    circuit: Id,
    change: Circuit.pick({ number: true, breakerA: true, existingLoadVA: true }).partial(),
  }),
  /** Power enters at another box: the run from the panel is led there. */
  z.strictObject({ do: z.literal('move feed'), run: Id, box: Id }),
  z.strictObject({
    do: z.literal('set box'),
    box: Id,
    change: Box.pick({
      name: true,
      family: true,
      gangs: true,
      volumeIn3: true,
      internalClamps: true,
    }).partial(),
  }),
  z.strictObject({
    do: z.literal('set run'),
    run: Id,
    change: Run.pick({ lengthFt: true, existing: true }).partial(),
  }),
  /** Always on, or switched by a group. */
  z.strictObject({ do: z.literal('set control'), device: Id, part: z.string(), control: Id.nullable() }),
  z.strictObject({
    do: z.literal('set load'),
    device: Id,
    part: z.string(),
    watts: z.number().min(0).max(7200),
    continuous: z.boolean(),
  }),
  z.strictObject({
    do: z.literal('set rating'),
    device: Id,
    ratingA: z.union([z.literal(15), z.literal(20)]),
  }),
  /** A new box at the end of a new run, with one thing in it. */
  z.strictObject({
    do: z.literal('add box'),
    from: Id,
    name: Box.shape.name,
    holds: z.enum(['outlet', 'switch', 'light']),
    circuit: Id,
    group: Id.nullable(),
    lengthFt: Run.shape.lengthFt,
  }),
  /** One more thing in a box that is there. */
  z.strictObject({
    do: z.literal('add device'),
    box: Id,
    holds: z.enum(['outlet', 'switch', 'light']),
    circuit: Id,
    group: Id.nullable(),
  }),
  z.strictObject({ do: z.literal('remove device'), device: Id }),
  z.strictObject({ do: z.literal('remove box'), box: Id }),
]);
export type Command = z.infer<typeof Command>;

export interface Change {
  readonly job: Job;
  readonly label: string;
  readonly patches: readonly Patch[];
  readonly inverse: readonly Patch[];
}

/**
 * Applies a command. Bad input (an id that names nothing, a box too small for its devices) gives problems and
 * changes nothing.
 */
export function applyCommand(job: Job, command: Command): Checked<Change> {
  const before = missing(job, command);
  if (before) return bad(before);
  const [next, patches, inverse] = produceWithPatches(job, (draft) => change(draft, command));
  const parsed = Job.safeParse(next);
  if (!parsed.success) return { ok: false, problems: zodProblems(parsed.error) };
  const problems = checkReferences(next);
  if (problems.length > 0) return { ok: false, problems };
  return good({ job: next, label: labelOf(job, command), patches, inverse });
}

/** Fields of a command that name something of the job. */
function missing(job: Job, command: Command) {
  const known = {
    box: job.boxes,
    from: [...job.boxes, { id: PANEL }],
    run: job.runs,
    device: job.devices,
    circuit: job.circuits,
    group: job.groups,
    control: job.groups,
  };
  for (const [field, list] of Object.entries(known)) {
    const id = (command as Record<string, unknown>)[field];
    if (typeof id === 'string' && !list.some((one) => one.id === id)) {
      return { path: field, message: `there is no ${field} "${id}"`, wayOut: 'Reload the job.' };
    }
  }
  return null;
}

function change(job: Draft<Job>, command: Command): void {
  switch (command.do) {
    case 'rename job':
      job.name = command.name;
      return;
    case 'set edition':
      job.edition = command.edition;
      return;
    case 'set habits':
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
        internalClamps: false,
        existing: false,
        closed: false,
        doorSide: null,
      });
      job.runs.push({
        id: freshId(job.runs, `${command.from} ${id}`),
        from: command.from,
        to: id,
        lengthFt: command.lengthFt,
        existing: null,
        ...(command.from === PANEL ? { circuits: [command.circuit] } : {}),
      });
      addDevice(job, id, command);
      return;
    }
    case 'add device': {
      const box = find(job.boxes, command.box);
      const taken = job.devices.filter((device) => device.box === box.id).length;
      if (taken >= box.gangs) {
        box.gangs = Math.min(taken + 1, 4);
        if (box.family === 'nail-on' || box.family === 'cut-in') {
          box.volumeIn3 = Math.max(box.volumeIn3, NAIL_ON_IN3[box.gangs] ?? box.volumeIn3);
        }
      }
      addDevice(job, box.id, command);
      return;
    }
    case 'remove device': {
      const device = find(job.devices, command.device);
      job.devices = job.devices.filter((one) => one !== device);
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
  const gangs = job.devices.filter((device) => device.box === box).map(({ gang }) => gang);
  const gang = [0, 1, 2, 3].find((seat) => !gangs.includes(seat)) ?? 3;
  const base = { id: freshId(job.devices, `${box} ${holds}`), box, gang, ratingA: 15 as const };
  const power = { does: 'power' as const, circuit, control: group, via: null };
  switch (holds) {
    case 'outlet':
      job.devices.push({
        ...base,
        kind: 'duplex',
        wants: { upper: { ...power, control: null }, lower: power },
      });
      return;
    case 'light':
      job.devices.push({ ...base, kind: 'luminaire', wants: { lamp: { ...power, watts: 60 } } });
      return;
    case 'switch': {
      const name = job.boxes.find(({ id }) => id === box)?.name ?? box;
      const own = group ?? freshId(job.groups, `${box} switch`);
      if (!job.groups.some(({ id }) => id === own)) job.groups.push({ id: own, name: `the ${name} switch` });
      job.devices.push({ ...base, kind: 'switch', wants: { handle: { does: 'control', group: own } } });
    }
  }
}

/** A box goes with its devices; what was fed through it is fed from the box before it. */
function removeBox(job: Draft<Job>, box: string): void {
  const arriving = job.runs.find((run) => run.to === box) ?? job.runs.find((run) => run.from === box);
  const before = arriving && (arriving.to === box ? arriving.from : arriving.to);
  job.boxes = job.boxes.filter(({ id }) => id !== box);
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

/** A readable id that is not taken: "Garden door" gives `garden-door`, then `garden-door-2`. */
export function freshId(list: readonly { id: string }[], name: string): string {
  const words = name
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 34);
  const base = words || 'item';
  const taken = (id: string) => id === PANEL || list.some((one) => one.id === id);
  if (!taken(base)) return base;
  let number = 2;
  while (taken(`${base}-${number}`)) number++;
  return `${base}-${number}`;
}

function labelOf(job: Job, command: Command): string {
  const box = (id: string) => job.boxes.find((one) => one.id === id)?.name ?? id;
  switch (command.do) {
    case 'rename job':
      return 'new name';
    case 'set edition':
      return `edition ${command.edition}`;
    case 'set habits':
      return 'habits of the house';
    case 'set circuit':
      return 'circuit';
    case 'move feed':
      return `feed at ${box(command.box)}`;
    case 'set box':
      return `box at ${box(command.box)}`;
    case 'set run':
      return 'run';
    case 'set control':
      return command.control === null ? 'always on' : 'switched';
    case 'set load':
      return 'load';
    case 'set rating':
      return `${command.ratingA} A receptacle`;
    case 'add box':
      return `new box ${command.name}`;
    case 'add device':
      return `new ${command.holds}`;
    case 'remove device':
      return 'device removed';
    case 'remove box':
      return `${box(command.box)} removed`;
  }
}
