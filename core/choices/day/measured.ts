import type { Shop } from '../takeoff/shop';
import type { Standing } from './done';
import type { Labor, Task } from './task';

/** Longer than this nobody worked at one thing: they were away, min. */
const MOST_MINUTES = 240;
/** As few measures say nothing of the next one. */
const FEWEST = 3;

/** How long a task took, from when whoever did it had done the last one. */
export interface Measure {
  readonly minutes: number;
  readonly estimate: number;
  readonly labor: Labor;
}

/** What the check-offs of a job say: one that follows another of the same person within hours, on one day. */
export function measuresOf(
  tasks: readonly Task[],
  standing: ReadonlyMap<string, Standing>,
): readonly Measure[] {
  const done = tasks
    .flatMap((task) => {
      const { at, by } = standing.get(task.id) ?? { at: null, by: '' };
      return at === null ? [] : [{ task, by, at: Date.parse(at) }];
    })
    .sort((a, b) => a.at - b.at);
  const last = new Map<string, number>();
  return done.flatMap(({ task, by, at }): Measure[] => {
    const before = last.get(by);
    last.set(by, at);
    if (before === undefined) return [];
    const minutes = Math.round((at - before) / 60_000);
    // Checked off in one go is not measured.
    if (minutes < 1 || minutes > MOST_MINUTES) return [];
    return [{ minutes, estimate: task.minutes, labor: task.labor }];
  });
}

/** A row of the labor table, as it is and as it was measured. */
export interface Offer {
  readonly row: keyof Shop['minutes'];
  readonly now: number;
  readonly median: number;
  readonly count: number;
}

/** Rows whose measures say something else: each measure is shared out among its rows as they were estimated. */
export function offersOf(measures: readonly Measure[], minutes: Shop['minutes']): readonly Offer[] {
  return (Object.keys(minutes) as (keyof Shop['minutes'])[]).flatMap((row): Offer[] => {
    const now = minutes[row];
    const own = measures
      .filter(({ labor, estimate }) => (labor[row] ?? 0) > 0 && estimate > 0)
      .map((one) => (now * one.minutes) / one.estimate)
      .sort((a, b) => a - b);
    if (own.length < FEWEST || now === 0) return [];
    const middle = Math.floor(own.length / 2);
    const exact =
      own.length % 2 === 1 ? (own[middle] ?? now) : ((own[middle - 1] ?? now) + (own[middle] ?? now)) / 2;
    const median = Math.round(exact * 10) / 10;
    return median === now ? [] : [{ row, now, median, count: own.length }];
  });
}
