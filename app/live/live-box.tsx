import { memo } from 'react';
import type { DrawnCover } from '@core/wiring/geometry/cover';
import type { BoxDrawing } from '@core/wiring/geometry/drawing';
import { boxGroundId } from '@core/job/model/wiring';
import { BoxFigure } from '~/drawing/box-figure';
import { CoveredBox } from '~/drawing/covered-box';
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
  /** True for a box of metal: a probe or a tip can be put on it. */
  readonly metal: boolean;
  /** Puts its cover on or takes it off. */
  readonly onCover?: (boxes: readonly string[], on: boolean) => void;
  /** Its cover, where that is on. */
  readonly cover?: DrawnCover | undefined;
  readonly frame: { readonly width: number; readonly height: number };
}

/** One energized box. It is drawn anew only where something that shows in it has changed. */
export const LiveBox = memo(
  function LiveBox({ id, name, drawing, live, handlers, metal, frame, onCover, cover }: Props) {
    const { onMetal, onSlot, onPlate, ...others } = handlers;
    const outside = { ...others, ...(onSlot ? { onSlot } : {}), ...(onPlate ? { onPlate } : {}) };
    const size = 'max-h-[31.5rem] w-full';
    return (
      <figure id={`box-${id}`} className="live-box w-full shrink-0 snap-center sm:min-w-80 sm:flex-1">
        <figcaption className="mb-1 flex items-center gap-2 font-bold">
          <span className="min-w-0 flex-1">{name}</span>
          {onCover ? (
            <button
              type="button"
              className="chip"
              aria-label={cover ? say('liveBox.takeCoverOff', { name }) : say('liveBox.putCoverOn', { name })}
              onClick={() => onCover([id], !cover)}
            >
              {cover ? say('liveBox.takeCover') : say('liveBox.putCover')}
            </button>
          ) : null}
        </figcaption>
        {cover ? (
          <CoveredBox
            cover={cover}
            title={say('liveBox.closed', { name })}
            live={live}
            handlers={outside}
            frame={frame}
            className={size}
          />
        ) : (
          <BoxFigure
            drawing={drawing}
            title={say('liveBox.energized', { name })}
            live={live}
            handlers={metal && onMetal ? { ...others, onMetal: () => onMetal(boxGroundId(id)) } : others}
            frame={frame}
            className={size}
          />
        )}
      </figure>
    );
  },
  (before, after) =>
    before.name === after.name &&
    before.cover === after.cover &&
    before.drawing === after.drawing &&
    before.frame.width === after.frame.width &&
    before.frame.height === after.frame.height &&
    before.shown === after.shown &&
    offered(before) === offered(after) &&
    marksIn(before) === marksIn(after),
);

/** What can be tapped: it goes with the tool in the hand. */
const offered = ({ handlers }: Props): string =>
  Object.entries(handlers)
    .flatMap(([name, own]) => (typeof own === 'function' ? [name] : []))
    .join(' ');

/** The probes, the clamp and the conductor in hand that are in this box. */
function marksIn({ drawing, handlers: { probes = [], clamped, picked } }: Props): string {
  const here = new Set<string>([
    ...drawing.splices.map(({ id }) => id),
    ...drawing.caps.map(({ end }) => end),
    ...drawing.cables.map(({ id }) => id),
    ...drawing.screws.map(({ point }) => point),
    ...drawing.wires.flatMap(({ id, wire }) => [id, wire]),
    ...drawing.devices.flatMap(({ terminals }) => terminals.map(({ id }) => id)),
  ]);
  const own = (id: string | null | undefined) => (id != null && here.has(id) ? id : '');
  return [...probes.map(own), own(clamped), own(picked)].join('|');
}
