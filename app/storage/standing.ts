import { OF_SHOP, ofHouse } from './journal';
import type { SplitTapDatabase, StoredStanding } from './database';
import type { Revision } from './jobs';

/** So many pages are kept as they stood; the one longest ago goes. */
const KEPT = 24;

/** What a page that is to be kept as it stands shows. */
export type Shown =
  | { readonly of: 'job'; readonly job: string; readonly revision: Revision; readonly scene: unknown }
  /** A list: by each job on it, when it was changed last. */
  | { readonly of: 'list'; readonly jobs: readonly (readonly [id: string, updatedAt: number])[] };

type Hangs = Pick<StoredStanding, 'marks' | 'counts'>;
const mark = (table: string, key: string, field: string, row: unknown): StoredStanding['marks'][number] => [
  table,
  key,
  field,
  JSON.stringify((row as Record<string, unknown> | undefined)?.[field]),
];

/**
 * Keeps a page as it stands, with what it hangs on as that is stored now. Gives false where what is stored is not what the
 * page shows: then nothing is kept.
 */
export const keepStanding = (
  db: SplitTapDatabase,
  page: Pick<StoredStanding, 'at' | 'build' | 'html'>,
  shown: Shown,
): Promise<boolean> =>
  db.transaction('rw', db.tables, async () => {
    const hangs = shown.of === 'job' ? await ofJob(db, shown) : await ofList(db, shown.jobs);
    if (!hangs) return false;
    await db.standing.put({ ...page, ...hangs, kept: Date.now() });
    const all = await db.standing.orderBy('kept').primaryKeys();
    await db.standing.bulkDelete(all.slice(0, -KEPT));
    return true;
  });

async function ofJob(
  db: SplitTapDatabase,
  { job, revision, scene }: Shown & { readonly of: 'job' },
): Promise<Hangs | null> {
  const design = await db.jobs.get(job);
  const record = await db.records.get(job);
  const house = design?.house === undefined ? undefined : await db.houses.get(design.house);
  const played = await db.scenes.get(job);
  const same =
    // Without a seal nothing says that it is the same thing again.
    design?.seal !== undefined &&
    record?.seal !== undefined &&
    design.revision === revision.design &&
    record.revision === revision.record &&
    (house?.revision ?? 0) === revision.house &&
    (played === undefined || JSON.stringify(played.scene) === JSON.stringify(scene));
  const shop = await db.shop.toArray();
  const waiting = [job, OF_SHOP, ...(house ? [ofHouse(house.id)] : [])];
  if (!same || (await db.journal.where('jobId').anyOf(waiting).count()) > 0) return null;
  return {
    marks: [
      mark('jobs', job, 'seal', design),
      mark('jobs', job, 'house', design),
      // What can be undone, too.
      mark('jobs', job, 'revision', design),
      mark('jobs', job, 'cursor', design),
      mark('records', job, 'seal', record),
      mark('scenes', job, 'scene', played),
      ...shop.map((row) => mark('shop', row.id, 'value', row)),
      ...(house
        ? [mark('houses', house.id, 'revision', house), mark('houses', house.id, 'updatedAt', house)]
        : []),
    ],
    counts: [
      ['shop', null, '', shop.length],
      ...waiting.map((of): StoredStanding['counts'][number] => ['journal', 'jobId', of, 0]),
    ],
  };
}

async function ofList(
  db: SplitTapDatabase,
  jobs: readonly (readonly [id: string, updatedAt: number])[],
): Promise<Hangs | null> {
  const ids = jobs.map(([id]) => id);
  const lines = await db.summaries.bulkGet(ids);
  if (lines.some((line, index) => (line?.updatedAt ?? 0) !== jobs[index]?.[1])) return null;
  const [designs, records, houses] = [
    await db.jobs.bulkGet(ids),
    await db.records.bulkGet(ids),
    await db.houses.toArray(),
  ];
  return {
    marks: [
      ...ids.flatMap((id, index) => [
        mark('jobs', id, 'seal', designs[index]),
        mark('records', id, 'seal', records[index]),
      ]),
      ...houses.map((house) => mark('houses', house.id, 'updatedAt', house)),
    ],
    counts: [
      ['summaries', null, '', await db.summaries.count()],
      ['houses', null, '', houses.length],
      ['journal', null, '', await db.journal.count()],
    ],
  };
}
