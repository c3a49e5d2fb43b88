import { soundHouse, type House, type Wired } from '../../power/faults';
import { HouseRun } from '../../site/script/run-house';
import type { Study } from '../../site/script/script';
import type { Outcome } from '../../site/script/field-test';
import type { FaultDrill } from './fault-drill';
import type { Taken } from './taken';

/** Points of a hundred that things cost. Plausible figures. */
export const COSTS = { hint: 10, wrong: 15, spared: 5, touched: 30, finding: 10 } as const;

/** How a drill was played. */
export interface Played {
  readonly hints: number;
  /** Answers that were not right, before the one that was. */
  readonly wrong: number;
  /** Live parts that were touched, or worked on. */
  readonly touched: number;
}

export interface Score {
  /** Of 100. */
  readonly points: number;
  readonly tests: number;
  readonly best: number;
  /** Live tests that a dead one could have spared. */
  readonly spared: number;
}

/** Points for so many tests against the best tester's, less what was done besides. Never under 0. */
export function pointsOf(
  { tests, best, spared }: Omit<Score, 'points'>,
  { hints, wrong, touched }: Played,
): number {
  const share = Math.min(1, Math.max(best, 1) / Math.max(tests, 1));
  const cost = hints * COSTS.hint + wrong * COSTS.wrong + spared * COSTS.spared + touched * COSTS.touched;
  return Math.max(0, Math.round(100 * share) - cost);
}

/** Readings that safety is judged by: of more, the first ones. */
const JUDGED = 60;

/**
 * The live readings that a dead test could have spared: one that tells as much, ruling out at least as much of what was
 * possible, by how common it is.
 */
export function sparedBy(wired: Wired, study: Study, drill: FaultDrill, taken: readonly Taken[]): string[] {
  const classes = new Map<string, { house: House; shows: readonly Outcome[]; weight: number }>();
  classes.set(study.sound.join('|'), { house: soundHouse(wired), shows: study.sound, weight: 1 });
  study.faults.forEach((fault, index) => {
    const shows = study.shows[index] ?? [];
    const key = shows.join('|');
    const known = classes.get(key);
    if (known) known.weight += fault.row.weight;
    else classes.set(key, { house: fault.put(soundHouse(wired)), shows, weight: fault.row.weight });
  });
  const houses = [...classes.values()].map((own) => ({ ...own, run: new HouseRun(own.house) }));
  const hidden = new HouseRun(drill.house);
  const dead = study.tests.map(({ instrument }, test) =>
    instrument === 'ohms'
      ? houses.reduce((sum, { shows, weight }) => (shows[test] === drill.shows[test] ? sum : sum + weight), 0)
      : 0,
  );
  const most = Math.max(0, ...dead);
  return taken
    .slice(0, JUDGED)
    .filter(({ live, key, probes, state }) => {
      if (!live || probes.length === 0) return false;
      const stimulus = { key, is: 'handles' as const, state, loads: new Map() };
      const outcome = (run: HouseRun) => probes.map((probe) => run.outcome({ probe, stimulus })).join('|');
      const really = outcome(hidden);
      const out = houses.reduce((sum, { run, weight }) => (outcome(run) === really ? sum : sum + weight), 0);
      return out > 0 && most >= out;
    })
    .map(({ key }) => key);
}
