import type { Refusal } from '../../wiring/layout/refusal';
import type { Design } from '../../job/model/design';
import { planJob } from '../../wiring/plan';
import { say } from '../../base/words/takeoff';
import { AISLES, type TakeOffLine } from './line';
import { takeOff } from './list';
import { laborMinutes } from './quote';
import type { Shop } from './shop';

/** What each of several jobs takes, by its name; those that cannot be wired as asked take nothing. */
export interface JobLists {
  readonly lists: readonly { readonly job: string; readonly lines: readonly TakeOffLine[] }[];
  readonly minutes: number;
  readonly refused: readonly { readonly job: Design; readonly refusals: readonly Refusal[] }[];
}

export function listsOf(jobs: readonly Design[], shop: Shop): JobLists {
  const planned = jobs.map((job) => ({ job, outcome: planJob(job) }));
  const plans = planned.flatMap(({ outcome }) => (outcome.ok ? [outcome.plan] : []));
  return {
    lists: plans.map((plan) => ({ job: plan.job.name, lines: takeOff(plan, shop.allowances) })),
    minutes: plans.reduce((sum, plan) => sum + laborMinutes(plan, shop), 0),
    refused: planned.flatMap(({ job, outcome }) => (outcome.ok ? [] : [{ job, refusals: outcome.refusals }])),
  };
}

/** The take-off of several jobs as one: like things counted together, each reason with its job. */
export function together(lists: JobLists['lists']): TakeOffLine[] {
  const sums = new Map<string, TakeOffLine>();
  for (const { job, lines } of lists)
    for (const line of lines) {
      const because = line.because.map((reason) => say('together.of', { job, reason }));
      const known = sums.get(line.key);
      sums.set(
        line.key,
        known
          ? { ...known, need: known.need + line.need, because: [...known.because, ...because] }
          : { ...line, because },
      );
    }
  return [...sums.values()].sort((a, b) => AISLES.indexOf(a.aisle) - AISLES.indexOf(b.aisle));
}
