import { lazy, memo, Suspense, useMemo, useState } from 'react';
import { isHome } from '@core/job/model/design';
import { Later, Soon } from '~/standing/rising';
import { Choice } from '~/ui/choice';
import { Fold } from '~/ui/fold';
import { useJob } from '../job/context';
import { FeedChoice } from './feed-choice';
import { RunMap } from './run-map';
import type { Chosen } from './run-map-parts';
import { say } from '~/words/lay-out';

const BoxWishes = lazy(() => import('./box-wishes'));
const JobSettings = lazy(() => import('./job-settings'));
const RunPanel = lazy(() => import('./run-panel'));
const RoomView = lazy(() => import('./room-view'));

const chosenBox = (id: string): Chosen => ({ kind: 'box', id });

/** What is entered: circuits, runs, what a box is to do. It is not drawn anew for its own answer. */
export default memo(function Entered({
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
              <Later key={circuit.id}>
                <FeedChoice
                  circuit={circuit}
                  feed={job.runs.find((run) => isHome(run) && run.circuits?.includes(circuit.id))}
                  boxes={job.boxes}
                  run={send}
                />
              </Later>
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
        <Later>
          <RunMap chosen={chosen} onChoose={onChoose} grows onClosed={() => onChoose(chosenBox(box))} />
        </Later>
      ) : (
        <Suspense fallback={<p className="text-ink-soft">{say('route.drawingRoom')}</p>}>
          <RoomView chosen={chosen} onChoose={onChoose} />
        </Suspense>
      )}
      {/* One wait for both: what lies below does not move away under a thumb. */}
      <Soon fallback={<div className="min-h-[75rem]" />}>
        {run && view === 'room' ? (
          <RunPanel run={run} onGone={() => onChoose(chosenBox(box))} />
        ) : own ? (
          <BoxWishes box={own} onChoose={(id) => onChoose(chosenBox(id))} />
        ) : null}
        <Fold title={say('jobSettings.circuitsNames')}>
          {() => (
            <Suspense>
              <JobSettings />
            </Suspense>
          )}
        </Fold>
      </Soon>
    </>
  );
});
