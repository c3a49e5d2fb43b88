import { lazy, memo, Suspense, useMemo, useState } from 'react';
import { drawBox } from '@core/geometry/box-drawing';
import { pluggedPart } from '@core/model/keys';
import { BoxFigure } from '~/drawing/box-figure';
import type { BoxHandlers } from '~/drawing/live';
import { placeName } from '@core/layout/names';
import { PANEL } from '@core/model/design';
import { AnswerLine } from '~/ui/answer-line';
import { answerOf, Refusals } from '~/ui/answer';
import { Choice } from '~/ui/choice';
import { FillBar } from '~/ui/fill-bar';
import { Fold } from '~/ui/fold';
import { LoadBar } from '~/ui/load-bar';
import { useChosenBox } from '../job/chosen-box';
import { useStable } from '~/ui/use-stable';
import { useJob, usePlan } from '../job/context';
import { InSight } from './answer-bar';
import { FeedChoice } from './feed-choice';
import { RunMap, type Chosen } from './run-map';
import { partAt, type PartAt } from './part-at';
import { say } from '~/words/lay-out';

export { StageError as ErrorBoundary } from '../job/stage-error';

const PartMenu = lazy(() => import('./part-menu'));
const BoxWishes = lazy(() => import('./box-wishes'));
const JobSettings = lazy(() => import('./job-settings'));
const RunPanel = lazy(() => import('./run-panel'));
const RoomView = lazy(() => import('./room-view'));

/** What is asked for on the left, what comes of it beside it: each is drawn anew for its own changes. */
export default function LayOut() {
  const { job } = useJob();
  const [box, chooseBox] = useChosenBox(job);
  const [chosenRun, setChosenRun] = useState<string | null>(null);
  const choose = (next: Chosen) => {
    setChosenRun(next.kind === 'run' ? next.id : null);
    if (next.kind === 'box') chooseBox(next.id);
  };
  const run = job.runs.find(({ id }) => id === chosenRun);
  return (
    <main className="grid flex-1 grid-cols-[minmax(0,1fr)] content-start lg:grid-cols-[minmax(0,1fr)_minmax(0,26rem)]">
      <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-4 p-4 sm:p-5">
        <InSight>
          <Answer />
        </InSight>
        <Entered box={box} run={run?.id ?? null} onChoose={useStable(choose)} />
      </div>
      <TheBox box={box} />
    </main>
  );
}

/** What is entered: circuits, runs, what a box is to do. It is not drawn anew for its own answer. */
const Entered = memo(function Entered({
  box,
  run: runId,
  onChoose,
}: {
  box: string;
  run: string | null;
  onChoose: (chosen: Chosen) => void;
}) {
  const { job, run: send } = useJob();
  const [view, setView] = useState('map');
  const run = job.runs.find(({ id }) => id === runId);
  const own = job.boxes.find(({ id }) => id === box);
  const chosen: Chosen = useMemo(
    () => (runId === null ? { kind: 'box', id: box } : { kind: 'run', id: runId }),
    [box, runId],
  );
  return (
    <>
      <div className="grid gap-3 sm:grid-cols-[minmax(0,1fr)_11rem] sm:items-end">
        <div className="grid gap-3">
          {job.circuits
            .filter(({ id, multiwireWith }) => multiwireWith === null || id < multiwireWith)
            .map((circuit) => (
              <FeedChoice
                key={circuit.id}
                circuit={circuit}
                feed={job.runs.find(
                  ({ from, to, circuits }) =>
                    (from === PANEL || to === PANEL) && circuits?.includes(circuit.id),
                )}
                boxes={job.boxes}
                run={send}
              />
            ))}
        </div>
        <Choice
          label={say('route.view')}
          value={view}
          options={[
            { value: 'map', label: say('route.map') },
            { value: 'room', label: say('route.room') },
          ]}
          onChange={setView}
        />
      </div>
      {view === 'map' ? (
        <RunMap chosen={chosen} onChoose={onChoose} grows onClosed={() => onChoose(chosenBox(box))} />
      ) : (
        <Suspense fallback={<p className="text-ink-soft">{say('route.drawingRoom')}</p>}>
          <RoomView chosen={chosen} onChoose={onChoose} />
        </Suspense>
      )}
      {run && view === 'room' ? (
        <Suspense>
          <RunPanel run={run} onGone={() => onChoose(chosenBox(box))} />
        </Suspense>
      ) : own ? (
        <Suspense fallback={<div className="min-h-80" />}>
          <BoxWishes box={own} onChoose={(id) => onChoose(chosenBox(id))} />
        </Suspense>
      ) : null}
      <Fold title={say('jobSettings.circuitsNames')}>
        {() => (
          <Suspense>
            <JobSettings />
          </Suspense>
        )}
      </Fold>
    </>
  );
});

const chosenBox = (id: string): Chosen => ({ kind: 'box', id });

function Answer() {
  const { outcome } = usePlan();
  if (!outcome.ok) return <Refusals refusals={outcome.refusals} />;
  return (
    <div className="grid gap-1">
      <AnswerLine>{answerOf(outcome.plan)}</AnswerLine>
      {outcome.plan.layout.notes.map(({ message }) => (
        <p key={message}>{message}</p>
      ))}
    </div>
  );
}

/** The open box as planned, how full it is, and what the circuits carry. */
const TheBox = memo(function TheBox({ box }: { box: string }) {
  const { job, outcome, fills, loads } = usePlan();
  const { job: entered, run } = useJob();
  const [at, setAt] = useState<PartAt | null>(null);
  const several = (entered.boxes.find(({ id }) => id === box)?.gangs ?? 1) > 1;
  const handlers = useMemo((): BoxHandlers => {
    const open = (key: string) => setAt(partAt(entered, pluggedPart(key)));
    return {
      onPart: open,
      onLamp: open,
      onHandle: (device) => setAt({ device, part: 'handle' }),
      ...(several ? { onSeat: (device, toward) => run({ do: 'move gang', device, toward }) } : {}),
    };
  }, [entered, run, several]);
  // A box that was just added is drawn when its plan is there.
  const drawing = useMemo(
    () => (outcome.ok && job.boxes.some(({ id }) => id === box) ? drawBox(outcome.plan, box) : null),
    [outcome, job, box],
  );
  const fill = fills.get(box);
  return (
    <aside
      aria-label={say('route.box')}
      className="grid content-start gap-4 bg-paper p-4 lg:border-l lg:border-line"
    >
      {drawing ? (
        <BoxFigure
          drawing={drawing}
          title={say('route.openBox', { placeName: placeName(job, box) })}
          className="mx-auto max-h-[27.5rem] w-full"
          handlers={handlers}
        />
      ) : null}
      {drawing ? <p className="text-center text-sm text-ink-soft">{say('route.tapWhatItDoes')}</p> : null}
      {at ? (
        <Suspense>
          <PartMenu at={at} onClose={() => setAt(null)} />
        </Suspense>
      ) : null}
      {fill ? <FillBar fill={fill} /> : null}
      {loads.map((load) => (
        <LoadBar key={load.circuit.id} load={load} />
      ))}
    </aside>
  );
});
