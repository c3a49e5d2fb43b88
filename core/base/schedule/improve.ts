import { nth } from '../nth';
import { dice } from '../dice';
import { chains } from './bound';
import { costOf, weighed, type Problem, type Schedule } from './problem';
import { Timeline } from './timeline';
import { timed } from './timing';

/** A schedule as what is tried on it: what is more urgent, and by whom it is rather done. */
interface Genes {
  readonly urgency: number[];
  /** By activity the person whom it goes to where nobody else is there sooner by far; -1 for whoever is. */
  readonly rather: number[];
}

/** How much sooner another is there before whom it rather goes to is passed over, min. */
const PATIENCE = 30;

/** What is urgent is taken first of all that can begin: the longest chain after it. */
export function first(problem: Problem): Schedule {
  return timed(problem, decoded(problem, begun(problem)));
}

const begun = ({ activities }: Problem): Genes => ({
  urgency: [...chains(activities).tail],
  rather: activities.map(() => -1),
});

/**
 * One schedule after another, each a little other than the best or, now and then, a worse one; what is best so far comes out
 * after each. It never ends. The same problem is improved alike each time, however it was numbered before.
 */
export function* improving(problem: Problem, seed = 1): Generator<Schedule, never> {
  const random = dice(seed);
  const { activities, people, weights } = problem;
  const worth = (schedule: Schedule) => weighed(costOf(problem, schedule), weights);
  const most = Math.max(1, ...chains(activities).tail);
  let here = begun(problem);
  let kept = here;
  let since = 0;
  let best = first(problem);
  let [costHere, costBest] = [worth(best), worth(best)];
  for (let tried = 0; ; tried++) {
    const next: Genes = { urgency: [...here.urgency], rather: [...here.rather] };
    for (let changes = 1 + Math.floor(random() * 3); changes > 0 && activities.length > 0; changes--) {
      const one = Math.floor(random() * activities.length);
      const other = Math.floor(random() * activities.length);
      const kind = random();
      if (kind < 0.35)
        [next.urgency[one], next.urgency[other]] = [nth(next.urgency, other), nth(next.urgency, one)];
      else if (kind < 0.7) next.urgency[one] = nth(next.urgency, other) + (random() < 0.5 ? 0.01 : -0.01);
      else if (kind < 0.78) next.urgency[one] = random() * most;
      else if (kind < 0.86)
        for (const near of activities.keys()) {
          if (nth(activities, near).place === nth(activities, one).place && random() < 0.7)
            next.urgency[near] = nth(next.urgency, one) + random() * 0.01;
        }
      else next.rather[one] = people === 1 ? -1 : Math.floor(random() * (people + 1)) - 1;
    }
    const plain = decoded(problem, next);
    const cost = worth(plain);
    // Worse by a little is taken too, less and less (Kirkpatrick and others 1983, from memory).
    const heat = 0.01 * costBest * 0.999 ** (tried - since);
    if (cost <= costHere || random() < Math.exp((costHere - cost) / Math.max(heat, 1e-9)))
      [here, costHere] = [next, cost];
    if (cost < costBest + (weights.open > 0 ? weights.open * 10 : 0)) {
      const fine = timed(problem, plain);
      const exactly = worth(fine);
      if (exactly < costBest - 1e-9) [best, costBest, kept] = [fine, exactly, next];
    }
    if (tried - since === 3000) [here, costHere, since] = [shaken(kept, random, most), Infinity, tried];
    yield best;
  }
}

/** Shaken, so that what lies farther off is come to as well. */
const shaken = ({ urgency, rather }: Genes, random: () => number, most: number): Genes => ({
  urgency: urgency.map((one) => (random() < 0.1 ? random() * most : one)),
  rather,
});

/** How many minutes sooner a minute of urgency is worth. */
const URGENT = 0.5;

/** At each step of all that can begin what begins soonest, of those alike what is more urgent. */
function decoded(problem: Problem, { urgency, rather }: Genes): Schedule {
  const { activities } = problem;
  const line = new Timeline(problem);
  const open: number[] = [];
  const left = activities.map(({ after }) => after.length);
  const later = activities.map((): number[] => []);
  const ready = activities.map(() => 0);
  activities.forEach(({ after }, activity) => {
    for (const one of after) nth(later, one).push(activity);
    if (after.length === 0) open.push(activity);
  });
  while (open.length > 0) {
    let [chosen, least] = [0, Infinity];
    for (let at = 0; at < open.length; at++) {
      const activity = nth(open, at);
      const begins = Math.max(nth(ready, activity), soonest(problem, line, activity, nth(rather, activity)));
      // A little sooner does not go before what is urgent.
      const figure = begins - nth(urgency, activity) * URGENT;
      if (figure < least) [chosen, least] = [at, figure];
    }
    const activity = nth(open, chosen);
    line.put(activity, crewOf(problem, line, activity, nth(rather, activity)));
    open[chosen] = nth(open, open.length - 1);
    open.pop();
    for (const one of nth(later, activity)) {
      ready[one] = Math.max(nth(ready, one), line.end(activity));
      left[one] = nth(left, one) - 1;
      if (left[one] === 0) open.push(one);
    }
  }
  return line.schedule();
}

/** When whoever would do it can be there, ready or not. */
function soonest(problem: Problem, line: Timeline, activity: number, rather: number): number {
  const { who, hands } = nth(problem.activities, activity);
  if (hands > 1)
    return Math.max(...crewOf(problem, line, activity, rather).map((one) => line.there(activity, one)));
  return line.there(activity, quickest(line, activity, who, rather));
}

/** Who is there first, whom it rather goes to before others. */
function quickest(line: Timeline, activity: number, who: readonly number[], rather: number): number {
  let [best, least] = [nth(who, 0), Infinity];
  for (const person of who) {
    const there = line.there(activity, person) - (person === rather ? PATIENCE : 0);
    if (there < least) [best, least] = [person, there];
  }
  return best;
}

/** Who does it. */
function crewOf(problem: Problem, line: Timeline, activity: number, rather: number): readonly number[] {
  const { who, hands } = nth(problem.activities, activity);
  if (hands === who.length) return who;
  if (hands === 1) return [quickest(line, activity, who, rather)];
  const there = (person: number) => line.there(activity, person) - (person === rather ? PATIENCE : 0);
  return [...who]
    .sort((a, b) => there(a) - there(b) || a - b)
    .slice(0, hands)
    .sort((a, b) => a - b);
}
