import { nth } from '../nth';
import { alone, boundOf, chains } from './bound';
import { costOf, weighed, type Problem, type Schedule } from './problem';
import { choices, Timeline } from './timeline';
import { timed } from './timing';

/** Days of more than so many things are not tried exactly. */
const MOST_ACTIVITIES = 40;

/** How much of what was met is remembered. */
const MOST_KEPT = 400_000;

/** What a search came to: the best that was found, and whether no schedule is better. */
export interface Searched {
  readonly schedule: Schedule;
  readonly proved: boolean;
}

/**
 * Branch and bound over all orders and crews, from a schedule that is there already; it is given up after so many steps, and says
 * so. Each schedule that is as early as its order lets it be is met in the order of its starts, so that no better one is passed
 * over; what cannot come under the best so far is left out (Giffler & Thompson 1960, Brucker and others 1994, from memory).
 */
export function* searching(problem: Problem, first: Schedule, most: number): Generator<void, Searched> {
  if (problem.activities.length === 0) return { schedule: first, proved: true };
  if (problem.activities.length > MOST_ACTIVITIES) return { schedule: first, proved: false };
  const search = new Search(problem, first, most);
  yield* search.from(0);
  return { schedule: search.best, proved: !search.gaveUp() };
}

class Search {
  best: Schedule;
  /** Steps that are left; none: given up. */
  private left: number;
  private cost: number;
  private kept = 0;
  private readonly line: Timeline;
  private readonly tail: readonly number[];
  private readonly root: number;
  /** What every window and way takes at least, weighed. */
  private readonly rest: number;
  private readonly crews: readonly (readonly (readonly number[])[])[];
  /** What was come to at least as well before: by what is done and where everybody is. */
  private readonly met = new Map<string, number[][]>();
  /** Only the time counts: what can be done in between is done. */
  private readonly isPlain: boolean;
  private readonly isStill: boolean;
  /** By place, minutes to the one that is farthest from it. */
  private readonly farthest: readonly number[];
  private readonly all: readonly number[];
  /** By activity, what waits for it. */
  private readonly waiting: readonly (readonly number[])[];

  constructor(
    private readonly problem: Problem,
    first: Schedule,
    most: number,
  ) {
    const { activities, weights } = problem;
    this.left = most;
    this.best = timed(problem, first);
    this.cost = weighed(costOf(problem, this.best), weights);
    this.line = new Timeline(problem);
    this.tail = chains(activities).tail;
    const bound = boundOf(problem);
    this.root = weighed(bound, weights);
    this.rest = weighed({ ...bound, time: 0, trips: 0 }, weights);
    this.crews = activities.map(({ who, hands }) => choices(who, hands));
    this.isPlain = weights.open === 0 && weights.trips === 0;
    this.isStill = problem.travel.every((row) => row.every((minutes) => minutes === 0));
    this.farthest = problem.travel.map((row) => Math.max(...row));
    this.all = activities.map((_, activity) => activity);
    this.waiting = activities.map((_, activity) =>
      this.all.filter((one) => nth(activities, one).after.includes(activity)),
    );
  }

  gaveUp = (): boolean => this.left < 0;

  *from(since: number): Generator<void> {
    if (this.left < 0 || this.root >= this.cost - 1e-9) return;
    this.left--;
    if (this.left % 256 === 0) yield;
    if (this.left < 0) return;
    const { activities, weights } = this.problem;
    if (this.line.count === activities.length) {
      const schedule = timed(this.problem, this.line.schedule());
      const cost = weighed(costOf(this.problem, schedule), weights);
      if (cost < this.cost - 1e-9) [this.best, this.cost] = [schedule, cost];
      return;
    }
    if (this.bound(since) >= this.cost - 1e-9 || this.wasMet(since)) return;
    const next = this.all
      .filter(this.line.isEligible)
      .flatMap((activity) =>
        nth(this.crews, activity).map((crew) => ({
          activity,
          crew,
          start: this.line.startOf(activity, crew),
        })),
      )
      .filter(({ start }) => start >= since);
    const done = this.isPlain ? this.doneBetween() : Infinity;
    next.sort(
      (a, b) =>
        a.start - b.start ||
        nth(this.tail, b.activity) - nth(this.tail, a.activity) ||
        a.activity - b.activity,
    );
    for (const { activity, crew, start } of next) {
      if (start >= done) continue;
      this.line.put(activity, crew);
      yield* this.from(start);
      this.line.takeBack();
      if (this.left < 0) return;
    }
  }

  /**
   * The earliest minute by which somebody could have done something where they are already, and be anywhere else: who leaves it
   * undone until then gains nothing where only the time counts.
   */
  private doneBetween(): number {
    const { activities } = this.problem;
    let least = Infinity;
    for (const activity of this.all) {
      const { hands, who, place, minutes } = nth(activities, activity);
      if (hands > 1 || !this.line.isEligible(activity)) continue;
      for (const person of who)
        if (this.isStill || this.line.place[person] === place)
          least = Math.min(
            least,
            this.line.startOf(activity, [person]) + minutes + nth(this.farthest, place),
          );
    }
    return least;
  }

  /** What no way on from here comes under. */
  private bound(since: number): number {
    const { activities, people, weights } = this.problem;
    const { line, tail } = this;
    const head: number[] = [];
    const headOf = (activity: number): number => {
      if (line.isDone[activity]) return line.end(activity);
      const { who, after, minutes } = nth(activities, activity);
      return (head[activity] ??=
        Math.max(
          since,
          Math.min(...who.map((person) => line.there(activity, person))),
          ...after.map((one) => headOf(one)),
        ) + minutes);
    };
    let time = 0;
    let work = line.free.reduce((total, one) => total + one, 0);
    const own = Array.from({ length: people }, (): Parameters<typeof alone>[0][number][] => []);
    for (const [activity, { minutes, hands, who }] of activities.entries()) {
      if (line.isDone[activity]) {
        time = Math.max(time, line.end(activity));
        continue;
      }
      time = Math.max(time, headOf(activity) + nth(tail, activity));
      work += minutes * hands;
      if (hands === who.length)
        for (const person of who)
          nth(own, person).push({ head: headOf(activity) - minutes, minutes, tail: nth(tail, activity) });
    }
    time = Math.max(time, Math.ceil(work / people));
    if (weights.time * time + this.rest < this.cost - 1e-9) time = Math.max(time, ...own.map(alone));
    return weights.time * time + weights.trips * line.trips + this.rest;
  }

  /** True where the same was come to before, no later in anything that counts. */
  private wasMet(since: number): boolean {
    const { people, weights, windows } = this.problem;
    const { line } = this;
    if (people > 1 && weights.open > 0) return false;
    const [free = 0] = line.free;
    const open = windows.reduce((sum, { opens, closes }) => {
      if (!line.isDone[opens]) return sum;
      return sum + (line.isDone[closes] ? line.end(closes) : free) - nth(line.starts, opens);
    }, 0);
    // One person is never idle: what is to come costs the same, whenever it begins.
    const now =
      people === 1
        ? [weights.time * free + weights.open * open + weights.trips * line.trips]
        : [
            since,
            line.trips,
            ...line.free,
            ...this.all
              .filter(
                (one) => line.isDone[one] && nth(this.waiting, one).some((later) => !line.isDone[later]),
              )
              .map(line.end),
          ];
    const key = `${this.all.map((one) => (line.isDone[one] ? 1 : 0)).join('')} ${line.place.join()}`;
    const before = this.met.get(key) ?? [];
    if (before.some((one) => one.every((value, index) => value <= nth(now, index)))) return true;
    if (this.kept < MOST_KEPT) {
      this.met.set(key, [
        ...before.filter((one) => !now.every((value, index) => value <= nth(one, index))),
        now,
      ]);
      this.kept++;
    }
    return false;
  }
}
