import type { RecordCommand } from '../../job/commands/command';
import { tickOf } from '../../wiring/makeup/ticks';
import type { Standing } from './done';

/** Who checks off what, when: as it stood, and by whom; empty where nobody was named. */
export interface CheckOff {
  readonly task: string;
  readonly place: string;
  readonly done: boolean;
  readonly says: string;
  readonly by: string;
}

/**
 * What checks a task of a job off, or takes that back: the ticks of its steps where it has some, the same as in Make up; else a
 * check-off of its own.
 */
export function checkOff(
  { task, place, done, says, by }: CheckOff,
  { steps }: Standing,
  now: Date,
): readonly RecordCommand[] {
  if (steps.length > 0)
    return steps.flatMap(({ step, state }): RecordCommand[] =>
      done
        ? state === 'done'
          ? []
          : [{ do: 'tick', tick: tickOf(place, step, now) }]
        : state === 'open'
          ? []
          : [{ do: 'untick', box: place, step: step.id }],
    );
  return [
    done
      ? { do: 'task done', done: { task, says: says.slice(0, 500), at: now.toISOString(), by } }
      : { do: 'task not done', task },
  ];
}
