import { ArrowLeft, ArrowRight, Printer } from 'lucide-react';
import { useMemo, useRef } from 'react';
import { Link } from 'react-router';
import { placeName } from '@core/job/model/called';
import { placesToMakeUp } from '@core/wiring/makeup/panel';
import { PANEL } from '@core/job/model/design';
import { spineOrder } from '@core/wiring/layout/spine-order';
import { RunSpine } from '~/drawing/run-spine';
import { Refused } from '~/ui/answer';
import { useOffer, type Offer } from '~/palette/offered';
import { useStable } from '~/ui/use-stable';
import { useWakeLock } from '~/ui/use-wake-lock';
import { useChosenBox } from '../job/chosen-box';
import { usePlan } from '../job/context';
import { OpenBox } from './open-box';
import { say } from '~/words/make-up';

export { StageError as ErrorBoundary } from '../job/stage-error';

/** How far a finger goes sideways before it is a swipe, px. */
const SWIPE_PX = 70;

export default function MakeUp() {
  const { job, outcome } = usePlan();
  const places = outcome.ok ? placesToMakeUp(job, outcome.plan.wiring) : null;
  const spliced = places?.has(PANEL) ?? false;
  const [chosen, choose] = useChosenBox(job, spliced ? [PANEL] : []);
  const held = useWakeLock();
  const order = spineOrder(job)
    .map(({ place }) => place)
    .filter((place) => places?.has(place));
  const at = order.indexOf(chosen);
  const go = (by: -1 | 1) => {
    const next = order[at + by];
    if (next !== undefined) choose(next);
  };
  const turn = useStable(go);
  useOffer(
    useMemo(
      (): readonly Offer[] => [
        { id: 'next', name: say('route.nextBox'), group: 'do', keys: 'ArrowRight', act: () => turn(1) },
        { id: 'previous', name: say('route.boxBefore'), group: 'do', keys: 'ArrowLeft', act: () => turn(-1) },
      ],
      [turn],
    ),
  );
  const swipe = useSwipe(go);
  return (
    <main
      className="grid flex-1 grid-cols-[minmax(0,1fr)] content-start lg:grid-cols-[15.5rem_minmax(0,1fr)_minmax(0,24rem)]"
      {...swipe}
    >
      <div className="lg:border-r lg:border-line lg:p-4">
        <RunSpine job={job} outcome={outcome} chosen={chosen} onChoose={choose} panelOpens={spliced} />
        <div className="hidden gap-2 pt-4 text-sm text-ink-soft lg:grid">
          <Link to={`/job/${job.id}/print`} className="button">
            <Printer aria-hidden size={18} /> {say('route.printAllBoxes')}
          </Link>
          {held ? <p>{say('route.screenStays')}</p> : null}
        </div>
      </div>
      {outcome.ok ? (
        <OpenBox
          key={chosen}
          plan={outcome.plan}
          box={chosen}
          turn={
            <div className="flex items-center gap-1">
              {([-1, 1] as const).map((by) => {
                const next = order[at + by];
                const Arrow = by < 0 ? ArrowLeft : ArrowRight;
                return (
                  <button
                    key={by}
                    type="button"
                    className="button px-3"
                    disabled={next === undefined}
                    aria-label={
                      next === undefined
                        ? by < 0
                          ? say('route.firstBox')
                          : say('route.lastBox')
                        : say('route.to', { placeName: placeName(job, next) })
                    }
                    onClick={() => go(by)}
                  >
                    <Arrow aria-hidden size={20} />
                  </button>
                );
              })}
            </div>
          }
        />
      ) : (
        <div className="grid content-start gap-4 p-4 lg:col-span-2">
          <Refused refusals={outcome.refusals} />
        </div>
      )}
    </main>
  );
}

function useSwipe(go: (by: -1 | 1) => void) {
  const start = useRef<{ x: number; y: number } | null>(null);
  return {
    onTouchStart: (event: React.TouchEvent) => {
      const [touch, second] = [event.touches[0], event.touches[1]];
      const scrolls =
        event.target instanceof Element && event.target.closest('[data-zoomed="true"], ol[aria-label]');
      start.current = touch && !second && !scrolls ? { x: touch.clientX, y: touch.clientY } : null;
    },
    onTouchEnd: (event: React.TouchEvent) => {
      const touch = event.changedTouches[0];
      if (!touch || !start.current) return;
      const [dx, dy] = [touch.clientX - start.current.x, touch.clientY - start.current.y];
      start.current = null;
      if (Math.abs(dx) > SWIPE_PX && Math.abs(dy) < Math.abs(dx) / 2) go(dx < 0 ? 1 : -1);
    },
  };
}
