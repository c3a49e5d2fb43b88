import type { DeviceProps } from '../device';
import { tap } from '../live';
import { Half } from './half';

/** A protecting receptacle: its outlet, and the TEST and RESET buttons between. */
export function ProtectedFace(props: DeviceProps) {
  const { device, live, handlers } = props;
  const left = device.x + 14;
  const width = device.width - 28;
  const tripped = live?.tripped(device.id) ?? false;
  const act = (name: string, open: boolean) =>
    handlers.onTest ? tap(`${name} button`, () => handlers.onTest?.(device.id, open)) : {};
  return (
    <>
      <Half {...props} part="outlet" box={{ x: left, y: device.y + 116, width, height: 102 }} />
      {(['Test', 'Reset'] as const).map((name, index) => {
        const y = device.y + 42 + index * 34;
        const out = name === 'Reset' && tripped;
        return (
          <g key={name} {...act(name, name === 'Test')}>
            <rect x={left - 4} y={y - 6} width={width + 8} height={34} fill="transparent" />
            <rect
              x={left + 8}
              y={y}
              width={width - 16}
              height={24}
              rx={5}
              fill={out ? 'var(--face-live)' : 'var(--face)'}
              stroke={out ? 'var(--face-plum)' : 'var(--device-edge)'}
              strokeWidth={out ? 3.5 : 1.8}
            />
            <text
              x={left + width / 2}
              y={y + 17}
              textAnchor="middle"
              fontSize={13}
              fontWeight={700}
              fill="var(--face-ink)"
            >
              {name}
            </text>
          </g>
        );
      })}
      <text
        x={device.x + device.width / 2}
        y={device.y + 28}
        textAnchor="middle"
        fontSize={12.5}
        fontWeight={700}
        fill="var(--face-ink)"
      >
        {tripped ? 'tripped' : (KIND_NAME[device.kind] ?? device.kind)}
      </text>
    </>
  );
}

const KIND_NAME: Record<string, string> = { gfci: 'GFCI', afci: 'AFCI', 'dual-function': 'AFCI + GFCI' };
