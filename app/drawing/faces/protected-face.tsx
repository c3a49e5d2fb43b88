import { deviceKind } from '@core/trade/devices';
import type { Rect } from '@core/wiring/geometry/drawing';
import type { DeviceProps } from '../device-props';
import { tap } from '../live';
import { Half } from './half';
import { Toggle } from './toggle';
import { say } from '~/words/drawing';

const NAME = { gfci: 'GFCI', afci: 'AFCI', dual: 'AFCI + GFCI' } as const;

/** A receptacle that trips: both its outlets with TEST and RESET between; of a combination device its handle and outlet. */
export function ProtectedFace(props: DeviceProps) {
  const { device, live } = props;
  const kind = deviceKind(device.kind);
  const [left, width] = [device.x + 20, device.width - 40];
  const handle = kind.positions.length > 0;
  const tripped = live?.tripped(device.id) ?? false;
  const half = (device.width - 22) / 2;
  const button = (index: number): Rect => ({
    x: device.x + 8 + index * (half + 6),
    y: device.y + (handle ? 86 : 94),
    width: half,
    height: 28,
  });
  return (
    <>
      {handle ? (
        <>
          <Toggle {...props} at={{ y: device.y + 56, height: 56 }} />
          <Half {...props} part="outlet" box={{ x: left, y: device.y + 122, width, height: 96 }} />
        </>
      ) : (
        <>
          <Half
            {...props}
            part="outlet"
            place="upper"
            box={{ x: left, y: device.y + 10, width, height: 78 }}
          />
          <Half
            {...props}
            part="outlet"
            place="lower"
            box={{ x: left, y: device.y + 144, width, height: 78 }}
          />
        </>
      )}
      {(['TEST', 'RESET'] as const).map((name, index) => (
        <Button key={name} {...props} name={name} out={name === 'RESET' && tripped} box={button(index)} />
      ))}
      <text
        x={device.x + device.width / 2}
        y={device.y + (handle ? 22 : 137)}
        textAnchor="middle"
        fontSize={11.5}
        fontWeight={700}
        fill="var(--face-ink)"
      >
        {say('protectedFace.label', { name: kind.protection ? NAME[kind.protection.kind] : '', tripped })}
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
}: DeviceProps & { name: 'TEST' | 'RESET'; out: boolean; box: Rect }) {
  const press = handlers.onTest
    ? tap(say('protectedFace.button', { name }), () => handlers.onTest?.(device.id, name === 'TEST'))
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
        y={box.y + box.height / 2 + 4}
        textAnchor="middle"
        fontSize={11}
        fontWeight={750}
        fill="var(--face-ink)"
      >
        {name}
      </text>
    </g>
  );
}
