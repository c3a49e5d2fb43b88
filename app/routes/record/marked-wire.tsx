import { useMemo } from 'react';
import { capitalize } from '@core/base/capitalize';
import { placeName } from '@core/job/model/called';
import { PANEL } from '@core/job/model/design';
import type { PhotoMark } from '@core/job/model/record';
import { drawBox } from '@core/wiring/geometry/box-drawing';
import { BoxFigure } from '~/drawing/box-figure';
import { litBy } from '~/drawing/lit-by';
import { useJob, usePlan } from '../job/context';
import { say } from '~/words/record';

/** What a mark on a photo points at, in full in the drawing of its box: the photo's own, or the one that its cable leads to. */
export default function MarkedWire({
  mark: { run, insulation },
  box,
}: {
  mark: PhotoMark;
  box: string | null;
}) {
  const { job } = useJob();
  const { outcome } = usePlan();
  const own = job.runs.find(({ id }) => id === run);
  const ends = own ? [own.to, own.from].filter((end) => end !== PANEL) : [];
  const place = box !== null && ends.includes(box) ? box : ends[0];
  const drawing = useMemo(
    () => (outcome.ok && place !== undefined ? drawBox(outcome.plan, place) : null),
    [outcome, place],
  );
  if (!outcome.ok || !drawing || place === undefined) return <p role="status">{say('photos.notDrawn')}</p>;
  const cables = new Set<string>(
    outcome.plan.wiring.cables.filter((cable) => cable.run === run).map(({ id }) => id),
  );
  const wires = drawing.wires.filter(
    (wire) =>
      wire.cable !== null &&
      cables.has(wire.cable) &&
      (insulation === null || wire.insulation === insulation),
  );
  const title = capitalize(placeName(job, place));
  return (
    <figure className="grid gap-1" data-marked-wire={wires.length}>
      <figcaption className="eyebrow">{title}</figcaption>
      <BoxFigure
        drawing={drawing}
        title={say('photos.inBox', { place: title })}
        lit={litBy(
          drawing,
          wires.map(({ id }) => id),
        )}
        className="max-h-96 w-full"
      />
    </figure>
  );
}
