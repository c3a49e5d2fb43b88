import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { freshId } from '@core/job/commands/command';
import { Room, ROOM_KINDS } from '@core/job/model/design';
import { spacing, WALL_ROOMS } from '@core/job/rooms/spacing';
import { NumberField } from '~/ui/number-field';
import { Select } from '~/ui/select';
import { TextField } from '~/ui/text-field';
import { Fold } from '~/ui/fold';
import { useJob } from '../job/context';
import { SpacingWords } from './wall-spacing';
import { ROOM_KIND_NAME } from '@core/job/model/place-names';
import { say } from '~/words/lay-out';
import { type Props, Floor, nameOf } from './floor';
const NEW_ROOM_FT = [12, 10, 12, 10];

/** A room from above: its walls with their lengths, boxes where they are on them. Drag a box, or use arrow keys. */
export default function RoomView({ chosen, onChoose, only }: Props) {
  const { job, run } = useJob();
  const [asked, setAsked] = useState<string | null>(null);
  const box = chosen.kind === 'box' ? job.boxes.find(({ id }) => id === chosen.id) : undefined;
  const room = job.rooms.find(({ id }) => id === (only ?? asked ?? box?.spot?.room)) ?? job.rooms[0];
  const addRoom = () => {
    const id = freshId(job.rooms, 'room');
    run({
      do: 'set room',
      room: Room.parse({
        id,
        name: say('roomView.room', { roomsCount: job.rooms.length + 1 }),
        wallsFt: NEW_ROOM_FT,
      }),
    });
    setAsked(id);
  };
  if (!room) {
    return (
      <div className="grid gap-3 rounded-xl border-2 border-line bg-paper p-4">
        <p>{say('roomView.noRoom')}</p>
        <button type="button" className="button justify-self-start" onClick={addRoom}>
          <Plus aria-hidden size={18} /> {say('roomView.drawRoom')}
        </button>
      </div>
    );
  }
  return (
    <div className="grid gap-3">
      <Floor room={room} chosen={chosen} onChoose={onChoose} />
      {WALL_ROOMS.has(room.kind) ? (
        <SpacingWords room={room} spacing={spacing(job, room)} names={(id) => nameOf(job, id)} />
      ) : null}
      {box && !box.spot ? (
        <button
          type="button"
          className="button justify-self-start"
          onClick={() =>
            run({ do: 'set box', box: box.id, change: { spot: { room: room.id, wall: 0, alongFt: 1 } } })
          }
        >
          <Plus aria-hidden size={18} /> {say('roomView.putWallRoom', { box: box.name })}
        </button>
      ) : null}
      {only === undefined ? (
        <Fold title={say('roomView.roomsWalls')}>
          {() => (
            <>
              <div className="grid gap-3 sm:grid-cols-3">
                <Select
                  label={say('roomView.title')}
                  value={room.id}
                  options={job.rooms.map(({ id, name }) => ({ value: id, label: name }))}
                  onChange={setAsked}
                />
                <TextField
                  label={say('roomView.name')}
                  value={room.name}
                  onCommit={(name) => run({ do: 'set room', room: { ...room, name } })}
                />
                <Select
                  label={say('roomView.kindRoom')}
                  value={room.kind}
                  options={ROOM_KINDS.map((one) => ({
                    value: one,
                    label: one === 'other' ? say('roomView.notSaid') : ROOM_KIND_NAME[one],
                  }))}
                  onChange={(value) => {
                    const kind = ROOM_KINDS.find((one) => one === value);
                    if (kind) run({ do: 'set room', room: { ...room, kind } });
                  }}
                />
                <NumberField
                  label={say('roomView.ceiling')}
                  unit="ft"
                  value={room.ceilingFt}
                  min={6}
                  max={30}
                  onCommit={(ceilingFt) => run({ do: 'set room', room: { ...room, ceilingFt } })}
                />
                {room.wallsFt.map((length, wall) => (
                  <NumberField
                    key={wall}
                    label={say('roomView.wall', { wall: wall + 1 })}
                    unit="ft"
                    value={length}
                    min={0.5}
                    max={200}
                    onCommit={(next) =>
                      run({ do: 'set room', room: { ...room, wallsFt: room.wallsFt.with(wall, next) } })
                    }
                  />
                ))}
              </div>
              <div className="mt-3 flex flex-wrap gap-2">
                <button type="button" className="button" onClick={addRoom}>
                  <Plus aria-hidden size={18} /> {say('roomView.anotherRoom')}
                </button>
                <button
                  type="button"
                  className="button"
                  onClick={() => {
                    run({ do: 'remove room', room: room.id });
                    setAsked(null);
                  }}
                >
                  <Trash2 aria-hidden size={18} /> {say('roomView.remove', { room: room.name })}
                </button>
              </div>
            </>
          )}
        </Fold>
      ) : null}
    </div>
  );
}
