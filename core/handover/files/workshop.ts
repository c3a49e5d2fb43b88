import { strFromU8, strToU8, zipSync, type Zippable } from 'fflate';
import { z } from 'zod';
import { Id } from '../../job/model/fields';
import { MAX_FILE_CHARACTERS, readJobFile } from '../../job/model/file';
import { Ancestry } from '../../job/model/ancestry';
import { writeJobFile, zodProblems, type FiledJob } from '../../job/model/job-file';
import { checkHouse, House } from '../../job/model/house';
import { isHouseText, MAX_JOBS, readHouseFile } from '../../job/model/house-file';
import { readJsonText } from '../../job/model/json';
import { bad, good, type Checked, type Problem } from '../../job/model/problem';
import { MAX_PHOTO_BYTES, PHOTO_TYPES } from '../../job/model/picture';
import type { Photo } from '../../job/model/record';
import { picturesOf } from '../../job/model/pictures';
import { readPicture } from '../photos/picture';
import { BoughtOf } from '../../choices/takeoff/bought';
import { Shop } from '../../choices/takeoff/shop';
import { say } from '../../base/words/model';
import { unzip } from './unzip';

const WORKSHOP_FORMAT = 'split-tap-workshop';
const WORKSHOP_VERSION = 3;
/** Jobs in one file, of all houses together. */
const MOST_JOBS = 2000;
const INDEX = 'workshop.json';

/** The bytes of a photo of a job. */
export interface WorkshopPhoto {
  readonly id: string;
  readonly job: string;
  readonly type: Photo['type'];
  readonly bytes: Uint8Array;
}

/** Jobs with their houses and photos: one, some, or all of a browser. */
export interface Workshop {
  readonly houses: readonly House[];
  readonly jobs: readonly { readonly house: string | null; readonly job: FiledJob }[];
  /** By house what it grew from, where that is known. */
  readonly ancestry?: Readonly<Record<string, Ancestry>>;
  /** By house what is bought of the take-off of all of it; of a job its own file says it. */
  readonly bought?: BoughtOf;
  readonly photos: readonly WorkshopPhoto[];
  readonly shop: Shop | null;
}

/** What is bought of every list of a workshop, by the job or the house whose list it is. */
export const boughtIn = ({ jobs, bought }: Pick<Workshop, 'jobs' | 'bought'>): BoughtOf => ({
  ...bought,
  ...Object.fromEntries(
    jobs.flatMap(({ job }) => (job.bought ? [[job.design.id, job.bought] as const] : [])),
  ),
});

const Index = z.strictObject({
  format: z.literal(WORKSHOP_FORMAT),
  version: z.literal(WORKSHOP_VERSION),
  houses: z.array(House).max(MAX_JOBS),
  jobs: z.array(z.strictObject({ id: Id, house: Id.nullable(), file: z.string().max(120) })).max(MOST_JOBS),
  photos: z
    .array(z.strictObject({ id: Id, job: Id, type: z.enum(PHOTO_TYPES), file: z.string().max(120) }))
    .max(MOST_JOBS * 4),
  shop: Shop.nullable(),
  ancestry: z.record(Id, Ancestry).optional(),
  bought: BoughtOf.optional(),
});

const ENDING: Readonly<Record<Photo['type'], string>> = {
  'image/jpeg': 'jpg',
  'image/png': 'png',
  'image/webp': 'webp',
};
const jobFile = (id: string): string => `jobs/${id}.splittap.json`;
const photoFile = ({ id, type }: Pick<WorkshopPhoto, 'id' | 'type'>): string =>
  `photos/${id}.${ENDING[type]}`;

/** A zip has years from 1980 on; the same workshop gives the same bytes. */
const WRITTEN = new Date(2020, 0, 1);

/** A workshop as one zip: an index, a job file each, the photos as they are. */
export function writeWorkshop({ houses, jobs, photos, shop, ancestry, bought }: Workshop): Uint8Array {
  const files: Zippable = {
    [INDEX]: strToU8(
      `${JSON.stringify(
        {
          format: WORKSHOP_FORMAT,
          version: WORKSHOP_VERSION,
          houses,
          jobs: jobs.map(({ house, job: { design } }) => ({
            id: design.id,
            house,
            file: jobFile(design.id),
          })),
          photos: photos.map(({ id, job, type }) => ({ id, job, type, file: photoFile({ id, type }) })),
          shop,
          ...(ancestry ? { ancestry } : {}),
          ...(bought && Object.keys(bought).length > 0 ? { bought } : {}),
        },
        null,
        2,
      )}\n`,
    ),
  };
  for (const { job } of jobs) files[jobFile(job.design.id)] = strToU8(writeJobFile(job));
  // Pictures are packed already.
  for (const photo of photos) files[photoFile(photo)] = [photo.bytes, { level: 0 }];
  return zipSync(files, { level: 6, mtime: WRITTEN });
}

/** A character takes up to four bytes. */
const MOST_JSON_BYTES = 4 * MAX_FILE_CHARACTERS;
const OWN_NAMES: readonly (readonly [pattern: RegExp, most: number])[] = [
  [/^workshop\.json$/, 2 * MOST_JSON_BYTES],
  [/^jobs\/[a-z0-9][a-z0-9-]{0,39}\.splittap\.json$/, MOST_JSON_BYTES],
  [/^photos\/[a-z0-9][a-z0-9-]{0,39}\.(jpg|png|webp)$/, MAX_PHOTO_BYTES],
];

function readZip(bytes: Uint8Array): Checked<Workshop> {
  const unpacked = unzip(bytes, (name) => OWN_NAMES.find(([pattern]) => pattern.test(name))?.[1] ?? null);
  if (!unpacked.ok) return unpacked;
  const files = unpacked.value;
  const index = files.get(INDEX);
  if (!index) return bad({ path: INDEX, message: say('workshop.none'), wayOut: say('zip.wayOut') });
  const read = readJsonText(strFromU8(index));
  if (!read.ok) return bad({ ...read, path: `${INDEX} ${read.path}`.trim() });
  const head = read.value as { format?: unknown; version?: unknown } | null;
  if (typeof head !== 'object' || head?.format !== WORKSHOP_FORMAT)
    return bad({
      path: `${INDEX} format`,
      message: say('workshop.notWorkshop', { format: WORKSHOP_FORMAT }),
      wayOut: say('zip.wayOut'),
    });
  if (typeof head.version === 'number' && head.version > WORKSHOP_VERSION)
    return bad({
      path: `${INDEX} version`,
      message: say('file.newerVersion', { data: head.version, version: WORKSHOP_VERSION }),
      wayOut: say('file.update'),
    });
  // An index of version 1 did not say what its houses grew from, one of version 2 not what is bought.
  const parsed = Index.safeParse(
    head.version === 1 || head.version === 2 ? { ...head, version: WORKSHOP_VERSION } : head,
  );
  if (!parsed.success)
    return bad(...zodProblems(parsed.error).map((one) => ({ ...one, path: `${INDEX} ${one.path}` })));
  const { houses, shop, ancestry, bought } = parsed.data;
  const problems: Problem[] = houses.flatMap((house, at) =>
    checkHouse(house).map((one) => ({ ...one, path: `${INDEX} houses[${at}].${one.path}` })),
  );
  const jobs = parsed.data.jobs.flatMap(({ id, house, file }) => {
    const text = files.get(file);
    if (!text) {
      problems.push({ path: file, message: say('workshop.missing', { file }) });
      return [];
    }
    if (house !== null && !houses.some((one) => one.id === house))
      problems.push({ path: file, message: say('workshop.noHouse', { house }) });
    const job = readJobFile(strFromU8(text));
    if (!job.ok) {
      problems.push(...job.problems.map((one) => ({ ...one, path: `${file} ${one.path}`.trim() })));
      return [];
    }
    if (job.value.design.id !== id)
      problems.push({ path: `${file} design.id`, message: say('workshop.missing', { file: id }) });
    return [{ house, job: job.value }];
  });
  const ids = jobs.map(({ job }) => job.design.id);
  ids.forEach((id, at) => {
    if (ids.indexOf(id) !== at)
      problems.push({ path: `${INDEX} jobs`, message: say('references.usedTwice', { item: id }) });
  });
  const photos = parsed.data.photos.flatMap(({ id, job, type, file }) => {
    const picture = files.get(file);
    if (!picture) {
      problems.push({ path: file, message: say('workshop.missing', { file }) });
      return [];
    }
    const owner = jobs.find((one) => one.job.design.id === job);
    if (!owner || !picturesOf(owner.job).some((one) => one.id === id))
      problems.push({ path: file, message: say('workshop.noPhoto') });
    const looked = readPicture(picture, file);
    if (!looked.ok) problems.push(...looked.problems);
    else if (looked.value.type !== type)
      problems.push({ path: file, message: say('file.must', { values: looked.value.type }) });
    return [{ id, job, type, bytes: picture }];
  });
  return problems.length > 0
    ? { ok: false, problems }
    : good({
        houses,
        jobs,
        photos,
        shop,
        ...(ancestry ? { ancestry } : {}),
        ...(bought ? { bought } : {}),
      });
}

const isZip = (bytes: Uint8Array): boolean => bytes[0] === 0x50 && bytes[1] === 0x4b;

/**
 * Reads whatever Split Tap exports: a job file, a house file, a zip of jobs with their photos. What it is is told by what
 * is in it, not by its name. Never throws.
 */
export function readAnyFile(bytes: Uint8Array): Checked<Workshop> {
  if (isZip(bytes)) return readZip(bytes);
  const alone = { houses: [], photos: [], shop: null };
  const text = new TextDecoder().decode(bytes);
  // What is neither is read as a job, whose problems say what is missing.
  if (!isHouseText(text)) {
    const job = readJobFile(text);
    return job.ok ? good({ ...alone, jobs: [{ house: null, job: job.value }] }) : job;
  }
  const read = readHouseFile(text);
  if (!read.ok) return read;
  const { house: own, jobs, ancestry, bought } = read.value;
  return good({
    ...alone,
    ...(ancestry ? { ancestry: { [own.id]: ancestry } } : {}),
    ...(bought ? { bought: { [own.id]: bought } } : {}),
    houses: [own],
    jobs: jobs.map((job) => ({ house: own.id, job })),
  });
}
