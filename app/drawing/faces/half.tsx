import type { Rect } from '@core/geometry/drawing';
import { deviceKind } from '@core/devices';
import { partKey } from '@core/model/wiring';
import type { DeviceProps } from '../device-props';
import { tap, type LivePart } from '../live';
import { say } from '~/words/drawing';

/** One place for a plug: empty, or with what is plugged in. Tinted and ringed while live. */
export function Half({ device, part, box, live, handlers }: DeviceProps & { part: string; box: Rect }) {
  const key = partKey(device.id, part);
  const state = live?.part(key);
  const middle = box.x + box.width / 2;
  const name = deviceKind(device.kind).parts.find(({ id }) => id === part)?.name ?? part;
  const label = `${name}${state ? say('half.trueOther', { live: state.live }) : ''}`;
  return (
    <g {...(handlers.onPart ? tap(label, () => handlers.onPart?.(key)) : {})} data-part={key}>
      <rect
        {...box}
        rx={30}
        fill={state?.live ? 'var(--face-live)' : 'var(--face)'}
        stroke={state?.live ? 'var(--face-plum)' : 'var(--device-edge)'}
        strokeWidth={state?.live ? 4 : 1.8}
      />
      {state?.plugged ? (
        <Plugged middle={middle} y={box.y} state={state} />
      ) : (
        <g
          fill="var(--face-ink)"
          {...(device.turned ? { transform: `rotate(180 ${middle} ${box.y + box.height / 2})` } : {})}
        >
          <rect x={middle - 22} y={box.y + 20} width={6.5} height={26} rx={1} />
          <rect x={middle + 15} y={box.y + 22} width={6.5} height={20} rx={1} />
          <path d={`M${middle - 9} ${box.y + 76}v-8a9 9 0 0 1 18 0v8z`} />
        </g>
      )}
    </g>
  );
}

/** What sits in a half: a tester with its three lights, or a load by name. */
function Plugged({ middle, y, state }: { middle: number; y: number; state: LivePart }) {
  return (
    <g>
      <rect x={middle - 40} y={y + 14} width={80} height={64} rx={10} fill="var(--face-ink)" />
      {state.lights ? (
        state.lights.map((lit, index) => (
          <g key={index}>
            <circle
              cx={middle - 22 + index * 22}
              cy={y + 38}
              r={7.5}
              fill={lit ? 'var(--face)' : 'none'}
              stroke="var(--face)"
              strokeWidth={2}
            />
            {lit ? (
              <circle cx={middle - 22 + index * 22} cy={y + 38} r={3.4} fill="var(--face-plum)" />
            ) : null}
          </g>
        ))
      ) : (
        <text x={middle} y={y + 42} textAnchor="middle" fontSize={13} fontWeight={700} fill="var(--face)">
          {state.plugged?.split(' ')[0]}
        </text>
      )}
      <text x={middle} y={y + 66} textAnchor="middle" fontSize={12} fontWeight={650} fill="var(--face)">
        {state.lights ? 'tester' : state.live ? 'on' : 'off'}
      </text>
    </g>
  );
}
