import { liveQuery } from 'dexie';
import type { StoredSummary } from './database';
import { openStore } from './opened';

export type { StoredSummary };

/** The jobs of this browser, told anew when one changes, in whichever tab. Gives a way to stop. */
export function watchSummaries(tell: (all: readonly StoredSummary[]) => void): () => void {
  let left = false;
  let stop = () => {
    left = true;
  };
  void openStore().then(({ store }) => {
    if (left) return;
    const watching = liveQuery(() => store.list()).subscribe({ next: tell, error: () => undefined });
    stop = () => watching.unsubscribe();
  });
  return () => stop();
}
