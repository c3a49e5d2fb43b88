import { boundOf } from './bound';
import { searching, type Searched } from './exact';
import { first, improving } from './improve';
import { costOf, weighed, type Cost, type Problem, type Schedule } from './problem';

/** A schedule with what it comes to, what none comes under, and whether it was shown that none is better. */
export interface Planned {
  readonly schedule: Schedule;
  readonly cost: Cost;
  readonly bound: Cost;
  /** No schedule of this problem comes to less, by its weights. */
  readonly proved: boolean;
}

/** How far work on it goes: improvements that are tried, and steps of the exact search. */
export interface Effort {
  readonly tries: number;
  readonly steps: number;
}

const planned = (problem: Problem, bound: Cost, schedule: Schedule, proved: boolean): Planned => {
  const cost = costOf(problem, schedule);
  return {
    schedule,
    cost,
    bound:
      proved && problem.weights.open === 0 && problem.weights.trips === 0
        ? { ...bound, time: cost.time }
        : bound,
    proved: proved || weighed(cost, problem.weights) <= weighed(bound, problem.weights) + 1e-9,
  };
};

/** The best so far, again and again, beside a bound; done once no better one is left to be found or the effort is spent. */
export function* scheduling(problem: Problem, { tries, steps }: Effort): Generator<Planned, Planned> {
  let bound = boundOf(problem);
  let best = planned(problem, bound, first(problem), false);
  yield best;
  const better = improving(problem);
  function* improve(count: number): Generator<Planned> {
    for (let tried = 0; tried < count && !best.proved; tried++) {
      const { value } = better.next();
      if (value !== best.schedule) best = planned(problem, bound, value, false);
      yield best;
    }
  }
  // Small days are searched through before much is tried at random.
  const soon = Math.ceil(tries / 10);
  yield* improve(soon);
  const exact = yield* waiting(searching(problem, best.schedule, steps), () => best);
  best = planned(problem, bound, exact.schedule, best.proved || exact.proved);
  const hurried = { ...problem, weights: { time: 1, open: 0, trips: 0 } };
  // What the time alone would come to is the better bound for it.
  if (bound.time < best.cost.time) {
    const hasty = yield* waiting(searching(hurried, best.schedule, steps), () => best);
    if (hasty.proved) bound = { ...bound, time: costOf(hurried, hasty.schedule).time };
    best = planned(problem, bound, best.schedule, best.proved);
  }
  yield* improve(tries - soon);
  return best;
}

/** A search to its end, with what is best meanwhile. */
function* waiting(search: Generator<void, Searched>, best: () => Planned): Generator<Planned, Searched> {
  for (let step = search.next(); ; step = search.next()) {
    if (step.done) return step.value;
    yield best();
  }
}

/** The same at once. */
export function scheduled(problem: Problem, effort: Effort): Planned {
  const work = scheduling(problem, effort);
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
}
