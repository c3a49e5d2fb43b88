import { z } from 'zod';
import { checkJobFile, FORMAT, VERSION, type FiledJob } from './job-file';
import { readJsonText } from './json';
import { bad, good, type Checked } from './problem';
import { locale } from '../../base/words/language';
import { say } from '../../base/words/model';

/** Largest job file read, in characters. A 400-box job takes well under a tenth of it. */
export const MAX_FILE_CHARACTERS = 2_000_000;

/** Turns a file of version n into one of version n + 1, shape unchecked: the schema checks the last one. */
export type Migration = (file: Record<string, unknown>) => Record<string, unknown>;

/** By the version they start from. */
const MIGRATIONS: Readonly<Record<number, Migration>> = {
  // One undivided job: what was asked, found and done moves out of what is to be built.
  1: ({ job, ...file }) => {
    if (typeof job !== 'object' || job === null || Array.isArray(job)) return { ...file, design: job };
    const { brief, ticks, surveys, ...design } = job as Record<string, unknown>;
    const record = Object.fromEntries(
      Object.entries({ brief, ticks, surveys }).filter(([, value]) => value !== undefined),
    );
    return { ...file, design, record };
  },
  // What a file grew from was not written: nothing is known of it.
  2: (file) => file,
  // There was no sheet that the work starts from.
  3: (file) => file,
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
        wayOut: say('file.exportAgain'),
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
export function readJobFile(text: string): Checked<FiledJob> {
  if (text.length > MAX_FILE_CHARACTERS) {
    return bad({
      path: '',
      message: say('file.tooLong', {
        characters: text.length.toLocaleString(locale),
        most: MAX_FILE_CHARACTERS.toLocaleString(locale),
      }),
      wayOut: say('file.chooseExported'),
    });
  }
  const read = readJsonText(text);
  return read.ok ? readJobValue(read.value) : bad(read);
}

/** The same of a file that is an object already, such as one inside a house file. */
export function readJobValue(raw: unknown): Checked<FiledJob> {
  const top = head.safeParse(raw);
  if (!top.success || top.data.format !== FORMAT) {
    return bad({
      path: 'format',
      message: say('file.wrongFormat', { format: FORMAT }),
      wayOut: say('file.chooseByEnding'),
    });
  }
  const version = z.int().min(1).safeParse(top.data.version);
  if (!version.success) return bad({ path: 'version', message: say('file.badVersion') });
  if (version.data > VERSION) {
    return bad({
      path: 'version',
      message: say('file.newerVersion', { data: version.data, version: VERSION }),
      wayOut: say('file.update'),
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
