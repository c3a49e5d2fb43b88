import { lazy, Suspense, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { Link, Outlet, type ShouldRevalidateFunctionArgs } from 'react-router';
import { problemText, type Problem } from '@core/job/model/problem';
import type { JobStore, OpenJob } from '~/storage/jobs';
import { openStore } from '~/storage/opened';
import { JobSession } from '~/storage/session';
import { drawnAtBuild } from '~/standing/drawn-at-build';
import { Opening } from '~/standing/opening';
import { aTurn } from '~/standing/a-turn';
import { Later, Rising } from '~/standing/rising';
import { Standing } from '~/standing/standing';
import { useKeepStanding } from '~/standing/use-keep-standing';
import { saveFile } from '~/ui/save-file';
import { stageAt, stageStates } from '~/ui/stages';
import { AnswerDesk } from '~/workers/answer-desk';
import { answerWorker } from '~/workers/core';
import type { Route } from './+types/route';
import { JobContext, JudgedContext, PlanContext, type OpenJobContext } from './context';
import { JobFrame } from './frame';
import { useJobOffers } from './job-offers';
import { useMore } from './more';
import { Broken } from './stage-error';
import { useTaps } from './use-taps';
import { say } from '~/words/job';

export async function clientLoader({ params: { jobId } }: Route.ClientLoaderArgs) {
  await aTurn();
  answerWorker.warm();
  const { store } = await openStore();
  const opened = await store.open(jobId);
  if (!opened.ok) return { id: jobId, store, opened: null, problems: opened.problems };
  const { design, record } = opened.value;
  const desk = new AnswerDesk();
  const answered = desk.first();
  desk.ask(design, record);
  await answered;
  return { id: jobId, store, opened: { ...opened.value, desk }, problems: [] as readonly Problem[] };
}

/** The open job keeps itself up to date: only another job is loaded. */
export const shouldRevalidate = ({ currentParams, nextParams }: ShouldRevalidateFunctionArgs): boolean =>
  currentParams['jobId'] !== nextParams['jobId'];

/** Of the demo jobs. */
const AtBuild = drawnAtBuild(import.meta.env.SSR ? () => import('./at-build') : null);

export function HydrateFallback({ params }: Route.HydrateFallbackProps) {
  return <Standing>{AtBuild ? <AtBuild id={params.jobId} /> : <Opening />}</Standing>;
}

export const meta: Route.MetaFunction = ({ loaderData, location }) => {
  const stage = stageAt(location.pathname)?.name;
  const { opened } = (loaderData as typeof loaderData | undefined) ?? { opened: null };
  const name = opened?.design.name ?? say('route.job');
  return [{ title: [stage, name, say('route.splitTap')].filter(Boolean).join(' · ') }];
};

export default function JobPage({ loaderData: { id, store, opened, problems } }: Route.ComponentProps) {
  return opened ? (
    <Rising key={id}>
      <OpenedJob store={store} opened={opened} />
    </Rising>
  ) : (
    <Unreadable id={id} store={store} problems={problems} />
  );
}

const NOBODY: OpenJobContext['people'] = [];

const EffectsAsk = lazy(() => import('../house/effects-ask'));

function OpenedJob({ store, opened }: { store: JobStore; opened: OpenJob & { readonly desk: AnswerDesk } }) {
  const { desk } = opened;
  const session = useSession(store, opened, desk);
  const {
    design: job,
    record,
    around,
    scene,
    undo,
    redo,
  } = useSyncExternalStore(session.subscribe, session.snapshot, session.snapshot);
  const { derived, failed } = useSyncExternalStore(desk.subscribe, desk.snapshot, desk.snapshot);
  const busy = useSyncExternalStore(session.subscribe, session.busy, session.busy);
  const { run, told, setScene, asking } = useTaps(session, store, opened.id);
  const held = useMemo(
    (): OpenJobContext => ({
      job,
      record,
      scene,
      people: around?.house.people ?? NOBODY,
      run,
      setScene,
      undo: undo && { label: undo.label, back: () => session.send({ intent: 'undo', seq: undo.seq }) },
    }),
    [session, setScene, run, job, record, scene, around, undo],
  );
  const { more, asked } = useMore(session, store, {
    id: opened.id,
    design: job,
    record,
    people: held.people,
  });
  const undoSeq = undo?.seq;
  const redoSeq = redo?.seq;
  useJobOffers(
    job,
    run,
    useMemo(
      () => (undoSeq === undefined ? null : () => told({ intent: 'undo', seq: undoSeq })),
      [told, undoSeq],
    ),
    useMemo(
      () => (redoSeq === undefined ? null : () => told({ intent: 'redo', seq: redoSeq })),
      [told, redoSeq],
    ),
    more,
  );
  const judged = useMemo(
    () => ({ judged: derived?.judged ?? null, judging: derived?.judging ?? true }),
    [derived?.judged, derived?.judging],
  );
  const page = useKeepStanding(() => {
    const now = session.snapshot();
    return derived?.plan.job === now.design && !derived.judging && failed === null
      ? { of: 'job', job: now.id, revision: now.revision, scene: now.scene }
      : null;
  });
  return (
    <div ref={page} className="contents">
      <JobFrame
        job={job}
        house={around?.house}
        undo={undo}
        redo={redo}
        onHistory={(intent, seq) => told({ intent, seq })}
        more={more}
        states={derived && stageStates(derived)}
        busy={busy || derived?.plan.job !== job || derived.judging}
      >
        {asked}
        {asking && around ? (
          <Suspense>
            <EffectsAsk
              house={around.house.name}
              effects={asking.effects}
              onDo={asking.yes}
              onClose={asking.no}
            />
          </Suspense>
        ) : null}
        {derived && failed === null ? (
          <JobContext value={held}>
            <PlanContext value={derived.plan}>
              <JudgedContext value={judged}>
                <Later>
                  <Outlet />
                </Later>
              </JudgedContext>
            </PlanContext>
          </JobContext>
        ) : (
          <Broken
            says={say('route.failed', { failed: failed ?? say('route.nothingAnswered') })}
            job={{ design: job, record }}
            undo={held.undo}
            retry={desk.retry}
          />
        )}
      </JobFrame>
    </div>
  );
}

/** The session of the job, for as long as its page stands; what it comes to is asked about at once. */
function useSession(store: JobStore, opened: OpenJob, desk: AnswerDesk): JobSession {
  const [session] = useState(() => new JobSession(opened, store));
  useEffect(() => {
    const ask = () => {
      const { design, record } = session.snapshot();
      desk.ask(design, record);
    };
    const stop = session.subscribe(ask);
    session.watch();
    return () => {
      stop();
      session.close();
    };
  }, [session, desk]);
  return session;
}

function Unreadable({ id, store, problems }: { id: string; store: JobStore; problems: readonly Problem[] }) {
  return (
    <main className="mx-auto w-full max-w-xl p-6">
      <h1 className="text-xl font-bold">{say('route.jobCannotOpened')}</h1>
      <ul className="mt-3 list-disc space-y-1 pl-5">
        {problems.map((problem) => (
          <li key={problem.path + problem.message}>{problemText(problem)}</li>
        ))}
      </ul>
      <p className="mt-3">{say('route.storedUnchanged')}</p>
      <div className="mt-5 flex gap-3">
        <button
          type="button"
          className="button"
          onClick={() => {
            void store
              .raw(id)
              .then((raw) => saveFile(`${id}.stored.json`, JSON.stringify(raw ?? null, null, 2)));
          }}
        >
          {say('route.downloadSavedData')}
        </button>
        <Link reloadDocument to="/" className="button button-strong">
          {say('route.homePage')}
        </Link>
      </div>
    </main>
  );
}
