import { liveQuery } from 'dexie';
import type { StoredSummary } from './database';
import { openStore, type Opened } from './opened';

export type { StoredSummary };

/** A house as it is listed. */
export interface ListedHouse {
  readonly id: string;
  readonly name: string;
}

/** The houses of this browser, told anew when one changes, in whichever tab. Gives a way to stop. */
export const watchHouses = (tell: (all: readonly ListedHouse[]) => void): (() => void) =>
  watch(({ store }) => store.houses(), tell);

/** The jobs of this browser, told anew when one changes, in whichever tab. Gives a way to stop. */
export const watchSummaries = (tell: (all: readonly StoredSummary[]) => void): (() => void) =>
  watch(({ store }) => store.list(), tell);

function watch<T>(read: (opened: Opened) => Promise<T>, tell: (value: T) => void): () => void {
  let left = false;
  let stop = () => {
    left = true;
  };
  void openStore().then((opened) => {
    if (left) return;
    // What lives in memory alone is no other tab's: it is read once.
    if (opened.lost !== null) {
      void read(opened).then((value) => !left && tell(value));
      return;
    }
    const watching = liveQuery(() => read(opened)).subscribe({ next: tell, error: () => undefined });
    stop = () => watching.unsubscribe();
  });
  return () => stop();
}
