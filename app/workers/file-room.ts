import { bringHouses, bringTogether, type HouseTogether, type Together } from '@core/handover/crew/bring';
import { withCameIn } from '@core/handover/crew/came';
import { readAnyFile, writeWorkshop, type Workshop } from '@core/handover/files/workshop';
import type { Choices, Side } from '@core/base/merge/three-way';
import type { House } from '@core/job/model/house';
import type { Job } from '@core/job/model/job';
import type { Checked } from '@core/job/model/problem';
import type { Stamp } from '@core/job/record/log';

export const readFile = (bytes: Uint8Array): Checked<Workshop> => readAnyFile(bytes);
export const writeFile = (workshop: Workshop): Uint8Array => writeWorkshop(workshop);

/** Whose value is taken, by place. */
export type Chosen = readonly (readonly [place: string, side: Side])[];

/** Two copies of a job, brought together; what came in, and from whom, stands in the log of the result. */
export function bringJob(
  { base, ours, theirs }: { readonly base: Job | null; readonly ours: Job; readonly theirs: Job },
  chosen: Chosen,
  from: string,
  stamp: Stamp,
): Together {
  const together = bringTogether(base, ours, theirs, new Map(chosen) satisfies Choices);
  return { ...together, job: withCameIn(together.job, from, together.came, stamp) };
}

export const bringHouse = (
  { base, ours, theirs }: { readonly base: House | null; readonly ours: House; readonly theirs: House },
  chosen: Chosen,
): HouseTogether => bringHouses(base, ours, theirs, new Map(chosen));
