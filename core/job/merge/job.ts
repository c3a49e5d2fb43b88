import { placeOf, mergeThree, type Change, type Choices } from '../../base/merge/three-way';
import { Circuit } from '../model/design';
import type { Job } from '../model/job';
import { checkJob } from '../model/job-file';
import type { Problem } from '../model/problem';
import { measured, withoutMeasured } from '../rooms/route';
import { RULES } from './rules';
import { apartTwins } from './twins';

/** Two copies of a job brought together. */
export interface MergedJob {
  readonly job: Job;
  /** What is otherwise than in what both grew from, by whom. */
  readonly changes: readonly Change[];
  /** What both changed, each otherwise, and nobody has chosen of yet. */
  readonly open: readonly Change[];
  /** What is wrong with the result: changes that do not go together. */
  readonly problems: readonly Problem[];
}

/** What other jobs of a house add is worked out anew, and so is what is measured: neither is anybody's change. */
const NO_OTHERS = Circuit.shape.others.parse({});
const plain = (job: Job): Job => ({
  record: job.record,
  design: withoutMeasured({
    ...job.design,
    circuits: job.design.circuits.map((circuit) => ({ ...circuit, others: NO_OTHERS })),
  }) as Job['design'],
});

/** A job as copies are compared: without what is worked out anew. */
export const comparable = plain;

/**
 * Brings two copies of a job together against what both grew from; null where nothing is known of it. Symmetric: the same
 * whichever is ours, with the choices the other way round.
 */
export function mergeJobs(base: Job | null, ours: Job, theirs: Job, choices: Choices = new Map()): MergedJob {
  const before = base && plain(base);
  const apart = apartTwins(before, plain(ours), plain(theirs));
  const { value, changes } = mergeThree(before, apart.ours, apart.theirs, RULES, choices);
  const checked = checkJob(value.design, value.record);
  const open = changes.filter(({ by, path }) => by === 'conflict' && !choices.has(placeOf(path)));
  return {
    job: checked.ok ? checked.value : { ...value, design: measured(value.design) },
    changes,
    open,
    problems: checked.ok ? [] : checked.problems,
  };
}
