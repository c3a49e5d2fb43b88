import type { Effort } from '../../base/schedule/schedule';
import type { Day } from '../../job/model/day';
import { plannedDay, type DayAsked } from './plan-day';
import type { JobTasks } from './together';

/** What is worked out many times over is worked out in short. */
const SHORT: Effort = { tries: 150, steps: 0 };

/** Jobs of a house in one day against each in a day of its own: minutes and ways to the panel that are saved, 0 or more. */
export interface Saved {
  readonly minutes: number;
  readonly trips: number;
}

/** What it saves that jobs share a day: windows, ways, waiting. Of two or more. */
export function savedTogether(jobs: readonly JobTasks[], day: DayAsked): Saved {
  const total = (some: readonly JobTasks[]) => {
    const { visits } = plannedDay(some, day, SHORT);
    return {
      minutes: visits.reduce((sum, { cost }) => sum + cost.time, 0),
      trips: visits.reduce((sum, { cost }) => sum + cost.trips, 0),
    };
  };
  const all = total(jobs);
  const each = jobs.map((job) => total([job]));
  const sum = (of: keyof Saved) => each.reduce((so, one) => so + one[of], 0);
  return {
    minutes: Math.max(0, sum('minutes') - all.minutes),
    trips: Math.max(0, sum('trips') - all.trips),
  };
}

/**
 * Which jobs fit into the hours that are given for a visit: those that take least first, as long as all of them together are done in
 * time. More may fit in another choice; none of these does not.
 */
export function fitting(jobs: readonly JobTasks[], day: DayAsked & Pick<Day, 'hours'>): readonly string[] {
  const longest = (some: readonly JobTasks[]) =>
    Math.max(0, ...plannedDay(some, day, SHORT).visits.map(({ cost }) => cost.time));
  const alone = jobs
    .filter(({ tasks, done }) => tasks.some(({ id }) => !done.has(id)))
    .map((job) => ({ job, minutes: longest([job]) }))
    .sort((a, b) => a.minutes - b.minutes);
  const taken: JobTasks[] = [];
  for (const { job } of alone) {
    if (longest([...taken, job]) > day.hours * 60) break;
    taken.push(job);
  }
  return taken.map(({ job }) => job);
}
