import { proxy } from 'comlink';
import { useEffect, useState } from 'react';
import type { FieldReading } from '@core/site/script/find-fault';
import type { ShownDiagnosis, ShownScript } from '@core/site/script/report';
import type { ShownPlan } from '@core/wiring/plan';
import { fieldWorker } from '~/workers/core';
import { reasonOf } from '~/workers/no-answer';

interface Worked {
  /** The plan that it is of: it is no answer for another. */
  readonly plan: ShownPlan;
  readonly script: ShownScript | null;
  readonly failed: string | null;
}

/** The test script of a plan, worked out beside the page, with its progress; and what the readings come to. */
export function useScript(plan: ShownPlan | null) {
  const [worked, setWorked] = useState<Worked | null>(null);
  const [progress, setProgress] = useState<{ done: number; of: number } | null>(null);
  const [again, setAgain] = useState(0);
  useEffect(() => {
    if (plan === null) return;
    let gone = false;
    const tell = proxy((how: { done: number; of: number }) => {
      if (!gone) setProgress(how);
    });
    fieldWorker
      .ask((worker) => worker.testScript(plan.job, plan.wiring, tell))
      .then(
        (script) => gone || setWorked({ plan, script, failed: null }),
        (error: unknown) => gone || setWorked({ plan, script: null, failed: reasonOf(error) }),
      );
    return () => {
      gone = true;
      setProgress(null);
      fieldWorker.tell((worker) => worker.cancelTests());
    };
  }, [plan, again]);
  const own = worked?.plan === plan ? worked : null;
  return {
    script: own?.script ?? null,
    failed: own?.failed ?? null,
    /** True where it was stopped: neither worked out nor under way. */
    stopped: own !== null && own.script === null && own.failed === null,
    progress,
    retry: () => {
      setWorked(null);
      setAgain((count) => count + 1);
    },
    stop: () => fieldWorker.tell((worker) => worker.cancelTests()),
  };
}

/** What may be wrong, asked anew with every reading; null where nothing was read that does not fit. */
export function useDiagnosis(script: ShownScript | null, readings: readonly FieldReading[], ask: boolean) {
  const asked = ask && script ? JSON.stringify(readings) : null;
  const [found, setFound] = useState<{
    asked: string;
    script: ShownScript;
    diagnosis: ShownDiagnosis | null;
  } | null>(null);
  useEffect(() => {
    if (asked === null || script === null) return;
    let gone = false;
    fieldWorker
      .ask((worker) => worker.findFault(JSON.parse(asked) as FieldReading[]))
      .then(
        (diagnosis) => gone || setFound({ asked, script, diagnosis }),
        () => gone || setFound({ asked, script, diagnosis: null }),
      );
    return () => {
      gone = true;
    };
  }, [asked, script]);
  return {
    // The last answer stands while the next is sought; of another script it is none.
    diagnosis: found?.script === script && asked !== null ? found.diagnosis : null,
    busy: asked !== null && found?.asked !== asked,
  };
}
