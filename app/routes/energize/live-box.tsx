import { memo } from 'react';
import type { BoxDrawing } from '@core/geometry/drawing';
import { BoxFigure } from '~/drawing/box-figure';
import type { BoxHandlers, LiveView } from '~/drawing/live';
import { say } from '~/words/energize';

interface Props {
  readonly id: string;
  readonly name: string;
  readonly drawing: BoxDrawing;
  readonly live: LiveView;
  /** All of it that shows in this box. */
  readonly shown: string;
  readonly handlers: BoxHandlers;
  readonly frame: { readonly width: number; readonly height: number };
}

/** One energized box. It is drawn anew only where something that shows in it has changed. */
export const LiveBox = memo(
  function LiveBox({ id, name, drawing, live, handlers, frame }: Props) {
    return (
      <figure id={`box-${id}`} className="live-box w-full shrink-0 snap-center sm:min-w-80 sm:flex-1">
        <figcaption className="mb-1 font-bold">{name}</figcaption>
        <BoxFigure
          drawing={drawing}
          title={say('liveBox.energized', { name })}
          live={live}
          handlers={handlers}
          frame={frame}
          className="max-h-[31.5rem] w-full"
        />
      </figure>
    );
  },
  (before, after) =>
    before.name === after.name &&
    before.drawing === after.drawing &&
    before.frame.width === after.frame.width &&
    before.frame.height === after.frame.height &&
    before.handlers.onPoint === after.handlers.onPoint &&
    probesIn(before) === probesIn(after) &&
    before.shown === after.shown,
);

/** The probes that stand in this box. */
function probesIn({ drawing, handlers: { probes = [] } }: Props): string {
  const points = new Set([
    ...drawing.splices.map(({ id }) => id),
    ...drawing.caps.map(({ end }) => end),
    ...drawing.devices.flatMap(({ terminals }) => terminals.map(({ id }) => id)),
  ]);
  return probes.filter((point) => points.has(point)).join(' ');
}
