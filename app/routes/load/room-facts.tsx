import type { Room } from '@core/model/design';
import { COUNTERED } from '@core/rooms/counters';
import { WALL_ROOMS } from '@core/rooms/spacing';
import { NumberField } from '~/ui/number-field';
import { Select } from '~/ui/select';
import { useJob } from '../job/context';

const SPACINGS = [
  { value: 'ask', label: 'not said' },
  { value: 'judge', label: 'yes: judge the spacing' },
  { value: 'leave', label: 'no: leave it unjudged' },
] as const;

/** What the placement rules ask of a room: whether all of it was entered, its stairs, its counters. */
export function RoomFacts({ room }: { room: Room }) {
  const { run } = useJob();
  const set = (change: Partial<Room>) => run({ do: 'set room', room: { ...room, ...change } });
  const walls = WALL_ROOMS.has(room.kind) || ['bathroom', 'hallway', 'outdoors'].includes(room.kind);
  if (!walls && room.kind !== 'stairway' && !COUNTERED.has(room.kind)) return null;
  return (
    <fieldset className="grid gap-2 border-t border-line pt-2">
      <legend className="font-semibold">{room.name}</legend>
      {walls ? (
        <Select
          label="All its receptacles entered"
          value={room.spacing}
          options={SPACINGS}
          onChange={(value) => set({ spacing: SPACINGS.find((one) => one.value === value)?.value ?? 'ask' })}
        />
      ) : null}
      {room.kind === 'stairway' ? (
        <NumberField
          label="Risers between the floors"
          unit=""
          value={room.risers ?? 0}
          min={0}
          max={60}
          onCommit={(risers) => set({ risers: Math.round(risers) })}
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
                label="Counter along"
                value={String(counter.wall)}
                options={room.wallsFt.map((_, wall) => ({ value: String(wall), label: `wall ${wall + 1}` }))}
                onChange={(wall) => change(index, { ...counter, wall: Number(wall) })}
              />
              <NumberField
                label="From"
                unit="ft"
                value={counter.fromFt}
                min={0}
                max={200}
                onCommit={(fromFt) => change(index, { ...counter, fromFt })}
              />
              <NumberField
                label="To"
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
                label="Stands free"
                value={counter.kind}
                options={FREE}
                onChange={(kind) =>
                  change(index, { ...counter, kind: kind === 'peninsula' ? 'peninsula' : 'island' })
                }
              />
              <NumberField
                label="Long"
                unit="ft"
                value={counter.longFt}
                min={0.5}
                max={60}
                onCommit={(longFt) => change(index, { ...counter, longFt })}
              />
              <NumberField
                label="Short"
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
            Take off
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
          Counter along a wall
        </button>
        <button
          type="button"
          className="chip"
          disabled={counters.length >= 12}
          onClick={() => set({ counters: [...counters, { kind: 'island', longFt: 6, shortFt: 3 }] })}
        >
          Island or peninsula
        </button>
      </div>
    </div>
  );
}

const FREE = [
  { value: 'island', label: 'island' },
  { value: 'peninsula', label: 'peninsula' },
] as const;
