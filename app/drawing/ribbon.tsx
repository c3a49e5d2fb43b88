import { besideLine } from '@core/wiring/geometry/beside-line';
import type { MapPoint } from '@core/wiring/geometry/map-sizes';
import type { Insulation } from '@core/trade/standards/cables';
import { INSULATION_FILL, roundedPath } from './wire';

/** A line of the map as a path with rounded corners. */
export const linePath = (points: readonly MapPoint[]): string =>
  roundedPath(points.map(({ x, y }) => [x, y] as const));

/** Thickness of an insulation beside the step from one conductor to the next. */
const FILLED = 0.65;

/** The conductors of a run beside each other along its line, `step` apart; a dashed line where it has none. */
export function Ribbon({
  points,
  insulations,
  step,
}: {
  points: readonly MapPoint[];
  insulations: readonly Insulation[];
  step: number;
}) {
  if (insulations.length === 0)
    return (
      <path
        d={linePath(points)}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={step * 0.45}
        strokeDasharray="5 5"
      />
    );
  return (
    <g fill="none">
      {insulations.map((insulation, index) => {
        const d = linePath(besideLine(points, (index - (insulations.length - 1) / 2) * step));
        return (
          <g key={index}>
            <path d={d} stroke="var(--wire-outline)" strokeWidth={step} />
            <path d={d} stroke={INSULATION_FILL[insulation][0]} strokeWidth={step * FILLED} />
          </g>
        );
      })}
    </g>
  );
}
