import { HousePlug, Redo2, Undo2 } from 'lucide-react';
import {
  lazy,
  Suspense,
  useCallback,
  useEffect,
  useMemo,
  useRef,
  useState,
  useSyncExternalStore,
} from 'react';
import { Link, NavLink, Outlet, useLocation, type ShouldRevalidateFunctionArgs } from 'react-router';
import { z } from 'zod';
import { Command } from '@core/commands/command';
import { problemText, type Problem } from '@core/model/problem';
import type { HistoryStep, JobStore, OpenJob } from '~/storage/jobs';
import { openStore } from '~/storage/opened';
import type { Scene } from '~/storage/scene';
import { JobSession } from '~/storage/session';
import { useNotify } from '~/ui/notices';
import { saveFile } from '~/ui/save-file';
import { stageAt, stageStates, STAGES } from '~/ui/stages';
import { TopBar } from '~/ui/top-bar';
import { useAsked } from '~/ui/use-asked';
import { AnswerDesk } from '~/workers/answer-desk';
import { answerWorker } from '~/workers/core';
import type { Route } from './+types/route';
import { JobContext, JudgedContext, PlanContext, type OpenJobContext } from './context';
import { useJobOffers } from './job-offers';
import { useMore } from './more';
import { Broken } from './stage-error';
import { say } from '~/words/job';

export async function clientLoader({ params: { jobId } }: Route.ClientLoaderArgs) {
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

export function HydrateFallback() {
  return <p className="p-6 text-ink-soft">{say('route.openingJob')}</p>;
}

export const meta: Route.MetaFunction = ({ loaderData, location }) => {
  const stage = stageAt(location.pathname)?.name;
  const { opened } = (loaderData as typeof loaderData | undefined) ?? { opened: null };
  const name = opened?.design.name ?? say('route.job');
  return [{ title: [stage, name, say('route.splitTap')].filter(Boolean).join(' · ') }];
};

export default function JobPage({ loaderData: { id, store, opened, problems } }: Route.ComponentProps) {
  return opened ? (
    <OpenedJob key={id} store={store} opened={opened} />
  ) : (
    <Unreadable id={id} store={store} problems={problems} />
  );
}

const Commands = z.array(Command);
const NOBODY: OpenJobContext['people'] = [];

const EffectsAsk = lazy(() => import('../house/effects-ask'));

/** What is said of a circuit that is its breaker's. */
const BREAKER = ['breakerA', 'protection', 'leg', 'multiwireWith', 'tiedWith'] as const;
const ofBreaker = (command: Command): boolean =>
  command.do === 'set circuit' && BREAKER.some((field) => command.change[field] !== undefined);

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
  const notify = useNotify();
  /** The same functions as long as the job is open. */
  const acts = useMemo(() => {
    const told = (intent: unknown) =>
      void session
        .send(intent)
        .then((wrong) => wrong.length > 0 && notify(say('route.couldNotMakeChange'), wrong));
    const send = (commands: readonly Command[]) => told({ intent: 'commands', commands });
    return {
      told,
      send,
      setScene: (next: Scene) => told({ intent: 'scene', scene: next }),
      effectsOf: (commands: readonly Command[]) =>
        import('../house/ask-first').then(({ askFirst }) => askFirst(session.snapshot(), commands)),
    };
  }, [session, notify]);
  const { asking, ask } = useAsked(opened.id, Commands, acts.effectsOf, acts.send);
  const run = useCallback(
    (...commands: readonly Command[]) => {
      // A breaker is the affair of all jobs of the house: what the change does to them is seen first.
      if (session.snapshot().around && commands.some(ofBreaker)) ask([...commands]);
      else acts.send(commands);
    },
    [session, acts, ask],
  );
  // What an earlier page tapped and could not be carried out is told once.
  useEffect(() => {
    void store.refusals(opened.id).then((wrong) => {
      if (wrong.length > 0) notify(say('route.somethingTappedBeforeCouldNot'), wrong);
    });
  }, [opened.id, notify, store]);
  const held = useMemo(
    (): OpenJobContext => ({
      job,
      record,
      scene,
      people: around?.house.people ?? NOBODY,
      run,
      setScene: acts.setScene,
      undo: undo && { label: undo.label, back: () => session.send({ intent: 'undo', seq: undo.seq }) },
    }),
    [session, acts, run, job, record, scene, around, undo],
  );
  const more = useMore(session, store, opened.id, job, record);
  const undoSeq = undo?.seq;
  const redoSeq = redo?.seq;
  useJobOffers(
    job,
    run,
    useMemo(
      () => (undoSeq === undefined ? null : () => acts.told({ intent: 'undo', seq: undoSeq })),
      [acts, undoSeq],
    ),
    useMemo(
      () => (redoSeq === undefined ? null : () => acts.told({ intent: 'redo', seq: redoSeq })),
      [acts, redoSeq],
    ),
    more,
  );
  const judged = useMemo(
    () => ({ judged: derived?.judged ?? null, judging: derived?.judging ?? true }),
    [derived?.judged, derived?.judging],
  );
  return (
    <>
      <TopBar
        title={
          <>
            <h1 className="truncate text-base leading-tight font-bold sm:text-lg">{job.name}</h1>
            {around ? (
              <Link
                to={`/house/${around.house.id}`}
                className="flex min-h-11 min-w-11 shrink-0 items-center justify-center gap-1 underline sm:pl-3"
                aria-label={say('route.inHouse', { house: around.house.name })}
              >
                <HousePlug aria-hidden size={18} />
                <span className="hidden lg:inline">{around.house.name}</span>
              </Link>
            ) : null}
            <p className="hidden truncate pl-3 text-ink-soft xl:block">
              {[
                around ? null : job.site,
                job.circuits
                  .map(({ number, breakerA }) => say('route.circuit', { number, breakerA }))
                  .join(' · '),
                say('route.code', { edition: job.edition }),
              ]
                .filter(Boolean)
                .join(' · ')}
            </p>
          </>
        }
        tools={
          <>
            <HistoryButton
              direction="undo"
              step={undo}
              onClick={(seq) => acts.told({ intent: 'undo', seq })}
            />
            <HistoryButton
              direction="redo"
              step={redo}
              onClick={(seq) => acts.told({ intent: 'redo', seq })}
            />
          </>
        }
        more={more}
      />
      <StageTabs
        states={derived && stageStates(derived)}
        busy={busy || derived?.plan.job !== job || derived.judging}
      />
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
              <Outlet />
            </JudgedContext>
          </PlanContext>
        </JobContext>
      ) : (
        <Broken
          says={say('route.jobCouldNotWorkedOut', { failed: failed ?? say('route.nothingAnswered') })}
          job={{ design: job, record }}
          undo={held.undo}
          retry={desk.retry}
        />
      )}
    </>
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

/** The stages in working order; the one on screen is brought into view where not all fit. */
function StageTabs({ states, busy }: { states: ReturnType<typeof stageStates> | null; busy: boolean }) {
  const bar = useRef<HTMLElement>(null);
  const { pathname } = useLocation();
  useEffect(() => {
    bar.current
      ?.querySelector('[aria-current="page"]')
      ?.scrollIntoView({ inline: 'center', block: 'nearest' });
  }, [pathname]);
  return (
    <nav
      ref={bar}
      aria-busy={busy}
      aria-label={say('route.stages')}
      data-stages
      className="flex gap-1 overflow-x-auto border-b-2 border-ink px-3 sm:px-4"
    >
      {STAGES.map(({ path, name }) => (
        <NavLink
          key={path}
          to={path}
          className="flex min-h-11 items-center gap-2 rounded-t-xl px-4 font-bold whitespace-nowrap text-ink-soft aria-[current=page]:bg-ink aria-[current=page]:text-sand"
        >
          {name}
          <StageMark state={states?.[path] ?? 'open'} />
        </NavLink>
      ))}
    </nav>
  );
}

function HistoryButton({
  direction,
  step,
  onClick,
}: {
  direction: 'undo' | 'redo';
  step: HistoryStep | null;
  onClick: (seq: number) => void;
}) {
  const word = direction === 'undo' ? say('route.undo') : say('route.redo');
  const name = step === null ? word : `${word}: ${step.label}`;
  const Icon = direction === 'undo' ? Undo2 : Redo2;
  return (
    <button
      type="button"
      className="button button-quiet px-2.5"
      disabled={step === null}
      aria-label={name}
      title={name}
      onClick={() => step && onClick(step.seq)}
    >
      <Icon aria-hidden size={20} />
    </button>
  );
}

const STATE_NAME = {
  open: say('route.stageOpen'),
  settled: say('route.stageSettled'),
  conflict: say('route.stageConflict'),
} as const;

/** Settled is a filled dot, open a ring, conflict a triangle; the word is there for ears. */
function StageMark({ state }: { state: 'open' | 'settled' | 'conflict' }) {
  return (
    <svg viewBox="0 0 12 12" width="11" height="11" role="img" aria-label={STATE_NAME[state]}>
      {state === 'conflict' ? (
        <path d="M6 1 11.5 11H.5Z" fill="currentColor" />
      ) : (
        <circle
          cx="6"
          cy="6"
          r="4.4"
          fill={state === 'settled' ? 'currentColor' : 'none'}
          stroke="currentColor"
          strokeWidth="1.6"
        />
      )}
    </svg>
  );
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
      <p className="mt-3">{say('route.whatStoredNotChangedYou')}</p>
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
        <a className="button button-strong" href="/">
          {say('route.homePage')}
        </a>
      </div>
    </main>
  );
}
