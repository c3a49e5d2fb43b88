import { startTransition, useEffect, useState } from 'react';
import type { ListedHouse, StoredSummary } from '~/storage/summaries';

const NO_JOBS: readonly StoredSummary[] = [];

/** The jobs and houses of this browser as they are now; the store is loaded when the page stands. */
export function useStored(): {
  readonly jobs: readonly StoredSummary[];
  readonly houses: readonly ListedHouse[];
  /** True once the jobs are known. */
  readonly read: boolean;
  /** True where there is something to back up or to put back. */
  readonly kept: boolean;
} {
  const [jobs, setJobs] = useState<readonly StoredSummary[] | null>(null);
  const [houses, setHouses] = useState<readonly ListedHouse[]>([]);
  const [trash, setTrash] = useState(false);
  useEffect(() => {
    let left = false;
    const stops: (() => void)[] = [];
    void import('~/storage/summaries').then(({ watchSummaries, watchHouses, watchTrash }) => {
      if (!left)
        stops.push(
          watchSummaries((found) => startTransition(() => setJobs(found))),
          watchHouses((found) => startTransition(() => setHouses(found))),
          watchTrash(setTrash),
        );
    });
    return () => {
      left = true;
      for (const stop of stops) stop();
    };
  }, []);
  const own = jobs ?? NO_JOBS;
  return { jobs: own, houses, read: jobs !== null, kept: own.length + houses.length > 0 || trash };
}
