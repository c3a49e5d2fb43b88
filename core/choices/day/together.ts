import { PANEL } from '../../job/model/design';
import type { Drawable } from '../../wiring/plan';
import type { Task } from './task';

/** A job with what is done in it. */
export interface JobTasks {
  readonly job: string;
  readonly plan: Drawable;
  readonly tasks: readonly Task[];
  /** Tasks that are done. */
  readonly done: ReadonlySet<string>;
}

/** A task of a day: of one job, or what several jobs share at the panel. */
export interface DayTask extends Omit<Task, 'after' | 'id'> {
  /** Of all the day's. */
  readonly key: string;
  /** What it is in each job: its name there. */
  readonly of: readonly { readonly job: string; readonly task: string }[];
  readonly after: readonly string[];
  readonly done: boolean;
}

const SHARED: ReadonlySet<Task['does']> = new Set<Task['does']>(['off', 'on', 'label']);
const keyOf = (job: string, task: string): string => `${job} ${task}`;

/**
 * The tasks of several jobs of one panel as one list: a breaker is put off once, and on once, for all that are worked on in the same
 * visit, and its line of the directory is written once. It is off longest of what each of them asks.
 */
export function together(jobs: readonly JobTasks[]): DayTask[] {
  const list: DayTask[] = jobs.flatMap(({ job, tasks, done }) =>
    tasks.map(({ id, after, ...task }) => ({
      ...task,
      key: keyOf(job, id),
      of: [{ job, task: id }],
      after: after.map((one) => keyOf(job, one)),
      done: done.has(id),
    })),
  );
  if (jobs.length < 2) return list;
  // Shared in a visit are those of one kind that have a circuit in common, or a third of both.
  const merged: DayTask[] = [];
  const now = new Map<string, string>();
  for (const task of list) {
    const like = SHARED.has(task.does)
      ? merged.filter(
          ({ does, visit, circuits }) =>
            does === task.does && visit === task.visit && circuits.some((one) => task.circuits.includes(one)),
        )
      : [];
    const one = like.reduce(both, task);
    for (const other of like) merged.splice(merged.indexOf(other), 1);
    merged.push(one);
    now.set(task.key, one.key);
    for (const other of like) now.set(other.key, one.key);
  }
  const last = (key: string): string => {
    const next = now.get(key);
    return next === undefined || next === key ? key : last(next);
  };
  return merged.map((task) => ({
    ...task,
    after: [...new Set(task.after.map(last))].filter((key) => key !== task.key),
  }));
}

const both = (one: DayTask, other: DayTask): DayTask => ({
  ...one,
  minutes: Math.max(one.minutes, other.minutes),
  circuits: [...new Set([...other.circuits, ...one.circuits])],
  of: [...other.of, ...one.of],
  after: [...new Set([...other.after, ...one.after])],
  done: one.done && other.done,
});

/** Where a task is done, told from every other place of the day: the panel is one for all jobs. */
export const spotOf = ({ place, of }: Pick<DayTask, 'place' | 'of'>): string =>
  place === PANEL ? PANEL : `${of[0]?.job ?? ''} ${place}`;
