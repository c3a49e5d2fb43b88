import type { DeviceProps } from '../device-props';
import { tap } from '../live';
import { say } from '~/words/drawing';

/** What hangs on its box: a lamp, or a fan with its light, each part marked lit or dark. */
export function Hung({
  device,
  live,
  handlers,
  keys,
}: DeviceProps & { keys: readonly (readonly [key: string, name: string, turns: boolean])[] }) {
  const middle = device.x + device.width / 2;
  return (
    <>
      {keys.map(([key, name, turns], index) => {
        const state = live?.part(key);
        const y = device.y + (device.height * (index + 1)) / (keys.length + 1);
        return (
          <g key={key} data-part={key} {...(handlers.onLamp ? tap(name, () => handlers.onLamp?.(key)) : {})}>
            <circle
              cx={middle}
              cy={y}
              r={keys.length > 1 ? 26 : 38}
              fill={state?.live ? 'var(--face-live)' : 'var(--face)'}
              stroke={state?.live ? 'var(--face-plum)' : 'var(--device-edge)'}
              strokeWidth={state?.live ? 5 : 2}
              strokeDasharray={state?.light === 'dim' ? '6 6' : undefined}
            />
            <path
              d={
                keys.length > 1
                  ? `M${middle - 18} ${y - 18}l36 36m0 -36l-36 36`
                  : `M${middle - 27} ${y - 27}l54 54m0 -54l-54 54`
              }
              stroke="var(--device-edge)"
              strokeWidth={2}
            />
            <text
              x={middle}
              y={y + (keys.length > 1 ? 42 : 64)}
              textAnchor="middle"
              fontSize={13}
              fontWeight={700}
              fill="var(--face-ink)"
            >
              {state
                ? say('hung.state', {
                    name: keys.length > 1 ? `${name} ` : '',
                    fan: turns,
                    light: state.light,
                  })
                : name}
            </text>
          </g>
        );
      })}
    </>
  );
}
