import { deflateSync, inflateSync, strFromU8, strToU8 } from 'fflate';
import { z } from 'zod';
import { BoughtOf } from '../../choices/takeoff/bought';
import { patched, patchOf, type Patch } from '../../base/merge/patch';
import { printOf } from '../../base/merge/same';
import { Ancestry } from '../../job/model/ancestry';
import { checkHouse, House } from '../../job/model/house';
import { Id } from '../../job/model/fields';
import { checkJob, zodProblems } from '../../job/model/job-file';
import { readJsonText } from '../../job/model/json';
import { bad, good, type Checked, type Problem } from '../../job/model/problem';
import { comparable } from '../../job/merge/job';
import { thingKey, type Thing } from '../../job/merge/relation';
import { say } from '../../base/words/crew';
import { boughtIn, type Workshop } from '../files/workshop';

/*
 * What goes as light: of each job and house what changed since the last hand-over, against the copy that both have; photos
 * follow as a file.
 */

const FORMAT = 'split-tap-light';
/** The largest message, unpacked, bytes: no device unpacks more, whatever its frames say. */
const MOST_BYTES = 8_000_000;

const Part = z.strictObject({
  id: Id,
  ancestry: Ancestry,
  /** The copy that it goes on from; null: all of it is here. */
  since: z.string().max(80).nullable(),
  now: z.unknown(),
});
const Message = z.strictObject({
  format: z.literal(FORMAT),
  version: z.literal(1),
  houses: z.array(Part).max(20),
  jobs: z.array(Part.extend({ house: Id.nullable() })).max(200),
  photos: z.int().min(0).max(100_000),
  bought: BoughtOf.optional(),
});

/** A copy that both sides have. */
export interface Shared {
  readonly print: string;
  readonly value: unknown;
}

/** A workshop that is given, as bytes to be shown. `shared`: by "job x" or "house x" the copy to go on from; what is like it is left out. */
export function writeLight(workshop: Workshop, shared: ReadonlyMap<string, Shared>): Uint8Array {
  const part = (kind: 'job' | 'house', id: string, value: unknown, ancestry: Ancestry | undefined) => {
    const base = shared.get(thingKey({ kind, id }));
    if (base?.print === printOf(value)) return null;
    return {
      id,
      ancestry: ancestry ?? Ancestry.parse({}),
      since: base?.print ?? null,
      now: base ? patchOf(base.value, value) : value,
    };
  };
  const jobs = workshop.jobs.flatMap(({ house, job }) => {
    const { design, record } = comparable(job);
    const own = part('job', design.id, { design, record }, job.ancestry);
    return own ? [{ ...own, house }] : [];
  });
  const houses = workshop.houses.flatMap(
    (house) => part('house', house.id, house, workshop.ancestry?.[house.id]) ?? [],
  );
  const text = strToU8(
    JSON.stringify({
      format: FORMAT,
      version: 1,
      houses,
      jobs,
      photos: workshop.photos.length,
      bought: boughtIn(workshop),
    }),
  );
  const packed = deflateSync(text, { level: 9 });
  const bytes = new Uint8Array(4 + packed.length);
  new DataView(bytes.buffer).setUint32(0, text.length);
  bytes.set(packed, 4);
  return bytes;
}

/** What came as light, and how many photos are to follow as a file. */
export interface FromLight {
  readonly workshop: Workshop;
  readonly photos: number;
}

/** Reads what was shown. `copyOf`: a copy that is kept here, by its fingerprint; null where there is none. Never throws. */
export async function readLight(
  bytes: Uint8Array,
  copyOf: (of: Thing, print: string) => Promise<unknown>,
): Promise<Checked<FromLight>> {
  const refuse = (message: string, path = '') => bad({ path, message, wayOut: say('light.again') });
  if (bytes.length < 5) return refuse(say('light.broken'));
  const length = new DataView(bytes.buffer, bytes.byteOffset).getUint32(0);
  if (length > MOST_BYTES) return refuse(say('light.broken'));
  let text: string;
  try {
    text = strFromU8(inflateSync(bytes.subarray(4), { out: new Uint8Array(length) }));
  } catch {
    return refuse(say('light.broken'));
  }
  const json = readJsonText(text);
  if (!json.ok) return refuse(say('light.broken'));
  const read = Message.safeParse(json.value);
  if (!read.success) return bad(...zodProblems(read.error));
  const problems: Problem[] = [];
  const whole = async (kind: Thing['kind'], { id, since, now }: z.infer<typeof Part>): Promise<unknown> => {
    if (since === null) return now;
    const base = await copyOf({ kind, id }, since);
    if (base === null || base === undefined) {
      problems.push({ path: id, message: say('light.noCopy', { name: id }), wayOut: say('light.giveAll') });
      return null;
    }
    try {
      return patched(base, now as Patch);
    } catch {
      problems.push({ path: id, message: say('light.broken'), wayOut: say('light.giveAll') });
      return null;
    }
  };
  const houses: { readonly house: House; readonly ancestry: Ancestry }[] = [];
  for (const one of read.data.houses) {
    const value = await whole('house', one);
    if (value === null) continue;
    const house = House.safeParse(value);
    if (!house.success) {
      problems.push(...zodProblems(house.error));
      continue;
    }
    problems.push(...checkHouse(house.data));
    houses.push({ house: house.data, ancestry: one.ancestry });
  }
  const jobs: Workshop['jobs'][number][] = [];
  for (const one of read.data.jobs) {
    const value = (await whole('job', one)) as { design?: unknown; record?: unknown } | null;
    if (value === null) continue;
    const job = checkJob(value.design, value.record);
    if (!job.ok) {
      problems.push(...job.problems);
      continue;
    }
    if (job.value.design.id !== one.id) problems.push({ path: one.id, message: say('light.broken') });
    jobs.push({ house: one.house, job: { ...job.value, ancestry: one.ancestry } });
  }
  if (problems.length > 0) return { ok: false, problems };
  // A job may come without its house where that is like the one here.
  return good({
    photos: read.data.photos,
    workshop: {
      houses: houses.map(({ house }) => house),
      jobs,
      photos: [],
      shop: null,
      ancestry: Object.fromEntries(houses.map(({ house, ancestry }) => [house.id, ancestry])),
      ...(read.data.bought ? { bought: read.data.bought } : {}),
    },
  });
}
