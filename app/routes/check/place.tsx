import { lazy, useMemo } from 'react';
import { Soon } from '~/standing/rising';
import type { RuleFinding } from '@core/code/rules/check';
import { capitalize } from '@core/base/capitalize';
import { placeName } from '@core/job/model/called';
import { drawBox } from '@core/wiring/geometry/box-drawing';
import { BoxFigure } from '~/drawing/box-figure';
import { litBy } from '~/drawing/lit-by';
import { useJob, usePlan } from '../job/context';
import { RunMap } from '../lay-out/run-map';
import { say } from '~/words/load';

const RoomView = lazy(() => import('../lay-out/room-view'));

/** Where a finding is: its open box with what it is about in full, its room from above, or its run on the map. */
export function Place({ finding: { at } }: { finding: RuleFinding }) {
  const { job } = useJob();
  const { outcome } = usePlan();
  const device = at.kind === 'device' ? job.devices.find(({ id }) => id === at.id) : undefined;
  const box = at.kind === 'box' ? at.id : device?.box;
  const drawing = useMemo(
    () => (outcome.ok && box !== undefined ? drawBox(outcome.plan, box) : null),
    [outcome, box],
  );
  if (drawing && box !== undefined) {
    const title = capitalize(placeName(job, box));
    const own = drawing.devices.find(({ id }) => id === device?.id);
    return (
      <figure className="grid gap-1">
        <figcaption className="eyebrow">{title}</figcaption>
        <BoxFigure
          drawing={drawing}
          title={say('place.box', { place: title })}
          lit={own ? litBy(drawing, [own.id, ...own.terminals.map(({ id }) => id)]) : undefined}
          className="max-h-[30rem] w-full"
        />
      </figure>
    );
  }
  if (at.kind === 'room' && job.rooms.some(({ id }) => id === at.id))
    return (
      <Soon>
        <RoomView chosen={NONE} onChoose={leave} only={at.id} />
      </Soon>
    );
  const run =
    at.kind === 'run'
      ? at.id
      : job.runs.find(({ circuits }) => at.kind === 'circuit' && circuits?.includes(at.id))?.id;
  return (
    <figure className="grid gap-1">
      <figcaption className="eyebrow">{say('place.map')}</figcaption>
      <RunMap chosen={run === undefined ? NONE : { kind: 'run', id: run }} onChoose={leave} column />
    </figure>
  );
}

const NONE = { kind: 'box', id: '' } as const;
/** It is looked at here, and changed where it is laid out. */
const leave = (): void => {};
