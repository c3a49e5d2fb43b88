import { thingKey } from '@core/job/merge/relation';
import { DAY_MS } from './day';
import { summaryOf, whole, type SplitTapDatabase, type StoredTrash } from './database';

/** Takes a job off all tables. */
export const forget = (db: SplitTapDatabase, id: string): Promise<void> =>
  whole(db, async () => {
    await db.jobs.delete(id);
    await db.records.delete(id);
    await db.summaries.delete(id);
    await db.history.where('jobId').equals(id).delete();
    await db.journal.where('jobId').equals(id).delete();
    await db.scenes.delete(id);
    await db.kin.delete(thingKey({ kind: 'job', id }));
    await db.photos.where('jobId').equals(id).delete();
  });

/** Removes jobs, and a house with them, all to be put back together. */
export const intoTrash = (
  db: SplitTapDatabase,
  ids: readonly string[],
  house: string | null = null,
): Promise<void> =>
  whole(db, async () => {
    const stored = house === null ? undefined : await db.houses.get(house);
    const jobs = (await db.jobs.bulkGet([...ids])).filter((row) => row !== undefined);
    if (jobs.length === 0 && !stored) return;
    const ofJobs = (table: 'history' | 'photos') =>
      db
        .table<unknown>(table)
        .where('jobId')
        .anyOf([...ids])
        .toArray();
    const summaries = (await db.summaries.bulkGet([...ids])).filter((row) => row !== undefined);
    const rows = {
      jobs,
      records: (await db.records.bulkGet([...ids])).filter((row) => row !== undefined),
      summaries,
      history: await ofJobs('history'),
      scenes: (await db.scenes.bulkGet([...ids])).filter((row) => row !== undefined),
      photos: await ofJobs('photos'),
      kin: (await db.kin.bulkGet([...ids].map((id) => thingKey({ kind: 'job', id })))).filter(
        (row) => row !== undefined,
      ),
      houses: stored ? [stored] : [],
    };
    const name = stored ? summaryOf(stored.id, stored.house).name : (summaries[0]?.name ?? ids[0] ?? '');
    await db.trash.put({ id: `${Date.now()}-${house ?? ids[0] ?? ''}`, at: Date.now(), name, rows });
    for (const id of ids) await forget(db, id);
    if (house !== null) await db.houses.delete(house);
  });

/** What was removed and can be put back, the newest first. What is older than a day goes for good. */
export async function trashed(db: SplitTapDatabase): Promise<StoredTrash[]> {
  await db.trash
    .where('at')
    .below(Date.now() - DAY_MS)
    .delete();
  return db.trash.orderBy('at').reverse().toArray();
}

/** Puts back what was removed. False where it is gone, or where something of the same id was made since. */
export function putBack(db: SplitTapDatabase, id: string): Promise<boolean> {
  return whole(db, async () => {
    const kept = await db.trash.get(id);
    if (!kept) return false;
    const keys = (table: string) => (kept.rows[table] ?? []).map((row) => (row as { id: string }).id);
    const taken = [
      ...(await db.jobs.bulkGet(keys('jobs'))),
      ...(await db.houses.bulkGet(keys('houses'))),
    ].some((row) => row !== undefined);
    if (taken) return false;
    for (const [table, rows] of Object.entries(kept.rows))
      if (rows.length > 0) await db.table(table).bulkPut([...rows]);
    await db.trash.delete(id);
    return true;
  });
}
