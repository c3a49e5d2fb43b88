import type { Standing } from '@core/choices/day/done';
import type { RecordCommand } from '@core/job/commands/command';
import { tickOf } from '@core/wiring/makeup/ticks';
import { whoWorks } from '~/storage/who-works';

/**
 * What checks a task of a job off, or takes that back: the ticks of its steps where it has some, the same as in Make up; else a
 * check-off of its own. `says`: as it stood.
 */
export function checkOff(
  task: string,
  place: string,
  { steps }: Standing,
  done: boolean,
  says: string,
): readonly RecordCommand[] {
  const now = new Date();
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
      ? { do: 'task done', done: { task, says: says.slice(0, 500), at: now.toISOString(), by: whoWorks() } }
      : { do: 'task not done', task },
  ];
}
