import { BookOpen, FilePlus2, FolderOpen, GraduationCap, HousePlug, Trash2 } from 'lucide-react';
import { lazy, Suspense, useEffect, useRef, useState } from 'react';
import { Link, redirect, useFetcher } from 'react-router';
import { DEMO_HOUSE, DEMO_LIST } from '@core/jobs/demo-list';
import type { Problem } from '@core/model/problem';
import type { ListedHouse, StoredSummary } from '~/storage/summaries';
import { useImport } from '~/files/importer';
import { TopBar } from '~/ui/top-bar';
import type { Route } from './+types/route';
import { say } from '~/words/home';

export const meta: Route.MetaFunction = () => [{ title: say('route.splitTapFromWhatShould') }];

export async function clientAction({ request }: Route.ClientActionArgs) {
  const form = await request.formData();
  const { store: jobs, houses } = await (await import('~/storage/opened')).openStore();
  const named = form.get('house');
  if (typeof named === 'string') {
    const [store, { House }] = await Promise.all([houses(), import('@core/model/house')]);
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
  const { jobs, houses } = useStored();
  const known = new Set([...houses.map(({ id }) => id), DEMO_HOUSE.id]);
  const alone = jobs.filter(
    ({ id, house }) =>
      (house === undefined || !known.has(house)) && !DEMO_LIST.some((demo) => demo.id === id),
  );
  const demo = houses.find(({ id }) => id === DEMO_HOUSE.id) ?? DEMO_HOUSE;
  return (
    <>
      <TopBar title={<p className="text-lg font-bold">{say('route.splitTap')}</p>} />
      <main className="mx-auto grid w-full max-w-5xl gap-8 p-4 sm:p-6">
        <section>
          <h1 className="max-w-[24ch] text-xl leading-tight font-bold">
            {say('route.enterWhatEachOutletHalf')}
          </h1>
          <p className="mt-2 max-w-prose text-ink-soft">{say('route.splitTapWorksOutCable')}</p>
          <div className="mt-4 flex flex-wrap gap-3">
            <Link to="/new" className="button button-strong">
              <FilePlus2 aria-hidden size={20} /> {say('route.newJob')}
            </Link>
            <NewHouse />
            <Link to="/tables" className="button">
              <BookOpen aria-hidden size={20} /> {say('route.tables')}
            </Link>
            <Link to="/drills" className="button">
              <GraduationCap aria-hidden size={20} /> {say('route.drills')}
            </Link>
            <ImportButton />
          </div>
        </section>
        {alone.length > 0 ? (
          <section aria-labelledby="alone" data-jobs-shown={alone.length}>
            <h2 id="alone" className="eyebrow">
              {say('route.standAlone')}
            </h2>
            <JobCards jobs={alone} />
          </section>
        ) : null}
        {houses
          .filter(({ id }) => id !== DEMO_HOUSE.id)
          .map(({ id, name }) => (
            <HouseSection key={id} id={id} name={name} jobs={jobs.filter(({ house }) => house === id)} />
          ))}
        <HouseSection
          id={demo.id}
          name={demo.name}
          demo
          jobs={[
            ...DEMO_LIST.map(({ id, name, says }) => ({
              id,
              name: jobs.find((own) => own.id === id)?.name ?? name,
              says,
            })),
            ...jobs.filter(
              ({ id, house }) => house === DEMO_HOUSE.id && !DEMO_LIST.some((one) => one.id === id),
            ),
          ]}
        />
        <Suspense>
          <BackupPanel
            changed={`${jobs.length} ${jobs.reduce((last, { updatedAt }) => Math.max(last, updatedAt), 0)}`}
          />
        </Suspense>
      </main>
    </>
  );
}

const BackupPanel = lazy(() => import('~/files/backup-panel'));

/** A house with its jobs below it. */
function HouseSection({
  id,
  name,
  jobs,
  demo = false,
}: {
  id: string;
  name: string;
  jobs: readonly ListedJob[];
  demo?: boolean;
}) {
  return (
    <section aria-labelledby={`house-${id}`}>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <h2 id={`house-${id}`} className="text-lg font-bold">
          {name}{' '}
          <span className="text-base font-normal text-ink-soft">
            {[...(demo ? [say('route.demo')] : []), say('route.jobs', { count: jobs.length })].join(', ')}
          </span>
        </h2>
        <Link to={`/house/${id}`} className="button">
          <HousePlug aria-hidden size={20} /> {say('route.openHouse')}
        </Link>
      </div>
      {jobs.length === 0 ? (
        <p className="mt-2 text-ink-soft">{say('route.noJobs')}</p>
      ) : (
        <JobCards jobs={jobs} demo={demo} />
      )}
    </section>
  );
}

interface ListedJob {
  readonly id: string;
  readonly name: string;
  readonly says?: string;
}

/** Jobs listed at once; the others are a tap away, so that a thousand do not slow the page. */
const LISTED = 24;

function JobCards({ jobs, demo = false }: { jobs: readonly ListedJob[]; demo?: boolean }) {
  const [all, setAll] = useState(false);
  return (
    <>
      <ul className="mt-2 grid gap-2 sm:grid-cols-2">
        {(all ? jobs : jobs.slice(0, LISTED)).map(({ id, name, says }) => (
          <li
            key={id}
            className="flex items-stretch rounded-xl border-2 border-line bg-paper hover:border-plum"
          >
            <Link to={`/job/${id}/lay-out`} className="min-w-0 flex-1 rounded-xl p-3">
              <span className="block truncate font-bold">{name}</span>
              {says === undefined ? null : <span className="text-sm text-ink-soft">{says}</span>}
            </Link>
            {demo ? null : <RemoveButton id={id} name={name} />}
          </li>
        ))}
      </ul>
      {!all && jobs.length > LISTED ? (
        <button type="button" className="button mt-2" onClick={() => setAll(true)}>
          {say('route.showAll', { count: jobs.length })}
        </button>
      ) : null}
    </>
  );
}

/** The jobs and houses of this browser as they are now; the store is loaded when the page stands. */
function useStored(): { readonly jobs: readonly StoredSummary[]; readonly houses: readonly ListedHouse[] } {
  const [jobs, setJobs] = useState<readonly StoredSummary[]>([]);
  const [houses, setHouses] = useState<readonly ListedHouse[]>([]);
  useEffect(() => {
    let left = false;
    const stops: (() => void)[] = [];
    void import('~/storage/summaries').then(({ watchSummaries, watchHouses }) => {
      if (!left) stops.push(watchSummaries(setJobs), watchHouses(setHouses));
    });
    return () => {
      left = true;
      for (const stop of stops) stop();
    };
  }, []);
  return { jobs, houses };
}

/** The button that was pressed turns into the field. */
const focused = (input: HTMLInputElement | null) => input?.focus();

/** A house by its name; the rest is said in it. */
function NewHouse() {
  const [name, setName] = useState<string | null>(null);
  const fetcher = useFetcher();
  if (name === null)
    return (
      <button type="button" className="button" onClick={() => setName('')}>
        <HousePlug aria-hidden size={20} /> {say('route.newHouse')}
      </button>
    );
  return (
    <fetcher.Form
      method="post"
      action="/?index"
      className="flex items-end gap-2"
      onSubmit={(event) => {
        if (name.trim() === '') event.preventDefault();
      }}
    >
      <label className="grid gap-1">
        <span className="sr-only">{say('route.houseName')}</span>
        <input
          ref={focused}
          name="house"
          className="field"
          placeholder={say('route.houseName')}
          maxLength={80}
          value={name}
          onChange={(event) => setName(event.currentTarget.value)}
        />
      </label>
      <button type="submit" className="button button-strong">
        {say('route.makeHouse')}
      </button>
    </fetcher.Form>
  );
}

function ImportButton() {
  const give = useImport();
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
    // eslint-disable-next-line react-hooks/exhaustive-deps
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
    </>
  );
}

function RemoveButton({ id, name }: { id: string; name: string }) {
  const fetcher = useFetcher();
  return (
    <button
      type="button"
      className="button button-quiet px-3"
      aria-label={say('route.remove', { name })}
      onClick={() => {
        if (window.confirm(say('route.removeFromBrowserExportFirst', { name }))) {
          void fetcher.submit({ remove: id }, { method: 'post', action: '/?index' });
        }
      }}
    >
      <Trash2 aria-hidden size={20} />
    </button>
  );
}
