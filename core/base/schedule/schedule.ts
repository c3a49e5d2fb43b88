import { boundOf } from './bound';
import { searching } from './exact';
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
  const bound = boundOf(problem);
  let best = planned(problem, bound, first(problem), false);
  yield best;
  const better = improving(problem);
  // Small days are searched through before much is tried at random.
  for (const part of [Math.ceil(tries / 10), tries - Math.ceil(tries / 10)]) {
    for (let tried = 0; tried < part && !best.proved; tried++) {
      const { value } = better.next();
      if (value !== best.schedule) best = planned(problem, bound, value, false);
      yield best;
    }
    if (best.proved) break;
    if (part === Math.ceil(tries / 10)) {
      const search = searching(problem, best.schedule, steps);
      let step = search.next();
      for (; !step.done; step = search.next()) yield best;
      const { schedule, proved } = step.value;
      best = planned(problem, bound, schedule, proved);
    }
  }
  return best;
}

/** The same at once. */
export function scheduled(problem: Problem, effort: Effort): Planned {
  const work = scheduling(problem, effort);
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
}
