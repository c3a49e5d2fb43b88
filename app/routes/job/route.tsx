import { Download, Redo2, Undo2 } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { NavLink, Outlet, useFetcher, useLocation, type ShouldRevalidateFunctionArgs } from 'react-router';
import { z } from 'zod';
import { Command } from '@core/commands/command';
import { writeJobFile, zodProblems } from '@core/model/file';
import { problemText, type Checked, type Problem } from '@core/model/problem';
import { derive } from '~/derived';
import { jobs } from '~/storage/jobs';
import { Scene } from '~/storage/scene';
import { useNotify } from '~/ui/notices';
import { saveFile } from '~/ui/save-file';
import { stageStates, STAGES } from '~/ui/stages';
import { TopBar } from '~/ui/top-bar';
import type { Route } from './+types/route';
import { JobContext, type JobIntent } from './context';
import { drain, enqueue, handledSends, useUnstored } from './unstored';

export async function clientLoader({ params: { jobId } }: Route.ClientLoaderArgs) {
  const handled = handledSends();
  const opened = await jobs.open(jobId);
  if (!opened.ok)
    return { id: jobId, opened: null, problems: opened.problems, scene: Scene.parse({}), handled };
  return {
    id: jobId,
    opened: opened.value,
    problems: [] as readonly Problem[],
    scene: await jobs.scene(jobId),
    handled,
  };
}

/** Looking at another box or stage changes nothing that was loaded. */
export function shouldRevalidate({ formMethod, currentParams, nextParams }: ShouldRevalidateFunctionArgs) {
  return formMethod !== undefined || currentParams['jobId'] !== nextParams['jobId'];
}

const Intent = z.discriminatedUnion('intent', [
  z.object({ intent: z.literal('command'), command: Command }),
  z.object({ intent: z.literal('commands'), commands: z.array(Command).min(1).max(500) }),
  z.object({ intent: z.literal('undo') }),
  z.object({ intent: z.literal('redo') }),
  z.object({ intent: z.literal('scene'), scene: Scene }),
]);

/** Carries out what was sent, and has the job read anew. */
export async function clientAction() {
  await drain(carryOut);
  return null;
}

async function carryOut(jobId: string, asked: JobIntent): Promise<readonly Problem[]> {
  const read = Intent.safeParse(asked);
  if (!read.success) return zodProblems(read.error);
  switch (read.data.intent) {
    case 'command':
      return problemsOf(await jobs.run(jobId, [read.data.command]));
    case 'commands':
      return problemsOf(await jobs.run(jobId, read.data.commands));
    case 'undo':
      return problemsOf(await jobs.undo(jobId));
    case 'redo':
      return problemsOf(await jobs.redo(jobId));
    case 'scene':
      await jobs.setScene(jobId, read.data.scene);
      return [];
  }
}

const problemsOf = (done: Checked<unknown>): readonly Problem[] => (done.ok ? [] : done.problems);

export function HydrateFallback() {
  return <p className="p-6 text-ink-soft">Opening the job …</p>;
}

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.opened?.job.name ?? 'Job'} · Split Tap` },
];

export default function JobPage({ loaderData }: Route.ComponentProps) {
  const { id, opened, problems } = loaderData;
  const { job, scene, add, busy } = useUnstored({
    id,
    job: opened?.job ?? null,
    scene: loaderData.scene,
    handled: loaderData.handled,
  });
  const fetcher = useFetcher();
  const notify = useNotify();

  if (!opened || !job) return <Unreadable id={id} problems={problems} />;
  const { undo, redo } = opened;
  const derived = derive(job);
  const send = (intent: JobIntent) => {
    const { send: number, problems: wrong } = enqueue(id, intent);
    add(number, intent);
    void wrong.then((found) => found.length > 0 && notify('That was not changed', found));
    void fetcher.submit(null, {
      method: 'post',
      action: `/job/${id}`,
    });
  };
  const states = stageStates(derived);
  return (
    <JobContext value={{ job, derived, scene, send, run: (command) => send({ intent: 'command', command }) }}>
      <TopBar
        title={
          <>
            <h1 className="truncate text-base leading-tight font-bold sm:text-lg">{job.name}</h1>
            <p className="hidden truncate pl-3 text-ink-soft lg:block">
              {[
                job.site,
                job.circuits.map(({ number, breakerA }) => `circuit ${number}, ${breakerA} A`).join(' · '),
                `${job.edition} code`,
              ]
                .filter(Boolean)
                .join(' · ')}
            </p>
          </>
        }
        tools={
          <>
            <HistoryButton direction="undo" label={undo} onClick={() => send({ intent: 'undo' })} />
            <HistoryButton direction="redo" label={redo} onClick={() => send({ intent: 'redo' })} />
          </>
        }
        more={[
          {
            name: 'Export',
            icon: <Download aria-hidden size={20} />,
            act: () => saveFile(`${job.id}.splittap.json`, writeJobFile(job)),
          },
        ]}
      />
      <StageTabs states={states} busy={busy} />
      <Outlet />
    </JobContext>
  );
}

/** The stages in working order; the one on screen is brought into view where not all fit. */
function StageTabs({ states, busy }: { states: ReturnType<typeof stageStates>; busy: boolean }) {
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
      aria-label="Stages"
      className="flex gap-1 overflow-x-auto border-b-2 border-ink px-3 sm:px-4"
    >
      {STAGES.map(({ path, name }) => (
        <NavLink
          key={path}
          to={path}
          className="flex min-h-11 items-center gap-2 rounded-t-xl px-4 font-bold whitespace-nowrap text-ink-soft aria-[current=page]:bg-ink aria-[current=page]:text-sand"
        >
          {name}
          <StageMark state={states[path]} />
        </NavLink>
      ))}
    </nav>
  );
}

function HistoryButton({
  direction,
  label,
  onClick,
}: {
  direction: 'undo' | 'redo';
  label: string | null;
  onClick: () => void;
}) {
  const word = direction === 'undo' ? 'Undo' : 'Redo';
  const name = label === null ? word : `${word}: ${label}`;
  const Icon = direction === 'undo' ? Undo2 : Redo2;
  return (
    <button
      type="button"
      className="button button-quiet px-2.5"
      disabled={label === null}
      aria-label={name}
      title={name}
      onClick={onClick}
    >
      <Icon aria-hidden size={20} />
    </button>
  );
}

/** Settled is a filled dot, open a ring, conflict a triangle; the word is there for ears. */
function StageMark({ state }: { state: 'open' | 'settled' | 'conflict' }) {
  return (
    <svg viewBox="0 0 12 12" width="11" height="11" role="img" aria-label={state}>
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

function Unreadable({ id, problems }: { id: string; problems: readonly Problem[] }) {
  return (
    <main className="mx-auto w-full max-w-xl p-6">
      <h1 className="text-xl font-bold">This job cannot be opened</h1>
      <ul className="mt-3 list-disc space-y-1 pl-5">
        {problems.map((problem) => (
          <li key={problem.path + problem.message}>{problemText(problem)}</li>
        ))}
      </ul>
      <p className="mt-3">
        What is stored was not changed. You can save it as it is, or go back to the home page.
      </p>
      <div className="mt-5 flex gap-3">
        <button
          type="button"
          className="button"
          onClick={() => {
            void jobs
              .raw(id)
              .then((raw) => saveFile(`${id}.stored.json`, JSON.stringify(raw ?? null, null, 2)));
          }}
        >
          Save the stored record
        </button>
        <a className="button button-strong" href="/">
          Home page
        </a>
      </div>
    </main>
  );
}
