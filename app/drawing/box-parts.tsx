import type { BoxDrawing, DrawnSplice } from '@core/wiring/geometry/drawing';
import { say } from '~/words/drawing';
import { type BoxHandlers, tap, type LiveView } from './live';
import { Probe } from './screws';

/** A label over the whole width of the drawing. */
export function WholeLabel({ text, drawing }: { text: string; drawing: BoxDrawing }) {
  return (
    <g pointerEvents="none" data-whole>
      <rect x={2} y={2} width={drawing.width - 4} height={34} rx={8} fill="var(--ink)" />
      <text
        x={drawing.width / 2}
        y={24}
        textAnchor="middle"
        fontSize={16}
        fontWeight={700}
        fill="var(--sand)"
        {...(text.length * 8.6 > drawing.width - 16
          ? { textLength: drawing.width - 16, lengthAdjust: 'spacingAndGlyphs' }
          : {})}
      >
        {text}
      </text>
    </g>
  );
}

export const pointTap = (handlers: BoxHandlers, id: string, label: string) =>
  handlers.onPoint ? tap(label, () => handlers.onPoint?.(id)) : {};

/** The box's wall; of a live metal box ringed, and a place for a probe or a tip. */
export function Wall({
  drawing: { box, wall },
  live,
  handlers,
}: {
  drawing: BoxDrawing;
  live: LiveView | undefined;
  handlers: BoxHandlers;
}) {
  const hot = live?.metalLive(box) ?? false;
  const { x, y, width, height } = wall;
  return (
    <>
      <rect {...wall} rx={26} fill="var(--well)" stroke="var(--wall)" strokeWidth={12} />
      {hot ? (
        <rect {...wall} rx={26} fill="none" stroke="var(--plum)" strokeWidth={12} strokeDasharray="30 12" />
      ) : null}
      {handlers.onMetal ? (
        <g data-metal={box} {...tap(say('boxFigure.metal', { live: hot }), () => handlers.onMetal?.(box))}>
          <path
            d={`M${x} ${y + 60}V${y + height - 60}M${x + width} ${y + 60}V${y + height - 60}`}
            stroke="transparent"
            strokeWidth={26}
          />
          <path
            d={`M${x} ${y + height / 2 - 26}v52M${x + width} ${y + height / 2 - 26}v52`}
            stroke={hot ? 'var(--paper)' : 'var(--plum)'}
            strokeWidth={4}
            strokeDasharray="4 5"
          />
        </g>
      ) : null}
    </>
  );
}

export function Ring({ x, y }: { x: number; y: number }) {
  return <circle cx={x} cy={y} r={17} fill="none" stroke="var(--plum)" strokeWidth={4} />;
}

/** The jaw of a clamp round something that runs upright. */
export function Clamp({ x, y, width }: { x: number; y: number; width: number }) {
  return (
    <g data-clamp pointerEvents="none">
      <ellipse cx={x} cy={y} rx={width / 2} ry={11} fill="none" stroke="var(--plum)" strokeWidth={6} />
      <path d={`M${x + width / 2} ${y}h14`} stroke="var(--plum)" strokeWidth={10} strokeLinecap="round" />
    </g>
  );
}

export function Splice({
  splice,
  opacity,
  handlers,
}: {
  splice: DrawnSplice;
  opacity: number;
  handlers: BoxHandlers;
}) {
  return (
    <g
      opacity={opacity}
      data-point={splice.id}
      {...pointTap(handlers, splice.id, say('boxFigure.splice', { splice: splice.label }))}
    >
      <rect
        x={splice.x}
        y={splice.y}
        width={splice.width}
        height={splice.height}
        rx={8}
        fill="var(--paper)"
        stroke="var(--ink)"
        strokeWidth={2}
      />
      {splice.ports.map(({ at: [x, y], used }) => (
        <circle
          key={x}
          cx={x}
          cy={y}
          r={4.8}
          fill={used ? 'var(--ink)' : 'none'}
          stroke="var(--ink)"
          strokeWidth={1.6}
        />
      ))}
      <text
        x={splice.x + splice.width / 2}
        y={splice.y + 36}
        textAnchor="middle"
        fontSize={13}
        fontWeight={700}
        fill="var(--ink)"
      >
        {splice.label}
      </text>
      <Probe
        handlers={handlers}
        point={splice.id}
        x={splice.x + splice.width / 2}
        y={splice.y + splice.height / 2}
      />
    </g>
  );
}
