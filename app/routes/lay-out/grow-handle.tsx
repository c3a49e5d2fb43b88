import { Plus } from 'lucide-react';
import { useState, type PointerEvent } from 'react';
import { createPortal } from 'react-dom';
import { DRAG_PX } from '~/drawing/drag';
import { useJob } from '../job/context';
import { FIRST_LENGTH_FT } from './grow';
import type { MapMenuAt } from './map-menu-at';
import { say } from '~/words/lay-out';

interface Pull {
  readonly from: readonly [x: number, y: number];
  readonly to: readonly [x: number, y: number];
}

/**
 * The handle at a box: tapped, it asks what is to be added; pulled onto another box it runs a cable there, onto a run it
 * puts a box in it, and anywhere else it asks what the new box holds.
 */
export function GrowHandle({
  box,
  name,
  x,
  y,
  onOpen,
}: {
  box: string;
  name: string;
  x: number;
  y: number;
  onOpen: (at: MapMenuAt) => void;
}) {
  const { job, run } = useJob();
  const [pull, setPull] = useState<Pull | null>(null);
  const drop = (clientX: number, clientY: number) => {
    for (const element of document.elementsFromPoint(clientX, clientY)) {
      const onto = element.closest<HTMLElement>('[data-drop-box], [data-drop-run]')?.dataset;
      if (!onto) continue;
      const { dropBox, dropRun } = onto;
      if (dropBox !== undefined && dropBox !== box)
        run({ do: 'add run', from: box, to: dropBox, lengthFt: FIRST_LENGTH_FT });
      else if (dropRun !== undefined)
        run({
          do: 'split run',
          run: dropRun,
          name: say('runPanel.box', { boxesCount: job.boxes.length + 1 }),
        });
      else onOpen({ kind: 'grow', id: box });
      return;
    }
    onOpen({ kind: 'grow', id: box });
  };
  const down = (event: PointerEvent<HTMLButtonElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    setPull({ from: [event.clientX, event.clientY], to: [event.clientX, event.clientY] });
  };
  const move = (event: PointerEvent) => {
    if (pull) setPull({ ...pull, to: [event.clientX, event.clientY] });
  };
  const far = pull ? Math.hypot(pull.to[0] - pull.from[0], pull.to[1] - pull.from[1]) : 0;
  return (
    <>
      <button
        type="button"
        id={`grow-${box}`}
        aria-label={say('growHandle.addFrom', { name })}
        title={say('growHandle.addFrom', { name })}
        className="absolute grid size-8 -translate-x-1/2 -translate-y-1/2 touch-none place-content-center rounded-full border-2 border-plum bg-paper text-plum before:absolute before:-inset-2 before:content-['']"
        style={{ left: x, top: y }}
        onPointerDown={down}
        onPointerMove={move}
        onPointerCancel={() => setPull(null)}
        onPointerUp={(event) => {
          setPull(null);
          if (far >= DRAG_PX) drop(event.clientX, event.clientY);
        }}
        onClick={(event) => {
          // A pull ends in a click too; a key or a tap has not moved.
          if (event.detail === 0 || far < DRAG_PX) onOpen({ kind: 'grow', id: box });
        }}
      >
        <Plus aria-hidden size={20} />
      </button>
      {pull && far >= DRAG_PX
        ? createPortal(
            <svg aria-hidden className="pointer-events-none fixed inset-0 z-40 size-full">
              <path
                d={`M${pull.from[0]} ${pull.from[1]}L${pull.to[0]} ${pull.to[1]}`}
                stroke="var(--plum)"
                strokeWidth={3}
                strokeDasharray="8 6"
              />
              <rect
                x={pull.to[0] - 26}
                y={pull.to[1] - 18}
                width={52}
                height={36}
                rx={9}
                fill="var(--plum-tint)"
                stroke="var(--plum)"
                strokeWidth={2.5}
              />
            </svg>,
            document.body,
          )
        : null}
    </>
  );
}
