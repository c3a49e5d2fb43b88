import { proxy } from 'comlink';
import { startTransition, useEffect, useMemo, useState } from 'react';
import { dayWorker } from '~/workers/core';
import type { DayQuestion, DayTold } from '~/workers/day-room';
import { reasonOf } from '~/workers/no-answer';

export interface ShownDay {
  /** The best so far; that of the question before while a new one has none. */
  readonly told: DayTold | null;
  readonly busy: boolean;
  readonly failed: string | null;
  /** Stops looking for a better one. */
  readonly stop: () => void;
}

/** A day put in order beside the page, better and better, until it is stopped or no better one is looked for; the same object is asked once. */
export function useDay(asked: DayQuestion | null): ShownDay {
  const question = useMemo(() => JSON.stringify(asked), [asked]);
  const [told, setTold] = useState<DayTold | null>(null);
  const [ended, setEnded] = useState<{ readonly question: string; readonly failed: string | null } | null>(
    null,
  );
  useEffect(() => {
    const own = JSON.parse(question) as DayQuestion | null;
    if (own === null) return;
    let gone = false;
    const tell = proxy((day: DayTold) => {
      // A better day waits for taps.
      if (!gone) startTransition(() => setTold(day));
    });
    dayWorker
      .ask((worker) => worker.planDay(own, tell))
      .then(
        (last) => {
          if (gone || !last) return;
          startTransition(() => {
            setTold(last);
            setEnded({ question, failed: null });
          });
        },
        (error: unknown) => gone || setEnded({ question, failed: reasonOf(error) }),
      );
    return () => {
      gone = true;
      dayWorker.tell((worker) => worker.cancelDay());
    };
  }, [question]);
  const current = ended?.question === question ? ended : null;
  return {
    told,
    busy: asked !== null && current === null,
    failed: current?.failed ?? null,
    stop: () => {
      dayWorker.tell((worker) => worker.cancelDay());
      setEnded({ question, failed: null });
    },
  };
}
