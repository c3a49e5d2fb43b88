import type { Sketch } from '@core/handover/glance/sketch';
import { linePath, Ribbon } from './ribbon';
import { Symbol } from './symbols';

/** From one conductor of a run to the next, in the units of the sketch. */
const STRAND = 2.6;
const LEAST = { width: 236, height: 56 };

/** The bars of a panel with its breakers; a plug with its blades: around a middle. */
const SOURCE = {
  panel: (x: number, y: number) => `M${x} ${y - 7}v14M${x - 8} ${y - 4}h6m4 0h6M${x - 8} ${y + 2}h6m4 0h6`,
  plug: (x: number, y: number) => `M${x} ${y - 7}v14M${x - 9} ${y - 4}h9M${x - 9} ${y + 4}h9M${x} ${y}h9`,
} as const;

/** A job drawn small: its boxes from the panel outward and the conductors between them. */
export function SketchFigure({ sketch, className }: { sketch: Sketch; className?: string }) {
  // A small job is not blown up.
  const [width, height] = [
    Math.max(sketch.width + 8, LEAST.width),
    Math.max(sketch.height + 8, LEAST.height),
  ];
  return (
    <svg
      viewBox={`${(sketch.width - width) / 2} ${(sketch.height - height) / 2} ${width} ${height}`}
      preserveAspectRatio="xMidYMid meet"
      className={className}
      aria-hidden
      data-sketch
    >
      {sketch.runs.map(({ points, insulations, changed }, index) => (
        <g key={index} fill="none">
          {changed ? (
            <path d={linePath(points)} stroke="var(--plum)" strokeOpacity={0.35} strokeWidth={18} />
          ) : null}
          <Ribbon points={points} insulations={insulations} step={STRAND} />
        </g>
      ))}
      {sketch.nodes.map(({ x, y, width, height, source, changed, symbols }, index) => (
        <g key={index}>
          <rect
            x={x}
            y={y}
            width={width}
            height={height}
            rx={5}
            fill={source ? 'var(--well)' : changed ? 'var(--plum-tint)' : 'var(--paper)'}
            stroke={changed ? 'var(--plum)' : 'var(--ink)'}
            strokeWidth={changed ? 2.6 : 1.6}
          />
          {source ? (
            <path
              d={SOURCE[source](x + width / 2, y + height / 2)}
              fill="none"
              stroke="var(--ink)"
              strokeWidth={1.6}
            />
          ) : null}
          {symbols.map(({ symbol, at, scale }, place) => (
            <g key={place} transform={`translate(${at.x} ${at.y}) scale(${scale * 0.84})`}>
              <Symbol symbol={symbol} />
            </g>
          ))}
        </g>
      ))}
    </svg>
  );
}
