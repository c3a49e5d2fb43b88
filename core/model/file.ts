import { z } from 'zod';
import { measured, withoutMeasured } from '../rooms/route';
import { Design } from './design';
import { JobRecord } from './record';
import type { Job } from './job';
import { readJsonText } from './json';
import { bad, good, pathText, type Checked, type Problem } from './problem';
import { checkReferences, checkRecordReferences } from './references';
import { locale } from '../words/language';
import { say } from '../words/model';

export const FORMAT = 'split-tap-job';
export const VERSION = 2;
/** Largest job file read, in characters. A 400-box job takes well under a tenth of it. */
export const MAX_FILE_CHARACTERS = 2_000_000;

export const JobFile = z.strictObject({
  format: z.literal(FORMAT),
  version: z.literal(VERSION),
  design: Design,
  record: JobRecord.prefault({}),
});

/** Turns a file of version n into one of version n + 1, shape unchecked: the schema checks the last one. */
export type Migration = (file: Record<string, unknown>) => Record<string, unknown>;

/** By the version they start from. */
export const MIGRATIONS: Readonly<Record<number, Migration>> = {
  // One undivided job: what was asked, found and done moves out of what is to be built.
  1: ({ job, ...file }) => {
    if (typeof job !== 'object' || job === null || Array.isArray(job)) return { ...file, design: job };
    const { brief, ticks, surveys, ...design } = job as Record<string, unknown>;
    const record = Object.fromEntries(
      Object.entries({ brief, ticks, surveys }).filter(([, value]) => value !== undefined),
    );
    return { ...file, design, record };
  },
};

/** Runs every migration from the file's version up to `current`. */
export function migrate(
  file: Record<string, unknown>,
  from: number,
  current: number = VERSION,
  migrations: Readonly<Record<number, Migration>> = MIGRATIONS,
): Checked<Record<string, unknown>> {
  let moved = file;
  for (let version = from; version < current; version++) {
    const step = migrations[version];
    if (!step) {
      return bad({
        path: 'version',
        message: say('file.filesVersionNotKnown', { version }),
        wayOut: say('file.exportJobAgainFromProgram'),
      });
    }
    moved = { ...step(moved), version: version + 1 };
  }
  return good(moved);
}

const head = z.looseObject({ format: z.unknown(), version: z.unknown() });

/**
 * Reads a job file. Every fault is a problem with its path in the file: broken JSON (line and column), another
 * kind of file, a newer version, a wrong shape, an id that names nothing. Never throws.
 */
export function readJobFile(text: string): Checked<Job> {
  if (text.length > MAX_FILE_CHARACTERS) {
    return bad({
      path: '',
      message: say('file.fileCharactersJobFileMost', {
        textCount: text.length.toLocaleString(locale),
        maxfilecharacters: MAX_FILE_CHARACTERS.toLocaleString(locale),
      }),
      wayOut: say('file.chooseFileSplitTapExported'),
    });
  }
  const read = readJsonText(text);
  return read.ok ? readJobValue(read.value) : bad(read);
}

/** The same of a file that is an object already, such as one inside a house file. */
export function readJobValue(raw: unknown): Checked<Job> {
  const top = head.safeParse(raw);
  if (!top.success || top.data.format !== FORMAT) {
    return bad({
      path: 'format',
      message: say('file.notSplitTapJobFile', { format: FORMAT }),
      wayOut: say('file.chooseFileEndsSplittapJson'),
    });
  }
  const version = z.int().min(1).safeParse(top.data.version);
  if (!version.success) return bad({ path: 'version', message: say('file.versionNotWholeNumberFrom') });
  if (version.data > VERSION) {
    return bad({
      path: 'version',
      message: say('file.fileVersionProgramReadsUp', { data: version.data, version: VERSION }),
      wayOut: say('file.updateSplitTapThenOpen'),
    });
  }
  const migrated = migrate(top.data, version.data);
  if (!migrated.ok) return migrated;
  const checked = checkJobFile(migrated.value);
  if (checked.ok || version.data > 1) return checked;
  // In a file of version 1 both halves stood in `job`: problems are named where they stand in the file.
  const problems = checked.problems.map((one) => ({
    ...one,
    path: one.path.replace(/^(design|record)(?=[.[]|$)/, 'job'),
  }));
  return { ok: false, problems };
}

function checkJobFile(raw: unknown): Checked<Job> {
  const parsed = JobFile.safeParse(raw);
  if (!parsed.success) return { ok: false, problems: zodProblems(parsed.error) };
  const { design, record } = parsed.data;
  const problems = [...checkReferences(design), ...checkRecordReferences(record)];
  return problems.length > 0 ? { ok: false, problems } : good({ design: measured(design), record });
}

/** Checks a job that is already an object, such as a stored one. Paths start at `design` or `record`. */
export const checkJob = (design: unknown, record: unknown = {}): Checked<Job> =>
  checkJobFile({ format: FORMAT, version: VERSION, design, record });

/** The text of a job file: two-space JSON with a closing newline. Lengths that are measured are left out. */
export const writeJobFile = (job: Job): string => `${JSON.stringify(jobValue(job), null, 2)}\n`;

/** What a job file holds. */
export const jobValue = ({ design, record }: Job): object => ({
  format: FORMAT,
  version: VERSION,
  design: withoutMeasured(design),
  record,
});

export function zodProblems(error: z.ZodError): Problem[] {
  return error.issues.map((issue) => ({ path: pathText(issue.path), message: plain(issue) }));
}

/** The values that a choice of plain ones allows, as people list them: "15, 20 or 30". */
function literalsOf(errors: readonly (readonly z.core.$ZodIssue[])[]): string {
  const values = errors.flatMap((own) =>
    own.flatMap((one) =>
      one.code === 'invalid_value' ? one.values.map((value) => JSON.stringify(value)) : [],
    ),
  );
  const last = values.at(-1);
  if (last === undefined) return say('file.oneKindsJobFileKnows');
  return values.length === 1 ? last : say('file.or', { values: values.slice(0, -1).join(', '), last });
}

function plain(issue: z.core.$ZodIssue): string {
  switch (issue.code) {
    case 'invalid_value':
      return say('file.must', { values: issue.values.map((value) => JSON.stringify(value)).join(' or ') });
    case 'invalid_union':
      return say('file.must2', { literals: literalsOf(issue.errors) });
    case 'unrecognized_keys':
      return say('file.jobFileDoesNotKnow', { keys: issue.keys.map((key) => `"${key}"`).join(', ') });
    case 'invalid_type':
      return issue.input === undefined
        ? say('file.missingNotKind', { expected: issue.expected })
        : say('file.must3', { expected: issue.expected });
    default:
      return issue.message;
  }
}
