import type { Patch } from 'immer';
import { Design, PANEL } from '../model/design';
import { good, type Checked } from '../model/problem';
import { JobRecord } from '../model/record';
import { checkRecordReferences, checkReferences } from '../model/references';
import { measured } from '../rooms/route';
import { carry, oneOf, rows, type CommandOf } from './carry';
import { DESIGN_COMMANDS } from './design-table';
import { RECORD_COMMANDS } from './record-table';

export { freshId } from '../model/fresh-id';

/** A change of the design: it can be undone. */
export type DesignCommand = CommandOf<typeof DESIGN_COMMANDS>;
/** Something noted: it recomputes nothing of the plan, and is corrected in its own place. */
export type RecordCommand = CommandOf<typeof RECORD_COMMANDS>;
export type Command = DesignCommand | RecordCommand;

/** What a user can do to a job. Each is a pure change. */
export const Command = oneOf<Command>([...DESIGN_COMMANDS, ...RECORD_COMMANDS]);

const DESIGN_ROWS = rows<Design>(DESIGN_COMMANDS);
const RECORD_ROWS = rows<JobRecord>(RECORD_COMMANDS);

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
  const known = carriedOut.get(job) ?? new WeakMap<DesignCommand, Checked<Change>>();
  const done = known.get(command) ?? applied(job, command);
  carriedOut.set(job, known.set(command, done));
  return done;
}
/** The same command on the same design comes to the same: whoever builds on it asks for its beginning again and again. */
const carriedOut = new WeakMap<Design, WeakMap<DesignCommand, Checked<Change>>>();

function applied(job: Design, command: DesignCommand): Checked<Change> {
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
    sheet: job.sheets,
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
    // A new photo comes as an object; one that is changed is named.
    photo: record.photos,
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
