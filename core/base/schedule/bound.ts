import { nth } from '../nth';
import type { Activity, Cost, Problem } from './problem';

/** Activities each after all that come before it. */
function inOrder(activities: readonly Activity[]): number[] {
  const order: number[] = [];
  const seen = new Set<number>();
  const visit = (activity: number) => {
    if (seen.has(activity)) return;
    seen.add(activity);
    activities[activity]?.after.forEach(visit);
    order.push(activity);
  };
  activities.forEach((_, activity) => visit(activity));
  return order;
}

/** By activity, the longest chain before it and the longest after it, min: neither holds its own minutes. */
export function chains(activities: readonly Activity[]): {
  readonly head: readonly number[];
  readonly tail: readonly number[];
} {
  const head = activities.map(() => 0);
  const tail = activities.map(() => 0);
  const order = inOrder(activities);
  for (const activity of order)
    for (const before of activities[activity]?.after ?? [])
      head[activity] = Math.max(nth(head, activity), nth(head, before) + nth(activities, before).minutes);
  for (const activity of order.toReversed())
    for (const before of activities[activity]?.after ?? [])
      tail[before] = Math.max(nth(tail, before), nth(tail, activity) + nth(activities, activity).minutes);
  return { head, tail };
}

/** All that comes before each activity, however far. */
type Ancestors = readonly ReadonlySet<number>[];
function ancestors(activities: readonly Activity[]): Ancestors {
  const all = activities.map((): Set<number> => new Set());
  for (const activity of inOrder(activities))
    for (const before of activities[activity]?.after ?? []) {
      all[activity]?.add(before);
      for (const one of all[before] ?? []) all[activity]?.add(one);
    }
  return all;
}

/** Minutes of work of some of them, of all who do it. */
const workOf = (activities: readonly Activity[], some: readonly number[]): number =>
  some.reduce((sum, one) => sum + nth(activities, one).minutes * nth(activities, one).hands, 0);

/** One thing to be done by somebody who does one at a time: not before its head, and its tail is still to come after it. */
interface Turn {
  readonly head: number;
  readonly minutes: number;
  readonly tail: number;
}

/**
 * The least time in which one person does all of it, were each to be broken off for a more urgent one: no order takes less
 * (Jackson's preemptive schedule; Carlier 1982, from memory).
 */
export function alone(turns: readonly Turn[]): number {
  const waiting = turns.map((turn) => ({ ...turn, left: turn.minutes })).sort((a, b) => a.head - b.head);
  const ready: typeof waiting = [];
  let [time, next, bound] = [0, 0, 0];
  while (next < waiting.length || ready.length > 0) {
    if (ready.length === 0) time = Math.max(time, nth(waiting, next).head);
    while (next < waiting.length && nth(waiting, next).head <= time) ready.push(nth(waiting, next++));
    let most = nth(ready, 0);
    for (const one of ready) if (one.tail > most.tail) most = one;
    const until = next < waiting.length ? nth(waiting, next).head : Infinity;
    const spent = Math.min(most.left, until - time);
    time += spent;
    most.left -= spent;
    if (most.left === 0) {
      ready.splice(ready.indexOf(most), 1);
      bound = Math.max(bound, time + most.tail);
    }
  }
  return bound;
}

/**
 * What no schedule comes under: of the time the longest chain, the work shared by all who may do it, each one's own, and the ways
 * that nobody is spared; of each window its own chain and work; of the trips one where anything is done at the base.
 */
export function boundOf(problem: Problem): Cost {
  const { activities, people, windows } = problem;
  const { head, tail } = chains(activities);
  const chain = Math.max(
    0,
    ...activities.map(({ minutes }, index) => nth(head, index) + minutes + nth(tail, index)),
  );
  const before = ancestors(activities);
  const inside = windows.map(({ opens, closes }) =>
    activities.flatMap((_, index) =>
      before[index]?.has(opens) && before[closes]?.has(index) ? [index] : [],
    ),
  );
  return {
    time: Math.max(chain, shared(problem, before, head, tail), ...eachAlone(problem, head, tail)),
    open: windows.map(({ opens, closes }, index) => {
      const ends = nth(activities, opens).minutes + nth(activities, closes).minutes;
      const work = workOf(activities, nth(inside, index));
      return ends + Math.max(Math.ceil(work / people), between(activities, opens, closes));
    }),
    trips: trips(problem),
  };
}

/** The longest chain strictly between two activities, min. */
function between(activities: readonly Activity[], from: number, to: number): number {
  const longest = new Map<number, number>([[from, 0]]);
  for (const activity of inOrder(activities))
    for (const last of activities[activity]?.after ?? []) {
      const so = longest.get(last);
      if (so === undefined) continue;
      const added = so + (last === from ? 0 : nth(activities, last).minutes);
      longest.set(activity, Math.max(longest.get(activity) ?? 0, added));
    }
  return longest.get(to) ?? 0;
}

/** All the work and the ways that are walked, shared by all who may do it; for each set of people who alone may do some. */
function shared(
  problem: Problem,
  before: Ancestors,
  head: readonly number[],
  tail: readonly number[],
): number {
  const { activities, people } = problem;
  const groups = new Map<string, readonly number[]>([
    ['all', Array.from({ length: people }, (_, person) => person)],
    ...activities.map(({ who }) => [who.join(), who] as const),
  ]);
  return Math.max(
    0,
    ...[...groups.values()].map((group) => {
      const own = activities.flatMap(({ who }, index) =>
        who.every((person) => group.includes(person)) ? [index] : [],
      );
      if (own.length === 0) return 0;
      const work = workOf(activities, own);
      const least = (of: readonly number[]) => Math.min(...own.map((one) => nth(of, one)));
      // What must be waited for at first may be spent on the way.
      const shares = Math.max(
        Math.ceil((work + ways(problem, before, own, group)) / group.length),
        Math.ceil(work / group.length) + least(head),
      );
      return shares + least(tail);
    }),
  );
}

/**
 * Minutes that are at least spent on the way, or waiting, to be at all these places: each is come to, but where somebody begins;
 * and come to again whenever something elsewhere lies between two things there, unless somebody stays for it.
 */
function ways(problem: Problem, before: Ancestors, own: readonly number[], group: readonly number[]): number {
  const { activities, travel, at } = problem;
  const places = [...new Set(own.map((one) => nth(activities, one).place))];
  const begun = group.map((person) => at[person] ?? null);
  const nearest = (place: number) =>
    Math.min(...travel.flatMap((from, index) => (index === place ? [] : (from[place] ?? 0))));
  const first = places
    .filter((place) => !begun.includes(place))
    .map(nearest)
    .map((minutes) => (Number.isFinite(minutes) ? minutes : 0))
    .sort((a, b) => a - b);
  // Who begins anywhere begins at the place that is the farthest to come to.
  const free = begun.filter((place) => place === null).length;
  const once = first.slice(0, Math.max(0, first.length - free)).reduce((sum, one) => sum + one, 0);
  return once + places.reduce((sum, place) => sum + again(problem, before, own, place, nearest(place)), 0);
}

/**
 * Minutes of coming back to a place, or of staying there with nothing to do, along the chain that asks most of it. What can be done
 * there meanwhile is taken off. Alone nobody can stay.
 */
function again(
  { activities, people }: Problem,
  before: Ancestors,
  own: readonly number[],
  place: number,
  way: number,
): number {
  if (!Number.isFinite(way) || way === 0) return 0;
  const there = activities.flatMap((one, index) => (one.place === place ? [index] : []));
  const isOwn = activities.map((_, index) => own.includes(index));
  const meanwhile = there
    .filter(
      (one) =>
        !isOwn[one] ||
        there.some((other) => other !== one && !nth(before, one).has(other) && !nth(before, other).has(one)),
    )
    .reduce((sum, one) => sum + nth(activities, one).minutes, 0);
  const worth = (away: number) =>
    away === 0 ? 0 : people === 1 ? way : Math.min(way, Math.max(0, away - meanwhile));
  // So far, and minutes elsewhere since the last thing there; null where none was there yet.
  const best: (readonly [spent: number, away: number] | null)[] = [];
  let most = 0;
  for (const index of inOrder(activities)) {
    const { after, minutes } = nth(activities, index);
    const options = after.flatMap((one) => (best[one] ? [best[one]] : []));
    if (isOwn[index] && nth(activities, index).place === place) {
      const spent = Math.max(0, ...options.map(([so, away]) => so + worth(away)));
      best[index] = [spent, 0];
      most = Math.max(most, spent);
      continue;
    }
    const [first] = options.sort((a, b) => b[0] + worth(b[1]) - a[0] - worth(a[1]) || b[1] - a[1]);
    const away = nth(activities, index).place === place ? 0 : minutes;
    best[index] = first ? [first[0], first[1] + away] : null;
  }
  return most;
}

/** What is each one's alone, as one person does it. */
const eachAlone = (
  { activities, people }: Problem,
  head: readonly number[],
  tail: readonly number[],
): number[] =>
  Array.from({ length: people }, (_, person) =>
    alone(
      activities.flatMap(({ who, minutes, hands }, index) =>
        hands === who.length && who.includes(person)
          ? [{ head: nth(head, index), minutes, tail: nth(tail, index) }]
          : [],
      ),
    ),
  );

/** One person comes to the base anew whenever something elsewhere lies between two things there. */
function trips({ activities, people, base, at }: Problem): number {
  if (base === null || activities.every(({ place }) => place !== base)) return 0;
  const first = at.includes(base) ? 0 : 1;
  if (people > 1) return first;
  const visits = activities.map(() => 0);
  for (const index of inOrder(activities)) {
    const { place, after } = nth(activities, index);
    const so = after.map(
      (one) => nth(visits, one) + (place === base && nth(activities, one).place !== base ? 1 : 0),
    );
    visits[index] = Math.max(place === base ? first : 0, ...so);
  }
  return Math.max(...visits);
}
