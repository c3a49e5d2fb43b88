import { SCREW_FILL } from './screws';
import type { BoxDrawing, DrawnSplice, DrawnWire, XY } from '@core/geometry/drawing';
import { Device } from './device';
import { nearest, SHOWS_A, tap, type BoxHandlers, type LiveView } from './live';
import { Letter, roundedPath, WireStroke } from './wire';
import { say } from '~/words/drawing';

interface Props {
  readonly drawing: BoxDrawing;
  readonly title: string;
  /** Ids to show in full; the rest fades. Everything is shown where this is absent. */
  readonly lit?: ReadonlySet<string> | undefined;
  readonly live?: LiveView | undefined;
  readonly handlers?: BoxHandlers;
  readonly className?: string;
  /** Size to draw in, so that several boxes come out at one scale. */
  readonly frame?: { readonly width: number; readonly height: number };
}

const JACKET = {
  white: 'var(--jacket-white)',
  yellow: 'var(--jacket-yellow)',
  orange: 'var(--jacket-orange)',
};
const NO_HANDLERS: BoxHandlers = {};

/** The open box: cables enter from above, splices stand in make-up order, devices below. */
export function BoxFigure({ drawing, title, lit, live, handlers = NO_HANDLERS, className, frame }: Props) {
  const { wall } = drawing;
  const width = Math.max(frame?.width ?? 0, drawing.width);
  const height = Math.max(frame?.height ?? 0, drawing.height);
  const faded = (id: string) => (!lit || lit.has(id) ? 1 : 0.2);
  const order = [...drawing.wires].sort((a, b) => faded(a.id) - faded(b.id));
  return (
    <svg
      viewBox={`${(drawing.width - width) / 2} 0 ${width} ${height}`}
      role="group"
      aria-label={title}
      className={className}
      preserveAspectRatio="xMidYMin meet"
      onClick={nearest}
    >
      <rect {...wall} rx={26} fill="var(--well)" stroke="var(--wall)" strokeWidth={12} />
      {drawing.cables.map((cable) => (
        <g key={cable.id} opacity={faded(cable.id)}>
          <rect
            x={cable.x}
            y={cable.y}
            width={cable.width}
            height={cable.height}
            rx={9}
            fill={JACKET[cable.jacket]}
            stroke="var(--device-edge)"
            strokeWidth={1.8}
          />
          <text
            x={cable.label[0]}
            y={cable.label[1]}
            textAnchor="middle"
            fontSize={16}
            fontWeight={750}
            fill="var(--ink)"
          >
            {cable.title}
          </text>
          <text
            x={cable.label[0]}
            y={cable.label[1] + 19}
            textAnchor="middle"
            fontSize={14}
            fill="var(--ink-soft)"
          >
            {cable.role}
          </text>
        </g>
      ))}
      <g fill="none" strokeLinecap="round" strokeLinejoin="round">
        {live ? order.map((wire) => <Sleeve key={wire.id} wire={wire} live={live} />) : null}
        {order.map((wire) => (
          <g key={wire.id} opacity={faded(wire.id)} data-wire={wire.id}>
            <WireStroke d={roundedPath(wire.path)} insulation={wire.insulation} gauge={wire.gauge} />
            {wire.tape.map(([x, y]) => (
              <path
                key={`${x} ${y}`}
                d={`M${x - 6} ${y}h12`}
                stroke="var(--wire-black)"
                strokeWidth={9}
                strokeLinecap="butt"
              />
            ))}
          </g>
        ))}
      </g>
      {drawing.devices.map((device) => (
        <Device key={device.id} device={device} live={live} handlers={handlers} faded={faded} />
      ))}
      {drawing.splices.map((splice) => (
        <Splice key={splice.id} splice={splice} opacity={faded(splice.id)} handlers={handlers} />
      ))}
      {drawing.caps.map(({ end, at: [x, y] }) => (
        <g
          key={end}
          opacity={faded(end)}
          data-point={end}
          {...pointTap(handlers, end, say('boxFigure.cappedConductor'))}
        >
          <path
            d={`M${x - 8} ${y - 4}h16l-3 24a5 5 0 0 1 -10 0z`}
            fill="var(--paper)"
            stroke="var(--ink)"
            strokeWidth={2}
          />
          {handlers.probes?.includes(end) ? <ProbeRing x={x} y={y + 8} /> : null}
        </g>
      ))}
      {drawing.screws.map(({ id, name, screw, at: [x, y] }) => (
        <g key={id} opacity={faded(id)}>
          <circle
            cx={x}
            cy={y}
            r={11}
            fill={SCREW_FILL[screw]}
            stroke="var(--device-edge)"
            strokeWidth={1.8}
          />
          <text x={x} y={y + 27} textAnchor="middle" fontSize={12} fontWeight={650} fill="var(--ink)">
            {name}
          </text>
        </g>
      ))}
      {order.map((wire) => (
        <g
          key={wire.id}
          opacity={faded(wire.id)}
          {...(handlers.onWire ? tap(wire.name, () => handlers.onWire?.(wire.id)) : {})}
        >
          {handlers.onWire ? (
            <circle cx={wire.badge[0]} cy={wire.badge[1]} r={12} fill="transparent" />
          ) : null}
          {handlers.picked === wire.id ? <ProbeRing x={wire.badge[0]} y={wire.badge[1]} /> : null}
          <Letter at={wire.badge} insulation={wire.insulation} />
        </g>
      ))}
    </svg>
  );
}

const pointTap = (handlers: BoxHandlers, id: string, label: string) =>
  handlers.onPoint ? tap(label, () => handlers.onPoint?.(id)) : {};

function ProbeRing({ x, y }: { x: number; y: number }) {
  return <circle cx={x} cy={y} r={17} fill="none" stroke="var(--plum)" strokeWidth={4} />;
}

/** The plum behind a live conductor; dashes move along any that carries current. */
function Sleeve({ wire, live }: { wire: DrawnWire; live: LiveView }) {
  const hot = live.isLive(wire.point);
  const amps = live.current(wire.wire);
  if (!hot && Math.abs(amps) <= SHOWS_A) return null;
  const d = roundedPath(wire.path);
  return (
    <>
      {hot ? <path d={d} stroke="var(--sleeve)" strokeWidth={19} opacity={0.55} data-live={wire.id} /> : null}
      {Math.abs(amps) > SHOWS_A ? (
        <>
          <path
            d={d}
            stroke="var(--plum)"
            strokeWidth={17}
            strokeLinecap="butt"
            strokeDasharray="3 9"
            className={`flow ${amps < 0 ? '' : 'flow-back'}`}
          />
          <Arrow path={wire.path} forward={amps < 0} />
        </>
      ) : null}
    </>
  );
}

/** Which way the current goes, beside the longest straight part of the wire. */
function Arrow({ path, forward }: { path: DrawnWire['path']; forward: boolean }) {
  const [from, to] = longestPart(path);
  const turn = (Math.atan2(to[1] - from[1], to[0] - from[0]) * 180) / Math.PI + (forward ? 0 : 180);
  return (
    <path
      d="M-7 -15 7 0 -7 15"
      transform={`translate(${(from[0] + to[0]) / 2} ${(from[1] + to[1]) / 2}) rotate(${turn})`}
      stroke="var(--plum)"
      strokeWidth={4}
      data-flow={forward ? 'on' : 'back'}
    />
  );
}

function longestPart(path: DrawnWire['path']): readonly [XY, XY] {
  const parts = path.slice(1).map((to, index) => [path[index] ?? to, to] as const);
  const length = ([a, b]: readonly [XY, XY]) => Math.hypot(b[0] - a[0], b[1] - a[1]);
  const origin: XY = [0, 0];
  return parts.reduce((best, part) => (length(part) > length(best) ? part : best), [origin, origin]);
}

function Splice({
  splice,
  opacity,
  handlers,
}: {
  splice: DrawnSplice;
  opacity: number;
  handlers: BoxHandlers;
}) {
  return (
    <g
      opacity={opacity}
      data-point={splice.id}
      {...pointTap(handlers, splice.id, say('boxFigure.splice', { splice: splice.label }))}
    >
      <rect
        x={splice.x}
        y={splice.y}
        width={splice.width}
        height={splice.height}
        rx={8}
        fill="var(--paper)"
        stroke="var(--ink)"
        strokeWidth={2}
      />
      {splice.ports.map(({ at: [x, y], used }) => (
        <circle
          key={x}
          cx={x}
          cy={y}
          r={4.8}
          fill={used ? 'var(--ink)' : 'none'}
          stroke="var(--ink)"
          strokeWidth={1.6}
        />
      ))}
      <text
        x={splice.x + splice.width / 2}
        y={splice.y + 36}
        textAnchor="middle"
        fontSize={13}
        fontWeight={700}
        fill="var(--ink)"
      >
        {splice.label}
      </text>
      {handlers.probes?.includes(splice.id) ? (
        <ProbeRing x={splice.x + splice.width / 2} y={splice.y + splice.height / 2} />
      ) : null}
    </g>
  );
}
