import { byId } from '../../base/by-id';
import type { Shop } from '../takeoff/shop';
import type { Stop } from '../../site/stops/stops';
import type { Standing } from './done';
import type { Task } from './task';

/**
 * Ways to where a breaker may be on and everyone may leave: by capping and covering what hangs, or by going on until its circuit is
 * on again. Without either it stays off and locked, which is safe too.
 */
export interface WayOut {
  readonly circuit: string;
  /** It may be on as the work stands. */
  readonly on: boolean;
  /** Minutes of capping and covering; null where that does not help. */
  readonly capping: number | null;
  /** What is left to do until it is on, in an order that can be done, and its minutes; null where nothing would put it on. */
  readonly finishing: { readonly minutes: number; readonly tasks: readonly Task[] } | null;
  /** What takes least. */
  readonly nearest: 'now' | 'cap' | 'finish' | 'off';
}

/** By circuit the nearest stop with its breaker on. `number` is its number in the directory. */
export function waysOut(
  stops: readonly Stop[],
  tasks: readonly Task[],
  standing: ReadonlyMap<string, Standing>,
  number: (circuit: string) => string,
  minutes: Shop['minutes'],
): WayOut[] {
  return stops.map(({ circuit, on, first }) => {
    const capping =
      on || first === null
        ? null
        : Math.round(
            first.reduce((sum, one) => sum + (one.do === 'cap' ? minutes.splice : minutes.plate), 0),
          );
    const finishing = on ? null : untilOn(tasks, standing, number(circuit));
    return {
      circuit,
      on,
      capping,
      finishing,
      nearest: on
        ? 'now'
        : capping !== null && (finishing === null || capping <= finishing.minutes)
          ? 'cap'
          : finishing
            ? 'finish'
            : 'off',
    };
  });
}

/** All that is still to be done before a circuit is on, and that; of one visit alone: nobody waits for a wall to be closed. */
function untilOn(
  tasks: readonly Task[],
  standing: ReadonlyMap<string, Standing>,
  number: string,
): WayOut['finishing'] {
  const on = tasks.find(({ does, circuits }) => does === 'on' && circuits.includes(number));
  if (!on) return null;
  const known = byId(tasks);
  const order: Task[] = [];
  const seen = new Set<string>();
  const visit = (task: Task) => {
    if (seen.has(task.id)) return;
    seen.add(task.id);
    for (const id of task.after) {
      const before = known.get(id);
      if (before) visit(before);
    }
    if (!standing.get(task.id)?.done) order.push(task);
  };
  visit(on);
  if (order.some((task) => task.visit !== order[0]?.visit)) return null;
  return { tasks: order, minutes: order.reduce((sum, task) => sum + task.minutes, 0) };
}
