import { startTransition, useEffect, useState } from 'react';
import type { Glance } from '@core/handover/glance/glance';

/** What was worked out on this page, by job and the mark of all that it hangs on. */
const known = new Map<string, Promise<Glance | null>>();

/**
 * What a listed job is at, worked out beside the page; null until then, and where it cannot be read. `changed` is when it
 * was changed last; what was only noted of it, or changed in its house, is asked for whenever the list is opened.
 */
export function useGlance(id: string, changed: string, demo: boolean): Glance | null {
  const [shown, setShown] = useState<Glance | null>(null);
  useEffect(() => {
    let left = false;
    ask(id, demo).then(
      // In small pieces: many cards come at once, and the page is to answer a finger meanwhile.
      (glance) => !left && startTransition(() => setShown(glance)),
      // Without its drawing a card still leads to its job.
      () => undefined,
    );
    return () => {
      left = true;
    };
  }, [id, changed, demo]);
  return shown;
}

async function ask(id: string, demo: boolean): Promise<Glance | null> {
  const [{ openDatabase }, { peekJob }, { glanceWorker }] = await Promise.all([
    import('~/storage/opened-database'),
    import('~/storage/listed'),
    import('~/workers/core'),
  ]);
  const stored = await peekJob((await openDatabase()).database, id);
  if (!stored && !demo) return null;
  const key = `${id} ${stored?.mark ?? ''}`;
  const asked =
    known.get(key) ??
    glanceWorker.ask((worker) => (stored ? worker.glanceAt(id, stored.job) : worker.glanceAtDemo(id)));
  known.set(key, asked);
  asked.catch(() => known.delete(key));
  return asked;
}
