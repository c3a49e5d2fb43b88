import { useMemo } from 'react';
import type { Ghost } from '@core/choices/repairs/ghost';
import { capitalize } from '@core/base/capitalize';
import { placeName } from '@core/job/model/called';
import { INSULATION_NAME } from '@core/trade/standards/names';
import { drawBox } from '@core/wiring/geometry/box-drawing';
import { andList } from '@core/base/words/lists';
import { BoxFigure } from './box-figure';
import { say } from '~/words/drawing';

/** The box of a refused job with what is missing in it, drawn where it would be. */
export function GhostBox({ ghost: { plan, box, missing, after } }: { ghost: Ghost }) {
  const drawing = useMemo(() => drawBox(plan, box), [plan, box]);
  const isMissing = (cable: string | null, insulation: string) =>
    missing.some((one) => one.cable === cable && one.insulation === insulation);
  const ghosts = new Set(
    drawing.wires.flatMap(({ id, cable, insulation }) => (isMissing(cable, insulation) ? [id] : [])),
  );
  const place = capitalize(placeName(plan.job, box));
  const what = andList([...new Set(missing.map(({ insulation }) => INSULATION_NAME[insulation]))]);
  return (
    <figure className="grid gap-2" data-ghost>
      <figcaption className="text-center">
        {after === null ? say('ghost.made', { place }) : say('ghost.after', { place, after })}{' '}
        {missing.length === 0 ? null : say('ghost.dashed', { what })}
      </figcaption>
      <BoxFigure
        drawing={drawing}
        title={missing.length === 0 ? say('ghost.made', { place }) : say('ghost.box', { place })}
        ghosts={ghosts}
        className="mx-auto max-h-[27.5rem] w-full"
      />
    </figure>
  );
}
