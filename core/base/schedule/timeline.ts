import { nth } from '../nth';
import type { Problem, Schedule } from './problem';

/** What was put in and taken out again of a timeline. */
interface Put {
  readonly activity: number;
  readonly crew: readonly number[];
  readonly free: readonly number[];
  readonly place: readonly (number | null)[];
  readonly trips: number;
}

/** Activities put one after the other, each as early as what comes before it and those who do it let it be. */
export class Timeline {
  readonly starts: number[];
  readonly crews: (readonly number[])[];
  readonly isDone: boolean[];
  readonly free: number[];
  readonly place: (number | null)[];
  /** Ways to the base so far. */
  trips = 0;
  private readonly puts: Put[] = [];

  constructor(private readonly problem: Problem) {
    const { activities, people, at } = problem;
    this.starts = activities.map(() => 0);
    this.crews = activities.map(() => []);
    this.isDone = activities.map(() => false);
    this.free = Array.from({ length: people }, () => 0);
    this.place = Array.from({ length: people }, (_, person) => at[person] ?? null);
  }

  get count(): number {
    return this.puts.length;
  }

  end = (activity: number): number =>
    nth(this.starts, activity) + nth(this.problem.activities, activity).minutes;

  isEligible = (activity: number): boolean =>
    !this.isDone[activity] && nth(this.problem.activities, activity).after.every((one) => this.isDone[one]);

  /** When what comes before it is done. */
  ready(activity: number): number {
    let ready = 0;
    for (const one of nth(this.problem.activities, activity).after) ready = Math.max(ready, this.end(one));
    return ready;
  }

  /** When somebody can be where it is done. */
  there(activity: number, person: number): number {
    const from = this.place[person] ?? null;
    const { place } = nth(this.problem.activities, activity);
    return nth(this.free, person) + (from === null ? 0 : nth(nth(this.problem.travel, from), place));
  }

  startOf(activity: number, crew: readonly number[]): number {
    let start = this.ready(activity);
    for (const person of crew) start = Math.max(start, this.there(activity, person));
    return start;
  }

  put(activity: number, crew: readonly number[]): void {
    const start = this.startOf(activity, crew);
    this.puts.push({
      activity,
      crew,
      free: crew.map((person) => nth(this.free, person)),
      place: crew.map((person) => this.place[person] ?? null),
      trips: this.trips,
    });
    const { place } = nth(this.problem.activities, activity);
    if (place === this.problem.base)
      this.trips += crew.filter((person) => this.place[person] !== place).length;
    this.starts[activity] = start;
    this.crews[activity] = crew;
    this.isDone[activity] = true;
    for (const person of crew) {
      this.free[person] = this.end(activity);
      this.place[person] = place;
    }
  }

  takeBack(): void {
    const last = this.puts.pop();
    if (!last) return;
    this.isDone[last.activity] = false;
    this.crews[last.activity] = [];
    this.trips = last.trips;
    last.crew.forEach((person, index) => {
      this.free[person] = nth(last.free, index);
      this.place[person] = nth(last.place, index);
    });
  }

  schedule = (): Schedule => ({ starts: [...this.starts], crews: [...this.crews] });
}

/** All choices of so many of some. */
export function choices(of: readonly number[], count: number): number[][] {
  if (count === 0) return [[]];
  return of.flatMap((one, index) => choices(of.slice(index + 1), count - 1).map((rest) => [one, ...rest]));
}
