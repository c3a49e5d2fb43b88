import { enablePatches, produceWithPatches, type Patch } from 'immer';
import { z } from 'zod';
import { checkReferences } from '../model/references';
import { zodProblems } from '../model/file';
import { Box, Brief, Circuit, Device, Habits, Job, PANEL, PlanLine, Room, Run, Tick } from '../model/job';
import { APPLIANCE_IDS } from '../standards/appliances';
import { Reading, Survey } from '../model/survey';
import { Connector } from '../standards/connectors';
import { bad, good, type Checked } from '../model/problem';
import { WISH_KINDS } from '../devices';
import { EDITIONS } from '../standards/source';
import { measuredLength } from '../rooms/route';
import { differences } from '../survey/lay-out-found';
import { verdictOf } from '../survey/verdict';
import { change } from './changes';
import { labelOf } from './labels';

export { freshId } from '../model/fresh-id';

enablePatches();

const Id = Box.shape.id;
/**
 * A change of some fields: each may be left out and then keeps what it was. Defaults are taken off first, since
 * they would otherwise fill in what was left out.
 */
function someOf<Shape extends z.ZodRawShape>(object: z.ZodObject<Shape>): z.ZodType<SomeOf<Shape>> {
  const fields = Object.entries(object.shape).map(([key, field]) => {
    const bare = field instanceof z.ZodDefault ? field.unwrap() : field;
    return [key, z.optional(bare as z.ZodType)] as const;
  });
  return z.strictObject(Object.fromEntries(fields)) as unknown as z.ZodType<SomeOf<Shape>>;
}
type SomeOf<Shape extends z.ZodRawShape> = Partial<z.output<z.ZodObject<Shape>>>;

/** What a user can do to a job. Each is a pure change with its inverse. */
export const Command = z.discriminatedUnion('do', [
  z.strictObject({ do: z.literal('rename job'), name: Job.shape.name }),
  z.strictObject({ do: z.literal('set edition'), edition: z.enum(EDITIONS) }),
  z.strictObject({ do: z.literal('set habits'), habits: someOf(Habits) }),
  z.strictObject({
    do: z.literal('set circuit'),
    circuit: Id,
    change: someOf(Circuit.omit({ id: true })),
  }),
  /** A new breaker in the panel, with its circuit. */
  z.strictObject({ do: z.literal('add circuit'), circuit: Circuit }),
  /** Power enters at another box: the run from the panel is led there. */
  z.strictObject({ do: z.literal('move feed'), run: Id, box: Id }),
  z.strictObject({
    do: z.literal('set box'),
    box: Id,
    change: someOf(Box.omit({ id: true })),
  }),
  z.strictObject({
    do: z.literal('set run'),
    run: Id,
    change: someOf(Run.omit({ id: true, circuits: true })),
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
  /** Which circuit feeds a part, or which LOAD side. */
  z.strictObject({
    do: z.literal('set want'),
    device: Id,
    part: z.string(),
    change: z.strictObject({ circuit: Id, via: Id.nullable(), control: Id.nullable() }).partial(),
  }),
  /** Which control group a handle belongs to. */
  z.strictObject({ do: z.literal('set group'), device: Id, part: z.string(), group: Id }),
  z.strictObject({ do: z.literal('set kind'), device: Id, kind: z.enum(WISH_KINDS) }),
  z.strictObject({ do: z.literal('move device'), device: Id, box: Id }),
  z.strictObject({ do: z.literal('move gang'), device: Id, toward: z.enum(['left', 'right']) }),
  z.strictObject({
    do: z.literal('add run'),
    from: Id,
    to: Id,
    lengthFt: Run.shape.lengthFt,
    circuits: z.array(Id).min(1).optional(),
  }),
  z.strictObject({ do: z.literal('remove run'), run: Id }),
  /** Whether this panel may hold splices (312.8). */
  z.strictObject({ do: z.literal('allow panel splices'), allowed: z.boolean() }),
  /** A further switch with a group of its own, for parts that are there. */
  z.strictObject({
    do: z.literal('add switch'),
    box: Id,
    group: z.strictObject({ id: Id, name: Box.shape.name }),
    controls: z
      .array(z.strictObject({ device: Id, part: z.string() }))
      .min(1)
      .max(40),
  }),
  /** A box in the middle of a run. */
  z.strictObject({ do: z.literal('split run'), run: Id, name: Box.shape.name }),
  /** A radio switch and its receiver in place of a wired switch. */
  z.strictObject({ do: z.literal('free the pair'), device: Id }),
  z.strictObject({ do: z.literal('set brief'), change: someOf(Brief.omit({ lines: true })) }),
  /** Lines of the plan; each gets an id of its own. */
  z.strictObject({
    do: z.literal('add plan lines'),
    lines: z
      .array(PlanLine.omit({ id: true }))
      .min(1)
      .max(300),
  }),
  z.strictObject({ do: z.literal('remove plan line'), line: Id }),
  z.strictObject({ do: z.literal('mark note'), line: Id, met: z.boolean().nullable() }),
  z.strictObject({ do: z.literal('set room'), room: Room }),
  z.strictObject({ do: z.literal('remove room'), room: Id }),
  /** A step of the make-up done, or not done after all. */
  z.strictObject({ do: z.literal('tick'), tick: Tick }),
  z.strictObject({ do: z.literal('untick'), box: Id, step: z.string() }),
  z.strictObject({ do: z.literal('set connector'), connector: z.string(), holds: Connector.shape.holds }),
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
  /** What was found in opened boxes, as a whole. */
  z.strictObject({ do: z.literal('set survey'), survey: Survey }),
  z.strictObject({ do: z.literal('remove survey'), survey: Id }),
  /** A reading taken, or taken again. */
  z.strictObject({
    do: z.literal('add reading'),
    survey: Id,
    reading: Reading.omit({ id: true, times: true }),
  }),
  z.strictObject({ do: z.literal('remove reading'), survey: Id, reading: Id }),
  /** The verdict as boxes and runs that are there and stay. */
  z.strictObject({
    do: z.literal('lay out what was found'),
    survey: Id,
    /** Which to take where job and wall differ. */
    take: z.enum(['job', 'wall']).optional(),
  }),
  /** What is marked on a device, and whether it stands where one was. */
  z.strictObject({
    do: z.literal('set device'),
    device: Id,
    change: someOf(Device.pick({ marks: true, replaces: true, was: true, bootleg: true })),
  }),
  /** What is in use on a part: which appliance, fastened in place, a motor. */
  z.strictObject({
    do: z.literal('set use'),
    device: Id,
    part: z.string(),
    change: z
      .strictObject({ fixed: z.boolean(), motor: z.boolean(), appliance: z.enum(APPLIANCE_IDS).nullable() })
      .partial(),
  }),
  /** A rule set aside for this job, with the reason; null takes it up again. */
  z.strictObject({
    do: z.literal('set amendment'),
    rule: z.string().regex(/^[A-Z]\d\d$/),
    reason: z.string().trim().min(3).max(300).nullable(),
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
  const before = missing(job, command) ?? notYet(job, command);
  if (before) return bad(before);
  const [next, patches, inverse] = produceWithPatches(job, (draft) => {
    change(draft, command);
    for (const run of draft.runs) run.lengthFt = measuredLength(draft, run);
  });
  const parsed = Job.safeParse(next);
  if (!parsed.success) return { ok: false, problems: zodProblems(parsed.error) };
  const problems = checkReferences(next);
  if (problems.length > 0) return { ok: false, problems };
  return good({ job: next, label: labelOf(job, command), patches, inverse });
}

/** Several commands as one change: all of them, or none. */
export function applyCommands(job: Job, commands: readonly Command[]): Checked<Change> {
  let whole: Change = { job, label: '', patches: [], inverse: [] };
  for (const command of commands) {
    const step = applyCommand(whole.job, command);
    if (!step.ok) return step;
    whole = {
      job: step.value.job,
      label: whole.label || step.value.label,
      patches: [...whole.patches, ...step.value.patches],
      inverse: [...step.value.inverse, ...whole.inverse],
    };
  }
  return good(whole);
}

/** What was found becomes the layout only where it is proven, and where job and wall agree or one was chosen. */
function notYet(job: Job, command: Command) {
  if (command.do !== 'lay out what was found') return null;
  const survey = job.surveys.find(({ id }) => id === command.survey);
  if (!survey) return null;
  const { tap, groundUnproven } = verdictOf(survey);
  if (tap !== 'yes' && !groundUnproven) {
    return {
      path: 'survey',
      message:
        tap === 'no'
          ? 'the verdict is no: nothing can be tapped there'
          : 'it is not known yet how it is wired',
      wayOut: tap === 'no' ? 'See the ways out of the verdict.' : 'Take the readings that are still missing.',
    };
  }
  const [differs] = differences(job, survey).filter(({ decides }) => decides);
  if (differs && command.take === undefined)
    return { path: 'take', message: differs.says, wayOut: 'Choose which of the two is right.' };
  return null;
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
    line: job.brief.lines,
    ...(command.do === 'remove room' ? { room: job.rooms } : {}),
    survey: job.surveys,
  };
  for (const [field, list] of Object.entries(known)) {
    const id = (command as Record<string, unknown>)[field];
    if (typeof id === 'string' && !list.some((one) => one.id === id)) {
      return { path: field, message: `there is no ${field} "${id}"`, wayOut: 'Reload the job.' };
    }
  }
  return null;
}
