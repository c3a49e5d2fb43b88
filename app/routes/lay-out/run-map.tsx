import { lazy, memo, Suspense, useMemo, useState, useSyncExternalStore } from 'react';
import { groupBy } from '@core/base/group-by';
import { mapSymbols, type MapSymbol } from '@core/code/brief/symbols';
import { runMap } from '@core/wiring/geometry/run-map';
import { MAP_SIZES, symbolRow, type MapArea, type MapPoint } from '@core/wiring/geometry/map-sizes';
import { PANEL, type Design, type Run } from '@core/job/model/design';
import type { Insulation } from '@core/trade/standards/cables';
import { Ribbon } from '~/drawing/ribbon';
import { capitalize } from '@core/base/capitalize';
import { cableTypeName, placeName } from '@core/job/model/called';
import { Symbol } from '~/drawing/symbols';
import { useStable } from '~/ui/use-stable';
import { useJob, usePlan } from '../job/context';
import { GrowHandle } from './grow-handle';
import type { MapMenuAt } from './map-menu-at';
import { AGE_NAME } from '@core/job/model/names';
import { say } from '~/words/lay-out';

export type Chosen = { readonly kind: 'box' | 'run'; readonly id: string };

interface Props {
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

/** Round the map, px. */
const EDGE = 20;
/** Width of a label: of a letter of each line at most, and beside them, px. */
const LABEL_PX = { least: 60, type: 9, length: 6.6, beside: 8 };
const NO_POINTS: readonly MapPoint[] = [];
const styleOf = ({ x, y, width, height }: MapArea) => ({ left: x + EDGE, top: y + EDGE, width, height });
const lengthWords = ({ lengthFt, existing }: Run): string =>
  say('runMap.ft', { lengthFt, age: existing ? AGE_NAME.existing : AGE_NAME.new });

/** The ribbon of a run, its conductors named by their insulations, so that it is drawn anew only with them. */
const Strands = memo(function Strands({ points, strands }: { points: readonly MapPoint[]; strands: string }) {
  const insulations = strands === '' ? [] : (strands.split(' ') as Insulation[]);
  const step = Math.min(STRAND_PX, (2 * MAP_SIZES.halfRibbon) / Math.max(insulations.length, 1));
  return <Ribbon points={points} insulations={insulations} step={step} />;
});

/** From one conductor of a ribbon to the next, px. */
const STRAND_PX = 4.6;

const RunLabel = memo(function RunLabel({
  run,
  from,
  to,
  type,
  picked,
  area,
  onOpen,
}: {
  run: Run;
  from: string;
  to: string;
  type: string;
  picked: boolean;
  area: MapArea;
  onOpen: (at: MapMenuAt) => void;
}) {
  const age = run.existing ? AGE_NAME.existing : AGE_NAME.new;
  return (
    <button
      type="button"
      data-run={run.id}
      data-drop-run={run.id}
      aria-pressed={picked}
      aria-label={say('runMap.runFromFt', { from, to, type, lengthFt: run.lengthFt, age })}
      onClick={() => onOpen({ kind: 'run', id: run.id })}
      className="absolute grid place-content-center rounded-md text-center text-sm leading-tight ring-plum aria-pressed:bg-plum-tint aria-pressed:ring-2"
      style={styleOf(area)}
    >
      <span className="num block whitespace-nowrap">{type}</span>
      <span className="block text-xs whitespace-nowrap text-ink-soft">{lengthWords(run)}</span>
    </button>
  );
});

const BoxNode = memo(function BoxNode({
  id,
  name,
  symbols,
  picked,
  area,
  onChoose,
}: {
  id: string;
  name: string;
  symbols: string;
  picked: boolean;
  area: MapArea;
  onChoose: Props['onChoose'];
}) {
  const all = symbols.split(' ').filter(Boolean) as MapSymbol[];
  const room = { x: 0, y: 0, width: area.width - 24, height: 26 };
  const { scale, at } = symbolRow(all.length, room);
  return (
    <button
      id={`map-${id}`}
      type="button"
      data-drop-box={id}
      aria-pressed={picked}
      title={name}
      onClick={() => onChoose({ kind: 'box', id })}
      className="absolute grid content-center rounded-xl border-2 border-ink bg-sand px-2.5 text-left ring-plum aria-pressed:border-plum aria-pressed:bg-plum-tint aria-pressed:ring-2"
      style={styleOf(area)}
    >
      <span className={`font-bold ${sizeOf(name)}`}>{name}</span>
      <svg width={room.width} height={room.height} viewBox={`0 0 ${room.width} ${room.height}`} aria-hidden>
        {all.map((symbol, index) => (
          <g
            key={index}
            transform={`translate(${at[index]?.x ?? 0} ${at[index]?.y ?? 0}) scale(${scale * SYMBOL_SCALE})`}
          >
            <Symbol symbol={symbol} />
          </g>
        ))}
      </svg>
    </button>
  );
});

/** A name is smaller before it is cut, and stands in two lines before that. */
const sizeOf = ({ length }: string): string =>
  length > 14 ? 'line-clamp-2 text-xs leading-tight' : length > 12 ? 'truncate text-sm' : 'truncate';

/** A symbol is drawn 28 wide at its full size; the row leaves a little air. */
const SYMBOL_SCALE = 0.86;

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
