import { Design } from '../model/design';
import type { Job } from '../model/job';
import { JobRecord } from '../model/record';
import { measured } from '../rooms/route';
import { attic, hall, landing, stair } from './demo-halls';
import { den, laundry, porch, sunroom } from './demo-rooms';

/*
 * Alder Court, house 12: an invented two-story house that its owner is freshening up. Nothing in it is real.
 */

const inputs = [sunroom, hall, attic, laundry, porch, stair, den, landing];

/** The designs of the invented house. */
export const demoJobs: readonly Design[] = inputs.map(({ brief: _, surveys: __, ...design }) =>
  measured(Design.parse(design)),
);

export const demoJob = (id: string): Design | undefined => demoJobs.find((job) => job.id === id);

/** What was asked and found of each. */
export function demoRecord(id: string): JobRecord {
  const { brief, surveys } = inputs.find((one) => one.id === id) ?? {};
  return JobRecord.parse({ ...(brief ? { brief } : {}), ...(surveys ? { surveys } : {}) });
}

/** A demo job whole, as it is first opened. */
export function demoWhole(id: string): Job | undefined {
  const design = demoJob(id);
  return design && { design, record: demoRecord(id) };
}
