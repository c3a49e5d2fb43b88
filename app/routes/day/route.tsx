import { lazy, Suspense, useMemo, useState } from 'react';
import { checkOff } from '@core/choices/day/check-off';
import { standingOf } from '@core/choices/day/done';
import { tasksOf } from '@core/choices/day/tasks';
import type { DayTask } from '@core/choices/day/together';
import type { ShownPlan } from '@core/wiring/plan';
import { whoWorks } from '~/storage/who-works';
import { MustGoButton } from '~/ui/must-go-button';
import { Refused } from '~/ui/answer';
import { useJob, usePlan } from '../job/context';
import { loadShop, useShop, type LoadedShop } from '../take-off/use-shop';
import type { Route } from './+types/route';
import { Beside } from './beside';
import { beginsAt } from './clock';
import { DayPage } from './day-page';
import { useDay } from './use-day';

export { StageError as ErrorBoundary } from '../job/stage-error';

const MustGo = lazy(() => import('../make-up/must-go'));

export const clientLoader = ({ params: { jobId } }: Route.ClientLoaderArgs) => loadShop(jobId);

/** When what is done, by whom, with which breaker off; where one may stop. */
export default function DayStage({ loaderData }: Route.ComponentProps) {
  const { job, outcome } = usePlan();
  if (!outcome.ok)
    return (
      <main className="grid content-start gap-4 p-4">
        <Beside id={job.id} at="day" />
        <Refused refusals={outcome.refusals} />
      </main>
    );
  return <OwnDay key={job.id} plan={outcome.plan} loaded={loaderData} />;
}

function OwnDay({ plan, loaded }: { plan: ShownPlan; loaded: LoadedShop }) {
  const { job, record, people, run } = useJob();
  const { shop, change } = useShop(loaded);
  const { day } = record;
  const { minutes } = shop;
  const [leaving, setLeaving] = useState(false);
  const tasks = useMemo(() => tasksOf(plan, { minutes, walls: day.walls }), [plan, minutes, day.walls]);
  const standing = useMemo(() => standingOf(plan, tasks, record), [plan, tasks, record]);
  const { ticks, tasks: checked } = record;
  const asked = useMemo(() => {
    const done = [...standing.values()].flatMap(({ at }) => at ?? []);
    return {
      id: plan.job.id,
      name: plan.job.name,
      site: plan.job.site,
      jobs: [{ design: plan.job, ticks, tasks: checked }],
      minutes,
      day,
      begins: beginsAt(day, done, new Date()),
      house: null,
    };
  }, [plan, ticks, checked, minutes, day, standing]);
  const shown = useDay(asked);
  const own = (task: DayTask) => standing.get(task.of[0]?.task ?? '');
  const check = (task: DayTask, done: boolean, says: string) => {
    const one = own(task);
    const name = task.of[0]?.task;
    if (!one || name === undefined) return;
    run(...checkOff({ task: name, place: task.place, done, says, by: whoWorks() }, one, new Date()));
  };
  return (
    <>
      <DayPage
        id={job.id}
        shown={shown}
        day={day}
        people={people}
        isDone={(task) => own(task)?.done ?? false}
        onChange={(to) => run({ do: 'set day', change: to })}
        onCheck={check}
        onLabor={(measured) => change({ minutes: measured })}
        above={<Beside id={job.id} at="day" />}
        mustGo={<MustGoButton onClick={() => setLeaving(true)} />}
      />
      {leaving ? (
        <Suspense>
          <MustGo plan={plan} record={record} onClose={() => setLeaving(false)} />
        </Suspense>
      ) : null}
    </>
  );
}
