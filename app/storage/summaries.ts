import { liveQuery } from 'dexie';
import type { SplitTapDatabase, StoredSummary } from './database';
import { anyTrash, listHouses, listJobs, type ListedHouse } from './listed';
import { openDatabase } from './opened-database';

export type { ListedHouse, StoredSummary };

/** The houses of this browser, told anew when one changes, in whichever tab. Gives a way to stop. */
export const watchHouses = (tell: (all: readonly ListedHouse[]) => void): (() => void) =>
  watch(listHouses, tell);

/** The jobs of this browser, told anew when one changes, in whichever tab. Gives a way to stop. */
export const watchSummaries = (tell: (all: readonly StoredSummary[]) => void): (() => void) =>
  watch(listJobs, tell);

/** Whether anything that was removed can be put back, told anew when that changes. Gives a way to stop. */
export const watchTrash = (tell: (is: boolean) => void): (() => void) => watch(anyTrash, tell);

function watch<T>(read: (database: SplitTapDatabase) => Promise<T>, tell: (value: T) => void): () => void {
  let left = false;
  let stop = () => {
    left = true;
  };
  void openDatabase().then(({ database, lost }) => {
    if (left) return;
    // What lives in memory alone is no other tab's: it is read once.
    if (lost !== null) {
      void read(database).then((value) => !left && tell(value));
      return;
    }
    const watching = liveQuery(() => read(database)).subscribe({ next: tell, error: () => undefined });
    stop = () => watching.unsubscribe();
  });
  return () => stop();
}
