import { Job } from '../model/job';
import { attic, hall, landing, stair } from './demo-halls';
import { den, laundry, porch, sunroom } from './demo-rooms';

/*
 * Alder Court, house 12: an invented two-story house that its owner is freshening up. Nothing in it is real.
 */

export const demoJobs: readonly Job[] = [sunroom, hall, attic, laundry, porch, stair, den, landing].map(
  (input) => Job.parse(input),
);

export const demoJob = (id: string): Job | undefined => demoJobs.find((job) => job.id === id);
