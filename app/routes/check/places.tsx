import { capitalize } from '@core/base/capitalize';
import { useState } from 'react';
import { freshId } from '@core/job/commands/command';
import { Room, ROOM_KINDS, type Box, type Design, type RoomKind } from '@core/job/model/design';
import { NumberField } from '~/ui/number-field';
import { Select } from '~/ui/select';
import { useJob } from '../job/context';
import { RoomFacts } from './room-facts';
import { EXPOSURE_NAME, REACH_NAME, ROOM_KIND_NAME } from '@core/job/model/place-names';
import { say } from '~/words/load';

const EXPOSURES = ['dry', 'damp', 'wet'] as const;
const REACHES = ['open', 'ceiling', 'behind appliance', 'above reach', 'in cabinet'] as const;

const FACTS = [
  { fact: 'counter', of: null, says: say('places.servesCountertop') },
  { fact: 'concealed', of: null, says: say('places.behindFinish') },
  { fact: 'inTubSpace', of: 'bathroom', says: say('places.tubShowerSpace') },
] as const;

/** The facts of each place that the rules ask for. */
export function Places() {
  const { job, run } = useJob();
  // Open where something is asked for; after that it stays as the hand leaves it.
  const [unsaid] = useState(() => job.boxes.some(({ room, spot }) => room === null && spot === null));
  return (
    <details className="grid gap-3" open={unsaid}>
      <summary className="min-h-6 cursor-pointer text-lg font-bold">{say('places.whereEachBox')}</summary>
      <div className="mt-2 grid gap-4">
        {job.boxes.map((box) => {
          const set = (change: Partial<Box>) => run({ do: 'set box', box: box.id, change });
          const room = job.rooms.find(({ id }) => id === (box.spot?.room ?? box.room));
          return (
            <fieldset key={box.id} className="grid gap-2 border-t border-line pt-2">
              <legend className="font-semibold">{box.name}</legend>
              <div className="grid grid-cols-2 gap-2">
                <Select
                  label={say('places.kindRoom')}
                  value={room?.kind ?? ''}
                  options={[
                    ...(box.spot ? [] : [{ value: '', label: say('places.notSaid') }]),
                    ...ROOM_KINDS.filter((one) => one !== 'other').map((one) => ({
                      value: one,
                      label: ROOM_KIND_NAME[one],
                    })),
                    { value: 'other', label: say('places.noneThese') },
                  ]}
                  onChange={(value) => {
                    const kind = ROOM_KINDS.find((one) => one === value);
                    if (kind) run(...roomCommands(job, box, kind));
                    else set({ room: null });
                  }}
                />
                <Select
                  label={say('places.location')}
                  value={box.exposure}
                  options={EXPOSURES.map((one) => ({ value: one, label: EXPOSURE_NAME[one] }))}
                  onChange={(value) => set({ exposure: EXPOSURES.find((one) => one === value) ?? 'dry' })}
                />
                <Select
                  label={say('places.access')}
                  value={box.reach}
                  options={REACHES.map((one) => ({ value: one, label: REACH_NAME[one] }))}
                  onChange={(value) => set({ reach: REACHES.find((one) => one === value) ?? 'open' })}
                />
                <Select
                  label={say('places.sinkTubShower')}
                  value={box.waterFt === null ? '' : box.waterFt <= 6 ? 'near' : 'far'}
                  options={[
                    { value: '', label: say('places.notSaid') },
                    { value: 'near', label: say('places.within6Ft') },
                    { value: 'far', label: say('places.farther') },
                  ]}
                  onChange={(value) => set({ waterFt: value === '' ? null : value === 'near' ? 5 : 20 })}
                />
              </div>
              <div className="flex flex-wrap gap-2">
                {FACTS.filter(({ of }) => of === null || of === room?.kind).map(({ fact, says }) => (
                  <button
                    key={fact}
                    type="button"
                    className="chip"
                    aria-pressed={box[fact]}
                    onClick={() => set({ [fact]: !box[fact] })}
                  >
                    {says}
                  </button>
                ))}
              </div>
              {room?.kind === 'closet' ? (
                <NumberField
                  label={say('places.luminaireStorageSpace')}
                  unit="in"
                  value={box.storageIn ?? 0}
                  min={0}
                  max={240}
                  onCommit={(storageIn) => set({ storageIn })}
                />
              ) : null}
            </fieldset>
          );
        })}
        {job.rooms.map((room) => (
          <RoomFacts key={room.id} room={room} />
        ))}
      </div>
    </details>
  );
}

/** The box's room is of this kind; where it has none, it gets one. */
function roomCommands(job: Design, box: Box, kind: RoomKind) {
  const room = job.rooms.find(({ id }) => id === (box.spot?.room ?? box.room));
  if (room) return [{ do: 'set room' as const, room: { ...room, kind } }];
  const id = freshId(job.rooms, kind);
  return [
    {
      do: 'set room' as const,
      room: Room.parse({
        id,
        name: capitalize(kind),
        kind,
        wallsFt: [12, 10, 12, 10],
      }),
    },
    { do: 'set box' as const, box: box.id, change: { room: id } },
  ];
}
