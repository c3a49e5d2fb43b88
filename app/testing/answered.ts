import type { Design } from '@core/job/model/design';
import type { JobRecord } from '@core/job/model/record';
import type { Derived, Planned } from '~/derived';
import { answers } from '~/workers/answers';

/** What the page has of a job when all is answered, by the way of a worker: what it is told is copied. */
export async function answered(
  job: Design,
  record: JobRecord,
  { answer } = answers(),
): Promise<Derived & { readonly judged: NonNullable<Derived['judged']> }> {
  const told: Planned[] = [];
  const judged = await answer('own', structuredClone(job), structuredClone(record), (planned) =>
    told.push(structuredClone(planned)),
  );
  const [planned] = told;
  if (typeof judged === 'string' || !planned) throw new Error('no answer');
  return { plan: { ...planned, job }, record, judged: structuredClone(judged), judging: false };
}
