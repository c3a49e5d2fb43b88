import { deviceKind } from '@core/trade/devices';
import type { DeviceProps } from '../device-props';
import { tap } from '../live';
import { say } from '~/words/drawing';

/** A switch handle; `at.y` is its middle. Radio switches have one too, though no wire. */
export function Toggle({ device, live, handlers, at }: DeviceProps & { at: { y: number; height: number } }) {
  const kind = deviceKind(device.kind);
  const position = live?.position(device.id) ?? 0;
  const up = position === 1;
  const middle = device.x + device.width / 2;
  const name = kind.positions[position] ?? '';
  const tall = at.height > 120;
  const tappable = handlers.onHandle && kind.positions.length > 0;
  return (
    <g
      {...(tappable ? tap(`${kind.name}, ${name}`, () => handlers.onHandle?.(device.id)) : {})}
      data-handle={device.id}
    >
      <rect
        x={middle - 42}
        y={at.y - at.height / 2}
        width={84}
        height={at.height}
        rx={10}
        fill="transparent"
      />
      <rect
        x={middle - 17}
        y={at.y - (tall ? 40 : 30)}
        width={34}
        height={tall ? 80 : 60}
        rx={5}
        fill="var(--face-live)"
        stroke="var(--device-edge)"
        strokeWidth={2}
      />
      <rect
        x={middle - 11}
        y={up ? at.y - (tall ? 54 : 40) : at.y + 4}
        width={22}
        height={tall ? 50 : 36}
        rx={6}
        fill="var(--face)"
        stroke="var(--device-edge)"
        strokeWidth={2}
      />
      <text
        x={tall ? middle : middle + 38}
        y={tall ? at.y + 70 : at.y - 18}
        textAnchor="middle"
        fontSize={13}
        fontWeight={700}
        fill="var(--face-ink)"
      >
        {name}
      </text>
      {tall ? (
        <text
          x={middle}
          y={at.y - 68}
          textAnchor="middle"
          fontSize={12}
          fontWeight={650}
          fill="var(--face-ink)"
        >
          {kind.name.replace(say('toggle.switch'), '')}
        </text>
      ) : null}
    </g>
  );
}
