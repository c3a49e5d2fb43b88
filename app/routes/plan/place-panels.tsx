import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import type { DesignCommand } from '@core/job/commands/command';
import { OPENINGS, PANEL, type Design, type Opening } from '@core/job/model/design';
import type { Sheet, SheetPoint } from '@core/job/model/sheet';
import { nearestOnWall } from '@core/job/rooms/corners';
import { inRoom } from '@core/job/rooms/floor';
import { planeOf } from '@core/job/sheet/plane';
import { tracedOn } from '@core/job/sheet/trace';
import { Choice } from '~/ui/choice';
import { Select } from '~/ui/select';
import { useJob } from '../job/context';
import { addBeyond, THING_NAME, type Thing } from '../lay-out/grow';
import { Ask, type ToolProps } from './ask';
import { feetInches } from './traced-marks';
import { useTrace } from './use-trace';
import { say } from '~/words/sheet';

/** The room whose wall is nearest to a point of the sheet; null where none is traced on it. */
function roomAt(job: Design, sheet: Sheet, point: SheetPoint): string | null {
  const floor = planeOf(sheet)?.toFloor(point);
  if (!floor) return null;
  const walls = job.rooms.flatMap((room) => {
    const local = room.plan?.sheet === sheet.id ? inRoom(room, floor) : null;
    return local ? [{ id: room.id, far: nearestOnWall(room, local).farFt }] : [];
  });
  return walls.toSorted((a, b) => a.far - b.far)[0]?.id ?? null;
}

/** Doors, openings and windows, by both of their ends. */
export function Openings({ sheet, hand }: ToolProps) {
  const { job, run } = useJob();
  const trace = useTrace(sheet);
  const [kind, setKind] = useState<Opening['kind']>('door');
  const traced = tracedOn(job, sheet).openings;
  const [from, to] = hand.points;
  return (
    <>
      <Choice
        label={say('opening.what')}
        value={kind}
        options={OPENINGS.map((one) => ({ value: one, label: say('opening.kind', { kind: one }) }))}
        onChange={(value) => setKind(OPENINGS.find((one) => one === value) ?? 'door')}
      />
      <p className="text-sm">{say('opening.breaks')}</p>
      <Ask hand={hand} count={2}>
        {say('opening.tapEnds')}
      </Ask>
      {from && to ? (
        <button
          type="button"
          className="button button-strong justify-self-start"
          onClick={() => {
            const room = roomAt(job, sheet, { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 });
            if (room) trace({ on: 'opening', room, kind, from, to });
            hand.clear();
          }}
        >
          {say('opening.put')}
        </button>
      ) : null}
      <ul className="grid gap-1">
        {traced.map(({ room, opening }) => (
          <li key={`${room} ${opening.id}`} className="flex items-center gap-2">
            <span className="flex-1">
              {say('opening.stands', {
                kind: opening.kind,
                room: job.rooms.find(({ id }) => id === room)?.name ?? room,
                wide: feetInches(opening.toFt - opening.fromFt),
                wall: opening.wall + 1,
              })}
            </span>
            <button
              type="button"
              className="button button-quiet px-2"
              aria-label={say('opening.remove', { kind: opening.kind, wall: opening.wall + 1 })}
              onClick={() => run({ do: 'remove opening', room, opening: opening.id })}
            >
              <Trash2 aria-hidden size={16} />
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}

const THINGS = Object.keys(THING_NAME) as readonly Thing[];

/** Boxes by tapping where their symbols stand; a symbol without a box makes one. */
export function Boxes({ sheet, hand }: ToolProps) {
  const { job } = useJob();
  const trace = useTrace(sheet);
  const { places } = tracedOn(job, sheet);
  const next = job.boxes.find(({ id }) => !places.has(id))?.id ?? '';
  const [asked, setAsked] = useState<string | null>(null);
  const [from, setFrom] = useState<string>(PANEL);
  const own = asked ?? next;
  const box = job.boxes.find(({ id }) => id === own);
  const [at] = hand.points;
  const put = (id: string, point: SheetPoint, before: readonly DesignCommand[] = []) => {
    trace({ on: 'box', box: id, at: point }, before);
    setAsked(null);
    hand.clear();
  };
  return (
    <>
      <Select
        label={say('box.which')}
        value={own}
        options={[
          ...job.boxes.map(({ id, name }) => ({
            value: id,
            label: places.has(id) ? say('box.placed', { name }) : name,
          })),
          { value: '', label: say('box.new') },
        ]}
        onChange={setAsked}
      />
      <Ask hand={hand} count={1}>
        {box ? say('box.tap', { name: box.name }) : say('box.tapNew')}
      </Ask>
      {at && box ? (
        <button
          type="button"
          className="button button-strong justify-self-start"
          onClick={() => put(box.id, at)}
        >
          {say('box.here', { name: box.name })}
        </button>
      ) : null}
      {at && !box ? (
        <>
          <Select
            label={say('box.from')}
            value={from}
            options={[
              { value: PANEL, label: say('box.panel') },
              ...job.boxes.map(({ id, name }) => ({ value: id, label: name })),
            ]}
            onChange={setFrom}
          />
          <div className="flex flex-wrap gap-2">
            {THINGS.map((holds) => (
              <button
                key={holds}
                type="button"
                className="button"
                onClick={() => {
                  const added = addBeyond(job, from, holds);
                  put(added.box, at, [added.command]);
                }}
              >
                {THING_NAME[holds]}
              </button>
            ))}
          </div>
        </>
      ) : null}
    </>
  );
}

export function PanelPlace({ sheet, hand }: ToolProps) {
  const { job } = useJob();
  const trace = useTrace(sheet);
  const [at] = hand.points;
  return (
    <>
      <Ask hand={hand} count={1}>
        {job.panelAt?.sheet === sheet.id ? say('panel.there') : say('panel.tap')}
      </Ask>
      {at ? (
        <button
          type="button"
          className="button button-strong justify-self-start"
          onClick={() => {
            trace({ on: 'panel', at });
            hand.choose('look');
          }}
        >
          {say('panel.here')}
        </button>
      ) : null}
    </>
  );
}
