import type { House } from '../../job/model/house';
import type { Job } from '../../job/model/job';
import { writeJobFile } from '../../job/model/job-file';
import type { Workshop } from './workshop';

/** What an import would do with a job or a house: add it, nothing since it is the same, or differ from what is there. */
export interface Incoming {
  readonly kind: 'job' | 'house';
  readonly id: string;
  readonly name: string;
  readonly state: 'new' | 'same' | 'changed';
  /** The parts in which what comes differs from what is stored, by their names in the file. */
  readonly differs: readonly string[];
}

/** What to do with a job that comes: leave it, add it under a name of its own, put it in the place of the stored one. */
export type Choice = 'skip' | 'add' | 'replace';

/** What is kept already, by id. */
export interface Known {
  readonly jobs: ReadonlyMap<string, Job>;
  readonly houses: ReadonlyMap<string, House>;
}

/** Each job and house of a file against what is stored. */
export function previewOf({ houses, jobs }: Workshop, known: Known): Incoming[] {
  return [
    ...houses.map((house): Incoming => {
      const stored = known.houses.get(house.id);
      const differs = stored ? parts(stored, house) : [];
      return { kind: 'house', id: house.id, name: house.name, ...stateOf(stored, differs), differs };
    }),
    ...jobs.map(({ job }): Incoming => {
      const { id, name } = job.design;
      const stored = known.jobs.get(id);
      const differs = stored
        ? writeJobFile(stored) === writeJobFile(job)
          ? []
          : [...parts(stored.design, job.design), ...parts(stored.record, job.record)]
        : [];
      return { kind: 'job', id, name, ...stateOf(stored, differs), differs };
    }),
  ];
}

const stateOf = (stored: unknown, differs: readonly string[]): Pick<Incoming, 'state'> => ({
  state: stored === undefined ? 'new' : differs.length === 0 ? 'same' : 'changed',
});

/** The fields in which two of a kind differ. */
const parts = (stored: object, coming: object): string[] =>
  [...new Set([...Object.keys(stored), ...Object.keys(coming)])].filter(
    (field) =>
      JSON.stringify((stored as Record<string, unknown>)[field]) !==
      JSON.stringify((coming as Record<string, unknown>)[field]),
  );

/** What is done unless something else is chosen: what is new is added, what is the same left, what differs set beside. */
export const usualChoice = ({ state }: Incoming): Choice => (state === 'same' ? 'skip' : 'add');
