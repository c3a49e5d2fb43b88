import type { DrawnTab, DrawnTerminal } from '@core/wiring/geometry/drawing';
import { tap, type BoxHandlers } from './live';
import { say } from '~/words/drawing';

export const SCREW_FILL = {
  brass: 'var(--brass)',
  silver: 'var(--silver)',
  green: 'var(--screw-green)',
  dark: 'var(--screw-dark)',
  lead: 'var(--well)',
} as const;

/** A break-off tab: a bar between two screws, or two stubs with a gap that says so. */
export function Tab({
  tab,
  opacity,
  outward,
  onTab,
}: {
  tab: DrawnTab;
  opacity: number;
  outward: 'left' | 'right';
  onTab?: (() => void) | undefined;
}) {
  const x = tab.from[0];
  const [top, bottom] = [Math.min(tab.from[1], tab.to[1]) + 14, Math.max(tab.from[1], tab.to[1]) - 14];
  const middle = (top + bottom) / 2;
  const pieces: readonly (readonly [number, number])[] = tab.broken
    ? [
        [top, middle - 9],
        [middle + 9, bottom],
      ]
    : [[top, bottom]];
  return (
    <g
      opacity={opacity}
      {...(onTab ? tap(say('screws.tab', { broken: tab.broken }), onTab) : {})}
      data-tab={tab.id}
    >
      {onTab ? <rect x={x - 14} y={middle - 24} width={28} height={48} fill="transparent" /> : null}
      {pieces.map(([from, to]) => (
        <rect
          key={from}
          x={x - 5}
          y={from}
          width={10}
          height={to - from}
          fill={SCREW_FILL[tab.screw]}
          stroke="var(--device-edge)"
          strokeWidth={1.2}
        />
      ))}
      {tab.broken ? (
        <>
          <path
            d={`M${x - 9} ${middle + 3}l6 -6 6 6 6 -6`}
            fill="none"
            stroke="var(--face-plum)"
            strokeWidth={2.6}
          />
          <text
            x={outward === 'left' ? x + 12 : x - 12}
            y={middle + 4}
            textAnchor={outward === 'left' ? 'start' : 'end'}
            fontSize={11.5}
            fontWeight={750}
            fill="var(--face-plum)"
          >
            {say('screws.broken')}
          </text>
        </>
      ) : null}
    </g>
  );
}

/** A probe's tip on a point, with its number; it lies to one side, away from the device. */
export function Probe({
  handlers,
  point,
  x,
  y,
  side,
}: {
  handlers: BoxHandlers;
  point: string;
  x: number;
  y: number;
  side?: 'left' | 'right';
}) {
  const at = handlers.probes?.indexOf(point) ?? -1;
  if (at < 0) return null;
  const way = (side === undefined ? at === 0 : side === 'left') ? -1 : 1;
  return (
    <g data-probe={at + 1} pointerEvents="none">
      <circle cx={x} cy={y} r={16} fill="none" stroke="var(--plum)" strokeWidth={4} />
      <path
        d={`M${x} ${y}l${way * 52} 12`}
        fill="none"
        stroke="var(--plum)"
        strokeWidth={9}
        strokeLinecap="round"
      />
      <path d={`M${x} ${y}l${way * 26} 6`} stroke="var(--paper)" strokeWidth={2.5} strokeLinecap="round" />
      <circle cx={x + way * 54} cy={y + 12} r={11} fill="var(--plum)" />
      <text
        x={x + way * 54}
        y={y + 17}
        textAnchor="middle"
        fontSize={14}
        fontWeight={750}
        fill="var(--paper)"
      >
        {at + 1}
      </text>
    </g>
  );
}

/** A screw, or the joint of a lead; a large target where a probe may go. */
export function Screw({
  terminal,
  side,
  handlers,
  opacity,
}: {
  terminal: DrawnTerminal;
  side: 'left' | 'right';
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
      {handlers.onPoint ? <circle cx={x} cy={y} r={22} fill="transparent" /> : null}
      <circle
        cx={x}
        cy={y}
        r={11}
        fill={SCREW_FILL[terminal.screw]}
        stroke="var(--device-edge)"
        strokeWidth={1.8}
      />
      {terminal.screw === 'lead' ? null : (
        <path d={`M${x - 6} ${y + 3}l12 -6`} stroke="var(--device-edge)" strokeWidth={1.8} />
      )}
      <Probe handlers={handlers} point={terminal.id} x={x} y={y} side={side} />
    </g>
  );
}
