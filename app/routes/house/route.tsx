import { Download, Undo2 } from 'lucide-react';
import { lazy, Suspense, useCallback, useEffect, useState } from 'react';
import { Link, NavLink, Outlet } from 'react-router';
import { changeHouse, HouseCommand } from '@core/job/commands/house';
import { good, problemText, type Checked, type Problem } from '@core/job/model/problem';
import type { HouseEntry } from '~/storage/database';
import type { HouseDone, HouseStore, OpenHouse } from '~/storage/houses';
import { openStore } from '~/storage/opened';
import { removes } from '@core/job/commands/removes';
import { isSameTap } from '~/ui/destructive';
import { useNotify } from '~/ui/notices';
import { saveFile } from '~/ui/save-file';
import { useStable } from '~/ui/use-stable';
import { TopBar } from '~/ui/top-bar';
import { useAsked } from '~/ui/use-asked';
import { useCrew } from '~/crew/use-crew';
import { useKept } from '~/ui/use-kept';
import type { Route } from './+types/route';
import type { HouseContext } from './context';
import { say } from '~/words/house';

const EffectsAsk = lazy(() => import('./effects-ask'));

export async function clientLoader({ params: { houseId } }: Route.ClientLoaderArgs) {
  const opened = await openStore();
  const store = await opened.houses();
  await opened.store.openDemo(houseId);
  await opened.store.carryOutWaiting();
  return { id: houseId, store, opened: await store.open(houseId) };
}

export function HydrateFallback() {
  return <p className="p-6 text-ink-soft">{say('route.opening')}</p>;
}

export const meta: Route.MetaFunction = ({ loaderData }) => {
  const data = loaderData as Awaited<ReturnType<typeof clientLoader>> | undefined;
  return [
    {
      title: say('route.title', {
        name: data?.opened.ok ? data.opened.value.house.name : say('route.house'),
      }),
    },
  ];
};

export default function HousePage({ loaderData: { id, store, opened } }: Route.ComponentProps) {
  const { shown: now, during } = useKept<Checked<OpenHouse>, HouseEntry['change']>({
    path: id,
    first: opened,
    read: useCallback(() => store.open(id), [store, id]),
    watch: useCallback((tell: (now: Checked<OpenHouse>) => void) => store.watch(id, tell), [store, id]),
    apply,
  });
  if (!now.ok)
    return (
      <main className="mx-auto grid w-full max-w-xl content-start gap-4 p-6">
        <h1 className="text-xl font-bold">{say('route.cannotOpen')}</h1>
        <ul className="list-disc pl-5">
          {now.problems.map((problem) => (
            <li key={problem.message}>{problemText(problem)}</li>
          ))}
        </ul>
        <div className="flex gap-2">
          <button
            type="button"
            className="button"
            onClick={() =>
              void store
                .raw(id)
                .then((raw) => saveFile(`${id}.stored.json`, JSON.stringify(raw ?? null, null, 2)))
            }
          >
            {say('route.downloadSaved')}
          </button>
          <Link reloadDocument to="/" className="button button-strong">
            {say('route.home')}
          </Link>
        </div>
      </main>
    );
  return <Opened store={store} opened={now.value} during={during} />;
}

/** A house as it will be after a change, shown while that is stored. */
function apply(shown: Checked<OpenHouse>, change: HouseEntry['change']): Checked<OpenHouse> {
  if (!shown.ok) return shown;
  if (change.do === 'put back') return good({ ...shown.value, house: change.before });
  const done = changeHouse(shown.value.house, change);
  return done.ok ? good({ ...shown.value, house: done.value.house }) : shown;
}

const PAGES = [
  { path: '.', name: say('route.panel') },
  { path: 'day', name: say('route.day') },
  { path: 'take-off', name: say('route.takeOff') },
  { path: 'sheet', name: say('route.sheets') },
] as const;

function Opened({
  store,
  opened,
  during,
}: {
  store: HouseStore;
  opened: OpenHouse;
  during: (change: HouseEntry['change'], stored: Promise<readonly Problem[]>) => Promise<readonly Problem[]>;
}) {
  const { house } = opened;
  const notify = useNotify();
  /** The way back from the last change of this page. */
  const [back, setBack] = useState<HouseDone>(null);
  const change = (asked: HouseEntry['change']) => {
    if (asked.do !== 'put back' && removes([asked]) && isSameTap()) return;
    const storing = store.run(house.id, asked).then((done) => {
      if (done.ok) setBack(done.value);
      return done.ok ? [] : done.problems;
    });
    void during(asked, storing).then((problems) => {
      if (problems.length > 0) notify(say('route.couldNotChange'), problems);
    });
  };
  const run = useStable(change);
  const { asking, ask } = useAsked(
    `house ${house.id}`,
    HouseCommand,
    useStable(async (command: HouseCommand) => {
      const done = changeHouse(house, command);
      const { effectsOn } = await import('./ask-first');
      return done.ok ? effectsOn(house, done.value.house, null) : [];
    }),
    run,
  );
  // What an earlier page tapped and could not be carried out is told once.
  useEffect(() => {
    void store.refusals(house.id).then((wrong) => {
      if (wrong.length > 0) notify(say('route.couldNotChange'), wrong);
    });
  }, [house.id, notify, store]);
  const undo = () => {
    if (!back) return;
    setBack(null);
    run({ do: 'put back', before: back.before, after: back.after });
  };
  const exportHouse = async () => {
    const { exportThing } = await import('~/crew/give');
    const unreadable = await exportThing({ kind: 'house', id: house.id });
    if (unreadable.length > 0) notify(say('route.left', { names: unreadable.join(', ') }));
  };
  const crew = useCrew('house', house.id, house.name, house.people);
  const name = back ? say('route.undo', { label: back.label }) : say('route.undoNone');
  return (
    <>
      <TopBar
        title={
          <>
            <h1 className="truncate text-base leading-tight font-bold sm:text-lg">{house.name}</h1>
            <p className="hidden truncate pl-3 text-ink-soft xl:block">
              {house.site === house.name ? '' : house.site}
            </p>
          </>
        }
        tools={
          <button
            type="button"
            className="button button-quiet px-2.5"
            disabled={back === null}
            aria-label={name}
            title={name}
            onClick={undo}
          >
            <Undo2 aria-hidden size={20} />
          </button>
        }
        more={[
          {
            name: say('route.export'),
            icon: <Download aria-hidden size={20} />,
            act: () => void exportHouse(),
            rare: true,
          },
          ...crew.more,
        ]}
      />
      <nav
        aria-label={say('route.pages')}
        className="flex gap-1 overflow-x-auto border-b-2 border-ink px-3 sm:px-4 print:hidden"
      >
        {PAGES.map(({ path, name: page }) => (
          <NavLink
            key={path}
            to={path}
            end
            className="flex min-h-11 items-center gap-2 rounded-t-xl px-4 font-bold whitespace-nowrap text-ink-soft aria-[current=page]:bg-ink aria-[current=page]:text-sand"
          >
            {page}
          </NavLink>
        ))}
      </nav>
      {asking ? (
        <Suspense>
          <EffectsAsk house={house.name} effects={asking.effects} onDo={asking.yes} onClose={asking.no} />
        </Suspense>
      ) : null}
      {crew.giving}
      <Outlet context={{ ...opened, run, ask } satisfies HouseContext} />
    </>
  );
}
