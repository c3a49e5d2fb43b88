import { proxy } from 'comlink';
import { startTransition, useEffect, useRef, useState } from 'react';
import type { Design } from '@core/job/model/design';
import type { Option, Progress } from '@core/choices/options/option';
import { openStore } from '~/storage/opened';
import { optionsWorker } from '~/workers/core';
import type { Told } from '~/workers/option-search';
import { useStable } from '~/ui/use-stable';
import { reasonOf } from '~/workers/no-answer';

/** How long nothing is changed before a search begins, ms. */
const SETTLED_MS = 250;

interface Found {
  /** The job and outlet it was searched for: it is no answer for another. */
  readonly asked: string;
  readonly options: readonly Option[] | null;
  readonly failed: string | null;
}

/** A search in the worker for the ways to get an outlet, with its progress, its answer, and a way to stop it. */
export function useSearch(job: Design, outlet: string) {
  const asked = JSON.stringify([job, outlet]);
  const [found, setFound] = useState<Found | null>(null);
  const [running, setRunning] = useState<{ asked: string; progress: Progress } | null>(null);
  /** The search that is under way; any other is not listened to. */
  const current = useRef(0);
  const stop = () => {
    current.current++;
    optionsWorker.tell((worker) => worker.cancel());
    setRunning(null);
  };
  // Another job or outlet, or leaving the page, ends the search.
  useEffect(
    () => () => {
      current.current++;
      optionsWorker.tell((worker) => worker.cancel());
    },
    [asked],
  );
  const search = () => {
    const own = ++current.current;
    setFound(null);
    let best: Progress['best'] = [];
    setRunning({ asked, progress: { tried: 0, of: 1, found: 0, best } });
    const end = (answer: Omit<Found, 'asked'>) => {
      if (current.current !== own) return;
      current.current++;
      setRunning(null);
      // Drawing the table gives way to what the user does meanwhile.
      startTransition(() => setFound({ asked, ...answer }));
    };
    // Progress comes by a way of its own and may come after the answer: only a search that runs is heard.
    const tell = proxy((told: Told) => {
      best = told.best ?? best;
      if (current.current === own) setRunning({ asked, progress: { ...told, best } });
    });
    // By the shop's own prices and labor, as they are now.
    openStore()
      .then(async (store) => (await store.shop()).open(job.id))
      .then(({ shop }) => optionsWorker.ask((worker) => worker.search(job, outlet, shop, tell)))
      .then(
        (options) => end({ options, failed: null }),
        (error: unknown) => end({ options: null, failed: reasonOf(error) }),
      );
  };
  // It begins by itself, once for each job and outlet, when nothing is changed for a moment.
  const begin = useStable(search);
  useEffect(() => {
    if (outlet === '') return;
    const waiting = setTimeout(begin, SETTLED_MS);
    return () => clearTimeout(waiting);
  }, [asked, outlet, begin]);
  const answer = found?.asked === asked ? found : null;
  return {
    options: answer?.options ?? null,
    failed: answer?.failed ?? null,
    progress: running?.asked === asked ? running.progress : null,
    search,
    cancel: stop,
  };
}
