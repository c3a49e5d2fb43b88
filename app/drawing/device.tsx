import type { DrawnDevice, DrawnTab, DrawnTerminal } from '@core/geometry/drawing';
import { deviceKind } from '@core/devices';
import { partKey } from '@core/network/network';
import { tap, type BoxHandlers, type LiveView } from './live';

const SCREW_FILL = {
  brass: 'var(--brass)',
  silver: 'var(--silver)',
  green: 'var(--screw-green)',
  dark: 'var(--screw-dark)',
  lead: 'var(--well)',
} as const;

interface Props {
  readonly device: DrawnDevice;
  readonly live: LiveView | undefined;
  readonly handlers: BoxHandlers;
  readonly faded: (id: string) => number;
}

export function Device({ device, live, handlers, faded }: Props) {
  const middle = device.x + device.width / 2;
  const round = device.kind === 'luminaire';
  return (
    <g>
      {round ? null : (
        <>
          {[device.y - 20, device.y + device.height].map((y) => (
            <rect
              key={y}
              x={middle - 19}
              y={y}
              width={38}
              height={20}
              fill="var(--silver)"
              stroke="var(--device-edge)"
            />
          ))}
        </>
      )}
      <rect
        x={device.x}
        y={device.y}
        width={device.width}
        height={device.height}
        rx={round ? device.width / 2 : 9}
        fill="var(--device)"
        stroke="var(--device-edge)"
        strokeWidth={2}
      />
      <Face device={device} live={live} handlers={handlers} />
      {device.tabs.map((tab) => (
        <Tab key={tab.id} tab={tab} opacity={faded(tab.id)} />
      ))}
      {device.terminals.map((terminal) => (
        <Screw key={terminal.id} terminal={terminal} handlers={handlers} opacity={faded(terminal.id)} />
      ))}
    </g>
  );
}

function Face({ device, live, handlers }: Omit<Props, 'faded'>) {
  const left = device.x + 14;
  const width = device.width - 28;
  switch (device.kind) {
    case 'duplex':
      return (
        <>
          <Half
            device={device}
            part="upper"
            box={{ x: left, y: device.y + 14, width, height: 96 }}
            live={live}
            handlers={handlers}
          />
          <Half
            device={device}
            part="lower"
            box={{ x: left, y: device.y + 122, width, height: 96 }}
            live={live}
            handlers={handlers}
          />
        </>
      );
    case 'single':
      return (
        <Half
          device={device}
          part="outlet"
          box={{ x: left, y: device.y + 66, width, height: 100 }}
          live={live}
          handlers={handlers}
        />
      );
    case 'luminaire':
      return <Lamp device={device} live={live} />;
    default:
      return <Toggle device={device} live={live} handlers={handlers} />;
  }
}

function Half({
  device,
  part,
  box,
  live,
  handlers,
}: Omit<Props, 'faded'> & { part: string; box: { x: number; y: number; width: number; height: number } }) {
  const key = partKey(device.id, part);
  const state = live?.part(key);
  const middle = box.x + box.width / 2;
  const name = `${partName(device.kind, part)}${state ? `, ${state.live ? 'live' : 'dead'}` : ''}`;
  return (
    <g {...(handlers.onPart ? tap(name, () => handlers.onPart?.(key)) : {})} data-part={key}>
      <rect
        {...box}
        rx={30}
        fill={state?.live ? 'var(--face-live)' : 'var(--face)'}
        stroke={state?.live ? 'var(--face-plum)' : 'var(--device-edge)'}
        strokeWidth={state?.live ? 4 : 1.8}
      />
      {state?.plugged ? (
        <Plugged middle={middle} y={box.y} what={state.plugged} lights={state.lights} on={state.live} />
      ) : (
        <g fill="var(--face-ink)" stroke="none">
          <rect x={middle - 22} y={box.y + 20} width={6.5} height={26} rx={1} />
          <rect x={middle + 15} y={box.y + 22} width={6.5} height={20} rx={1} />
          <path d={`M${middle - 9} ${box.y + 76}v-8a9 9 0 0 1 18 0v8z`} />
        </g>
      )}
      {handlers.labels?.[key] ? (
        <text
          x={middle}
          y={box.y + box.height - 8}
          textAnchor="middle"
          fontSize={11.5}
          fontWeight={700}
          fill="var(--face-ink)"
        >
          {handlers.labels[key]}
        </text>
      ) : null}
    </g>
  );
}

/** What sits in a half: a tester with its three lights, or a load by name. */
function Plugged({
  middle,
  y,
  what,
  lights,
  on,
}: {
  middle: number;
  y: number;
  what: string;
  lights: readonly boolean[] | undefined;
  on: boolean;
}) {
  return (
    <g>
      <rect x={middle - 40} y={y + 14} width={80} height={64} rx={10} fill="var(--face-ink)" />
      {lights ? (
        lights.map((lit, index) => (
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
          {what.split(' ')[0]}
        </text>
      )}
      <text x={middle} y={y + 66} textAnchor="middle" fontSize={12} fontWeight={650} fill="var(--face)">
        {lights ? 'tester' : on ? 'on' : 'off'}
      </text>
    </g>
  );
}

function Toggle({ device, live, handlers }: Omit<Props, 'faded'>) {
  const kind = deviceKind(device.kind);
  const position = live?.position(device.id) ?? 0;
  const up = position === 1;
  const middle = device.x + device.width / 2;
  const y = device.y + device.height / 2;
  const name = kind.positions[position] ?? '';
  return (
    <g
      {...(handlers.onHandle ? tap(`${kind.name}, ${name}`, () => handlers.onHandle?.(device.id)) : {})}
      data-handle={device.id}
    >
      <rect x={middle - 42} y={y - 84} width={84} height={168} rx={10} fill="transparent" />
      <rect
        x={middle - 17}
        y={y - 40}
        width={34}
        height={80}
        rx={5}
        fill="var(--face-live)"
        stroke="var(--device-edge)"
        strokeWidth={2}
      />
      <rect
        x={middle - 11}
        y={up ? y - 54 : y + 4}
        width={22}
        height={50}
        rx={6}
        fill="var(--face)"
        stroke="var(--device-edge)"
        strokeWidth={2}
      />
      <text x={middle} y={y + 70} textAnchor="middle" fontSize={13} fontWeight={700} fill="var(--face-ink)">
        {name}
      </text>
      <text x={middle} y={y - 68} textAnchor="middle" fontSize={12} fontWeight={650} fill="var(--face-ink)">
        {kind.name.replace(' switch', '')}
      </text>
    </g>
  );
}

function Lamp({ device, live }: { device: DrawnDevice; live: LiveView | undefined }) {
  const state = live?.part(partKey(device.id, 'lamp'));
  const middle = device.x + device.width / 2;
  const y = device.y + device.height / 2;
  return (
    <g data-part={partKey(device.id, 'lamp')}>
      <circle
        cx={middle}
        cy={y}
        r={38}
        fill={state?.live ? 'var(--face-live)' : 'var(--face)'}
        stroke={state?.live ? 'var(--face-plum)' : 'var(--device-edge)'}
        strokeWidth={state?.live ? 5 : 2}
      />
      <path d={`M${middle - 27} ${y - 27}l54 54m0 -54l-54 54`} stroke="var(--device-edge)" strokeWidth={2} />
      <text x={middle} y={y + 64} textAnchor="middle" fontSize={13} fontWeight={700} fill="var(--face-ink)">
        {state ? (state.live ? 'lit' : 'dark') : 'light'}
      </text>
    </g>
  );
}

function Tab({ tab, opacity }: { tab: DrawnTab; opacity: number }) {
  const x = tab.from[0];
  const [top, bottom] = [Math.min(tab.from[1], tab.to[1]) + 14, Math.max(tab.from[1], tab.to[1]) - 14];
  const middle = (top + bottom) / 2;
  const fill = SCREW_FILL[tab.screw];
  const pieces = tab.broken
    ? [
        [top, middle - 9],
        [middle + 9, bottom],
      ]
    : [[top, bottom]];
  return (
    <g opacity={opacity}>
      {pieces.map(([from = 0, to = 0]) => (
        <rect
          key={from}
          x={x - 5}
          y={from}
          width={10}
          height={to - from}
          fill={fill}
          stroke="var(--device-edge)"
          strokeWidth={1.2}
        />
      ))}
      {tab.broken ? (
        <>
          <path
            d={`M${x - 9} ${middle + 3}l6 -6 6 6 6 -6`}
            fill="none"
            stroke="var(--plum)"
            strokeWidth={2.6}
          />
          <text
            x={tab.screw === 'silver' ? x + 12 : x - 12}
            y={middle + 4}
            textAnchor={tab.screw === 'silver' ? 'start' : 'end'}
            fontSize={11.5}
            fontWeight={750}
            fill="var(--face-plum)"
          >
            broken
          </text>
        </>
      ) : null}
    </g>
  );
}

function Screw({
  terminal,
  handlers,
  opacity,
}: {
  terminal: DrawnTerminal;
  handlers: BoxHandlers;
  opacity: number;
}) {
  const [x, y] = terminal.at;
  return (
    <g
      opacity={opacity}
      data-point={terminal.id}
      {...(handlers.onPoint ? tap(terminal.name, () => handlers.onPoint?.(terminal.id)) : {})}
    >
      {handlers.onPoint ? <circle cx={x} cy={y} r={20} fill="transparent" /> : null}
      <circle
        cx={x}
        cy={y}
        r={11}
        fill={SCREW_FILL[terminal.screw]}
        stroke="var(--device-edge)"
        strokeWidth={1.8}
      />
      <path d={`M${x - 6} ${y + 3}l12 -6`} stroke="var(--device-edge)" strokeWidth={1.8} />
      {handlers.probes?.includes(terminal.id) ? (
        <circle cx={x} cy={y} r={16} fill="none" stroke="var(--plum)" strokeWidth={4} />
      ) : null}
    </g>
  );
}

const partName = (kind: string, part: string): string =>
  deviceKind(kind).parts.find(({ id }) => id === part)?.name ?? part;
