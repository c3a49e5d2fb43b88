import { effectsOf, type Effect } from '@core/house/effects';
import type { Design } from '@core/model/design';
import type { House } from '@core/model/house';
import { planJob } from '@core/plan';
import { takeOff, type TakeOffLine } from '@core/takeoff/list';
import { laborMinutes } from '@core/takeoff/quote';
import type { Shop } from '@core/takeoff/shop';
import { together } from '@core/takeoff/together';

/** What jobs of a house take together; those that cannot be wired are named and left out. */
export interface HouseTakeOff {
  readonly lines: readonly TakeOffLine[];
  readonly minutes: number;
  readonly refused: readonly string[];
}

export const houseEffects = (before: House, after: House, jobs: readonly Design[]): readonly Effect[] =>
  effectsOf(before, after, jobs);

export function houseTakeOff(jobs: readonly Design[], shop: Shop): HouseTakeOff {
  const refused: string[] = [];
  const lists: { job: string; lines: readonly TakeOffLine[]; minutes: number }[] = [];
  for (const job of jobs) {
    const outcome = planJob(job);
    if (!outcome.ok) {
      refused.push(job.name);
      continue;
    }
    const { plan } = outcome;
    lists.push({ job: job.name, lines: takeOff(plan, shop.allowances), minutes: laborMinutes(plan, shop) });
  }
  return { lines: together(lists), minutes: lists.reduce((sum, one) => sum + one.minutes, 0), refused };
}
