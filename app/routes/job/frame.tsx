import { HousePlug, Redo2, Undo2 } from 'lucide-react';
import { useEffect, useRef, type ComponentProps, type ReactNode } from 'react';
import { Link, useLocation } from 'react-router';
import type { Design } from '@core/job/model/design';
import type { HistoryStep } from '~/storage/jobs';
import { stageAt, STAGES, type stageStates } from '~/ui/stages';
import { TopBar } from '~/ui/top-bar';
import { say } from '~/words/job';

interface Props {
  readonly job: Design;
  readonly house: { readonly id: string; readonly name: string } | undefined;
  readonly undo: HistoryStep | null;
  readonly redo: HistoryStep | null;
  /** Takes a change back, or makes it again. */
  readonly onHistory: (direction: 'undo' | 'redo', seq: number) => void;
  readonly more: NonNullable<ComponentProps<typeof TopBar>['more']>;
  /** How each stage stands; null until it is known. */
  readonly states: ReturnType<typeof stageStates> | null;
  readonly busy: boolean;
  readonly children: ReactNode;
}

/** What stands round each stage of a job: its bar, and the way to the others. */
export function JobFrame({ job, house, undo, redo, onHistory, more, states, busy, children }: Props) {
  return (
    <>
      <TopBar
        title={
          <>
            <h1 className="truncate text-base leading-tight font-bold sm:text-lg">{job.name}</h1>
            {house ? (
              <Link
                to={`/house/${house.id}`}
                className="flex min-h-11 min-w-11 shrink-0 items-center justify-center gap-1 underline sm:pl-3"
                aria-label={say('route.inHouse', { house: house.name })}
              >
                <HousePlug aria-hidden size={18} />
                <span className="hidden lg:inline">{house.name}</span>
              </Link>
            ) : null}
            <p className="hidden min-w-0 flex-1 basis-0 truncate pl-3 text-ink-soft xl:block">
              {[
                house ? null : job.site,
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
            <HistoryButton direction="undo" step={undo} onClick={onHistory} />
            <HistoryButton direction="redo" step={redo} onClick={onHistory} />
          </>
        }
        more={more}
      />
      <StageTabs states={states} busy={busy} />
      {children}
    </>
  );
}

/** The stages in working order; the one on screen is brought into view where not all fit. */
function StageTabs({ states, busy }: { states: ReturnType<typeof stageStates> | null; busy: boolean }) {
  const bar = useRef<HTMLElement>(null);
  const { pathname } = useLocation();
  useEffect(() => {
    // With the next picture: what is drawn is measured then, and not a time more.
    const drawn = requestAnimationFrame(() =>
      bar.current
        ?.querySelector('[aria-current="page"]')
        ?.scrollIntoView({ inline: 'center', block: 'nearest' }),
    );
    return () => cancelAnimationFrame(drawn);
  }, [pathname]);
  return (
    <nav
      ref={bar}
      aria-busy={busy}
      aria-label={say('route.stages')}
      data-stages
      className="grid grid-cols-[repeat(auto-fit,minmax(4.5rem,1fr))] border-b-2 border-ink px-1 lg:flex lg:gap-1 lg:overflow-x-auto lg:px-4"
    >
      {STAGES.map(({ path, name }) => (
        <Link
          key={path}
          to={path}
          aria-current={stageAt(pathname)?.path === path ? 'page' : undefined}
          className="flex min-h-11 flex-col-reverse items-center justify-center gap-0.5 rounded-lg px-0.5 text-center text-xs font-bold text-ink-soft hyphens-auto aria-[current=page]:bg-ink aria-[current=page]:text-sand lg:flex-row lg:justify-start lg:gap-2 lg:rounded-t-xl lg:rounded-b-none lg:px-4 lg:text-base lg:whitespace-nowrap"
        >
          {name}
          <StageMark state={states?.[path] ?? 'open'} />
        </Link>
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
  onClick: (direction: 'undo' | 'redo', seq: number) => void;
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
      onClick={() => step && onClick(direction, step.seq)}
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
