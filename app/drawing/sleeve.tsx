import type { DrawnWire, XY } from '@core/wiring/geometry/drawing';
import type { Flow, LiveView } from './live';
import { roundedPath } from './wire';

/** Dashes of a current on its way to a load are long, on its way back they are dots; both where both share a neutral. */
const DASHES: Readonly<Record<Flow['way'], string>> = {
  to: '14 10',
  back: '3 9',
  both: '14 5 3 5',
  stray: '2 4',
};

/** The plum behind a live conductor, and how its current runs: told by dashes and arrow head, not by color alone. */
export function Sleeve({ wire, live }: { wire: DrawnWire; live: LiveView }) {
  const hot = live.isLive(wire.point);
  const flow = live.flow(wire.wire);
  if (!hot && flow === null) return null;
  const d = roundedPath(wire.path);
  return (
    <>
      {hot ? <path d={d} stroke="var(--sleeve)" strokeWidth={19} opacity={0.55} data-live={wire.id} /> : null}
      {flow ? (
        <>
          <path
            d={d}
            stroke={flow.way === 'back' ? 'var(--ink)' : 'var(--plum)'}
            strokeWidth={17}
            strokeLinecap="butt"
            strokeDasharray={DASHES[flow.way]}
            className={`flow ${flow.forward === wire.along ? '' : 'flow-back'}`}
          />
          <Arrow path={wire.path} way={flow.way} along={flow.forward === wire.along} />
        </>
      ) : null}
    </>
  );
}

/** Which way the current goes, beside the longest straight part of the wire: a filled head out, an open one back. */
function Arrow({ path, way, along }: { path: DrawnWire['path']; way: Flow['way']; along: boolean }) {
  const [from, to] = longestPart(path);
  const turn = (Math.atan2(to[1] - from[1], to[0] - from[0]) * 180) / Math.PI + (along ? 0 : 180);
  const open = way === 'back';
  return (
    <path
      d={open ? 'M-7 -15 7 0 -7 15' : 'M-9 -16 11 0 -9 16Z'}
      transform={`translate(${(from[0] + to[0]) / 2} ${(from[1] + to[1]) / 2}) rotate(${turn})`}
      fill={open ? 'none' : 'var(--plum)'}
      stroke={open ? 'var(--ink)' : 'var(--plum)'}
      strokeWidth={open ? 4 : 2}
      data-flow={along ? 'on' : 'back'}
      data-way={way}
    />
  );
}

function longestPart(path: DrawnWire['path']): readonly [XY, XY] {
  const parts = path.slice(1).map((to, index) => [path[index] ?? to, to] as const);
  const length = ([a, b]: readonly [XY, XY]) => Math.hypot(b[0] - a[0], b[1] - a[1]);
  const origin: XY = [0, 0];
  return parts.reduce((best, part) => (length(part) > length(best) ? part : best), [origin, origin]);
}
