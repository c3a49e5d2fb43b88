import type { XY } from '@core/wiring/geometry/drawing';
import { LETTERS, type Insulation } from '@core/trade/standards/cables';
import type { Gauge } from '@core/trade/standards/conductors';

/** Fill of each insulation; the second is what a letter on it is drawn in. */
export const INSULATION_FILL: Record<Insulation, readonly [wire: string, letter: string]> = {
  black: ['var(--wire-black)', '#ffffff'],
  red: ['var(--wire-red)', '#ffffff'],
  blue: ['var(--wire-blue)', '#ffffff'],
  white: ['var(--wire-white)', '#1f1e19'],
  'white-red': ['var(--wire-white)', '#1f1e19'],
  bare: ['var(--wire-bare)', '#ffffff'],
  green: ['var(--wire-green)', '#ffffff'],
};

/** Drawn thickness by gauge, in drawing units. */
const THICKNESS: Record<Gauge, number> = { 14: 6, 12: 7.5, 10: 9 };

/** A path through the points with rounded corners. */
export function roundedPath(points: readonly XY[], radius = 10): string {
  const clean = points.filter((point, index) => {
    const before = points[index - 1];
    return !before || before[0] !== point[0] || before[1] !== point[1];
  });
  const [first, ...rest] = clean;
  if (!first) return '';
  let path = `M${first[0]} ${first[1]}`;
  rest.forEach((point, index) => {
    const next = rest[index + 1];
    const before = clean[index] ?? first;
    if (!next) {
      path += `L${point[0]} ${point[1]}`;
      return;
    }
    const size = Math.min(radius, distance(before, point) / 2, distance(point, next) / 2);
    const enter = toward(point, before, size);
    const leave = toward(point, next, size);
    path += `L${enter[0]} ${enter[1]}Q${point[0]} ${point[1]} ${leave[0]} ${leave[1]}`;
  });
  return path;
}

const distance = (a: XY, b: XY): number => Math.hypot(a[0] - b[0], a[1] - b[1]);
const toward = (from: XY, to: XY, size: number): XY => {
  const length = distance(from, to) || 1;
  return [from[0] + ((to[0] - from[0]) * size) / length, from[1] + ((to[1] - from[1]) * size) / length];
};

/** One conductor: outline, insulation, and the marks that tell bare copper and stripes apart without color. */
export function WireStroke({ d, insulation, gauge }: { d: string; insulation: Insulation; gauge: Gauge }) {
  const width = THICKNESS[gauge];
  const [fill] = INSULATION_FILL[insulation];
  return (
    <>
      <path d={d} stroke="var(--wire-outline)" strokeWidth={width + 2.6} />
      <path d={d} stroke={fill} strokeWidth={width} />
      {insulation === 'red' || insulation === 'blue' ? (
        <path
          className="gray-mark"
          d={d}
          stroke="#ffffff"
          strokeWidth={width / 2.6}
          strokeDasharray={insulation === 'red' ? '2 9' : '9 4 2 4'}
        />
      ) : null}
      {insulation === 'bare' ? (
        <path d={d} stroke="#f0c894" strokeWidth={width / 3.4} strokeDasharray="5 4" />
      ) : null}
      {insulation === 'white-red' ? (
        <path d={d} stroke="var(--wire-red)" strokeWidth={width / 3} strokeDasharray="9 7" />
      ) : null}
    </>
  );
}

/** A conductor that is not there: its outline in dashes, nothing in it. */
export function GhostStroke({ d }: { d: string }) {
  return (
    <>
      <path d={d} stroke="var(--paper)" strokeWidth={9} />
      <path d={d} stroke="var(--plum)" strokeWidth={3} strokeDasharray="3 7" />
    </>
  );
}

export function Letter({ at, insulation }: { at: XY; insulation: Insulation }) {
  const [fill, letter] = INSULATION_FILL[insulation];
  const text = LETTERS[insulation];
  return (
    <g aria-hidden>
      <circle cx={at[0]} cy={at[1]} r={9.2} fill={fill} stroke="var(--wire-outline)" strokeWidth={1.4} />
      <text
        x={at[0]}
        y={at[1] + 4.2}
        fontSize={text.length > 1 ? 9.5 : 12}
        fontWeight={750}
        textAnchor="middle"
        fill={letter}
      >
        {text}
      </text>
    </g>
  );
}
