import { memo } from 'react';
import type { BoxDrawing } from '@core/wiring/geometry/drawing';
import { boxGroundId } from '@core/job/model/wiring';
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
  /** True for a box of metal: a probe or a tip can be put on it. */
  readonly metal: boolean;
  readonly frame: { readonly width: number; readonly height: number };
}

/** One energized box. It is drawn anew only where something that shows in it has changed. */
export const LiveBox = memo(
  function LiveBox({ id, name, drawing, live, handlers, metal, frame }: Props) {
    const { onMetal, ...others } = handlers;
    return (
      <figure id={`box-${id}`} className="live-box w-full shrink-0 snap-center sm:min-w-80 sm:flex-1">
        <figcaption className="mb-1 font-bold">{name}</figcaption>
        <BoxFigure
          drawing={drawing}
          title={say('liveBox.energized', { name })}
          live={live}
          handlers={metal && onMetal ? { ...others, onMetal: () => onMetal(boxGroundId(id)) } : others}
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
