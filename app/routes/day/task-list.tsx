import { memo } from 'react';
import { Check } from 'lucide-react';
import type { TimedTask } from '@core/choices/day/plan-day';
import type { DayTask } from '@core/choices/day/together';
import { clockWords, memberName, spanWords } from '@core/handover/day/words';
import type { Day } from '@core/job/model/day';
import type { DayTold, TaskSaid } from '~/workers/day-room';
import { say } from '~/words/day';

export interface ListedProps {
  readonly said: DayTold['said'];
  readonly numbers: ReadonlyMap<string, number>;
  readonly chosen: string | null;
  readonly onChoose: (key: string | null) => void;
  /** Checks a task off, or takes that back. */
  readonly onCheck: (task: DayTask, done: boolean) => void;
}

const EMPTY: TaskSaid = { what: '', place: '', job: '' };

/** The tasks of a visit in order, each with its hour, who does it, what is off. */
export function TaskList({
  tasks,
  day,
  begins,
  holder,
  ...listed
}: ListedProps & {
  tasks: readonly TimedTask[];
  day: Day;
  begins: number;
  /** Only what this one of the crew does; null for all. */
  holder: number | null;
}) {
  const shown = holder === null ? tasks : tasks.filter(({ crew }) => crew.includes(holder));
  return (
    <ol className="far-rows">
      {shown.map(({ task, from, to, crew }) => (
        <Row
          key={task.key}
          {...rowOf(task, listed)}
          done={false}
          when={`${clockWords(begins + from)} · ${spanWords(to - from)}`}
          who={
            day.crew.length > 1 && (holder === null || crew.length > 1)
              ? crew.map((person) => memberName(day, person)).join(', ')
              : ''
          }
        />
      ))}
    </ol>
  );
}

/** What is done, so that it can be taken back. */
export function DoneList({ tasks, ...listed }: ListedProps & { tasks: readonly DayTask[] }) {
  return (
    <ol className="far-rows">
      {tasks.map((task) => (
        <Row key={task.key} {...rowOf(task, listed)} done when="" who="" />
      ))}
    </ol>
  );
}

/** What a row shows of its task: it is drawn anew only where some of it is another. */
const rowOf = (task: DayTask, { said, numbers, chosen, onChoose, onCheck }: ListedProps) => ({
  task,
  said: said[task.key] ?? EMPTY,
  number: numbers.get(task.key),
  isChosen: chosen === task.key,
  onChoose,
  onCheck,
});

interface RowProps extends ReturnType<typeof rowOf> {
  readonly done: boolean;
  readonly when: string;
  readonly who: string;
}

const Row = memo(function Row({
  task,
  done,
  when,
  who,
  said: { what, job },
  number,
  isChosen,
  onChoose,
  onCheck,
}: RowProps) {
  return (
    <li
      className={`hand-row flex items-stretch ${isChosen ? 'rounded-xl border-2 border-plum bg-plum-tint' : 'border-b-2 border-line'}`}
      data-task={task.does}
      data-done={done}
    >
      <button
        type="button"
        aria-pressed={done}
        aria-label={say('list.check', { what })}
        onClick={() => onCheck(task, !done)}
        className="grid w-12 shrink-0 place-items-center print:hidden"
      >
        <span
          aria-hidden
          className={`grid size-7 place-items-center rounded-lg border-2 border-ink ${done ? 'bg-ink text-sand' : 'bg-paper'}`}
        >
          {done ? <Check size={20} /> : null}
        </span>
      </button>
      <button
        type="button"
        aria-pressed={isChosen}
        className="min-h-12 min-w-0 flex-1 py-2 pr-2 text-left"
        onClick={() => onChoose(isChosen ? null : task.key)}
      >
        <span className={`block font-semibold ${done ? 'text-ink-soft line-through' : ''}`}>
          {number === undefined ? null : <span className="num pr-2 text-ink-soft">{number}</span>}
          {what}
        </span>
        <span className="block text-sm text-ink-soft">
          {[
            when,
            who,
            job,
            task.dead.length > 0
              ? say('list.dead', { numbers: task.dead.join(', '), count: task.dead.length })
              : '',
          ]
            .filter(Boolean)
            .join(' · ')}
        </span>
      </button>
    </li>
  );
});
