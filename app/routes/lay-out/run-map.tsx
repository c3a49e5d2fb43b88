import { memo, useMemo, useSyncExternalStore } from 'react';
import { symbolsOf } from '@core/brief/check-lines';
import { wishKind } from '@core/devices';
import { PANEL, type Design, type Run } from '@core/model/design';
import type { PlanSymbol } from '@core/model/record';
import type { Insulation } from '@core/standards/cables';
import { roundedPath, INSULATION_FILL } from '~/drawing/wire';
import { placeName } from '@core/layout/names';
import { Symbol } from '~/drawing/symbols';
import { useJob, usePlan } from '../job/context';
import { mapLayout, NODE } from './map-layout';
import { say } from '~/words/lay-out';

export type Chosen = { readonly kind: 'box' | 'run'; readonly id: string };

interface Props {
  readonly chosen: Chosen;
  readonly onChoose: (chosen: Chosen) => void;
  /** Boxes to show as covered by what was pressed. */
  readonly lit?: ReadonlySet<string>;
}

/** The runs from the panel outward: boxes and cables placed by rule, never by hand. Arrow keys walk along the runs. */
export function RunMap({ chosen, onChoose, lit }: Props) {
  const { job } = useJob();
  const { outcome } = usePlan();
  const narrow = useNarrow();
  const { boxes, runs } = job;
  const layout = useMemo(() => mapLayout({ boxes, runs }, narrow ? 'DOWN' : 'RIGHT'), [boxes, runs, narrow]);
  const refused = new Set(outcome.ok ? [] : outcome.refusals.flatMap(({ at }) => at.map(({ id }) => id)));
  const cablesOf = (run: string) =>
    outcome.ok ? outcome.plan.wiring.cables.filter((cable) => cable.run === run) : [];
  const walk = (key: string) => {
    if (chosen.kind !== 'box') return;
    const next = neighbour(job, layout.nodes, chosen.id, key);
    if (!next) return;
    onChoose({ kind: 'box', id: next });
    document.getElementById(`map-${next}`)?.focus();
  };
  return (
    // Arrow keys walk from box to box; each is a button of its own.
    // eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions
    <div
      role="group"
      aria-label={say('runMap.mapRuns')}
      className="max-h-80 overflow-auto rounded-xl border-2 border-line bg-paper"
      onKeyDown={(event) => {
        if (!event.key.startsWith('Arrow')) return;
        event.preventDefault();
        walk(event.key);
      }}
    >
      <div className="relative mx-auto" style={{ width: layout.width + 24, height: layout.height + 24 }}>
        <svg
          width={layout.width + 24}
          height={layout.height + 24}
          viewBox={`-12 -12 ${layout.width + 24} ${layout.height + 24}`}
          className="absolute inset-0"
          aria-hidden
        >
          {runs.map(({ id }) => (
            <Strands
              key={id}
              d={roundedPath((layout.edges.get(id) ?? []).map(({ x, y }) => [x, y] as const))}
              strands={cablesOf(id)
                .flatMap(({ conductors }) => conductors.map(({ insulation }) => insulation))
                .join(' ')}
              narrow={narrow}
            />
          ))}
        </svg>
        {runs.map((run) => {
          const points = layout.edges.get(run.id) ?? [];
          const [a, b] = [points[0], points.at(-1)];
          if (!a || !b) return null;
          return (
            <RunLabel
              key={run.id}
              run={run}
              from={placeName(job, run.from)}
              to={placeName(job, run.to)}
              type={
                cablesOf(run.id)
                  .map(({ type }) => type)
                  .join(' + ') ||
                run.existing ||
                '?'
              }
              refused={refused.has(run.id)}
              picked={chosen.kind === 'run' && chosen.id === run.id}
              left={(a.x + b.x) / 2 + 12}
              top={(a.y + b.y) / 2 + 12 - (narrow ? 0 : 30)}
              onChoose={onChoose}
            />
          );
        })}
        {[...layout.nodes].map(([id, { x, y }]) => {
          const style = { left: x + 12, top: y + 12, width: NODE.width, height: NODE.height };
          if (id === PANEL) {
            return (
              <div
                key={id}
                className="absolute grid content-center rounded-xl border-2 border-ink bg-sand px-3"
                style={style}
              >
                <span className="font-bold">{say('runMap.panel')}</span>
                <span className="truncate text-sm text-ink-soft">
                  {job.circuits.map(({ number }) => number).join(' · ')}
                </span>
              </div>
            );
          }
          const box = boxes.find((one) => one.id === id);
          const hung = job.devices.filter((device) => device.box === id && !wishKind(device.kind).yoke);
          const symbols = [...symbolsOf(job, outcome, id), ...hung.map(() => 'luminaire' as const)];
          return (
            <BoxNode
              key={id}
              id={id}
              name={`${refused.has(id) ? '▲ ' : ''}${box?.name}${box?.closed ? ' (closed)' : ''}`}
              symbols={symbols.slice(0, SYMBOLS_SHOWN).join(' ')}
              picked={(chosen.kind === 'box' && chosen.id === id) || lit?.has(id) === true}
              left={style.left}
              top={style.top}
              onChoose={onChoose}
            />
          );
        })}
      </div>
    </div>
  );
}

const SYMBOLS_SHOWN = 4;

/** The conductors of a run beside each other; a dashed line where it has none. Named by their insulations. */
const Strands = memo(function Strands({
  d,
  strands,
  narrow,
}: {
  d: string;
  strands: string;
  narrow: boolean;
}) {
  const insulations = strands === '' ? [] : (strands.split(' ') as Insulation[]);
  return (
    <g fill="none">
      {insulations.length === 0 ? (
        <path d={d} stroke="var(--ink)" strokeWidth={2} strokeDasharray="5 5" />
      ) : (
        insulations.map((insulation, index) => {
          const by = (index - (insulations.length - 1) / 2) * 4.6;
          return (
            <g key={index} transform={narrow ? `translate(${by} 0)` : `translate(0 ${by})`}>
              <path d={d} stroke="var(--wire-outline)" strokeWidth={4.4} />
              <path d={d} stroke={INSULATION_FILL[insulation][0]} strokeWidth={3} />
            </g>
          );
        })
      )}
    </g>
  );
});

const RunLabel = memo(function RunLabel({
  run,
  from,
  to,
  type,
  refused,
  picked,
  left,
  top,
  onChoose,
}: {
  run: Run;
  from: string;
  to: string;
  type: string;
  refused: boolean;
  picked: boolean;
  left: number;
  top: number;
  onChoose: Props['onChoose'];
}) {
  const age = run.existing ? 'existing' : 'new';
  return (
    <button
      type="button"
      data-run={run.id}
      aria-pressed={picked}
      aria-label={say('runMap.runFromFt', { from, to, type, lengthFt: run.lengthFt, age })}
      onClick={() => onChoose({ kind: 'run', id: run.id })}
      className="absolute min-h-6 -translate-x-1/2 -translate-y-1/2 rounded-md border-2 border-transparent bg-paper px-1 text-center text-sm leading-tight aria-pressed:border-plum aria-pressed:bg-plum-tint"
      style={{ left, top }}
    >
      <span className="num block whitespace-nowrap">
        {refused ? '▲ ' : ''}
        {type}
      </span>
      <span className="block text-xs whitespace-nowrap text-ink-soft">
        {say('runMap.ft', { lengthFt: run.lengthFt, age })}
      </span>
    </button>
  );
});

const BoxNode = memo(function BoxNode({
  id,
  name,
  symbols,
  picked,
  left,
  top,
  onChoose,
}: {
  id: string;
  name: string;
  symbols: string;
  picked: boolean;
  left: number;
  top: number;
  onChoose: Props['onChoose'];
}) {
  return (
    <button
      id={`map-${id}`}
      type="button"
      aria-pressed={picked}
      onClick={() => onChoose({ kind: 'box', id })}
      className="absolute grid content-center rounded-xl border-2 border-ink bg-sand px-3 text-left aria-pressed:border-4 aria-pressed:border-plum aria-pressed:bg-plum-tint"
      style={{ left, top, width: NODE.width, height: NODE.height }}
    >
      <span className="truncate font-bold">{name}</span>
      <svg width={108} height={26} viewBox="-16 -13 108 26" aria-hidden>
        {symbols
          .split(' ')
          .filter(Boolean)
          .map((symbol, index) => (
            <g key={index} transform={`translate(${index * 30} 0) scale(0.82)`}>
              <Symbol symbol={symbol as PlanSymbol} />
            </g>
          ))}
      </svg>
    </button>
  );
});

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
