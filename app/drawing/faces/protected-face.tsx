import { deviceKind } from '@core/devices';
import type { Rect } from '@core/geometry/drawing';
import type { DeviceProps } from '../device-props';
import { tap } from '../live';
import { Half } from './half';
import { Toggle } from './toggle';
import { say } from '~/words/drawing';

const NAME = { gfci: 'GFCI', afci: 'AFCI', dual: 'AFCI + GFCI' } as const;

/** A receptacle that trips: its outlet, TEST and RESET, and the handle of a combination device above them. */
export function ProtectedFace(props: DeviceProps) {
  const { device, live } = props;
  const kind = deviceKind(device.kind);
  const left = device.x + 14;
  const width = device.width - 28;
  const handle = kind.positions.length > 0;
  const tripped = live?.tripped(device.id) ?? false;
  const half = (width - 6) / 2;
  const button = (index: number): Rect =>
    handle
      ? { x: left + index * (half + 6), y: device.y + 86, width: half, height: 28 }
      : { x: left + 8, y: device.y + 42 + index * 34, width: width - 16, height: 24 };
  return (
    <>
      {handle ? <Toggle {...props} at={{ y: device.y + 56, height: 56 }} /> : null}
      <Half
        {...props}
        part="outlet"
        box={{ x: left, y: device.y + (handle ? 122 : 116), width, height: handle ? 96 : 102 }}
      />
      {(['Test', 'Reset'] as const).map((name, index) => (
        <Button key={name} {...props} name={name} out={name === 'Reset' && tripped} box={button(index)} />
      ))}
      <text
        x={device.x + device.width / 2}
        y={device.y + (handle ? 22 : 28)}
        textAnchor="middle"
        fontSize={12.5}
        fontWeight={700}
        fill="var(--face-ink)"
      >
        {tripped ? 'tripped' : kind.protection ? NAME[kind.protection.kind] : ''}
      </text>
    </>
  );
}

function Button({
  device,
  handlers,
  name,
  out,
  box,
}: DeviceProps & { name: 'Test' | 'Reset'; out: boolean; box: Rect }) {
  const press = handlers.onTest
    ? tap(say('protectedFace.button', { name }), () => handlers.onTest?.(device.id, name === 'Test'))
    : {};
  return (
    <g {...press}>
      <rect x={box.x - 3} y={box.y - 6} width={box.width + 6} height={box.height + 10} fill="transparent" />
      <rect
        {...box}
        rx={5}
        fill={out ? 'var(--face-live)' : 'var(--face)'}
        stroke={out ? 'var(--face-plum)' : 'var(--device-edge)'}
        strokeWidth={out ? 3.5 : 1.8}
      />
      <text
        x={box.x + box.width / 2}
        y={box.y + box.height / 2 + 5}
        textAnchor="middle"
        fontSize={13}
        fontWeight={700}
        fill="var(--face-ink)"
      >
        {name}
      </text>
    </g>
  );
}
