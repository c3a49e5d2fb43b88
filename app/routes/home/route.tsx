import { BookOpen, FilePlus2, FolderOpen, GraduationCap, Camera, Search } from 'lucide-react';
import { lazy, Suspense, useEffect, useRef, useState } from 'react';
import { Link, redirect } from 'react-router';
import { DEMO_HOUSE, DEMO_LIST } from '@core/handover/jobs/demo-list';
import type { Problem } from '@core/job/model/problem';
import { Asleep } from '~/standing/asleep';
import { drawnAtBuild } from '~/standing/drawn-at-build';
import { Standing } from '~/standing/standing';
import { useKeepStanding } from '~/standing/use-keep-standing';
import { useCamera, useImport } from '~/files/importer';
import { keep } from '~/ui/kept-here';
import { OWN_JOBS } from '~/ui/theme';
import { TopBar } from '~/ui/top-bar';
import type { Route } from './+types/route';
import { HouseSection, NewHouse } from './house-section';
import { JobCards } from './job-cards';
import type { Findable, matches } from './matches';
import { useStored } from './use-stored';
import { say } from '~/words/home';

export const meta: Route.MetaFunction = () => [{ title: say('route.pageTitle') }];

export async function clientAction({ request }: Route.ClientActionArgs) {
  const form = await request.formData();
  const { store: jobs, houses } = await (await import('~/storage/opened')).openStore();
  const named = form.get('house');
  if (typeof named === 'string') {
    const [store, { House }] = await Promise.all([houses(), import('@core/job/model/house')]);
    const fields = House.omit({ id: true }).safeParse({ name: named, site: named.trim(), edition: '2020' });
    if (!fields.success) return { problems: [{ path: 'house', message: say('route.houseNeedsName') }] };
    return redirect(`/house/${(await store.create(fields.data)).id}`);
  }
  const remove = form.get('remove');
  if (typeof remove === 'string') {
    await jobs.remove(remove);
    return { problems: [] as readonly Problem[] };
  }
  return { problems: [] as readonly Problem[] };
}

/** The page is the same for everyone but for the jobs and houses of this browser, which come after it. */
export default function Home() {
  const { jobs, houses, read, kept } = useStored();
  const [typed, setTyped] = useState('');
  const found = useFound(typed);
  const demo = houses.find(({ id }) => id === DEMO_HOUSE.id) ?? DEMO_HOUSE;
  const named = new Map([...houses, demo].map(({ id, name }) => [id, name]));
  const stored = new Map(jobs.map((job) => [job.id, job]));
  const all = [
    ...DEMO_LIST.filter(({ id }) => !stored.has(id)).map(({ id, name, says }) => ({
      ...EMPTY,
      id,
      name,
      says,
      house: DEMO_HOUSE.id,
    })),
    ...jobs.map((job) => ({
      ...EMPTY,
      ...job.holds,
      id: job.id,
      name: job.name,
      house: job.house ?? '',
      circuits: job.circuits ?? [],
      changed: String(job.updatedAt),
      ...saysOf(job.id),
    })),
  ].filter((job) => found({ ...job, house: named.get(job.house) ?? '' }));
  const of = (house: string) =>
    all.filter((job) => job.house === house).sort((a, b) => placeInDemo(a.id) - placeInDemo(b.id));
  const alone = all
    .filter(({ house }) => !named.has(house))
    .toSorted((a, b) => Number(b.changed) - Number(a.changed));
  const own = read && jobs.some(({ id }) => !DEMO_LIST.some((one) => one.id === id));
  useEffect(() => {
    if (!read) return;
    keep(OWN_JOBS, own ? 'yes' : '');
    if (own) document.documentElement.dataset['own'] = 'yes';
    else delete document.documentElement.dataset['own'];
  }, [read, own]);
  const page = useKeepStanding(() =>
    read && typed === ''
      ? { of: 'list', jobs: all.slice(0, LOOKED_AT).map(({ id, changed }) => [id, Number(changed)]) }
      : null,
  );
  const lists = (
    <>
      {typed.trim() !== '' && all.length === 0 ? <p>{say('route.nothingFound', { typed })}</p> : null}
      {alone.length > 0 ? (
        <section aria-labelledby="alone" data-jobs-shown={alone.length}>
          <h2 id="alone" className="eyebrow">
            {say('route.standAlone')}
          </h2>
          <JobCards jobs={alone} />
        </section>
      ) : null}
      {[...houses.filter(({ id }) => id !== DEMO_HOUSE.id), demo].map(({ id, name }) =>
        typed.trim() !== '' && of(id).length === 0 ? null : (
          <HouseSection key={id} id={id} name={name} jobs={of(id)} demo={id === DEMO_HOUSE.id} />
        ),
      )}
    </>
  );
  // Who has jobs sees them first; what else there is to do stands below them.
  const rest = (
    <>
      <NewHouse />
      <Link to="/tables" className="button">
        <BookOpen aria-hidden size={20} /> {say('route.tables')}
      </Link>
      <Link to="/drills" className="button">
        <GraduationCap aria-hidden size={20} /> {say('route.drills')}
      </Link>
      <ImportButton />
    </>
  );
  return (
    <>
      <TopBar title={<p className="text-lg font-bold">{say('route.splitTap')}</p>} />
      <main className="mx-auto grid w-full max-w-5xl gap-8 p-4 sm:p-6">
        <section className="home-hero grid items-center gap-5 lg:grid-cols-[minmax(0,1fr)_21rem]">
          <div>
            <h1 className="home-title max-w-[24ch] text-xl leading-tight font-bold">
              {say('route.heading')}
            </h1>
            {own ? null : <p className="mt-2 max-w-prose text-ink-soft">{say('route.whatItDoes')}</p>}
            <div className="home-ways mt-4 flex flex-wrap gap-3">
              <Link to="/new" className="button button-strong">
                <FilePlus2 aria-hidden size={20} /> {say('route.newJob')}
              </Link>
              <div className="home-rest contents">{rest}</div>
            </div>
            <label className="mt-4 flex max-w-md items-center gap-2">
              <Search aria-hidden size={20} className="shrink-0" />
              <span className="sr-only">{say('route.findJob')}</span>
              <input
                type="search"
                className="field"
                placeholder={say('route.placeCircuitDevice')}
                value={typed}
                onChange={(event) => setTyped(event.currentTarget.value)}
              />
            </label>
          </div>
          {own ? null : (
            <div className="first-visit aspect-[2/3]">
              <Asleep
                drawn={TryAtBuild ? <TryAtBuild /> : null}
                wake={async () => (await import('./try-it')).tryIt()}
              />
            </div>
          )}
        </section>
        {read || typed !== '' ? (
          <div ref={page} className="contents">
            {lists}
          </div>
        ) : (
          <Standing>
            <div data-at-build className="contents">
              {lists}
            </div>
          </Standing>
        )}
        {kept ? (
          <Suspense>
            <BackupPanel
              changed={`${jobs.length} ${jobs.reduce((last, { updatedAt }) => Math.max(last, updatedAt), 0)}`}
            />
          </Suspense>
        ) : null}
      </main>
    </>
  );
}

/** So many jobs are looked at before what stood last stands again: more than are in sight. */
const LOOKED_AT = 32;

const BackupPanel = lazy(() => import('~/files/backup-panel'));
const TryAtBuild = drawnAtBuild(import.meta.env.SSR ? () => import('./try-at-build') : null);

/** What is not known of a listed job. */
const EMPTY: {
  circuits: readonly string[];
  places: readonly string[];
  kinds: readonly string[];
  changed: string;
} = {
  circuits: [],
  places: [],
  kinds: [],
  changed: '',
};
/** Demo jobs stand in their order, before what was added to their house. */
const placeInDemo = (id: string): number => {
  const place = DEMO_LIST.findIndex((demo) => demo.id === id);
  return place < 0 ? DEMO_LIST.length : place;
};
const saysOf = (id: string) => {
  const says = DEMO_LIST.find((demo) => demo.id === id)?.says;
  return says === undefined ? {} : { says };
};

/** Which jobs fit what is typed; what they are compared by is loaded with the first letter. */
function useFound(typed: string): (job: Findable) => boolean {
  const [match, setMatch] = useState<{ readonly is: typeof matches } | null>(null);
  const looking = typed.trim() !== '';
  useEffect(() => {
    if (looking) void import('./matches').then(({ matches: is }) => setMatch({ is }));
  }, [looking]);
  return (job) => !looking || match === null || match.is(job, typed);
}

function ImportButton() {
  const give = useImport();
  const look = useCamera();
  const input = useRef<HTMLInputElement>(null);
  const send = () => {
    const files = [...(input.current?.files ?? [])];
    if (input.current) input.current.value = '';
    give(files);
  };
  // What was chosen before the page was awake is taken now.
  useEffect(() => {
    send();
    // Once, when the page wakes.
    // oxlint-disable-next-line react/exhaustive-deps
  }, []);
  return (
    <>
      <button type="button" className="button" onClick={() => input.current?.click()}>
        <FolderOpen aria-hidden size={20} /> {say('route.importJobFile')}
      </button>
      <input
        ref={input}
        type="file"
        multiple
        accept=".json,.zip,application/json,application/zip"
        className="hidden"
        aria-label={say('route.jobFile')}
        onChange={send}
      />
      <button type="button" className="button" onClick={look}>
        <Camera aria-hidden size={20} /> {say('route.byCamera')}
      </button>
    </>
  );
}
