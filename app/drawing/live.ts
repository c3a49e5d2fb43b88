import type { KeyboardEvent, MouseEvent } from 'react';
import { deviceKind, powerParts } from '@core/devices';
import type { BoxDrawing } from '@core/geometry/drawing';
import { partKey } from '@core/model/wiring';

/** What the drawing needs to know of an energized state. */
export interface LiveView {
  /** True from 50 V to ground up. */
  readonly isLive: (point: string) => boolean;
  /** Amperes from the wire's first end to its second; 0 when idle. */
  readonly current: (wire: string) => number;
  readonly position: (device: string) => number;
  readonly part: (key: string) => LivePart | undefined;
  readonly tripped: (device: string) => boolean;
}

export interface LivePart {
  readonly live: boolean;
  readonly plugged: string | null;
  readonly lights: readonly boolean[] | undefined;
}

/** Current that shows, A. */
export const SHOWS_A = 0.01;

/** All of a state that shows in one drawing, as text: where it is the same nothing has to be drawn anew. */
export function shownIn({ wires, devices }: BoxDrawing, live: LiveView): string {
  return JSON.stringify([
    wires.map(({ point, wire }) => {
      const amps = live.current(wire);
      return [live.isLive(point), Math.abs(amps) > SHOWS_A ? Math.sign(amps) : 0];
    }),
    devices.map(({ id, kind }) => [
      live.position(id),
      live.tripped(id),
      powerParts(deviceKind(kind)).map((part) => live.part(partKey(id, part.id))),
    ]),
  ]);
}

export interface BoxHandlers {
  readonly onHandle?: (device: string) => void;
  readonly onPart?: (key: string) => void;
  readonly onPoint?: (point: string) => void;
  /** A conductor end or tail. */
  readonly onWire?: (wire: string) => void;
  /** The conductor end that is in hand. */
  readonly picked?: string | null;
  /** Test (open) or reset of a protecting device. */
  readonly onTest?: (device: string, open: boolean) => void;
  /** Points that a meter probe is on. */
  readonly probes?: readonly string[];
}

/** Makes a drawn thing a button for fingers, mice and keys. */
export const tap = (label: string, act: () => void) => ({
  role: 'button',
  tabIndex: 0,
  'aria-label': label,
  style: { cursor: 'pointer' },
  onClick: act,
  onKeyDown: (event: KeyboardEvent) => {
    if (event.key !== 'Enter' && event.key !== ' ') return;
    event.preventDefault();
    act();
  },
});

/** How far beside a small target a finger still hits it, px: half of 44. */
const REACH_PX = 22;

/** A tap beside everything goes to the nearest target that a finger could have meant. */
export function nearest({ currentTarget, target, clientX, clientY }: MouseEvent<SVGSVGElement>): void {
  if (!(target instanceof Element) || target.closest('[role="button"]')) return;
  let best: { element: Element; far: number } | null = null;
  for (const element of currentTarget.querySelectorAll('[role="button"]')) {
    const box = element.getBoundingClientRect();
    const [x, y] = [(box.left + box.right) / 2, (box.top + box.bottom) / 2];
    const beside = Math.max(Math.abs(clientX - x), Math.abs(clientY - y));
    const outside = Math.hypot(
      Math.max(box.left - clientX, 0, clientX - box.right),
      Math.max(box.top - clientY, 0, clientY - box.bottom),
    );
    if (beside <= REACH_PX && outside < (best?.far ?? Number.POSITIVE_INFINITY))
      best = { element, far: outside };
  }
  best?.element.dispatchEvent(new window.MouseEvent('click', { bubbles: true }));
}
