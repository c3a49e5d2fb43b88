import { nth } from '../nth';
import { turns, type Problem, type Schedule } from './problem';

/** How many windows are tried together: beyond, one by one and all at once. */
const MOST_TOGETHER = 6;

/** One activity starts at least so many minutes after another does. */
interface Gap {
  readonly from: number;
  readonly to: number;
  readonly minutes: number;
}

/**
 * The same order with the same people, as early as it can be, and then each window opened no sooner than is worth it: whatever
 * hangs on an opening is moved later with it, as long as what it saves is more than what it costs. The figures are linear and
 * each move is the best there is, so up to six windows no times of this order come to less (Murota, Discrete Convex Analysis,
 * 2003: descent on an L-convex function ends at its least; from memory).
 */
export function timed(problem: Problem, schedule: Schedule): Schedule {
  const gaps = gapsOf(problem, schedule);
  const starts = earliest(problem, schedule, gaps);
  const { activities, windows, weights } = problem;
  if (weights.open > 0 && windows.length > 0) {
    const after = activities.map((): Gap[] => []);
    for (const gap of gaps) after[gap.from]?.push(gap);
    const sets = openings(windows.length);
    for (let moved = true; moved;) {
      moved = false;
      let best = 0;
      let chosen: { readonly set: ReadonlySet<number>; readonly by: number } | null = null;
      for (const set of sets) {
        const move = later(
          problem,
          starts,
          after,
          set.map((index) => nth(windows, index).opens),
        );
        if (move.gain > best + 1e-9 && move.by > 0) {
          best = move.gain;
          chosen = move;
        }
      }
      if (chosen) {
        for (const activity of chosen.set) starts[activity] = nth(starts, activity) + chosen.by;
        moved = true;
      }
    }
  }
  return { starts, crews: schedule.crews };
}

/** All sets of windows that are tried, each by its index. */
function openings(count: number): readonly (readonly number[])[] {
  if (count <= MOST_TOGETHER)
    return Array.from({ length: 2 ** count - 1 }, (_, bits) =>
      Array.from({ length: count }, (__, index) => index).filter((index) => (bits + 1) & (1 << index)),
    );
  const all = Array.from({ length: count }, (_, index) => index);
  return [...all.map((index) => [index]), all];
}

/** What follows whom: what comes before it, and what the same person does before it with the way between. */
function gapsOf(problem: Problem, schedule: Schedule): Gap[] {
  const { activities, travel } = problem;
  return [
    ...activities.flatMap(({ after }, to) =>
      after.map((from) => ({ from, to, minutes: nth(activities, from).minutes })),
    ),
    ...turns(problem, schedule).flatMap((own) =>
      own.slice(1).map((to, index) => {
        const from = nth(own, index);
        const way = travel[nth(activities, from).place]?.[nth(activities, to).place] ?? 0;
        return { from, to, minutes: nth(activities, from).minutes + way };
      }),
    ),
  ];
}

/** As early as what comes before lets each be, and the way to the first thing that one does. */
function earliest(problem: Problem, schedule: Schedule, gaps: readonly Gap[]): number[] {
  const { activities, travel, at } = problem;
  const first = activities.map(() => 0);
  turns(problem, schedule).forEach(([activity], person) => {
    const place = at[person] ?? null;
    if (activity === undefined || place === null) return;
    first[activity] = Math.max(
      nth(first, activity),
      nth(nth(travel, place), nth(activities, activity).place),
    );
  });
  const into = activities.map((): Gap[] => []);
  for (const gap of gaps) nth(into, gap.to).push(gap);
  const starts: number[] = [];
  const start = (activity: number): number =>
    (starts[activity] ??= Math.max(
      nth(first, activity),
      ...nth(into, activity).map(({ from, minutes }) => start(from) + minutes),
    ));
  return activities.map((_, activity) => start(activity));
}

/** Moves the opening of some windows later, with all that hangs on it: how far, and what that is worth a minute. */
function later(
  { activities, windows, weights }: Problem,
  starts: readonly number[],
  after: readonly (readonly Gap[])[],
  from: readonly number[],
): { readonly set: ReadonlySet<number>; readonly by: number; readonly gain: number } {
  const set = new Set(from);
  for (const activity of set)
    for (const { to, minutes } of nth(after, activity))
      if (nth(starts, to) === nth(starts, activity) + minutes) set.add(to);
  const end = (activity: number) => nth(starts, activity) + nth(activities, activity).minutes;
  const last = Math.max(...activities.map((_, activity) => end(activity)));
  const moves = (activity: number) => set.has(activity);
  const gain =
    weights.open * windows.filter(({ opens }) => moves(opens)).length -
    weights.open * windows.filter(({ closes }) => moves(closes)).length -
    weights.time * ([...set].some((activity) => end(activity) === last) ? 1 : 0);
  let by = Infinity;
  for (const activity of set) {
    for (const { to, minutes } of nth(after, activity))
      if (!set.has(to)) by = Math.min(by, nth(starts, to) - nth(starts, activity) - minutes);
    if (end(activity) < last) by = Math.min(by, last - end(activity));
  }
  return { set, by, gain: Number.isFinite(by) ? gain : 0 };
}
