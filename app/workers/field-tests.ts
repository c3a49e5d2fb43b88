import type { Design } from '@core/job/model/design';
import type { Wiring } from '@core/job/model/wiring';
import type { FieldReading } from '@core/site/script/find-fault';
import { FieldReport, type ShownDiagnosis, type ShownScript } from '@core/site/script/report';
import { studying } from '@core/site/script/script';
import { breathe } from './breathe';

/** Houses tried between two breaths of the worker. */
const BATCH = 20;

export type FieldTests = ReturnType<typeof fieldTests>;

/** The test script and the fault finder of one job at a time; what the worker offers. */
export function fieldTests() {
  let asked = 0;
  let report: FieldReport | null = null;
  return {
    /** Tries every mistake in every place. Gives null where a cancel or a newer question came first. */
    async script(
      job: Design,
      wiring: Wiring,
      tell: (progress: { readonly done: number; readonly of: number }) => void,
    ): Promise<ShownScript | null> {
      const own = ++asked;
      report = null;
      const steps = studying({ job, wiring });
      for (;;) {
        const step = steps.next();
        if (step.done) {
          report = new FieldReport({ job, wiring }, step.value);
          return report.script();
        }
        if (step.value.done % BATCH !== 0) continue;
        tell(step.value);
        await breathe();
        if (own !== asked) return null;
      }
    },
    /** What may be wrong, given what was read; null where no script was worked out. */
    find: (readings: readonly FieldReading[]): ShownDiagnosis | null =>
      report?.find(readings.filter(({ test }) => report?.knows(test))) ?? null,
    cancel() {
      asked++;
    },
  };
}
