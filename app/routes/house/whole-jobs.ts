import { useEffect, useState } from 'react';
import type { Job } from '@core/job/model/job';
import { openStore } from '~/storage/opened';

/** The house's jobs, design and record, read anew when what is named by `changed` does; null until they are read. */
export function useWholeJobs(house: string, changed: string): readonly Job[] | null {
  const [jobs, setJobs] = useState<readonly Job[] | null>(null);
  useEffect(() => {
    let gone = false;
    void openStore()
      .then(({ houses }) => houses())
      .then((store) => store.whole(house))
      .then((whole) => {
        if (!gone) setJobs(whole.ok ? whole.value.jobs : []);
      });
    return () => {
      gone = true;
    };
  }, [house, changed]);
  return jobs;
}
