import type { DrawnScrew } from '@core/wiring/geometry/drawing';
import { tap, type BoxHandlers, type LiveView } from './live';
import { Probe, SCREW_FILL } from './screws';
import { say } from '~/words/drawing';

interface Props {
  readonly screw: DrawnScrew;
  /** A breaker's handle is drawn under it. */
  readonly handle: boolean;
  readonly opacity: number;
  readonly live: LiveView | undefined;
  readonly handlers: BoxHandlers;
}

/** A screw of the enclosure: the ground screw of a metal box, a bar of the panel, a breaker with its handle. */
export function EnclosureScrew({ screw, handle, opacity, live, handlers }: Props) {
  const [x, y] = screw.at;
  const probe = handlers.onPoint ? tap(screw.name, () => handlers.onPoint?.(screw.point)) : {};
  return (
    <g opacity={opacity}>
      <g data-point={screw.point} {...probe}>
        {handlers.onPoint ? <circle cx={x} cy={y} r={18} fill="transparent" /> : null}
        {screw.screw === 'lead' ? (
          <BareEnd x={x} y={y - 10} />
        ) : (
          <circle
            cx={x}
            cy={y}
            r={11}
            fill={SCREW_FILL[screw.screw]}
            stroke="var(--device-edge)"
            strokeWidth={1.8}
          />
        )}
        <text x={x} y={y + 27} textAnchor="middle" fontSize={12} fontWeight={650} fill="var(--ink)">
          {screw.name}
        </text>
        <Probe handlers={handlers} point={screw.point} x={x} y={y} />
      </g>
      {handle && live ? <Breaker screw={screw} live={live} handlers={handlers} /> : null}
    </g>
  );
}

/** The stripped end of a conductor that nothing is on. */
export function BareEnd({ x, y }: { x: number; y: number }) {
  return (
    <path
      d={`M${x} ${y}v17`}
      stroke="var(--wire-bare)"
      strokeWidth={5}
      strokeLinecap="round"
      strokeDasharray="3 2"
    />
  );
}

/** A breaker's handle under its screw: up is on; tripped it stands in the middle. */
export function Breaker({
  screw,
  live,
  handlers,
  ink = 'var(--ink)',
}: {
  screw: DrawnScrew;
  live: LiveView;
  handlers: BoxHandlers;
  ink?: string;
}) {
  const [x, y] = [screw.at[0], screw.at[1] + 36];
  const circuit = screw.circuit ?? '';
  const state = live.breaker(circuit);
  const press = handlers.onBreaker
    ? {
        ...tap(say('boxFigure.breaker', { number: screw.name }), () => handlers.onBreaker?.(circuit)),
        role: 'switch',
        'aria-checked': state === 'on',
      }
    : {};
  const said =
    state === 'on' ? say('boxFigure.on') : state === 'off' ? say('boxFigure.off') : say('boxFigure.tripped');
  return (
    <g {...press} data-breaker={state}>
      <rect x={x - 17} y={y} width={34} height={54} rx={5} fill={ink} />
      <rect
        x={x - 11}
        y={y + (state === 'on' ? 4 : state === 'off' ? 28 : 16)}
        width={22}
        height={22}
        rx={3}
        fill="var(--paper)"
      />
      <text x={x} y={y + 69} textAnchor="middle" fontSize={12} fontWeight={700} fill={ink}>
        {said}
      </text>
    </g>
  );
}
