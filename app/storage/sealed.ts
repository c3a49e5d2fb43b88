import { markOf } from '@core/base/mark';
import { Design, Run } from '@core/job/model/design';
import type { Job } from '@core/job/model/job';
import { checkJob } from '@core/job/model/job-file';
import { good, type Checked } from '@core/job/model/problem';
import { JobRecord } from '@core/job/model/record';
import { checkRecordReferences, checkReferences } from '@core/job/model/references';
import { measured, withoutMeasured } from '@core/job/rooms/route';

/*
 * What this program has stored itself needs no check against the schema when it is read again: a seal beside it says by
 * which shape of the data it was stored, and is made of every letter of it. What is older, was changed by something else or
 * is damaged has no seal that fits, and is checked whole.
 */

/** The shape of the data that this program stores; a build sets it from its schemas (`scripts/build/shape.ts`). */
const SHAPE = 'source';

/** The seal of a design or a record as it is stored. */
export const sealOf = (value: unknown): string => `${SHAPE} ${markOf(JSON.stringify(value))}`;

/** A design as it is put into the store: in the order of its schema, sealed if it is sound. */
export function storedDesign(design: Design): StoredParts['design'] {
  const sound = Design.safeParse(withoutMeasured(design));
  if (!sound.success || checkReferences(sound.data).length > 0) return { design: withoutMeasured(design) };
  const stored = withoutMeasured(measured(sound.data));
  return { design: stored, seal: sealOf(stored) };
}
/** A record as it is put into the store, likewise. */
export function storedRecord(record: JobRecord): StoredParts['record'] {
  const sound = JobRecord.safeParse(record);
  return sound.success && checkRecordReferences(sound.data).length === 0
    ? { record: sound.data, seal: sealOf(sound.data) }
    : { record };
}

/** A job as it is put into the store, whole. */
export const storedJob = ({ design, record }: Job): StoredParts => ({
  design: storedDesign(design),
  record: storedRecord(record),
});
/** The same of a job that the program brings along and has just read by its schema: it is not read a second time. */
export function storedOwn({ design, record }: Job): StoredParts {
  const stored = withoutMeasured(design);
  return { design: { design: stored, seal: sealOf(stored) }, record: { record, seal: sealOf(record) } };
}
/** The two parts of a job as they are stored, each with its seal if it has one. */
export interface StoredParts {
  readonly design: Sealed & { readonly design: unknown };
  readonly record: Sealed & { readonly record: unknown };
}

/** The fields of a run in their order: what is measured is put back in its place. */
const RUN_FIELDS = Object.keys(Run.shape) as readonly (keyof Run)[];
const unmeasured = (design: Design): Design => ({
  ...design,
  runs: design.runs.map((run) =>
    Object.hasOwn(run, 'lengthFt')
      ? run
      : (Object.fromEntries(
          RUN_FIELDS.flatMap((field): (readonly [string, unknown])[] =>
            field === 'lengthFt' ? [[field, 0]] : field in run ? [[field, run[field]]] : [],
          ),
        ) as Run),
  ),
});

interface Sealed {
  readonly seal?: string;
}

/** A job of what is stored; problems name what is wrong where it is none. */
export function readJob(
  stored: StoredParts['design'] | undefined,
  noted: StoredParts['record'] | undefined,
): Checked<Job> {
  return stored?.seal !== undefined &&
    noted?.seal !== undefined &&
    stored.seal === sealOf(stored.design) &&
    noted.seal === sealOf(noted.record)
    ? good({ design: measured(unmeasured(stored.design as Design)), record: noted.record as JobRecord })
    : checkJob(stored?.design, noted?.record ?? {});
}
