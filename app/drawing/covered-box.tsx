import type { DrawnCover } from '@core/wiring/geometry/cover';
import { deviceKind } from '@core/trade/devices';
import { Face, Works } from './device';
import { Breaker } from './enclosure-screw';
import { nearest, tap, type BoxHandlers, type LiveView } from './live';
import { Probe, SCREW_FILL } from './screws';
import { say } from '~/words/drawing';

interface Props {
  readonly cover: DrawnCover;
  readonly title: string;
  readonly live: LiveView;
  readonly handlers: BoxHandlers;
  readonly className?: string;
  readonly frame: { readonly width: number; readonly height: number };
}

/** The box as everybody sees it: its cover, and what looks through. Only that can be used and measured. */
export function CoveredBox({ cover, title, live, handlers, className, frame }: Props) {
  const { box, frame: own, plate, devices, screws, breakers } = cover;
  const { onPlate } = handlers;
  const width = Math.max(frame.width, own.width);
  const height = Math.max(frame.height, own.height);
  return (
    // A tap beside something small goes to the nearest that is meant; by keys each is reached itself.
    // oxlint-disable-next-line jsx-a11y/click-events-have-key-events, jsx-a11y/no-noninteractive-element-interactions
    <svg
      viewBox={`${own.x + (own.width - width) / 2} ${own.y} ${width} ${height}`}
      role="group"
      data-cover={box}
      aria-label={title}
      className={className}
      preserveAspectRatio="xMidYMin meet"
      onClick={nearest}
    >
      <rect {...plate} rx={18} fill="var(--device)" stroke="var(--device-edge)" strokeWidth={2.4} />
      {devices.map((device) => (
        <g key={device.id} data-device={device.id}>
          <rect
            x={device.x + 6}
            y={device.y + 2}
            width={device.width - 12}
            height={device.height - 4}
            rx={deviceKind(device.kind).yoke ? 6 : device.width / 2.4}
            fill="none"
            stroke="var(--device-edge)"
            strokeWidth={1.2}
          />
          <Face device={device} live={live} handlers={handlers} />
          <Works device={device} />
        </g>
      ))}
      {breakers.map((screw) => (
        <g key={screw.id}>
          <text
            x={screw.at[0]}
            y={screw.at[1] + 27}
            textAnchor="middle"
            fontSize={12}
            fontWeight={650}
            fill="var(--face-ink)"
          >
            {screw.name}
          </text>
          <Breaker screw={screw} live={live} handlers={handlers} ink="var(--face-ink)" />
        </g>
      ))}
      {screws.map(({ id, at: [x, y], point }) => (
        <g
          key={id}
          {...(onPlate && point !== null
            ? { 'data-point': point, ...tap(say('coveredBox.screw'), () => onPlate(point)) }
            : {})}
        >
          {onPlate && point !== null ? <circle cx={x} cy={y} r={18} fill="transparent" /> : null}
          <circle
            cx={x}
            cy={y}
            r={7}
            fill={SCREW_FILL.silver}
            stroke="var(--device-edge)"
            strokeWidth={1.6}
          />
          <path d={`M${x} ${y - 5}v10`} stroke="var(--device-edge)" strokeWidth={1.8} />
          {point === null ? null : <Probe handlers={handlers} point={point} x={x} y={y} />}
        </g>
      ))}
    </svg>
  );
}
