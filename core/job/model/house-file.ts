import { z } from 'zod';
import { locale } from '../../base/words/language';
import { say } from '../../base/words/model';
import { readJobValue } from './file';
import { Ancestry } from './ancestry';
import { Bought } from './bought';
import { jobValue, zodProblems, type FiledJob } from './job-file';
import { checkHouse, House } from './house';
import { readJsonText } from './json';
import { bad, good, type Checked, type Problem } from './problem';

const HOUSE_FORMAT = 'split-tap-house';
const HOUSE_VERSION = 3;
/** Jobs of one house. */
export const MAX_JOBS = 200;
/** Largest house file read, in characters. */
const MAX_HOUSE_CHARACTERS = 20_000_000;

/** A house with its jobs. */
export interface WholeHouse {
  readonly house: House;
  /** What the house itself grew from, where that is known. */
  readonly ancestry?: Ancestry;
  /** What is bought of the take-off of the whole house, where that is known. */
  readonly bought?: readonly string[];
  readonly jobs: readonly FiledJob[];
}

const HouseFile = z.strictObject({
  format: z.literal(HOUSE_FORMAT),
  version: z.literal(HOUSE_VERSION),
  ancestry: Ancestry.optional(),
  bought: Bought.optional(),
  house: House,
  jobs: z.array(z.unknown()),
});

/** True where a file says of itself that it is a house file. */
const isHouseValue = (raw: unknown): boolean =>
  typeof raw === 'object' && raw !== null && 'format' in raw && raw.format === HOUSE_FORMAT;

/** The same of its text, told near its beginning: nothing of it is read yet. */
export const isHouseText = (text: string): boolean =>
  /"format"\s*:\s*"split-tap-house"/.test(text.slice(0, 400));

/**
 * Reads a house file: the house, and each job as a job file of its own, of any version. Every fault is a problem with its
 * path. Never throws.
 */
export function readHouseFile(text: string): Checked<WholeHouse> {
  if (text.length > MAX_HOUSE_CHARACTERS) {
    return bad({
      path: '',
      message: say('houseFile.tooLarge', {
        characters: text.length.toLocaleString(locale),
        most: MAX_HOUSE_CHARACTERS.toLocaleString(locale),
      }),
      wayOut: say('file.chooseExported'),
    });
  }
  const read = readJsonText(text);
  return read.ok ? readHouseValue(read.value) : bad(read);
}

/** The same of a file that is an object already. */
function readHouseValue(raw: unknown): Checked<WholeHouse> {
  if (!isHouseValue(raw)) {
    return bad({
      path: 'format',
      message: say('houseFile.notHouseFile', { format: HOUSE_FORMAT }),
      wayOut: say('houseFile.chooseHouse'),
    });
  }
  const { version } = raw as { version?: unknown };
  if (typeof version === 'number' && version > HOUSE_VERSION) {
    return bad({
      path: 'version',
      message: say('file.newerVersion', { data: version, version: HOUSE_VERSION }),
      wayOut: say('file.update'),
    });
  }
  const listed = (raw as { jobs?: unknown }).jobs;
  // Counted before any of them is looked at.
  if (Array.isArray(listed) && listed.length > MAX_JOBS)
    return bad({
      path: 'jobs',
      message: say('houseFile.tooManyJobs', { count: listed.length, most: MAX_JOBS }),
    });
  // A file of version 1 did not say what it grew from, one of version 2 not what is bought.
  const parsed = HouseFile.safeParse(
    version === 1 || version === 2 ? Object.assign({}, raw, { version: HOUSE_VERSION }) : raw,
  );
  if (!parsed.success) return { ok: false, problems: zodProblems(parsed.error) };
  const { house, ancestry, bought } = parsed.data;
  const problems: Problem[] = checkHouse(house).map((one) => ({ ...one, path: `house.${one.path}` }));
  const jobs: FiledJob[] = [];
  const seen = new Set<string>();
  parsed.data.jobs.forEach((one, index) => {
    const job = readJobValue(one);
    const at = `jobs[${index}]`;
    if (!job.ok) {
      problems.push(
        ...job.problems.map((own) => ({ ...own, path: own.path === '' ? at : `${at}.${own.path}` })),
      );
      return;
    }
    const { id } = job.value.design;
    if (seen.has(id))
      problems.push({ path: `${at}.design.id`, message: say('references.usedTwice', { item: id }) });
    seen.add(id);
    jobs.push(job.value);
  });
  return problems.length > 0
    ? { ok: false, problems }
    : good({ house, jobs, ...(ancestry ? { ancestry } : {}), ...(bought ? { bought } : {}) });
}

/** The text of a house file: two-space JSON with a closing newline. */
export const writeHouseFile = ({ house, jobs, ancestry, bought }: WholeHouse): string =>
  `${JSON.stringify({ format: HOUSE_FORMAT, version: HOUSE_VERSION, ...(ancestry ? { ancestry } : {}), ...(bought && bought.length > 0 ? { bought } : {}), house, jobs: jobs.map(jobValue) }, null, 2)}\n`;
