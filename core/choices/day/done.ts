import { byId } from '../../base/by-id';
import type { JobRecord } from '../../job/model/record';
import { makeUpSteps } from '../../wiring/makeup/steps';
import type { NamedStep } from '../../wiring/makeup/step';
import { tickSteps, type TickedStep } from '../../wiring/makeup/ticks';
import type { Drawable } from '../../wiring/plan';
import type { Task } from './task';
import { tasksOf, type Asked } from './tasks';
import type { JobTasks } from './together';

/** How a task stands. */
export interface Standing {
  readonly done: boolean;
  /** When it was done, UTC; null where it was not, or nobody said. */
  readonly at: string | null;
  readonly by: string;
  /** Its steps of the make-up, with their ticks; none where it has none. */
  readonly steps: readonly TickedStep[];
}

/** Steps of the make-up that are the mounting of what is in the box, and not its splices. */
const isMounting = ({ stage }: NamedStep): boolean => stage === 'tab' || stage === 'land' || stage === 'fold';

/** Steps of each box, worked out once a plan. */
const stepsOf = new WeakMap<Drawable, Map<string, readonly NamedStep[]>>();

/** By task how it stands: by its own steps where it has some, or as it was checked off. */
export function standingOf(
  plan: Drawable,
  tasks: readonly Task[],
  { ticks, tasks: checked }: Pick<JobRecord, 'ticks' | 'tasks'>,
): ReadonlyMap<string, Standing> {
  const known = new Map(checked.map((one) => [one.task, one]));
  const boxes = new Map<string, readonly TickedStep[]>();
  const steps = stepsOf.get(plan) ?? new Map<string, readonly NamedStep[]>();
  stepsOf.set(plan, steps);
  const stepsIn = (box: string) => {
    const named = steps.get(box) ?? makeUpSteps(plan, box);
    steps.set(box, named);
    const own = boxes.get(box) ?? tickSteps(named, ticks, box).steps;
    boxes.set(box, own);
    return own;
  };
  const isMade = new Set(tasks.flatMap(({ does, place }) => (does === 'make up' ? [place] : [])));
  const standing = new Map<string, Standing>();
  for (const task of tasks) {
    const { does, place, id } = task;
    const own =
      does === 'make up'
        ? stepsIn(place).filter(({ step }) => !isMounting(step))
        : does === 'mount' || does === 'cover'
          ? stepsIn(place).filter(({ step }) => isMounting(step) || !isMade.has(place))
          : [];
    const tick = known.get(id);
    const stepped = own.length > 0;
    const done = stepped ? own.every(({ state }) => state === 'done') : tick !== undefined;
    const last = own
      .flatMap(({ tick: one }) => one?.at ?? [])
      .sort()
      .at(-1);
    standing.set(id, {
      done,
      at: done ? (stepped ? (last ?? null) : (tick?.at ?? null)) : null,
      by: tick?.by ?? '',
      steps: own,
    });
  }
  return inferred(tasks, standing);
}

/** What must have been done before something that is done or begun, and has no steps that say otherwise, is taken for done. */
function inferred(
  tasks: readonly Task[],
  standing: ReadonlyMap<string, Standing>,
): ReadonlyMap<string, Standing> {
  const known = byId(tasks);
  const all = new Map(standing);
  const visit = (id: string) => {
    for (const before of known.get(id)?.after ?? []) {
      const one = all.get(before);
      if (!one || one.done || one.steps.length > 0) continue;
      all.set(before, { ...one, done: true });
      visit(before);
    }
  };
  // What is begun, too: nobody makes up a box whose cable is not pulled.
  for (const [id, { done, steps }] of standing)
    if (done || steps.some(({ state }) => state === 'done')) visit(id);
  return all;
}

/** A job with its tasks and how each stands. */
export interface StandingJob extends JobTasks {
  readonly standing: ReadonlyMap<string, Standing>;
}

/** The tasks of a plan, as far as its record says that they are done. */
export function jobTasks(
  plan: Drawable,
  record: Pick<JobRecord, 'ticks' | 'tasks'>,
  asked: Asked,
): StandingJob {
  const tasks = tasksOf(plan, asked);
  const standing = standingOf(plan, tasks, record);
  const done = new Set([...standing].flatMap(([id, one]) => (one.done ? [id] : [])));
  return { job: plan.job.id, plan, tasks, done, standing };
}
