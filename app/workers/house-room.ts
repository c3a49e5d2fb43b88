import { effectsOf, type Effect } from '@core/choices/house/effects';
import type { Design } from '@core/job/model/design';
import type { House } from '@core/job/model/house';
import type { TakeOffLine } from '@core/choices/takeoff/line';
import type { Shop } from '@core/choices/takeoff/shop';
import { listsOf, together } from '@core/choices/takeoff/together';

/** What jobs of a house take together; those that cannot be wired are named and left out. */
export interface HouseTakeOff {
  readonly lines: readonly TakeOffLine[];
  readonly minutes: number;
  readonly refused: readonly string[];
}

export const houseEffects = (before: House, after: House, jobs: readonly Design[]): readonly Effect[] =>
  effectsOf(before, after, jobs);

export function houseTakeOff(jobs: readonly Design[], shop: Shop): HouseTakeOff {
  const { lists, minutes, refused } = listsOf(jobs, shop);
  return { lines: together(lists), minutes, refused: refused.map(({ job }) => job.name) };
}
