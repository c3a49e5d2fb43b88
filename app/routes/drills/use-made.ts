import { useEffect, useState } from 'react';
import type { Remote } from 'comlink';
import { drillWorker } from '~/workers/core';
import type { CoreWorker } from '~/workers/core.worker';
import { reasonOf } from '~/workers/no-answer';

/** A drill made by the worker: null while it is made, and where the job has none. */
export function useMade<T>(ask: (worker: Remote<CoreWorker>) => Promise<T | null>) {
  const [made, setMade] = useState<{ readonly drill: T | null; readonly failed: string | null } | null>(null);
  const [question] = useState(() => ask);
  useEffect(() => {
    let gone = false;
    drillWorker.ask(question).then(
      (drill) => gone || setMade({ drill, failed: null }),
      (error: unknown) => gone || setMade({ drill: null, failed: reasonOf(error) }),
    );
    return () => {
      gone = true;
      drillWorker.tell((worker) => worker.cancelDrill());
    };
  }, [question]);
  return {
    drill: made?.drill ?? null,
    failed: made?.failed ?? null,
    none: made !== null && made.drill === null,
  };
}
