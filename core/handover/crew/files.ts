import { isSame } from '../../base/merge/same';
import type { Change } from '../../base/merge/three-way';
import { mergeHouses } from '../../job/merge/house';
import { mergeJobs } from '../../job/merge/job';
import { relationOf } from '../../job/merge/relation';
import { NO_ANCESTRY } from '../../job/model/ancestry';
import { problemText, type Problem } from '../../job/model/problem';
import { mergeShops } from '../../choices/takeoff/merge-shops';
import { planJob } from '../../wiring/plan';
import { prove } from '../../power/proof/prove';
import { printOfHouse, printOfJob } from '../files/preview';
import type { Workshop } from '../files/workshop';
import { changeWords, houseChangeWords, valueWords } from './words';

/** Something that both changed, each otherwise; or a result that does not stand, with why. */
export interface FileConflict {
  /** "job stair", "house alder-court-12", "shop". */
  readonly of: string;
  readonly what: string;
  readonly ours?: string;
  readonly theirs?: string;
}

/** Whole files brought together: of each job and house both; what only one has is kept. */
export interface MergedFiles {
  readonly workshop: Workshop;
  readonly conflicts: readonly FileConflict[];
}

/**
 * Brings two files together, against one that both grew from where it is known; where it is not, by what they say of themselves.
 * Of what conflicts ours stands, and is named.
 */
export function mergeFiles(base: Workshop | null, ours: Workshop, theirs: Workshop): MergedFiles {
  const conflicts: FileConflict[] = [];
  const tell = (of: string, open: readonly Change[], what: (change: Change) => string) =>
    conflicts.push(
      ...open.map((change) => ({
        of,
        what: what(change),
        ours: valueWords(change.ours),
        theirs: valueWords(change.theirs),
      })),
    );
  const wrong = (of: string, problems: readonly Problem[]) =>
    conflicts.push(...problems.map((problem) => ({ of, what: problemText(problem) })));
  const jobs = unionBy(ours.jobs, theirs.jobs, ({ job }) => job.design.id).map(([own, coming]) => {
    if (!own || !coming) return (own ?? coming) as Workshop['jobs'][number];
    const of = `job ${own.job.design.id}`;
    const from = base?.jobs.find(({ job }) => job.design.id === own.job.design.id)?.job ?? null;
    const copy = (job: typeof own.job) => ({
      print: printOfJob(job),
      from: (job.ancestry ?? NO_ANCESTRY).from,
    });
    const { is } = relationOf(copy(own.job), copy(coming.job));
    if (is === 'same' || is === 'behind') return own;
    if (is === 'ahead') return coming;
    const merged = mergeJobs(from, own.job, coming.job);
    tell(of, merged.open, (change) => changeWords(change, own.job, coming.job));
    wrong(of, merged.problems);
    if (merged.open.length === 0 && merged.problems.length === 0) {
      const outcome = planJob(merged.job.design);
      if (!outcome.ok) conflicts.push(...outcome.refusals.map(({ message }) => ({ of, what: message })));
      else
        conflicts.push(
          ...prove(merged.job.design, outcome.plan.wiring).findings.map(({ message }) => ({
            of,
            what: message,
          })),
        );
    }
    return { ...own, job: merged.job };
  });
  const houses = unionBy(ours.houses, theirs.houses, ({ id }) => id).map(([own, coming]) => {
    if (!own || !coming) return (own ?? coming) as Workshop['houses'][number];
    const from = base?.houses.find(({ id }) => id === own.id) ?? null;
    const copy = (house: typeof own, ancestry: Workshop['ancestry']) => ({
      print: printOfHouse(house),
      from: (ancestry?.[house.id] ?? NO_ANCESTRY).from,
    });
    const { is } = relationOf(copy(own, ours.ancestry), copy(coming, theirs.ancestry));
    if (is === 'same' || is === 'behind') return own;
    if (is === 'ahead') return coming;
    const merged = mergeHouses(from, own, coming);
    tell(`house ${own.id}`, merged.open, houseChangeWords);
    wrong(`house ${own.id}`, merged.problems);
    return merged.house;
  });
  let shop = ours.shop ?? theirs.shop;
  if (ours.shop && theirs.shop && !isSame(ours.shop, theirs.shop)) {
    const merged = mergeShops(base?.shop ?? null, ours.shop, theirs.shop);
    tell(
      'shop',
      merged.changes.filter(({ by }) => by === 'conflict'),
      houseChangeWords,
    );
    shop = merged.value;
  }
  const photos = unionBy(ours.photos, theirs.photos, ({ id }) => id).flatMap(
    ([own, coming]) => own ?? coming ?? [],
  );
  return { workshop: { houses, jobs, photos, shop }, conflicts };
}

/** What two lists have, pair by pair, in the order of the first. */
function unionBy<T>(
  ours: readonly T[],
  theirs: readonly T[],
  idOf: (one: T) => string,
): (readonly [T | undefined, T | undefined])[] {
  const coming = new Map(theirs.map((one) => [idOf(one), one]));
  const own = new Set(ours.map(idOf));
  return [
    ...ours.map((one) => [one, coming.get(idOf(one))] as const),
    ...theirs.filter((one) => !own.has(idOf(one))).map((one) => [undefined, one] as const),
  ];
}
