import type { KeyboardEvent, MouseEvent } from 'react';
import { deviceKind, powerParts } from '@core/trade/devices';
import type { BoxDrawing } from '@core/wiring/geometry/drawing';
import { partKey, secondPlug } from '@core/job/model/wiring';

/** What the drawing needs to know of an energized state. */
export interface LiveView {
  /** True from 50 V to ground up. */
  readonly isLive: (point: string) => boolean;
  /** How a wire's current runs; null when idle. */
  readonly flow: (wire: string) => Flow | null;
  readonly breaker: (circuit: string) => 'on' | 'off' | 'tripped';
  /** True where the metal of the box is live. */
  readonly metalLive: (box: string) => boolean;
  readonly position: (device: string) => number;
  readonly part: (key: string) => LivePart | undefined;
  readonly tripped: (device: string) => boolean;
}

/** To a load, back from it, both in a neutral of two, or astray; `forward` from the wire's first end to its second. */
export interface Flow {
  readonly way: 'to' | 'back' | 'both' | 'stray';
  readonly forward: boolean;
}

/** Nothing is live. */
export const DEAD: LiveView = {
  isLive: () => false,
  flow: () => null,
  breaker: () => 'on',
  metalLive: () => false,
  position: () => 0,
  part: () => undefined,
  tripped: () => false,
};

export interface LivePart {
  readonly live: boolean;
  readonly light: 'dark' | 'dim' | 'lit' | 'bright';
  readonly plugged: string | null;
  readonly lights: readonly boolean[] | undefined;
}

/** Current that shows, A. */
export const SHOWS_A = 0.01;

/** All of a state that shows in one drawing, as text: where it is the same nothing has to be drawn anew. */
export function shownIn({ box, wires, devices, screws }: BoxDrawing, live: LiveView): string {
  return JSON.stringify([
    live.metalLive(box),
    wires.map(({ point, wire }) => [live.isLive(point), live.flow(wire)]),
    screws.map(({ circuit }) => circuit !== null && live.breaker(circuit)),
    devices.map(({ id, kind }) => [
      live.position(id),
      live.tripped(id),
      powerParts(deviceKind(kind)).map((part) => {
        const key = partKey(id, part.id);
        return [live.part(key), live.part(secondPlug(key))];
      }),
    ]),
  ]);
}

export interface BoxHandlers {
  readonly onHandle?: (device: string) => void;
  readonly onPart?: (key: string) => void;
  /** A lamp or fan that is built in. */
  readonly onLamp?: (key: string) => void;
  /** A device dragged over its neighbor. */
  readonly onSeat?: (device: string, toward: 'left' | 'right') => void;
  readonly onPoint?: (point: string) => void;
  /** A slot of an outlet, by the point behind it: with the cover on a probe goes nowhere else. */
  readonly onSlot?: (point: string) => void;
  /** The screw of a plate, by what its strap is joined to. */
  readonly onPlate?: (point: string) => void;
  /** A conductor end or tail, the conductor or tail whose current it carries, the point that it is on. */
  readonly onWire?: (end: string, wire: string, point: string) => void;
  readonly onCable?: (cable: string) => void;
  /** The metal of a box. */
  readonly onMetal?: (box: string) => void;
  readonly onTab?: (device: string, tab: string) => void;
  readonly onBreaker?: (circuit: string) => void;
  /** Something dragged from a wire and let go over something else. */
  readonly onDrop?: (end: string, onto: Dropped) => void;
  /** The conductor end that is in hand. */
  readonly picked?: string | null;
  /** Test (open) or reset of a protecting device. */
  readonly onTest?: (device: string, open: boolean) => void;
  /** Points that a probe is on, in order. */
  readonly probes?: readonly string[];
  /** What the clamp is round: a cable, a conductor, a tail. */
  readonly clamped?: string | null;
}

/** Where a drag ended: a screw or splice, another wire, the metal of the box. */
export type Dropped =
  | { readonly on: 'point'; readonly id: string }
  | { readonly on: 'wire'; readonly id: string }
  | { readonly on: 'metal' };

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
