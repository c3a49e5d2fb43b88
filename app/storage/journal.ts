import type { Problem } from '@core/job/model/problem';
import type { JournalEntry, SplitTapDatabase } from './database';

/** How the journal is searched for what was tapped on a house, and on the shop. */
export const ofHouse = (house: string): string => `house ${house}`;
export const OF_SHOP = 'the shop';

/**
 * Writes down what was tapped, in one write that is sent off before this returns, so that it is kept though the page
 * is closed at once.
 */
export function writeDown(db: SplitTapDatabase, entry: JournalEntry): Promise<number> {
  const native = db.isOpen() ? db.backendDB() : null;
  if (!native) return db.journal.add(entry);
  return new Promise((resolve, reject) => {
    const tx = native.transaction('journal', 'readwrite');
    const put = tx.objectStore('journal').add(entry);
    put.onsuccess = () => resolve(Number(put.result));
    tx.onerror = () => reject(tx.error ?? new Error('not stored'));
    tx.onabort = () => reject(tx.error ?? new Error('not stored'));
    tx.commit();
  });
}

/** What waits to be carried out, in the order it was tapped. */
export const waitingOn = async (db: SplitTapDatabase, on: string): Promise<readonly JournalEntry[]> =>
  (await db.journal.where('jobId').equals(on).sortBy('seq')).filter(({ refused }) => !refused);

/** What could not be carried out, of any tab; each is told once. */
export const refusals = (db: SplitTapDatabase, on: string): Promise<readonly Problem[]> =>
  db.transaction('rw', db.journal, async () => {
    const refused = await db.journal
      .where('jobId')
      .equals(on)
      .filter((entry) => entry.refused !== undefined)
      .toArray();
    await db.journal.bulkDelete(refused.flatMap(({ seq }) => seq ?? []));
    return refused.flatMap((entry) => entry.refused ?? []);
  });
