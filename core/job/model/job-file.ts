import { z } from 'zod';
import { measured, withoutMeasured } from '../rooms/route';
import { Design } from './design';
import { JobRecord } from './record';
import { Ancestry } from './ancestry';
import { Bought } from './bought';
import type { Job } from './job';
import { good, pathText, type Checked, type Problem } from './problem';
import { checkReferences, checkRecordReferences } from './references';
import { orList } from '../../base/words/lists';
import { say } from '../../base/words/model';

/* What a job file is, and whether something is one. What reads its text is `file.ts`. */

export const FORMAT = 'split-tap-job';
export const VERSION = 4;

export const JobFile = z.strictObject({
  format: z.literal(FORMAT),
  version: z.literal(VERSION),
  ancestry: Ancestry.optional(),
  bought: Bought.optional().describe('What is bought of its take-off'),
  design: Design,
  record: JobRecord.prefault({}),
});

/** A job as a file has it, with what it grew from where that is known. */
export interface FiledJob extends Job {
  readonly ancestry?: Ancestry;
  /** What is bought of its take-off, where its file says so. */
  readonly bought?: readonly string[];
}

/** Checks the object of a job file of the present version. */
export function checkJobFile(raw: unknown): Checked<FiledJob> {
  const parsed = JobFile.safeParse(raw);
  if (!parsed.success) return { ok: false, problems: zodProblems(parsed.error) };
  const { design, record, ancestry, bought } = parsed.data;
  const problems = [...checkReferences(design), ...checkRecordReferences(record)];
  return problems.length > 0
    ? { ok: false, problems }
    : good({
        design: measured(design),
        record,
        ...(ancestry ? { ancestry } : {}),
        ...(bought ? { bought } : {}),
      });
}

/** Checks a job that is already an object, such as a stored one. Paths start at `design` or `record`. */
export const checkJob = (design: unknown, record: unknown = {}): Checked<Job> =>
  checkJobFile({ format: FORMAT, version: VERSION, design, record });

/** The text of a job file: two-space JSON with a closing newline. Lengths that are measured are left out. */
export const writeJobFile = (job: FiledJob): string => `${JSON.stringify(jobValue(job), null, 2)}\n`;

/** What a job file holds. */
export const jobValue = ({ design, record, ancestry, bought }: FiledJob): object => ({
  format: FORMAT,
  version: VERSION,
  ...(ancestry ? { ancestry } : {}),
  ...(bought && bought.length > 0 ? { bought } : {}),
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
  if (last === undefined) return say('file.knownKind');
  return values.length === 1 ? last : say('file.or', { values: values.slice(0, -1).join(', '), last });
}

/** True where the schema says itself what is wrong; what the library would say is in English alone. */
const isOwn = ({ message }: z.core.$ZodIssue): boolean => !/^(Too (big|small)|Invalid)/.test(message);

function plain(issue: z.core.$ZodIssue): string {
  switch (issue.code) {
    case 'invalid_value':
      return say('file.must', { values: orList(issue.values.map((value) => JSON.stringify(value))) });
    case 'invalid_union':
      return say('file.mustBe', { literals: literalsOf(issue.errors) });
    case 'unrecognized_keys':
      return say('file.unknownKeys', { keys: issue.keys.map((key) => `"${key}"`).join(', ') });
    case 'invalid_type':
      return issue.input === undefined
        ? say('file.missingNotKind', { expected: issue.expected })
        : say('file.mustBeA', { expected: issue.expected });
    case 'too_big':
      return isOwn(issue) ? issue.message : say('file.atMost', { most: String(issue.maximum) });
    case 'too_small':
      return isOwn(issue) ? issue.message : say('file.atLeast', { least: String(issue.minimum) });
    case 'invalid_format':
      return isOwn(issue) ? issue.message : say('file.otherFormat');
    default:
      return issue.message;
  }
}
