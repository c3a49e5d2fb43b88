import type { Rect } from '@core/wiring/geometry/drawing';
import { deviceKind, powerParts } from '@core/trade/devices';
import { partKey, secondPlug, terminalId } from '@core/job/model/wiring';
import type { DeviceProps } from '../device-props';
import { tap, type LivePart } from '../live';
import { Probe } from '../screws';
import { say } from '~/words/drawing';

/** Height that slots and plug are drawn for; in a lower place they are drawn smaller. */
const DRAWN_FOR = 94;

/**
 * One place for a plug: empty, or with what is plugged in. Tinted and ringed while live. A part with two places says
 * which it is by `place`.
 */
export function Half({
  device,
  part,
  place,
  box,
  live,
  handlers,
}: DeviceProps & { part: string; place?: 'upper' | 'lower'; box: Rect }) {
  const own = partKey(device.id, part);
  const key = place === 'lower' ? secondPlug(own) : own;
  const state = live?.part(key);
  const middle = box.x + box.width / 2;
  const name = place
    ? place === 'upper'
      ? say('half.upper')
      : say('half.lower')
    : (deviceKind(device.kind).parts.find(({ id }) => id === part)?.name ?? part);
  const label = `${name}${state ? say('half.trueOther', { live: state.live }) : ''}`;
  const scale = Math.min(1, box.height / DRAWN_FOR);
  return (
    <g
      {...(handlers.onPart && !handlers.onSlot ? tap(label, () => handlers.onPart?.(key)) : {})}
      data-part={key}
    >
      <rect
        {...box}
        rx={Math.min(30, box.height / 3)}
        fill={state?.live ? 'var(--face-live)' : 'var(--face)'}
        stroke={state?.live ? 'var(--face-plum)' : 'var(--device-edge)'}
        strokeWidth={state?.live ? 4 : 1.8}
      />
      <g transform={`translate(${middle} ${box.y}) scale(${scale})`}>
        {state?.plugged ? (
          <Plugged state={state} />
        ) : (
          <g
            fill="var(--face-ink)"
            {...(device.turned ? { transform: `rotate(180 0 ${DRAWN_FOR / 2})` } : {})}
          >
            <rect x={-22} y={20} width={6.5} height={26} rx={1} />
            <rect x={15} y={22} width={6.5} height={20} rx={1} />
            <path d="M-9 76v-8a9 9 0 0 1 18 0v8z" />
          </g>
        )}
        {state?.plugged ? null : <Slots device={device} part={part} name={name} handlers={handlers} />}
      </g>
    </g>
  );
}

/** Its three slots as places for a probe. */
function Slots({
  device: { id, kind, turned },
  part,
  name,
  handlers,
}: Pick<DeviceProps, 'device' | 'handlers'> & { part: string; name: string }) {
  const own = powerParts(deviceKind(kind)).find((one) => one.id === part);
  const { onSlot } = handlers;
  if (!own || !onSlot) return null;
  const side = turned ? -1 : 1;
  const slots = [
    ['hot', own.face?.hot ?? own.hot, 19 * side, turned ? 62 : 32],
    ['neutral', own.face?.neutral ?? own.neutral, -19 * side, turned ? 62 : 32],
    ['ground', own.ground, 0, turned ? 26 : 68],
  ] as const;
  return slots.map(([slot, terminal, x, y]) => {
    const point = terminalId(id, terminal);
    return (
      <g key={slot} data-point={point} {...tap(say('half.slot', { slot, name }), () => onSlot(point))}>
        <circle cx={x} cy={y} r={18} fill="transparent" />
        <Probe handlers={handlers} point={point} x={x} y={y} side={x < 0 ? 'left' : 'right'} />
      </g>
    );
  });
}

/** What sits in a half: a tester with its three lights, or a load by name. */
function Plugged({ state }: { state: LivePart }) {
  return (
    <g>
      <rect x={-40} y={14} width={80} height={64} rx={10} fill="var(--face-ink)" />
      {state.lights ? (
        state.lights.map((lit, index) => (
          <g key={index}>
            <circle
              cx={-22 + index * 22}
              cy={38}
              r={7.5}
              fill={lit ? 'var(--face)' : 'none'}
              stroke="var(--face)"
              strokeWidth={2}
            />
            {lit ? <circle cx={-22 + index * 22} cy={38} r={3.4} fill="var(--face-plum)" /> : null}
          </g>
        ))
      ) : (
        <text x={0} y={42} textAnchor="middle" fontSize={13} fontWeight={700} fill="var(--face)">
          {state.plugged}
        </text>
      )}
      <text x={0} y={66} textAnchor="middle" fontSize={12} fontWeight={650} fill="var(--face)">
        {state.lights ? say('half.tester') : say('half.state', { light: state.light })}
      </text>
    </g>
  );
}
