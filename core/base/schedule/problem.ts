/*
 * Work to be put in order: activities with their length, who may do them, where, and what comes before; people who move between
 * places; windows that are open from one activity to another. Nothing here knows what the work is.
 */

/** One thing that is done without a break. Activities, people and places are known by their index. */
export interface Activity {
  /** Whole minutes, 1 or more, for each who does it. */
  readonly minutes: number;
  /** Who may do it. */
  readonly who: readonly number[];
  /** How many do it together, 1 or more, no more than may. */
  readonly hands: number;
  readonly place: number;
  /** What is done before it begins. Never a circle. */
  readonly after: readonly number[];
}

/** What is open, and to be short, from the start of one activity to the end of another that comes after it. */
export interface Window {
  readonly opens: number;
  readonly closes: number;
}

/** What a minute until all is done is worth, a minute of an open window, a way to the base. Each 0 or more. */
export interface Weights {
  readonly time: number;
  readonly open: number;
  readonly trips: number;
}

export interface Problem {
  readonly activities: readonly Activity[];
  readonly people: number;
  /** Where each is at minute 0; null where it takes no time to begin. */
  readonly at: readonly (number | null)[];
  /** Whole minutes from place to place; no way round is shorter than the direct one. */
  readonly travel: readonly (readonly number[])[];
  readonly windows: readonly Window[];
  /** The place whose visits are counted; null for none. */
  readonly base: number | null;
  readonly weights: Weights;
}

/** What is done when and by whom: by activity the minute it starts, and who does it. */
export interface Schedule {
  readonly starts: readonly number[];
  readonly crews: readonly (readonly number[])[];
}

/** What a schedule comes to. */
export interface Cost {
  /** Minute at which all is done. */
  readonly time: number;
  /** By window, minutes that it is open. */
  readonly open: readonly number[];
  readonly trips: number;
}

const sum = (values: readonly number[]): number => values.reduce((total, one) => total + one, 0);

/** One figure of three, to be as small as can be. */
export const weighed = ({ time, open, trips }: Cost, weights: Weights): number =>
  weights.time * time + weights.open * sum(open) + weights.trips * trips;

/** What each does, in its order. */
export function turns({ people }: Pick<Problem, 'people'>, { starts, crews }: Schedule): number[][] {
  const own = Array.from({ length: people }, (): number[] => []);
  crews.forEach((crew, activity) => crew.forEach((person) => own[person]?.push(activity)));
  const start = (activity: number) => starts[activity] ?? 0;
  for (const list of own) list.sort((a, b) => start(a) - start(b));
  return own;
}

/** What a schedule comes to. */
export function costOf(problem: Problem, schedule: Schedule): Cost {
  const { activities, windows, base, at } = problem;
  const { starts } = schedule;
  const end = (activity: number) => (starts[activity] ?? 0) + (activities[activity]?.minutes ?? 0);
  return {
    time: Math.max(0, ...activities.map((_, activity) => end(activity))),
    open: windows.map(({ opens, closes }) => end(closes) - (starts[opens] ?? 0)),
    trips:
      base === null
        ? 0
        : sum(
            turns(problem, schedule).map((own, person) => {
              const places = [at[person] ?? null, ...own.map((activity) => activities[activity]?.place)];
              return places.filter(
                (place, index) => index > 0 && place === base && places[index - 1] !== base,
              ).length;
            }),
          ),
  };
}
