import { deviceKind, powerParts } from '@core/trade/devices';
import type { DrawnDevice } from '@core/wiring/geometry/drawing';
import { partKey, terminalId } from '@core/job/model/wiring';
import { ProtectedFace } from './faces/protected-face';
import { Half } from './faces/half';
import { Hung } from './faces/hung';
import { Toggle } from './faces/toggle';
import type { DeviceProps } from './device-props';
import { seating } from './drag';
import { Screw, Tab } from './screws';
import { say } from '~/words/drawing';

/** A device from the front: strap, body, face, tabs and screws. */
export function Device({ device, live, handlers, faded }: DeviceProps & { faded: (id: string) => number }) {
  const middle = device.x + device.width / 2;
  const kind = deviceKind(device.kind);
  return (
    <g {...(handlers.onSeat && kind.yoke ? seating(device.id, handlers.onSeat) : {})} data-device={device.id}>
      {kind.yoke
        ? [device.y - 20, device.y + device.height].map((y) => (
            <rect
              key={y}
              x={middle - 19}
              y={y}
              width={38}
              height={20}
              fill="var(--silver)"
              stroke="var(--device-edge)"
            />
          ))
        : null}
      <rect
        x={device.x}
        y={device.y}
        width={device.width}
        height={device.height}
        rx={kind.yoke ? 9 : device.width / 2.4}
        fill="var(--device)"
        stroke="var(--device-edge)"
        strokeWidth={2}
      />
      <Sides device={device} />
      {device.behind ? <Back device={device} /> : <Face device={device} live={live} handlers={handlers} />}
      <Works device={device} />
      {device.tabs.map((tab) => (
        <Tab
          key={tab.id}
          tab={tab}
          opacity={faded(tab.id)}
          outward={tab.from[0] < middle ? 'left' : 'right'}
          onTab={handlers.onTab ? () => handlers.onTab?.(device.id, tab.tab) : undefined}
        />
      ))}
      {device.terminals.map((terminal) => (
        <Screw
          key={terminal.id}
          terminal={terminal}
          side={terminal.at[0] < middle ? 'left' : 'right'}
          handlers={handlers}
          opacity={faded(terminal.id)}
        />
      ))}
    </g>
  );
}

/** What the handle works, under it. */
export function Works({ device: { works } }: { device: DrawnDevice }) {
  return works ? (
    <text
      x={works.at[0]}
      y={works.at[1]}
      textAnchor="middle"
      fontSize={14}
      fontWeight={650}
      fill="var(--ink-soft)"
      data-works
    >
      <title>{works.whole}</title>
      {works.text}
    </text>
  ) : null;
}

/** What is marked beside the screws: LINE and LOAD, and which one is the common of a 3-way. */
function Sides({ device }: { device: DrawnDevice }) {
  const kind = deviceKind(device.kind);
  const { protection } = kind;
  const screws = [
    ...(protection
      ? (['line', 'load'] as const).flatMap((side) =>
          [protection[side].hot, protection[side].neutral].map(
            (id) => [side === 'line' ? say('device.line') : say('device.load'), id] as const,
          ),
        )
      : []),
    // A dark screw that is the only one of its color is the common.
    ...(kind.terminals.filter(({ screw }) => screw === 'dark').length === 1
      ? kind.terminals
          .filter(({ screw }) => screw === 'dark')
          .map(({ id }) => [say('device.common'), id] as const)
      : []),
  ];
  return screws.map(([word, own]) => {
    const id = terminalId(device.id, own);
    const at = device.terminals.find((one) => one.id === id)?.at;
    if (!at) return null;
    const left = at[0] < device.x + device.width / 2;
    const x = left ? device.x + 14 : device.x + device.width - 14;
    return (
      <text
        key={id}
        x={x}
        y={at[1]}
        transform={`rotate(${left ? -90 : 90} ${x} ${at[1]})`}
        textAnchor="middle"
        dominantBaseline="central"
        fontSize={10.5}
        fontWeight={750}
        fill="var(--face-ink)"
      >
        {word}
      </text>
    );
  });
}

/** The back of a device: nothing to plug into, its name, and that it is turned. */
function Back({ device }: { device: DrawnDevice }) {
  const middle = device.x + device.width / 2;
  return (
    <>
      <rect
        x={device.x + 22}
        y={device.y + 40}
        width={device.width - 44}
        height={device.height - 80}
        rx={6}
        fill="var(--face-live)"
        stroke="var(--device-edge)"
        strokeWidth={1.8}
      />
      {['from', 'behind'].map((word, line) => (
        <text
          key={word}
          x={middle}
          y={device.y + device.height / 2 + line * 18 - 4}
          textAnchor="middle"
          fontSize={14}
          fontWeight={700}
          fill="var(--face-ink)"
        >
          {word}
        </text>
      ))}
    </>
  );
}

/** What the front looks like, by what the kind has: contacts that trip, halves, a handle, parts that hang. */
export function Face(props: DeviceProps) {
  const { device } = props;
  const left = device.x + 14;
  const width = device.width - 28;
  const kind = deviceKind(device.kind);
  const handle = kind.positions.length > 0 || kind.wireless === true;
  if (kind.protection) return <ProtectedFace {...props} />;
  if (kind.halves)
    return (
      <>
        <Half {...props} part="upper" box={{ x: left, y: device.y + 14, width, height: 96 }} />
        <Half {...props} part="lower" box={{ x: left, y: device.y + 122, width, height: 96 }} />
      </>
    );
  if (kind.receptacle && handle)
    return (
      <>
        <Toggle {...props} at={{ y: device.y + 62, height: 92 }} />
        <Half {...props} part="outlet" box={{ x: left, y: device.y + 124, width, height: 94 }} />
      </>
    );
  if (kind.receptacle)
    return <Half {...props} part="outlet" box={{ x: left, y: device.y + 66, width, height: 100 }} />;
  if (handle) return <Toggle {...props} at={{ y: device.y + device.height / 2, height: 168 }} />;
  return (
    <Hung
      {...props}
      keys={powerParts(kind).map(({ id, name }) => [partKey(device.id, id), name, id === 'fan'])}
    />
  );
}
