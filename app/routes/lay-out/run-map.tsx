import { lazy, Suspense, useMemo, useState, useSyncExternalStore } from 'react';
import { groupBy } from '@core/base/group-by';
import { mapSymbols } from '@core/code/brief/symbols';
import { runMap } from '@core/wiring/geometry/run-map';
import { MAP_SIZES, type MapPoint } from '@core/wiring/geometry/map-sizes';
import { PANEL, type Design, type Run } from '@core/job/model/design';
import { capitalize } from '@core/base/capitalize';
import { cableTypeName, placeName } from '@core/job/model/called';
import { useStable } from '~/ui/use-stable';
import { useJob, usePlan } from '../job/context';
import { GrowHandle } from './grow-handle';
import type { MapMenuAt } from './map-menu-at';
import { say } from '~/words/lay-out';
import { type Chosen, lengthWords, EDGE, Strands, RunLabel, styleOf, BoxNode } from './run-map-parts';

export interface Props {
  readonly chosen: Chosen;
  readonly onChoose: (chosen: Chosen) => void;
  /** Boxes to show as covered by what was pressed. */
  readonly lit?: ReadonlySet<string>;
  /** True where boxes are pulled out of boxes, and cables are changed where they lie. */
  readonly grows?: boolean;
  /** True where it stands in a column: the runs lead down. */
  readonly column?: boolean;
  /** What was asked about on the spot is closed. */
  readonly onClosed?: () => void;
}

/** The runs from the panel outward: boxes and cables placed by rule, never by hand. Arrow keys walk along the runs. */
export function RunMap({ chosen, onChoose, lit, grows = false, column = false, onClosed }: Props) {
  const { job } = useJob();
  const { outcome } = usePlan();
  const narrow = useNarrow() || column;
  const { boxes, runs } = job;
  const [menu, setMenu] = useState<MapMenuAt | null>(null);
  const refused = new Set(outcome.ok ? [] : outcome.refusals.flatMap(({ at }) => at.map(({ id }) => id)));
  const cables = useMemo(
    () => groupBy(outcome.ok ? outcome.plan.wiring.cables : [], ({ run }) => [run]),
    [outcome],
  );
  const cablesOf = (run: string) => cables.get(run) ?? [];
  const typeOf = (run: Run): string =>
    (refused.has(run.id) ? '▲ ' : '') +
    (cablesOf(run.id).map(cableTypeName).join(' + ') || run.existing || '?');
  const width = Math.max(
    LABEL_PX.least,
    ...runs.map((run) => typeOf(run).length * LABEL_PX.type + LABEL_PX.beside),
    ...runs.map((run) => lengthWords(run).length * LABEL_PX.length + LABEL_PX.beside),
  );
  const layout = useMemo(
    () =>
      runMap({ boxes, runs }, narrow ? 'DOWN' : 'RIGHT', {
        ...MAP_SIZES,
        label: { ...MAP_SIZES.label, width },
      }),
    [boxes, runs, narrow, width],
  );
  const walk = (key: string) => {
    if (chosen.kind !== 'box') return;
    const next = neighbour(job, layout.nodes, chosen.id, key);
    if (!next) return;
    onChoose({ kind: 'box', id: next });
    document.getElementById(`map-${next}`)?.focus();
  };
  const open = useStable((at: MapMenuAt) => {
    if (at.kind === 'run') onChoose({ kind: 'run', id: at.id });
    if (grows) setMenu(at);
  });
  const from = grows && chosen.kind === 'box' ? layout.nodes.get(chosen.id) : undefined;
  return (
    <>
      {/* Arrow keys walk from box to box; each is a button of its own. */}
      {/* oxlint-disable-next-line jsx-a11y/no-noninteractive-element-interactions */}
      <div
        role="group"
        aria-label={say('runMap.mapRuns')}
        className="max-h-[28rem] overflow-auto rounded-xl border-2 border-line bg-paper"
        onKeyDown={(event) => {
          if (!event.key.startsWith('Arrow')) return;
          event.preventDefault();
          walk(event.key);
        }}
      >
        <div
          className="relative mx-auto"
          style={{ width: layout.width + 2 * EDGE, height: layout.height + 2 * EDGE }}
        >
          <svg
            width={layout.width + 2 * EDGE}
            height={layout.height + 2 * EDGE}
            viewBox={`${-EDGE} ${-EDGE} ${layout.width + 2 * EDGE} ${layout.height + 2 * EDGE}`}
            className="absolute inset-0"
            aria-hidden
          >
            {runs.map(({ id }) => (
              <Strands
                key={id}
                points={layout.runs.get(id)?.points ?? NO_POINTS}
                strands={cablesOf(id)
                  .flatMap(({ conductors }) => conductors.map(({ insulation }) => insulation))
                  .join(' ')}
              />
            ))}
          </svg>
          {runs.map((run) => {
            const label = layout.runs.get(run.id)?.label;
            return label ? (
              <RunLabel
                key={run.id}
                run={run}
                from={placeName(job, run.from)}
                to={placeName(job, run.to)}
                type={typeOf(run)}
                picked={chosen.kind === 'run' && chosen.id === run.id}
                area={label}
                onOpen={open}
              />
            ) : null;
          })}
          {[...layout.nodes].map(([id, area]) => {
            if (id === PANEL) {
              const Node = grows ? 'button' : 'div';
              return (
                <Node
                  key={id}
                  id="map-panel"
                  className="absolute grid content-center rounded-xl border-2 border-ink bg-sand px-3 text-left"
                  style={styleOf(area)}
                  {...(grows ? { type: 'button', onClick: () => open({ kind: 'panel', id }) } : {})}
                >
                  <span className="font-bold">{capitalize(placeName(job, PANEL))}</span>
                  <span className="truncate text-sm text-ink-soft">
                    {job.circuits.map(({ number }) => number).join(' · ')}
                  </span>
                </Node>
              );
            }
            const box = boxes.find((one) => one.id === id);
            return (
              <BoxNode
                key={id}
                id={id}
                name={`${refused.has(id) ? '▲ ' : ''}${box?.name}${box?.closed ? say('runMap.closed') : ''}`}
                symbols={mapSymbols(job, outcome, id).join(' ')}
                picked={(chosen.kind === 'box' && chosen.id === id) || lit?.has(id) === true}
                area={area}
                onChoose={onChoose}
              />
            );
          })}
          {from && chosen.kind === 'box' ? (
            <GrowHandle
              key={chosen.id}
              box={chosen.id}
              name={placeName(job, chosen.id)}
              x={EDGE + (narrow ? from.x - 2 : from.x + from.width)}
              y={EDGE + from.y + from.height - (narrow ? 4 : 12)}
              onOpen={open}
            />
          ) : null}
        </div>
      </div>
      {menu ? (
        <Suspense>
          <MapMenu
            key={`${menu.kind} ${menu.id}`}
            at={menu}
            onChoose={onChoose}
            onClose={() => {
              setMenu(null);
              if (menu.kind === 'run') onClosed?.();
            }}
          />
        </Suspense>
      ) : null}
    </>
  );
}

const MapMenu = lazy(() => import('./map-menu'));
/** Width of a label: of a letter of each line at most, and beside them, px. */
const LABEL_PX = { least: 60, type: 9, length: 6.6, beside: 8 };
const NO_POINTS: readonly MapPoint[] = [];

const ARROWS: Record<string, readonly [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** The nearest box in the direction of an arrow key. */
function neighbour(
  job: Design,
  nodes: ReadonlyMap<string, { readonly x: number; readonly y: number }>,
  from: string,
  key: string,
): string | null {
  const here = nodes.get(from);
  if (!here) return null;
  const [dx = 0, dy = 0] = ARROWS[key] ?? [];
  const ahead = [...nodes]
    .filter(([id]) => id !== from && job.boxes.some((box) => box.id === id))
    .map(([id, at]) => ({
      id,
      along: (at.x - here.x) * dx + (at.y - here.y) * dy,
      far: Math.hypot(at.x - here.x, at.y - here.y),
    }))
    .filter(({ along }) => along > 1)
    .sort((a, b) => a.far - b.far);
  return ahead[0]?.id ?? null;
}

const NARROW = '(max-width: 640px)';
const watch = (changed: () => void) => {
  const query = window.matchMedia(NARROW);
  query.addEventListener('change', changed);
  return () => query.removeEventListener('change', changed);
};
const useNarrow = (): boolean =>
  useSyncExternalStore(
    watch,
    () => window.matchMedia(NARROW).matches,
    () => false,
  );
