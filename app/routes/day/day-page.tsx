import { useMemo, useState, type ReactNode } from 'react';
import type { DayPlan } from '@core/choices/day/plan-day';
import type { DayTask } from '@core/choices/day/together';
import {
  boundWords,
  clockWords,
  dateWords,
  dayAnswer,
  memberName,
  minuteOf,
  visitDate,
  visitName,
  visitWords,
} from '@core/handover/day/words';
import type { Shop } from '@core/choices/takeoff/shop';
import type { Day } from '@core/job/model/day';
import type { Person } from '@core/job/model/house';
import type { Section } from '@core/handover/packet/section';
import { whoWorks } from '~/storage/who-works';
import { AnswerLine } from '~/ui/answer-line';
import { useStable } from '~/ui/use-stable';
import { WORKED_MS } from '~/workers/day-limit';
import { SectionView } from '../packet/section-view';
import { useNow } from './clock';
import { Lanes } from './lanes';
import { Offers } from './offers';
import { DayOuts } from './outs';
import { DaySettings } from './settings';
import { DoneList, TaskList } from './task-list';
import type { ShownDay } from './use-day';
import { say } from '~/words/day';

interface Props {
  readonly id: string;
  readonly shown: ShownDay;
  readonly day: Day;
  readonly people: readonly Person[];
  /** True of a task that was checked off since the day was put in order. */
  readonly isDone: (task: DayTask) => boolean;
  readonly onChange: (change: Partial<Day>) => void;
  readonly onCheck: (task: DayTask, done: boolean, says: string) => void;
  readonly onLabor: (minutes: Partial<Shop['minutes']>) => void;
  /** Of a house: the walls are a job's. */
  readonly house?: boolean;
  /** The way to what stands beside the day. */
  readonly above?: ReactNode;
  /** What the day is of. */
  readonly below?: ReactNode;
  readonly mustGo?: ReactNode;
}

/** A day of one job or of several: the answer, lanes by person, the list with its check-offs. */
export function DayPage(props: Props) {
  const { id, shown, day, people, onChange, onLabor, isDone, above, below, mustGo, house = false } = props;
  const { told } = shown;
  const [sheets, setSheets] = useState<readonly Section[] | null>(null);
  const left = told ? stillToDo(told.plan, isDone) : null;
  return (
    <main className="grid flex-1 grid-cols-[minmax(0,1fr)] content-start gap-5 p-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,22rem)] print:block print:p-0">
      <div className="grid min-w-0 content-start gap-4 print:hidden">
        {above}
        <div className="flex items-start gap-2" aria-busy={shown.busy}>
          <AnswerLine>{told && left ? dayAnswer(left, day, told.begins) : say('page.working')}</AnswerLine>
          {shown.busy && told ? (
            <div className="grid gap-1">
              <button type="button" className="button button-quiet px-3" onClick={shown.stop}>
                {say('page.enough')}
              </button>
              <Looking />
            </div>
          ) : null}
        </div>
        {shown.failed ? <p role="alert">▲ {shown.failed}</p> : null}
        {told && told.refused.length > 0 ? (
          <p>▲ {say('page.refused', { names: told.refused.join(', ') })}</p>
        ) : null}
        {told?.more ? <Together more={told.more} day={day} /> : null}
        {below}
        {mustGo}
        {told && left ? <Visits {...props} told={told} left={left} /> : null}
        <p className="text-sm text-ink-soft">{say('page.caution')}</p>
      </div>
      <aside className="grid content-start gap-5 print:hidden">
        <DaySettings day={day} people={people} onChange={onChange} asksWalls={!house} />
        {told ? <Offers offers={told.offers} onTake={onLabor} /> : null}
        {told && told.plan.visits.length > 0 ? (
          <DayOuts id={id} hasDate={day.date !== null} onSheets={setSheets} />
        ) : null}
      </aside>
      {sheets ? (
        <div className="grid gap-4 lg:col-span-2 print:block" data-day-sheets>
          {sheets.map((section) => (
            <SectionView key={section.id} section={section} photos={[]} sheets={[]} drawingOf={() => null} />
          ))}
        </div>
      ) : null}
    </main>
  );
}

/** The day without what was checked off since it was put in order. */
function stillToDo(plan: DayPlan, isDone: (task: DayTask) => boolean): DayPlan {
  const visits = plan.visits.flatMap((visit) => {
    const tasks = visit.tasks.filter(({ task }) => !isDone(task));
    return tasks.length === 0 ? [] : [{ ...visit, tasks }];
  });
  return { ...plan, visits };
}

/** How far a better one was looked for; it ends when the bar is full, or sooner where nothing is better. */
function Looking() {
  return (
    <span
      role="progressbar"
      aria-label={say('page.looking', { seconds: WORKED_MS / 1000 })}
      className="block h-1 overflow-hidden rounded bg-line"
    >
      <span
        className="block h-full origin-left looking bg-plum"
        style={{ animationDuration: `${WORKED_MS}ms` }}
      />
    </span>
  );
}

/** What the jobs save together, and which fit into the hours that are given. */
function Together({
  more: { saved, fits },
  day,
}: {
  more: NonNullable<NonNullable<ShownDay['told']>['more']>;
  day: Day;
}) {
  return (
    <p data-together>
      {say('page.saved', { minutes: saved.minutes, trips: saved.trips })}{' '}
      {fits.length === 0
        ? say('page.fitsNone', { hours: day.hours })
        : say('page.fits', { hours: day.hours, names: fits.join(', ') })}
    </p>
  );
}

function Visits({
  told,
  left,
  day,
  isDone,
  onCheck,
}: Props & { told: NonNullable<ShownDay['told']>; left: DayPlan }) {
  // Whoever holds the phone sees their own, where the device knows them.
  const [holder, setHolder] = useState<number | null>(() => {
    const who = whoWorks();
    const own = day.crew.findIndex(({ name }) => name !== '' && name === who);
    return own < 0 ? null : own;
  });
  const [chosen, setChosen] = useState<string | null>(null);
  const { plan, said, begins } = told;
  const done = [
    ...plan.done,
    ...plan.visits.flatMap(({ tasks }) => tasks.flatMap(({ task }) => (isDone(task) ? [task] : []))),
  ].filter(isDone);
  const now = useNow(day, done.length > 0);
  // Numbers stay with their tasks until the day is put in order anew.
  const numbers = useMemo(
    () => new Map(plan.visits.flatMap(({ tasks }) => tasks).map(({ task }, index) => [task.key, index + 1])),
    [plan],
  );
  const person = holder !== null && holder < day.crew.length ? holder : null;
  const next = left.visits[0]?.tasks.find(({ crew }) => person === null || crew.includes(person));
  const check = useStable((task: DayTask, is: boolean) => onCheck(task, is, said[task.key]?.what ?? ''));
  const listed = { said, numbers, chosen, onChoose: setChosen, onCheck: check };
  return (
    <>
      {day.crew.length > 1 ? (
        <div className="flex flex-wrap gap-1" role="toolbar" aria-label={say('list.whose')}>
          <button
            type="button"
            className="chip"
            aria-pressed={person === null}
            onClick={() => setHolder(null)}
          >
            {say('list.everyone')}
          </button>
          {day.crew.map((_, one) => (
            <button
              key={one}
              type="button"
              className="chip"
              aria-pressed={person === one}
              onClick={() => setHolder(one)}
            >
              {memberName(day, one)}
            </button>
          ))}
        </div>
      ) : null}
      {left.visits.map((visit, index) => {
        const start = index === 0 ? begins : minuteOf(day.from);
        const date = visitDate(day, visit.visit);
        const isOnly = left.visits.length === 1 && visit.visit === 1;
        return (
          <section
            key={visit.visit}
            className="grid gap-3"
            aria-label={visitName(visit.visit, left.visits.length)}
            data-visit={visit.visit}
          >
            {isOnly && date === null ? null : (
              <h3 className="text-lg font-bold">
                {[
                  isOnly ? '' : visitName(visit.visit, left.visits.length),
                  date === null ? '' : dateWords(date),
                ]
                  .filter(Boolean)
                  .join(' · ')}
              </h3>
            )}
            {left.visits.length > 1 ? (
              <p>{visitWords(visit, day.crew.length, start).join(' ')}</p>
            ) : (
              <p className="text-sm text-ink-soft">{boundWords(visit)}</p>
            )}
            <div className="hidden md:block">
              <Lanes
                visit={visit}
                day={day}
                begins={start}
                now={index === 0 ? now : null}
                said={said}
                numbers={numbers}
                chosen={chosen}
                onChoose={setChosen}
              />
            </div>
            <TaskList tasks={visit.tasks} day={day} begins={start} holder={person} {...listed} />
          </section>
        );
      })}
      {done.length > 0 ? (
        <details>
          <summary className="min-h-11 cursor-pointer py-2 font-bold">
            {say('list.done', { count: done.length })}
          </summary>
          <DoneList tasks={done} {...listed} />
        </details>
      ) : null}
      {next ? (
        <div className="hand-row fixed inset-x-0 bottom-0 z-30 flex items-center gap-2 border-t-2 border-ink bg-sand p-2 lg:hidden">
          <span className="min-w-0 flex-1 px-1 leading-tight">
            <span className="block truncate font-bold">{said[next.task.key]?.what}</span>
            <span className="block truncate text-sm text-ink-soft">
              {clockWords(begins + next.from)} · {said[next.task.key]?.place}
            </span>
          </span>
          <button
            type="button"
            className="button button-strong shrink-0 px-5"
            onClick={() => check(next.task, true)}
          >
            {say('list.doneNext')}
          </button>
        </div>
      ) : null}
    </>
  );
}
