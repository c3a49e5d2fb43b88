import { useState } from 'react';
import { breakerHandles } from '@core/wiring/geometry/cover';
import type { BoxDrawing, DrawnCable } from '@core/wiring/geometry/drawing';
import { Device } from './device';
import { dragging } from './drag';
import { BareEnd, EnclosureScrew } from './enclosure-screw';
import { nearest, tap, type BoxHandlers, type LiveView } from './live';
import { Probe } from './screws';
import { Sleeve } from './sleeve';
import { GhostStroke, Letter, roundedPath, WireStroke } from './wire';
import { say } from '~/words/drawing';
import { Wall, Clamp, WholeLabel, Splice, pointTap, Ring } from './box-parts';

interface Props {
  readonly drawing: BoxDrawing;
  readonly title: string;
  /** Ids to show in full; the rest fades. Everything is shown where this is absent. */
  readonly lit?: ReadonlySet<string> | undefined;
  /** Wires that are not there, by their ids: drawn as gaps. */
  readonly ghosts?: ReadonlySet<string> | undefined;
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
export function BoxFigure({
  drawing,
  title,
  lit,
  ghosts,
  live,
  handlers = NO_HANDLERS,
  className,
  frame,
}: Props) {
  const width = Math.max(frame?.width ?? 0, drawing.width);
  const height = Math.max(frame?.height ?? 0, drawing.height);
  const faded = (id: string) => (!lit || lit.has(id) ? 1 : 0.2);
  const [whole, setWhole] = useState<string | null>(null);
  const handles = breakerHandles(drawing.screws);
  const order = [...drawing.wires].sort((a, b) => faded(a.id) - faded(b.id));
  return (
    // A tap beside a thin conductor goes to the nearest one; by keys each is reached itself.
    // oxlint-disable-next-line jsx-a11y/click-events-have-key-events, jsx-a11y/no-noninteractive-element-interactions
    <svg
      viewBox={`${(drawing.width - width) / 2} 0 ${width} ${height}`}
      role="group"
      data-box-drawing
      aria-label={title}
      className={className}
      preserveAspectRatio="xMidYMin meet"
      onClick={nearest}
    >
      <Wall drawing={drawing} live={live} handlers={handlers} />
      {drawing.cables.map((cable) => (
        <g
          key={cable.id}
          opacity={faded(cable.id)}
          {...(handlers.onCable
            ? tap(say('boxFigure.cable', { cable: cable.whole }), () => handlers.onCable?.(cable.id))
            : isCut(cable)
              ? tap(cable.whole, () => setWhole(whole === cable.id ? null : cable.id))
              : {})}
        >
          {isCut(cable) ? <title>{cable.whole}</title> : null}
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
          {handlers.clamped === cable.id ? (
            <Clamp x={cable.x + cable.width / 2} y={cable.y + cable.height / 2} width={cable.width + 16} />
          ) : null}
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
      {drawing.cables.map((cable) =>
        cable.id === whole ? <WholeLabel key={cable.id} text={cable.whole} drawing={drawing} /> : null,
      )}
      <g fill="none" strokeLinecap="round" strokeLinejoin="round">
        {live ? order.map((wire) => <Sleeve key={wire.id} wire={wire} live={live} />) : null}
        {order.map((wire) => (
          <g key={wire.id} opacity={faded(wire.id)} data-wire={wire.id}>
            {ghosts?.has(wire.id) ? (
              <GhostStroke d={roundedPath(wire.path)} />
            ) : (
              <WireStroke d={roundedPath(wire.path)} insulation={wire.insulation} gauge={wire.gauge} />
            )}
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
      {drawing.caps.map(({ end, bare, at: [x, y] }) => (
        <g
          key={end}
          opacity={faded(end)}
          data-point={end}
          {...pointTap(handlers, end, bare ? say('boxFigure.bare') : say('boxFigure.cappedConductor'))}
        >
          {handlers.onPoint ? <circle cx={x} cy={y + 8} r={18} fill="transparent" /> : null}
          {bare ? (
            <BareEnd x={x} y={y} />
          ) : (
            <path
              d={`M${x - 8} ${y - 4}h16l-3 24a5 5 0 0 1 -10 0z`}
              fill="var(--paper)"
              stroke="var(--ink)"
              strokeWidth={2}
            />
          )}
          <Probe handlers={handlers} point={end} x={x} y={y + 8} />
        </g>
      ))}
      {drawing.screws.map((screw) => (
        <EnclosureScrew
          key={screw.id}
          screw={screw}
          handle={handles.includes(screw)}
          opacity={faded(screw.id)}
          live={live}
          handlers={handlers}
        />
      ))}
      {order.map((wire) => (
        <g
          key={wire.id}
          opacity={faded(wire.id)}
          {...(handlers.onWire
            ? tap(wire.name, () => handlers.onWire?.(wire.id, wire.wire, wire.point))
            : {})}
          {...(handlers.onDrop ? dragging(wire.id, handlers.onDrop) : {})}
          data-end={wire.id}
        >
          {handlers.onWire ? (
            <circle cx={wire.badge[0]} cy={wire.badge[1]} r={12} fill="transparent" />
          ) : null}
          {handlers.picked === wire.id ? <Ring x={wire.badge[0]} y={wire.badge[1]} /> : null}
          {handlers.clamped === wire.wire ? <Clamp x={wire.badge[0]} y={wire.badge[1]} width={34} /> : null}
          <Letter at={wire.badge} insulation={wire.insulation} />
        </g>
      ))}
    </svg>
  );
}

/** A label that had no room. */
const isCut = ({ title, role, whole }: DrawnCable): boolean => whole !== `${title}, ${role}`;
