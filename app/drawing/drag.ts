import type { PointerEvent } from 'react';
import type { Dropped } from './live';

/** How far a finger goes before it drags, px. */
export const DRAG_PX = 12;

/** Makes a wire something that can be dragged onto a screw, a splice, another wire or the metal of the box. */
export const dragging = (end: string, onDrop: (end: string, onto: Dropped) => void) => ({
  'data-drags': '',
  onPointerDown: (down: PointerEvent) => {
    const { clientX, clientY, pointerId } = down;
    const up = (event: globalThis.PointerEvent) => {
      if (event.pointerId !== pointerId) return;
      window.removeEventListener('pointerup', up);
      window.removeEventListener('pointercancel', up);
      if (event.type === 'pointercancel') return;
      if (Math.hypot(event.clientX - clientX, event.clientY - clientY) < DRAG_PX) return;
      const onto = under(event.clientX, event.clientY, end);
      if (onto) onDrop(end, onto);
    };
    window.addEventListener('pointerup', up);
    window.addEventListener('pointercancel', up);
  },
});

/** Makes a device something that can be dragged over the one beside it. */
export const seating = (device: string, onSeat: (device: string, toward: 'left' | 'right') => void) => ({
  'data-drags': 'across',
  onPointerDown: ({ clientX, clientY, pointerId, currentTarget }: PointerEvent<SVGGElement>) => {
    const { width } = currentTarget.getBoundingClientRect();
    const up = (event: globalThis.PointerEvent) => {
      if (event.pointerId !== pointerId) return;
      window.removeEventListener('pointerup', up);
      window.removeEventListener('pointercancel', up);
      const [across, down] = [event.clientX - clientX, event.clientY - clientY];
      if (event.type === 'pointercancel' || Math.abs(across) < width / 2 || Math.abs(down) > Math.abs(across))
        return;
      onSeat(device, across < 0 ? 'left' : 'right');
    };
    window.addEventListener('pointerup', up);
    window.addEventListener('pointercancel', up);
  },
});

function under(x: number, y: number, end: string): Dropped | null {
  for (const element of document.elementsFromPoint(x, y)) {
    const found = element.closest<SVGGElement>('[data-point], [data-end], [data-metal]');
    if (!found) continue;
    const { point, end: other, metal } = found.dataset;
    if (point !== undefined) return { on: 'point', id: point };
    if (other !== undefined && other !== end) return { on: 'wire', id: other };
    if (metal !== undefined) return { on: 'metal' };
  }
  return null;
}
