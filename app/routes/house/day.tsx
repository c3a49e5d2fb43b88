import { lazy, Suspense, useMemo, useState } from 'react';
import type { DayTask } from '@core/choices/day/together';
import { openStore } from '~/storage/opened';
import { whoWorks } from '~/storage/who-works';
import { houseWorker } from '~/workers/core';
import { MustGoButton } from '~/ui/must-go-button';
import { useNotify } from '~/ui/notices';
import { beginsAt } from '../day/clock';
import { DayPage } from '../day/day-page';
import { useDay } from '../day/use-day';
import { loadShop, useShop } from '../take-off/use-shop';
import type { Route } from './+types/day';
import { useHouse } from './context';
import { JobChips, useLeftOut } from './job-chips';
import { useWholeJobs } from './whole-jobs';
import { say } from '~/words/house';

const HouseMustGo = lazy(() => import('./must-go'));

export const clientLoader = ({ params: { houseId } }: Route.ClientLoaderArgs) => loadShop(`house ${houseId}`);

/** The jobs of the house in one day: windows and ways are shared. */
export default function HouseDay({ loaderData }: Route.ComponentProps) {
  const { house, jobs, revision, run } = useHouse();
  const notify = useNotify();
  const { shop, change } = useShop(loaderData);
  const [leaving, setLeaving] = useState(false);
  const { left, toggle } = useLeftOut();
  const { day } = house;
  const all = useWholeJobs(house.id, `${revision} ${jobs.map(({ updatedAt }) => updatedAt).join()}`);
  const wanted = useMemo(() => all?.filter(({ design }) => !left.has(design.id)) ?? null, [all, left]);
  const { minutes } = shop;
  const asked = useMemo(() => {
    if (!wanted) return null;
    const checked = wanted.flatMap(({ record }) => [...record.ticks, ...record.tasks].map(({ at }) => at));
    return {
      id: house.id,
      name: house.name,
      site: house.site,
      jobs: wanted.map(({ design, record }) => ({ design, ticks: record.ticks, tasks: record.tasks })),
      minutes,
      day,
      begins: beginsAt(day, checked, new Date()),
      house,
    };
  }, [wanted, house, minutes, day]);
  const shown = useDay(asked);
  const [now, setNow] = useState<ReadonlyMap<string, boolean>>(new Map());
  const done = new Set(shown.told?.plan.done.map(({ key }) => key));
  const check = async (task: DayTask, is: boolean, says: string) => {
    setNow(new Map([...now, [task.key, is]]));
    const { store } = await openStore();
    const { JobSession } = await import('~/storage/session');
    for (const { job, task: name } of task.of) {
      const opened = await store.open(job);
      if (!opened.ok) {
        notify(say('route.couldNotChange'), opened.problems);
        continue;
      }
      const { design, record } = opened.value;
      const commands = await houseWorker.ask((worker) =>
        worker.checkOffDay(
          { design, ticks: record.ticks, tasks: record.tasks },
          { task: name, place: task.place, done: is, says, by: whoWorks() },
          { minutes, day },
        ),
      );
      const wrong =
        commands.length === 0
          ? []
          : await new JobSession(opened.value, store).send({ intent: 'commands', commands });
      if (wrong.length > 0) notify(say('route.couldNotChange'), wrong);
    }
  };
  return (
    <>
      <DayPage
        house
        mustGo={<MustGoButton onClick={() => setLeaving(true)} />}
        id={house.id}
        shown={shown}
        day={day}
        people={house.people}
        isDone={({ key }) => now.get(key) ?? done.has(key)}
        onChange={(to) => run({ do: 'set house day', change: to })}
        onCheck={(task, is, says) => void check(task, is, says)}
        onLabor={(measured) => change({ minutes: measured })}
        below={<JobChips title={say('day.jobs')} left={left} toggle={toggle} />}
      />
      {leaving && all ? (
        <Suspense>
          <HouseMustGo jobs={all} asked={{ minutes, day }} onClose={() => setLeaving(false)} />
        </Suspense>
      ) : null}
    </>
  );
}
