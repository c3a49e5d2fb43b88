import { BookOpen, FilePlus2, GraduationCap, FolderOpen, Trash2 } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { Link, redirect, useFetcher } from 'react-router';
import { DEMO_LIST } from '@core/jobs/demo-list';
import type { Problem } from '@core/model/problem';
import type { StoredSummary } from '~/storage/summaries';
import { useNotify } from '~/ui/notices';
import { TopBar } from '~/ui/top-bar';
import type { Route } from './+types/route';
import { say } from '~/words/home';

export const meta: Route.MetaFunction = () => [{ title: say('route.splitTapFromWhatShould') }];

export async function clientAction({ request }: Route.ClientActionArgs) {
  const form = await request.formData();
  // What reads and writes whole jobs is loaded when it is wanted.
  const [{ openStore }, { MAX_FILE_CHARACTERS }] = await Promise.all([
    import('~/storage/opened'),
    import('@core/model/file'),
  ]);
  const { store: jobs } = await openStore();
  const remove = form.get('remove');
  if (typeof remove === 'string') {
    await jobs.remove(remove);
    return { problems: [] as readonly Problem[] };
  }
  const file = form.get('file');
  if (!(file instanceof File)) return { problems: [{ path: 'file', message: say('route.noFileChosen') }] };
  if (file.size > 4 * MAX_FILE_CHARACTERS) {
    const message = say('route.fileMbJobFileMost', {
      fileCount: (file.size / 1e6).toFixed(1),
      maxfilecharacters: MAX_FILE_CHARACTERS / 1e6,
    });
    return { problems: [{ path: file.name, message, wayOut: say('route.chooseFileSplitTapExported') }] };
  }
  const imported = await jobs.import(await file.text());
  if (imported.ok) void import('~/storage/persist').then(({ keepForGood }) => keepForGood());
  if (imported.ok) return redirect(`/job/${imported.value.design.id}/lay-out`);
  return { problems: imported.problems };
}

/** The page is the same for everyone but for the jobs of this browser, which come after it. */
export default function Home() {
  const own = useSummaries();
  const mine = own.filter(({ id }) => !DEMO_LIST.some((job) => job.id === id));
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
            <Link to="/tables" className="button">
              <BookOpen aria-hidden size={20} /> {say('route.tables')}
            </Link>
            <Link to="/drills" className="button">
              <GraduationCap aria-hidden size={20} /> {say('route.drills')}
            </Link>
            <ImportButton />
          </div>
        </section>
        {mine.length > 0 ? (
          <section aria-labelledby="own">
            <h2 id="own" className="eyebrow">
              {say('route.yourJobs')}
            </h2>
            <ul className="mt-2 grid gap-2 sm:grid-cols-2">
              {mine.map((job) => (
                <li key={job.id} className="flex items-stretch rounded-xl border-2 border-line bg-paper">
                  <Link
                    to={`/job/${job.id}/lay-out`}
                    className="min-w-0 flex-1 rounded-xl p-3 hover:text-plum"
                  >
                    <span className="block truncate font-bold">{job.name}</span>
                    <span className="text-sm text-ink-soft">
                      {job.updatedAt > 0
                        ? say('route.changed', { value: new Date(job.updatedAt).toLocaleString() })
                        : say('route.notKnownWhenChanged')}
                    </span>
                  </Link>
                  <RemoveButton id={job.id} name={job.name} />
                </li>
              ))}
            </ul>
          </section>
        ) : null}
        <section aria-labelledby="demo">
          <h2 id="demo" className="eyebrow">
            {say('route.demoHouseAlderCourt12')}
          </h2>
          <ul className="mt-2 grid gap-2 sm:grid-cols-2">
            {DEMO_LIST.map((job) => (
              <li key={job.id}>
                <Link
                  to={`/job/${job.id}/lay-out`}
                  className="block h-full rounded-xl border-2 border-line bg-paper p-3 hover:border-plum"
                >
                  <span className="block font-bold">{job.name}</span>
                  <span className="text-sm text-ink-soft">{job.says}</span>
                </Link>
              </li>
            ))}
          </ul>
        </section>
      </main>
    </>
  );
}

/** The jobs of this browser as they are now; the store is loaded when the page stands. */
function useSummaries(): readonly StoredSummary[] {
  const [own, setOwn] = useState<readonly StoredSummary[]>([]);
  useEffect(() => {
    let left = false;
    let stop = () => {
      left = true;
    };
    void import('~/storage/summaries').then(({ watchSummaries }) => {
      if (!left) stop = watchSummaries(setOwn);
    });
    return () => stop();
  }, []);
  return own;
}

function ImportButton() {
  const fetcher = useFetcher<typeof clientAction>();
  const input = useRef<HTMLInputElement>(null);
  const notify = useNotify();
  const problems = fetcher.data?.problems;
  useEffect(() => {
    if (problems && problems.length > 0) notify(say('route.nothingImported'), problems);
  }, [problems, notify]);
  const send = () => {
    const file = input.current?.files?.[0];
    if (!file || !input.current) return;
    const form = new FormData();
    form.set('file', file);
    void fetcher.submit(form, { method: 'post', encType: 'multipart/form-data', action: '/?index' });
    input.current.value = '';
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
        accept=".json,application/json"
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
