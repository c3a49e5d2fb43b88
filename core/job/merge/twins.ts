import { canonical, isSame, printOf } from '../../base/merge/same';
import { freshId } from '../model/fresh-id';
import type { Job } from '../model/job';
import type { JobRecord } from '../model/record';

/*
 * Two people who add a box each may come to the same id for it: ids are made of names. What is not the same thing gets an id of
 * its own in one of both copies, the same one whoever brings them together, before they are.
 */

type Lists = 'circuits' | 'boxes' | 'runs' | 'devices' | 'groups' | 'rooms' | 'connectors' | 'sheets';
type Thing = { readonly id: string };

/** What a thing is, beside its id: two of one list that agree in it are one and the same. */
const WHERE: { readonly [List in Lists]: (thing: never) => unknown } = {
  circuits: ({ number }: { number: string }) => number,
  boxes: ({ name }: { name: string }) => name,
  runs: ({ from, to }: { from: string; to: string }) => [from, to],
  devices: ({ box, gang }: { box: string; gang: number }) => [box, gang],
  groups: ({ name }: { name: string }) => name,
  rooms: ({ name }: { name: string }) => name,
  connectors: ({ name }: { name: string }) => name,
  sheets: ({ name, picture }: { name: string; picture: { id: string } | null }) => picture?.id ?? name,
};
const LISTS = Object.keys(WHERE) as readonly Lists[];

/** By list, the fields of a job that name a thing of it; of a list of names each. */
const NAMED_BY: Readonly<Record<Lists, readonly string[]>> = {
  circuits: ['circuit', 'circuits', 'multiwireWith', 'tiedWith'],
  boxes: ['box', 'from', 'to', 'place'],
  runs: ['run'],
  devices: ['via'],
  groups: ['control', 'group'],
  rooms: ['room'],
  connectors: [],
  sheets: ['sheet'],
};

const where = (list: Lists, thing: Thing): string =>
  canonical((WHERE[list] as (thing: Thing) => unknown)(thing));

/** Both copies with no id that is of two different things. `base`: what both grew from, null where nothing is known of it. */
export function apartTwins(base: Job | null, ours: Job, theirs: Job): { ours: Job; theirs: Job } {
  let [own, coming] = [ownEntries(base, ours), ownEntries(base, theirs)];
  for (const list of LISTS) {
    const before = new Set(base?.design[list].map(({ id }) => id));
    for (const { id } of own.design[list]) {
      if (before.has(id)) continue;
      const [a, b] = [own, coming].map((job) => things(job, list).find((one) => one.id === id));
      if (!a || !b || where(list, a) === where(list, b)) continue;
      const next = freshId([...things(own, list), ...things(coming, list)], id);
      if (canonical(a) > canonical(b)) own = renamed(own, list, id, next);
      else coming = renamed(coming, list, id, next);
    }
  }
  return { ours: own, theirs: coming };
}

const things = (job: Job, list: Lists): readonly Thing[] => job.design[list];

/** A job in which one thing has another id, wherever it is named. */
function renamed(job: Job, list: Lists, id: string, next: string): Job {
  const fields = new Set(NAMED_BY[list]);
  const walk = (value: unknown, field: string): unknown => {
    if (typeof value === 'string') return value === id && fields.has(field) ? next : value;
    if (Array.isArray(value)) return value.map((one) => walk(one, field));
    if (typeof value !== 'object' || value === null) return value;
    return Object.fromEntries(Object.entries(value).map(([name, own]) => [name, walk(own, name)]));
  };
  const design = walk(job.design, '') as Job['design'];
  // What was found in opened boxes has ids of its own.
  const { surveys, ...noted } = job.record;
  const record = { ...(walk(noted, '') as Omit<JobRecord, 'surveys'>), surveys };
  const own = things(job, list).findIndex((one) => one.id === id);
  return {
    design: {
      ...design,
      [list]: things({ design, record }, list).map((one, at) => (at === own ? { ...one, id: next } : one)),
    },
    record,
  };
}

/** Entries of the log are numbered by each device for itself: what is new is called by what it says. */
function ownEntries(base: Job | null, job: Job): Job {
  const before = new Map(base?.record.log.map((entry) => [entry.id, entry]));
  const names = new Map(
    job.record.log.flatMap((entry) => {
      const { id, at, by, kind, box, says } = entry;
      return isSame(before.get(id), entry)
        ? []
        : [[id, `entry-${printOf([at, by, kind, box, says]).replaceAll('.', '-')}`.slice(0, 40)] as const];
    }),
  );
  if (names.size === 0) return job;
  const log = job.record.log.map((entry) => ({
    ...entry,
    id: names.get(entry.id) ?? entry.id,
    corrects: entry.corrects === null ? null : (names.get(entry.corrects) ?? entry.corrects),
  }));
  return { ...job, record: { ...job.record, log } };
}
