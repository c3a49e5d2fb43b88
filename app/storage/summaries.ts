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
  const watching = liveQuery(() => database.summaries.orderBy('updatedAt').reverse().toArray()).subscribe({
    next: tell,
    error: blocked,
  });
  return () => watching.unsubscribe();
}
