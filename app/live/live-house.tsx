import { useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { coverOf } from '@core/wiring/geometry/cover';
import { drawBox } from '@core/wiring/geometry/box-drawing';
import { capitalize } from '@core/base/capitalize';
import { placeName } from '@core/job/model/called';
import type { Act } from '@core/site/live/operate';
import type { Scene } from '@core/site/live/scene';
import { standing, type Setting } from '@core/site/live/standing';
import { PANEL } from '@core/job/model/design';
import type { Drawable, ShownOutcome } from '@core/wiring/plan';
import { isMetal } from '@core/trade/standards/boxes';
import { shownIn } from '~/drawing/live';
import { spineOrder } from '@core/wiring/layout/spine-order';
import { RunSpine } from '~/drawing/run-spine';
import { useStable } from '~/ui/use-stable';
import { say } from '~/words/energize';
import { viewBench, type BenchView } from './bench-view';
import { Breakers } from './breakers';
import { LiveBox } from './live-box';
import { Readings, type Mode } from './readings';
import { Tray, toolRow, type Tool } from './tray';
import { useHand } from './use-hand';

interface Props {
  readonly setting: Setting;
  readonly plan: Drawable;
  readonly outcome: ShownOutcome;
  readonly scene: Scene;
  readonly act: (act: Act) => void;
  readonly chosen: string;
  readonly choose: (box: string) => void;
  readonly answer: ReactNode;
  /** What stands with the readings. */
  readonly aside?: ReactNode;
  readonly without?: readonly Tool[];
  /**
   * On the bench all is shown. `closed`: drawn as planned, and nothing is shown that an instrument would have to tell.
   * `to make up`: what differs from the plan is not said.
   */
  readonly mode?: Mode;
  /** The tool that is in the hand at first. */
  readonly begin?: Tool;
}

/** What the instrument in the hand shows, or what has just happened: beside the drawing on a phone. */
function lastRead(tool: Tool, view: BenchView): string {
  const read =
    toolRow(tool).meter === undefined
      ? tool === 'clamp'
        ? view.clamp
        : tool === 'tip'
          ? view.tip
          : tool === 'tester'
            ? (view.testers.at(-1)?.text ?? null)
            : null
      : view.meter;
  return read ?? view.notes[0] ?? '';
}

interface Size {
  readonly width: number;
  readonly height: number;
}

/**
 * The frame that the boxes share, so that all are drawn to one scale; the panel counts where it is no larger than twice that: a
 * panel of many circuits would leave nothing to be read of the rest, and is as high as they are.
 */
function frameOf(boxes: readonly (Size & { readonly id: string })[]): Size {
  const most = (all: typeof boxes) => ({
    width: Math.max(0, ...all.map(({ width }) => width)),
    height: Math.max(0, ...all.map(({ height }) => height)),
  });
  const [all, own] = [most(boxes), most(boxes.filter(({ id }) => id !== PANEL))];
  return own.width > 0 && (all.width > 2 * own.width || all.height > 2 * own.height) ? own : all;
}

/** A house that is energized: panel and boxes as they are wired now, to be operated, measured and rewired. */
export function LiveHouse({
  setting,
  plan,
  outcome,
  scene,
  act,
  chosen,
  choose,
  answer,
  aside,
  without,
  mode = 'bench',
  begin = 'hand',
}: Props) {
  const { job, house } = setting;
  const [only, setOnly] = useState<string | null>(null);
  const view = useMemo(
    () => viewBench(setting, scene, only, mode === 'closed'),
    [setting, scene, only, mode],
  );
  const hand = useHand(house, scene, act, begin);
  const wired = useMemo(() => standing(setting, scene).house.wiring, [setting, scene]);
  const wiring = mode === 'closed' ? plan.wiring : wired;
  const boxes = useMemo(
    () =>
      spineOrder(job)
        .filter(({ place }) => place === PANEL || job.boxes.some(({ id }) => id === place))
        .map(({ place }) => {
          const drawing = drawBox({ ...plan, wiring }, place, { wholePanel: true });
          return {
            id: place,
            metal: isMetal(job.boxes.find(({ id }) => id === place)?.family ?? 'nail-on'),
            drawing,
            cover: mode === 'bench' ? coverOf(drawing) : undefined,
          };
        }),
    [plan, wiring, job, mode],
  );
  const isCovered = (id: string) => scene.covered.includes(id);
  const frame = frameOf(
    boxes.map(({ id, drawing, cover }) => ({ id, ...(cover && isCovered(id) ? cover.frame : drawing) })),
  );
  const { held } = hand;
  const onCover = useStable((covered: readonly string[], on: boolean) =>
    act({ do: 'cover', boxes: covered, on }),
  );
  const allCovered = boxes.every(({ id }) => isCovered(id));
  /** Beside the tools where there is room, on a phone beside what was read last. */
  const allCovers = (at: string) =>
    mode === 'bench' && boxes.length > 1 ? (
      <button
        type="button"
        className={`chip ${at}`}
        onClick={() =>
          onCover(
            boxes.map(({ id }) => id),
            !allCovered,
          )
        }
      >
        {allCovered ? say('house.openAll') : say('house.coverAll')}
      </button>
    ) : null;
  const strip = useRef<HTMLDivElement>(null);
  const first = useRef(chosen);
  useEffect(() => {
    // The box in work is in sight; on a phone it comes first, not the panel.
    const box = document.getElementById(`box-${first.current}`)?.getBoundingClientRect();
    const seen = strip.current?.getBoundingClientRect();
    if (!strip.current || !box || !seen) return;
    if (seen.width < 640) strip.current.scrollLeft += box.left - seen.left;
    else if (box.right > seen.right) strip.current.scrollLeft += box.right - seen.right;
  }, []);
  return (
    <main className="grid flex-1 grid-cols-[minmax(0,1fr)] content-start lg:grid-cols-[15.5rem_minmax(0,1fr)_minmax(0,19rem)]">
      <div className="lg:border-r lg:border-line lg:p-4">
        <RunSpine
          job={job}
          outcome={outcome}
          chosen={chosen}
          onChoose={(box) => {
            choose(box);
            document.getElementById(`box-${box}`)?.scrollIntoView({ block: 'nearest', inline: 'center' });
          }}
          panel={
            <Breakers
              job={job}
              live={view.live}
              onBreaker={(circuit) => act({ do: 'breaker', circuit })}
              onTest={(circuit) => act({ do: 'breaker test', circuit })}
            />
          }
        />
      </div>
      <div className="grid min-w-0 grid-cols-[minmax(0,1fr)] content-start gap-3 bg-paper p-3 lg:p-4">
        {answer}
        <Tray tool={hand.tool} onChoose={hand.choose} {...(without ? { without } : {})}>
          {allCovers('max-lg:hidden')}
        </Tray>
        {held !== null ? (
          <div
            role="group"
            aria-label={say('tray.rewire')}
            className="flex flex-wrap items-center gap-2 rounded-lg border-2 border-plum p-2"
          >
            <span className="font-semibold" aria-live="polite">
              {say('hand.held', { end: view.words.end(held) })}
            </span>
            <button type="button" className="button px-3" onClick={() => hand.put({ at: 'bare' })}>
              {say('hand.bare')}
            </button>
            <button type="button" className="button px-3" onClick={() => hand.put({ at: 'cap' })}>
              {say('hand.cap')}
            </button>
            {mode === 'bench' ? (
              <button type="button" className="button px-3" onClick={hand.back}>
                {say('hand.back')}
              </button>
            ) : null}
            <button type="button" className="button px-3" onClick={hand.drop}>
              {say('hand.down')}
            </button>
          </div>
        ) : null}
        <div className="flex items-center gap-2 lg:hidden">
          <p className="min-h-6 min-w-0 flex-1 font-semibold" aria-hidden>
            {lastRead(hand.tool, view)}
          </p>
          {allCovers('')}
        </div>
        <div ref={strip} className="flex snap-x gap-4 overflow-x-auto pb-2">
          {boxes.map(({ id, metal, drawing, cover }) => (
            <LiveBox
              key={id}
              id={id}
              name={capitalize(placeName(job, id))}
              drawing={drawing}
              live={view.live}
              shown={shownIn(drawing, view.live)}
              handlers={hand.handlers}
              metal={metal}
              frame={frame}
              {...(mode === 'bench' ? { cover: isCovered(id) ? cover : undefined, onCover } : {})}
            />
          ))}
        </div>
      </div>
      <aside
        aria-label={say('house.readings')}
        className="grid content-start gap-4 p-4 lg:border-l lg:border-line"
      >
        <Readings
          setting={setting}
          scene={scene}
          view={view}
          act={act}
          only={only}
          onOnly={setOnly}
          mode={mode}
        >
          {aside}
        </Readings>
      </aside>
    </main>
  );
}
