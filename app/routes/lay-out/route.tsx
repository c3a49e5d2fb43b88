import { useMemo, useState } from 'react';
import { drawBox } from '@core/geometry/box-drawing';
import { BoxFigure } from '~/drawing/box-figure';
import { placeName } from '@core/layout/names';
import { answerOf, Refusals } from '~/ui/answer';
import { Choice } from '~/ui/choice';
import { FillBar } from '~/ui/fill-bar';
import { LoadBar } from '~/ui/load-bar';
import { useChosenBox } from '../job/chosen-box';
import { useJob } from '../job/context';
import { BoxWishes } from './box-wishes';
import { FeedChoice } from './feed-choice';
import { JobSettings } from './job-settings';
import { RoomView } from './room-view';
import { RunMap, type Chosen } from './run-map';
import { RunPanel } from './run-panel';

export { StageError as ErrorBoundary } from '../job/stage-error';

export default function LayOut() {
  const { job, derived } = useJob();
  const [box, chooseBox] = useChosenBox(job);
  const [chosenRun, setChosenRun] = useState<string | null>(null);
  const [view, setView] = useState('map');
  const { outcome } = derived;
  // A box that was just added is drawn when its plan is there.
  const drawing = useMemo(
    () =>
      outcome.ok && outcome.plan.job.boxes.some(({ id }) => id === box) ? drawBox(outcome.plan, box) : null,
    [outcome, box],
  );
  const fill = derived.fills.get(box);
  const run = job.runs.find(({ id }) => id === chosenRun);
  const own = job.boxes.find(({ id }) => id === box);
  const chosen: Chosen = run ? { kind: 'run', id: run.id } : { kind: 'box', id: box };
  const choose = (next: Chosen) => {
    setChosenRun(next.kind === 'run' ? next.id : null);
    if (next.kind === 'box') chooseBox(next.id);
  };
  return (
    <main className="grid flex-1 grid-cols-[minmax(0,1fr)] content-start lg:grid-cols-[minmax(0,1fr)_minmax(0,26rem)]">
      <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-4 p-4 sm:p-5">
        {outcome.ok ? (
          <div className="grid gap-1">
            <h2 className="text-lg leading-tight font-bold sm:text-xl" data-answer>
              {answerOf(outcome.plan)}
            </h2>
            {outcome.plan.layout.notes.map(({ message }) => (
              <p key={message}>{message}</p>
            ))}
          </div>
        ) : (
          <Refusals refusals={outcome.refusals} />
        )}
        <div className="grid gap-3 sm:grid-cols-[minmax(0,1fr)_11rem] sm:items-end">
          <div className="grid gap-3">
            {job.circuits
              .filter(({ id, multiwireWith }) => multiwireWith === null || id < multiwireWith)
              .map((circuit) => (
                <FeedChoice key={circuit.id} circuit={circuit} />
              ))}
          </div>
          <Choice
            label="See it as"
            value={view}
            options={[
              { value: 'map', label: 'Map' },
              { value: 'room', label: 'Room' },
            ]}
            onChange={setView}
          />
        </div>
        {view === 'map' ? (
          <RunMap chosen={chosen} onChoose={choose} />
        ) : (
          <RoomView chosen={chosen} onChoose={choose} />
        )}
        {run ? (
          <RunPanel run={run} onGone={() => setChosenRun(null)} />
        ) : own ? (
          <BoxWishes box={own} onChoose={(id) => choose({ kind: 'box', id })} />
        ) : null}
        <JobSettings />
      </div>
      <aside
        aria-label="The box"
        className="grid content-start gap-4 bg-paper p-4 lg:border-l lg:border-line"
      >
        {drawing ? (
          <BoxFigure
            drawing={drawing}
            title={`The open box at ${placeName(job, box)}`}
            className="mx-auto max-h-[27.5rem] w-full"
          />
        ) : null}
        {fill ? <FillBar fill={fill} /> : null}
        {derived.loads.map((load) => (
          <LoadBar key={load.circuit.id} load={load} />
        ))}
      </aside>
    </main>
  );
}
