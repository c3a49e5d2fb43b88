import { useState } from 'react';
import { ROOM_KINDS, type RoomKind } from '@core/job/model/design';
import { ROOM_KIND_NAME } from '@core/job/model/place-names';
import { Select } from '~/ui/select';
import { useTyped } from '~/ui/use-typed';
import { useJob } from '../job/context';
import { Ask, cornerAt, type ToolProps } from './ask';
import { useTrace } from './use-trace';
import { say } from '~/words/sheet';

/** A room by its corners, or as a rectangle from corner to corner. */
export function RoomPanel({ sheet, hand }: ToolProps) {
  const { job } = useJob();
  const trace = useTrace(sheet);
  const untraced = job.rooms.filter(({ plan }) => plan === null);
  const [asked, setAsked] = useState<string | null>(null);
  const [kind, setKind] = useState<RoomKind>('other');
  const name = useTyped('traced room');
  // One that is there and has no place yet is the likeliest.
  const own = asked ?? untraced[0]?.id ?? '';
  const room = job.rooms.find(({ id }) => id === own);
  const least = hand.tool === 'pull' ? 2 : 3;
  const { points } = hand;
  const corners =
    hand.tool === 'pull'
      ? [
          cornerAt(points, 0),
          { x: cornerAt(points, 1).x, y: cornerAt(points, 0).y },
          cornerAt(points, 1),
          { x: cornerAt(points, 0).x, y: cornerAt(points, 1).y },
        ]
      : [...points];
  return (
    <>
      <Ask hand={hand} count={hand.tool === 'pull' ? 2 : 1}>
        {hand.tool === 'pull' ? say('room.pull') : say('room.tapCorners')}
      </Ask>
      <Select
        label={say('room.which')}
        value={own}
        options={[
          ...job.rooms.map((one) => ({
            value: one.id,
            label: one.plan ? say('room.again', { name: one.name }) : one.name,
          })),
          { value: '', label: say('room.new') },
        ]}
        onChange={setAsked}
      />
      {room ? null : (
        <div className="grid grid-cols-2 gap-2">
          <label className="grid gap-1">
            <span className="eyebrow">{say('room.name')}</span>
            <input
              className="field"
              {...name.field}
              maxLength={80}
              placeholder={say('room.numbered', { number: job.rooms.length + 1 })}
            />
          </label>
          <Select
            label={say('room.kind')}
            value={kind}
            options={ROOM_KINDS.map((one) => ({
              value: one,
              label: one === 'other' ? say('room.kindNotSaid') : ROOM_KIND_NAME[one],
            }))}
            onChange={(value) => setKind(ROOM_KINDS.find((one) => one === value) ?? 'other')}
          />
        </div>
      )}
      <button
        type="button"
        className="button button-strong justify-self-start"
        disabled={points.length < least}
        onClick={() => {
          trace({
            on: 'room',
            corners,
            room: room?.id ?? null,
            name: room?.name ?? (name.text.trim() || say('room.numbered', { number: job.rooms.length + 1 })),
            kind: room?.kind ?? kind,
          });
          setAsked(null);
          name.sent();
          hand.clear();
        }}
      >
        {hand.tool === 'pull' ? say('room.make') : say('room.close', { count: points.length })}
      </button>
    </>
  );
}
