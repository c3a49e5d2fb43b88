import { lazy, memo, Suspense, useMemo, useState } from 'react';
import { drawBox } from '@core/wiring/geometry/box-drawing';
import { placeName } from '@core/job/model/called';
import { pluggedPart } from '@core/job/model/keys';
import { BoxFigure } from '~/drawing/box-figure';
import { GhostBox } from '~/drawing/ghost-box';
import type { BoxHandlers } from '~/drawing/live';
import { FillBar } from '~/ui/fill-bar';
import { LoadBar } from '~/ui/load-bar';
import { useJob, useJudged, usePlan } from '../job/context';
import { partAt, type PartAt } from './part-at';
import { say } from '~/words/lay-out';

const PartMenu = lazy(() => import('./part-menu'));

/** The open box as planned, how full it is, and what the circuits carry. */
export default memo(function TheBox({ box }: { box: string }) {
  const { job, outcome, fills, loads } = usePlan();
  const { job: entered, run } = useJob();
  const { judged, judging } = useJudged();
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
      {!outcome.ok && judged?.ghost && !judging ? <GhostBox ghost={judged.ghost} /> : null}
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
