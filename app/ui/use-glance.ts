import { useEffect, useState } from 'react';
import type { Glance } from '@core/glance/glance';

/** What was worked out on this page, by job and when it was changed last. */
const known = new Map<string, Promise<Glance | null>>();

/** What a listed job is at, worked out beside the page; null until then, and where it cannot be read. */
export function useGlance(id: string, changed: string, demo: boolean): Glance | null {
  const [shown, setShown] = useState<Glance | null>(null);
  useEffect(() => {
    let left = false;
    const key = `${id} ${changed}`;
    const asked = known.get(key) ?? ask(id, demo);
    known.set(key, asked);
    asked.then(
      (glance) => !left && setShown(glance),
      () => known.delete(key),
    );
    return () => {
      left = true;
    };
  }, [id, changed, demo]);
  return shown;
}

async function ask(id: string, demo: boolean): Promise<Glance | null> {
  const [{ openStore }, { glanceWorker }] = await Promise.all([
    import('~/storage/opened'),
    import('~/workers/core'),
  ]);
  const { store } = await openStore();
  const stored = (await store.peek(id)) ?? (demo ? { demo: id } : null);
  return stored && glanceWorker.ask((worker) => worker.glanceAt(id, stored));
}
