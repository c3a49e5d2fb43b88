import { printOf } from '../../base/merge/same';
import { comparable } from '../../job/merge/job';
import { relationOf, type Copy, type Relation, type Thing } from '../../job/merge/relation';
import { NO_ANCESTRY, type Ancestry } from '../../job/model/ancestry';
import type { House } from '../../job/model/house';
import type { Job } from '../../job/model/job';
import type { Workshop } from './workshop';

/** What a job or a house that comes is to what is here. */
export type Standing = 'new' | Relation['is'];

/** What an import would do with a job or a house: add it, nothing since it is the same, or come together with what is there. */
export interface Incoming extends Thing {
  readonly name: string;
  readonly state: Standing;
  /** Of two copies that grew apart, the fingerprint of what both grew from. */
  readonly base: string | null;
  /** Who gave it, when; as the file says. */
  readonly given: Pick<Ancestry, 'by' | 'at'>;
}

/** What to do with what comes: leave it, add it under a name of its own, put it in the place of what is there, bring both together. */
export const CHOICES = ['skip', 'add', 'replace', 'merge'] as const;
export type Choice = (typeof CHOICES)[number];

/** What is kept already, by id, with what it grew from. */
export interface Known {
  readonly jobs: ReadonlyMap<string, { readonly job: Job; readonly from: Copy['from'] }>;
  readonly houses: ReadonlyMap<string, { readonly house: House; readonly from: Copy['from'] }>;
}

/** The fingerprint of a job, whatever of it is worked out anew. */
export const printOfJob = (job: Job): string => {
  const { design, record } = comparable(job);
  return printOf({ design, record });
};
export const printOfHouse = (house: House): string => printOf(house);

/** Each job and house of a file against what is stored. */
export function previewOf({ houses, jobs, ancestry = {} }: Workshop, known: Known): Incoming[] {
  const row = (
    kind: Incoming['kind'],
    { id, name }: { readonly id: string; readonly name: string },
    theirs: Copy & { readonly given: Ancestry },
    ours: Copy | undefined,
  ): Incoming => {
    const relation = ours && relationOf(ours, theirs);
    const { by, at } = theirs.given;
    return {
      kind,
      id,
      name,
      state: relation?.is ?? 'new',
      base: relation?.is === 'apart' ? relation.base : null,
      given: { by, at },
    };
  };
  return [
    ...houses.map((house) => {
      const stored = known.houses.get(house.id);
      const given = ancestry[house.id] ?? NO_ANCESTRY;
      return row(
        'house',
        house,
        { print: printOfHouse(house), from: given.from, given },
        stored && { print: printOfHouse(stored.house), from: stored.from },
      );
    }),
    ...jobs.map(({ job }) => {
      const stored = known.jobs.get(job.design.id);
      const given = job.ancestry ?? NO_ANCESTRY;
      return row(
        'job',
        job.design,
        { print: printOfJob(job), from: given.from, given },
        stored && { print: printOfJob(stored.job), from: stored.from },
      );
    }),
  ];
}

const USUAL: Readonly<Record<Standing, Choice>> = {
  new: 'add',
  same: 'skip',
  behind: 'skip',
  ahead: 'merge',
  apart: 'merge',
  strange: 'add',
};

/** What is done unless something else is chosen: what only one changed is taken; what nothing is known of is set beside. */
export const usualChoice = ({ state }: Pick<Incoming, 'state'>): Choice => USUAL[state];
