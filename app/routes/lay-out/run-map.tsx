import { useMemo, useSyncExternalStore } from 'react';
import { symbolsOf } from '@core/brief/check-lines';
import { wishKind } from '@core/devices';
import { PANEL, type Design } from '@core/model/design';
import { roundedPath, INSULATION_FILL } from '~/drawing/wire';
import { placeName } from '@core/layout/names';
import { Symbol } from '~/drawing/symbols';
import { useJob, usePlan } from '../job/context';
import { mapLayout, NODE } from './map-layout';

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
  const layout = useMemo(() => mapLayout(job, narrow ? 'DOWN' : 'RIGHT'), [job, narrow]);
  const refused = new Set(outcome.ok ? [] : outcome.refusals.flatMap(({ at }) => at.map(({ id }) => id)));
  const aside = (by: number) => (narrow ? `translate(${by} 0)` : `translate(0 ${by})`);
  const walk = (key: string) => {
    if (chosen.kind !== 'box') return;
    const next = neighbour(job, layout.nodes, chosen.id, key);
    if (!next) return;
    onChoose({ kind: 'box', id: next });
    document.getElementById(`map-${next}`)?.focus();
  };
  return (
    <div
      role="group"
      aria-label="Map of the runs"
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
          {job.runs.map((run) => {
            const points = layout.edges.get(run.id) ?? [];
            const d = roundedPath(points.map(({ x, y }) => [x, y] as const));
            const cables = outcome.ok
              ? outcome.plan.wiring.cables.filter((cable) => cable.run === run.id)
              : [];
            const strands = cables.flatMap(({ conductors }) => conductors);
            return (
              <g key={run.id} fill="none">
                {strands.length === 0 ? (
                  <path d={d} stroke="var(--ink)" strokeWidth={2} strokeDasharray="5 5" />
                ) : (
                  strands.map(({ id, insulation }, index) => (
                    <g key={id} transform={aside((index - (strands.length - 1) / 2) * 4.6)}>
                      <path d={d} stroke="var(--wire-outline)" strokeWidth={4.4} />
                      <path d={d} stroke={INSULATION_FILL[insulation][0]} strokeWidth={3} />
                    </g>
                  ))
                )}
              </g>
            );
          })}
        </svg>
        {job.runs.map((run) => {
          const points = layout.edges.get(run.id) ?? [];
          const [a, b] = [points[0], points.at(-1)];
          if (!a || !b) return null;
          const cables = outcome.ok ? outcome.plan.wiring.cables.filter((cable) => cable.run === run.id) : [];
          const type = cables.map((cable) => cable.type).join(' + ') || run.existing || '?';
          const picked = chosen.kind === 'run' && chosen.id === run.id;
          return (
            <button
              key={run.id}
              type="button"
              data-run={run.id}
              aria-pressed={picked}
              aria-label={`Run from ${placeName(job, run.from)} to ${placeName(job, run.to)}, ${type}, ${run.lengthFt} ft, ${run.existing ? 'existing' : 'new'}`}
              onClick={() => onChoose({ kind: 'run', id: run.id })}
              className="absolute min-h-6 -translate-x-1/2 -translate-y-1/2 rounded-md border-2 border-transparent bg-paper px-1 text-center text-sm leading-tight aria-pressed:border-plum aria-pressed:bg-plum-tint"
              style={{ left: (a.x + b.x) / 2 + 12, top: (a.y + b.y) / 2 + 12 - (narrow ? 0 : 30) }}
            >
              <span className="num block whitespace-nowrap">
                {refused.has(run.id) ? '▲ ' : ''}
                {type}
              </span>
              <span className="block text-xs whitespace-nowrap text-ink-soft">
                {run.lengthFt} ft {run.existing ? 'existing' : 'new'}
              </span>
            </button>
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
                <span className="font-bold">Panel</span>
                <span className="truncate text-sm text-ink-soft">
                  {job.circuits.map(({ number }) => number).join(' · ')}
                </span>
              </div>
            );
          }
          const box = job.boxes.find((one) => one.id === id);
          const hung = job.devices.filter((device) => device.box === id && !wishKind(device.kind).yoke);
          const symbols = [...symbolsOf(job, outcome, id), ...hung.map(() => 'luminaire' as const)];
          return (
            <button
              key={id}
              id={`map-${id}`}
              type="button"
              aria-pressed={(chosen.kind === 'box' && chosen.id === id) || lit?.has(id) === true}
              onClick={() => onChoose({ kind: 'box', id })}
              className="absolute grid content-center rounded-xl border-2 border-ink bg-sand px-3 text-left aria-pressed:border-4 aria-pressed:border-plum aria-pressed:bg-plum-tint"
              style={style}
            >
              <span className="truncate font-bold">
                {refused.has(id) ? '▲ ' : ''}
                {box?.name}
                {box?.closed ? ' (closed)' : ''}
              </span>
              <svg width={108} height={26} viewBox="-16 -13 108 26" aria-hidden>
                {symbols.slice(0, 4).map((symbol, index) => (
                  <g key={index} transform={`translate(${index * 30} 0) scale(0.82)`}>
                    <Symbol symbol={symbol} />
                  </g>
                ))}
              </svg>
            </button>
          );
        })}
      </div>
    </div>
  );
}

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
