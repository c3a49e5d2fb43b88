import type { Room } from '@core/job/model/design';
import { COUNTERED } from '@core/job/rooms/counters';
import { WALL_ROOMS } from '@core/job/rooms/spacing';
import { NumberField } from '~/ui/number-field';
import { Select } from '~/ui/select';
import { useJob } from '../job/context';
import { say } from '~/words/load';

const SPACINGS = [
  { value: 'ask', label: say('roomFacts.notSaid') },
  { value: 'judge', label: say('roomFacts.yesJudgeSpacing') },
  { value: 'leave', label: say('roomFacts.noLeaveUnjudged') },
] as const;

/** What the placement rules ask of a room: whether all of it was entered, its stairs, its counters. */
export function RoomFacts({ room }: { room: Room }) {
  const { run } = useJob();
  const set = (change: Partial<Room>) => run({ do: 'set room', room: { ...room, ...change } });
  const walls =
    WALL_ROOMS.has(room.kind) || ['bathroom', 'hallway', 'outdoors', 'garage', 'laundry'].includes(room.kind);
  if (!walls && room.kind !== 'stairway' && !COUNTERED.has(room.kind)) return null;
  return (
    <fieldset className="grid gap-2 border-t border-line pt-2">
      <legend className="font-semibold">{room.name}</legend>
      {walls ? (
        <Select
          label={say('roomFacts.allReceptaclesEntered')}
          value={room.spacing}
          options={SPACINGS}
          onChange={(value) => set({ spacing: SPACINGS.find((one) => one.value === value)?.value ?? 'ask' })}
        />
      ) : null}
      {room.kind === 'stairway' ? (
        <NumberField
          label={say('roomFacts.risersBetweenFloors')}
          unit=""
          value={room.risers ?? 0}
          min={0}
          max={60}
          onCommit={(risers) => set({ risers: Math.round(risers) })}
        />
      ) : null}
      {room.kind === 'garage' ? (
        <NumberField
          label={say('roomFacts.bays')}
          unit=""
          value={room.bays ?? 0}
          min={0}
          max={12}
          onCommit={(bays) => set({ bays: Math.round(bays) || null })}
        />
      ) : null}
      {COUNTERED.has(room.kind) ? <Counters room={room} set={set} /> : null}
    </fieldset>
  );
}

function Counters({ room, set }: { room: Room; set: (change: Partial<Room>) => void }) {
  const { counters } = room;
  const change = (index: number, next: Room['counters'][number]) =>
    set({ counters: counters.map((one, at) => (at === index ? next : one)) });
  return (
    <div className="grid gap-2">
      {counters.map((counter, index) => (
        <div key={index} className="grid grid-cols-[minmax(0,1fr)_6rem_6rem_auto] items-end gap-2">
          {counter.kind === 'wall' ? (
            <>
              <Select
                label={say('roomFacts.counterAlong')}
                value={String(counter.wall)}
                options={room.wallsFt.map((_, wall) => ({
                  value: String(wall),
                  label: say('roomFacts.wall', { wall: wall + 1 }),
                }))}
                onChange={(wall) => change(index, { ...counter, wall: Number(wall) })}
              />
              <NumberField
                label={say('roomFacts.from')}
                unit="ft"
                value={counter.fromFt}
                min={0}
                max={200}
                onCommit={(fromFt) => change(index, { ...counter, fromFt })}
              />
              <NumberField
                label={say('roomFacts.to')}
                unit="ft"
                value={counter.toFt}
                min={0}
                max={200}
                onCommit={(toFt) => change(index, { ...counter, toFt })}
              />
            </>
          ) : (
            <>
              <Select
                label={say('roomFacts.standsFree')}
                value={counter.kind}
                options={FREE}
                onChange={(kind) =>
                  change(index, { ...counter, kind: kind === 'peninsula' ? 'peninsula' : 'island' })
                }
              />
              <NumberField
                label={say('roomFacts.long')}
                unit="ft"
                value={counter.longFt}
                min={0.5}
                max={60}
                onCommit={(longFt) => change(index, { ...counter, longFt })}
              />
              <NumberField
                label={say('roomFacts.short')}
                unit="ft"
                value={counter.shortFt}
                min={0.5}
                max={60}
                onCommit={(shortFt) => change(index, { ...counter, shortFt })}
              />
            </>
          )}
          <button
            type="button"
            className="button button-quiet"
            onClick={() => set({ counters: counters.filter((_, at) => at !== index) })}
          >
            {say('roomFacts.takeOff')}
          </button>
        </div>
      ))}
      <div className="flex flex-wrap gap-2">
        <button
          type="button"
          className="chip"
          disabled={counters.length >= 12}
          onClick={() =>
            set({ counters: [...counters, { kind: 'wall', wall: 0, fromFt: 0, toFt: room.wallsFt[0] ?? 6 }] })
          }
        >
          {say('roomFacts.counterAlongWall')}
        </button>
        <button
          type="button"
          className="chip"
          disabled={counters.length >= 12}
          onClick={() => set({ counters: [...counters, { kind: 'island', longFt: 6, shortFt: 3 }] })}
        >
          {say('roomFacts.islandPeninsula')}
        </button>
      </div>
    </div>
  );
}

const FREE = [
  { value: 'island', label: say('roomFacts.island') },
  { value: 'peninsula', label: say('roomFacts.peninsula') },
] as const;
