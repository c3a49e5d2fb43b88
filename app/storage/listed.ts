import type { StoredJob } from './around';
import { summaryOf, type SplitTapDatabase, type StoredSummary } from './database';

/* What lists show, read as it is stored: nothing here checks a job, so that a list is there before what does. */

/** A house as it is listed. */
export interface ListedHouse {
  readonly id: string;
  readonly name: string;
}

/** What is listed of the jobs, the last changed first. */
export const listJobs = (db: SplitTapDatabase): Promise<StoredSummary[]> =>
  db.summaries.orderBy('updatedAt').reverse().toArray();

/** What is listed of the houses, by name. */
export async function listHouses(db: SplitTapDatabase): Promise<ListedHouse[]> {
  const stored = await db.houses.toArray();
  return stored
    .map(({ id, house }) => ({ id, name: summaryOf(id, house).name }))
    .sort((a, b) => a.name.localeCompare(b.name, 'en'));
}

/** A job as it is stored, and a mark of all that it hangs on: its design, its record, its house. */
export async function peekJob(
  db: SplitTapDatabase,
  id: string,
): Promise<{ readonly job: StoredJob; readonly mark: string } | null> {
  const [stored, record] = await Promise.all([db.jobs.get(id), db.records.get(id)]);
  if (!stored) return null;
  const { house } = stored;
  const [row, lines] =
    house === undefined
      ? [undefined, []]
      : await Promise.all([db.houses.get(house), db.summaries.where('house').equals(house).toArray()]);
  return {
    job: { design: stored.design, record: record?.record ?? {}, house: row?.house, lines },
    mark: [stored.revision, record?.revision ?? 0, house ?? '', row?.revision ?? 0].join(' '),
  };
}

/** True where something that was removed can be put back. */
export const anyTrash = async (db: SplitTapDatabase): Promise<boolean> => (await db.trash.count()) > 0;
