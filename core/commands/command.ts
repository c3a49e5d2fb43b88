import { enablePatches, produceWithPatches, type Draft, type Patch } from 'immer';
import { z } from 'zod';
import { Design, PANEL } from '../model/design';
import { zodProblems } from '../model/file';
import { checkHouse, House } from '../model/house';
import { bad, good, type Checked, type Problem } from '../model/problem';
import { JobRecord } from '../model/record';
import { checkRecordReferences, checkReferences } from '../model/references';
import { measured } from '../rooms/route';
import { DESIGN_COMMANDS } from './design-table';
import type { Entry } from './entry';
import { HOUSE_COMMANDS } from './house-table';
import { RECORD_COMMANDS } from './record-table';
import { say } from '../words/commands';

export { freshId } from '../model/fresh-id';

enablePatches();

type SchemaOf<Row> = Row extends { readonly schema: infer Schema extends z.ZodType } ? Schema : never;
type CommandOf<Table extends readonly unknown[]> = z.output<SchemaOf<Table[number]>>;

/** A change of the design: it can be undone. */
export type DesignCommand = CommandOf<typeof DESIGN_COMMANDS>;
/** Something noted: it recomputes nothing of the plan, and is corrected in its own place. */
export type RecordCommand = CommandOf<typeof RECORD_COMMANDS>;
export type Command = DesignCommand | RecordCommand;
/** A change of a house: of all its jobs. */
export type HouseCommand = CommandOf<typeof HOUSE_COMMANDS>;

const oneOf = <Of>(tables: readonly { readonly schema: z.ZodType }[]): z.ZodType<Of> =>
  z.discriminatedUnion(
    'do',
    tables.map(({ schema }) => schema) as unknown as [z.ZodObject<{ do: z.ZodLiteral }>],
  ) as unknown as z.ZodType<Of>;

/** What a user can do to a job. Each is a pure change. */
export const Command = oneOf<Command>([...DESIGN_COMMANDS, ...RECORD_COMMANDS]);
/** What a user can do to a house. */
export const HouseCommand = oneOf<HouseCommand>(HOUSE_COMMANDS);

const rows = <On>(table: readonly unknown[]): ReadonlyMap<string, Entry<On>> =>
  new Map(
    (table as readonly (Entry<On> & { schema: z.ZodObject<{ do: z.ZodLiteral }> })[]).map((entry) => [
      String(entry.schema.shape.do.value),
      entry as Entry<On>,
    ]),
  );
const DESIGN_ROWS = rows<Design>(DESIGN_COMMANDS);
const RECORD_ROWS = rows<JobRecord>(RECORD_COMMANDS);
const HOUSE_ROWS = rows<House>(HOUSE_COMMANDS);

export const isDesignCommand = (command: Command): command is DesignCommand => DESIGN_ROWS.has(command.do);

export interface Change {
  readonly job: Design;
  readonly label: string;
  readonly patches: readonly Patch[];
  readonly inverse: readonly Patch[];
}

/**
 * Applies a command to the design. Bad input (an id that names nothing, a box too small for its devices) gives
 * problems and changes nothing.
 */
export function applyCommand(job: Design, command: DesignCommand): Checked<Change> {
  const known = {
    box: [...job.boxes, ...('end' in command ? [{ id: PANEL }] : [])],
    from: 'device' in command ? null : [...job.boxes, { id: PANEL }],
    to: [...job.boxes, { id: PANEL }],
    run: job.runs,
    device: job.devices,
    circuit: job.circuits,
    group: job.groups,
    control: job.groups,
    room: job.rooms,
    connector: job.connectors,
  };
  const done = carry(DESIGN_ROWS, known, Design, checkReferences, job, command);
  if (!done.ok) return done;
  const { next, ...change } = done.value;
  return good({ job: measured(next), ...change });
}

/** Several commands as one change: all of them, or none. */
export function applyCommands(job: Design, commands: readonly DesignCommand[]): Checked<Change> {
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

export interface Noted {
  readonly record: JobRecord;
  readonly label: string;
  readonly inverse: readonly Patch[];
}

/** Applies a command to what was asked, found and done. Bad input gives problems and changes nothing. */
export function note(record: JobRecord, command: RecordCommand): Checked<Noted> {
  const known = {
    line: record.brief.lines,
    survey: record.surveys,
    reading:
      'survey' in command && typeof command.survey === 'string'
        ? record.surveys.find(({ id }) => id === command.survey)?.readings
        : undefined,
  };
  const done = carry(RECORD_ROWS, known, JobRecord, checkRecordReferences, record, command);
  if (!done.ok) return done;
  const { next, label, inverse } = done.value;
  return good({ record: next, label, inverse });
}

export interface HouseChange {
  readonly house: House;
  readonly label: string;
}

/** Applies a command to a house. Bad input gives problems and changes nothing. */
export function changeHouse(house: House, command: HouseCommand): Checked<HouseChange> {
  const done = carry(HOUSE_ROWS, { person: house.people }, House, checkHouse, house, command);
  return done.ok ? good({ house: done.value.next, label: done.value.label }) : done;
}

type Known = Readonly<Record<string, readonly { readonly id: string }[] | null | undefined>>;

/** The course of every command: what it names is there, nothing stands in its way, and what comes of it is sound. */
function carry<On extends object>(
  table: ReadonlyMap<string, Entry<On>>,
  known: Known,
  schema: z.ZodType<On>,
  references: (next: On) => Problem[],
  on: On,
  command: Command | HouseCommand,
): Checked<{ next: On } & Omit<Change, 'job'>> {
  const entry = table.get(command.do);
  if (!entry) return bad({ path: 'do', message: say('command.noCommand', { do: command.do }) });
  const before = missing(known, command) ?? entry.unless?.(command, on) ?? null;
  if (before) return bad(before);
  const [next, patches, inverse] = produceWithPatches(on, (draft: Draft<On>) => entry.change(draft, command));
  const parsed = schema.safeParse(next);
  if (!parsed.success) return { ok: false, problems: zodProblems(parsed.error) };
  const problems = references(next);
  if (problems.length > 0) return { ok: false, problems };
  return good({ next, label: entry.label(command, on), patches, inverse });
}

/** Fields of a command that name something that is not there. */
function missing(known: Known, command: Command | HouseCommand): Problem | null {
  for (const [field, list] of Object.entries(known)) {
    const id = (command as Record<string, unknown>)[field];
    if (list && typeof id === 'string' && !list.some((one) => one.id === id)) {
      return { path: field, message: say('command.no', { field, id }), wayOut: say('command.reloadJob') };
    }
  }
  return null;
}
