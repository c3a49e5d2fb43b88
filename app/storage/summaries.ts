import { liveQuery } from 'dexie';
import { database, type StoredSummary } from './database';

export type { StoredSummary };

/**
 * The jobs of this browser, the last changed first: what is listed of them, not the jobs. Told anew when one changes, in
 * whichever tab. Gives a way to stop.
 */
export function watchSummaries(
  tell: (all: readonly StoredSummary[]) => void,
  blocked: (error: unknown) => void,
): () => void {
  // A watch on a store that cannot be opened waits in silence: whether it can is asked first.
  database.open().catch(blocked);
  const watching = liveQuery(() => database.summaries.orderBy('updatedAt').reverse().toArray()).subscribe({
    next: tell,
    error: blocked,
  });
  return () => watching.unsubscribe();
}
