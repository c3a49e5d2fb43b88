import { liveQuery } from 'dexie';
import { database, type SplitTapDatabase, type StoredSummary } from './database';

export type { StoredSummary };

/** The jobs of this browser, the last changed first: what is listed of them, not the jobs. */
export const listSummaries = (db: SplitTapDatabase = database): Promise<StoredSummary[]> =>
  db.summaries.orderBy('updatedAt').reverse().toArray();

/** The same, told anew when one changes, in whichever tab. Gives a way to stop. */
export function watchSummaries(
  tell: (all: readonly StoredSummary[]) => void,
  blocked: (error: unknown) => void,
): () => void {
  // A watch on a store that cannot be opened waits in silence: whether it can is asked first.
  database.open().catch(blocked);
  const watching = liveQuery(() => listSummaries()).subscribe({
    next: tell,
    error: blocked,
  });
  return () => watching.unsubscribe();
}
