import { Plus, Trash2 } from 'lucide-react';
import { useRef, useState } from 'react';
import { freshId } from '@core/job/commands/command';
import { symbolsOf } from '@core/code/brief/symbols';
import { placeName } from '@core/job/model/called';
import { Room, ROOM_KINDS, type Box, type Design } from '@core/job/model/design';
import { corners, nearestSpot, spotPoint, type FloorPoint } from '@core/job/rooms/corners';
import { spacing, WALL_ROOMS } from '@core/job/rooms/spacing';
import { Symbol } from '~/drawing/symbols';
import { NumberField } from '~/ui/number-field';
import { Select } from '~/ui/select';
import { TextField } from '~/ui/text-field';
import { Fold } from '~/ui/fold';
import { useJob, usePlan } from '../job/context';
import type { Chosen } from './run-map-parts';
import { SpacingWords, WallGaps, WallOpenings } from './wall-spacing';
import { ROOM_KIND_NAME } from '@core/job/model/place-names';
import { say } from '~/words/lay-out';

interface Props {
  readonly chosen: Chosen;
  readonly onChoose: (chosen: Chosen) => void;
  /** A room that is looked at from elsewhere, and changed here. */
  readonly only?: string;
}

/** Drawing units a foot takes, and the margin round the room for symbols and labels. */
const FOOT = 18;
const MARGIN = 60;
/** Room at the sides for names. */
const LABEL = 60;
/** How far an arrow key moves a box, ft. */
const STEP_FT = 0.5;
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

/** A device by its box. */
const nameOf = (job: Design, device: string): string =>
  placeName(job, job.devices.find(({ id }) => id === device)?.box ?? device);

function Floor({ room, chosen, onChoose }: Props & { room: Room }) {
  const { job, run } = useJob();
  const { outcome } = usePlan();
  const svg = useRef<SVGSVGElement>(null);
  const [dragged, setDragged] = useState<{ box: string; wall: number; alongFt: number } | null>(null);
  const points = corners(room);
  const [left, top] = [Math.min(...points.map(([x]) => x)), Math.min(...points.map(([, y]) => y))];
  const [right, bottom] = [Math.max(...points.map(([x]) => x)), Math.max(...points.map(([, y]) => y))];
  const at = ([x, y]: FloorPoint): FloorPoint => [
    (x - left) * FOOT + MARGIN + LABEL,
    (y - top) * FOOT + MARGIN,
  ];
  const width = (right - left) * FOOT + 2 * MARGIN + 2 * LABEL;
  const height = (bottom - top) * FOOT + 2 * MARGIN;
  const here = job.boxes.filter(({ spot }) => spot?.room === room.id);
  const move = (box: Box, wall: number, alongFt: number) => {
    if (box.spot && (box.spot.wall !== wall || box.spot.alongFt !== alongFt)) {
      run({ do: 'set box', box: box.id, change: { spot: { room: room.id, wall, alongFt } } });
    }
  };
  const underPointer = (event: React.PointerEvent) => {
    const matrix = svg.current?.getScreenCTM();
    if (!matrix) return null;
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    return nearestSpot(room, [(x - MARGIN - LABEL) / FOOT + left, (y - MARGIN) / FOOT + top]);
  };
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${width} ${height}`}
      className="max-h-80 w-full rounded-xl border-2 border-line bg-paper"
      role="group"
      aria-label={say('roomView.fromAbove', { room: room.name })}
    >
      <path
        d={`M${points.map((point) => at(point).join(' ')).join('L')}${room.wallsFt.length > 2 ? 'Z' : ''}`}
        fill="var(--well)"
        stroke="var(--ink)"
        strokeWidth={6}
        strokeLinejoin="miter"
      />
      <WallOpenings room={room} at={at} />
      {WALL_ROOMS.has(room.kind) ? <WallGaps room={room} gaps={spacing(job, room).gaps} at={at} /> : null}
      {room.wallsFt.map((length, wall) => {
        const { at: middle, outward } = spotPoint(room, wall, length / 2);
        const [x, y] = at(middle);
        return (
          <text
            key={wall}
            x={x - outward[0] * 20}
            y={y - outward[1] * 24 + 5}
            // Beside a wall that stands they begin where its dashes end.
            textAnchor={outward[0] < -0.5 ? 'start' : outward[0] > 0.5 ? 'end' : 'middle'}
            fontSize={13}
            fill="var(--ink-soft)"
          >
            {say('roomView.ft', { length })}
          </text>
        );
      })}
      {job.runs.map((one) => {
        const [a, b] = [one.from, one.to].map((id) => here.find((box) => box.id === id)?.spot);
        if (!a || !b) return null;
        const [from, to] = [a, b].map(({ wall, alongFt }) => at(spotPoint(room, wall, alongFt).at));
        if (!from || !to) return null;
        return (
          <path
            key={one.id}
            d={`M${from.join(' ')}Q${width / 2} ${height / 2} ${to.join(' ')}`}
            fill="none"
            stroke="var(--ink)"
            strokeWidth={1.8}
            strokeDasharray={one.existing ? '2 5' : '9 4'}
          />
        );
      })}
      {here.map((box) => {
        const spot = dragged?.box === box.id ? dragged : box.spot;
        if (!spot) return null;
        const { at: on, outward } = spotPoint(room, spot.wall, spot.alongFt);
        const [x, y] = at(on);
        const picked = chosen.kind === 'box' && chosen.id === box.id;
        const symbols = symbolsOf(job, outcome, box.id);
        const [sx, sy] = [x + outward[0] * 26, y + outward[1] * 26];
        return (
          <g
            key={box.id}
            role="button"
            tabIndex={0}
            aria-pressed={picked}
            aria-label={say('roomView.boxAt', {
              box: box.name,
              wall: spot.wall + 1,
              alongFt: spot.alongFt,
              heightIn: box.heightIn ?? '?',
            })}
            style={{ cursor: 'grab', touchAction: 'none' }}
            onClick={() => onChoose({ kind: 'box', id: box.id })}
            onPointerDown={(event) => {
              event.currentTarget.setPointerCapture(event.pointerId);
              setDragged({ box: box.id, wall: spot.wall, alongFt: spot.alongFt });
            }}
            onPointerMove={(event) => {
              if (dragged?.box !== box.id) return;
              const next = underPointer(event);
              if (next) setDragged({ box: box.id, ...next });
            }}
            onPointerUp={() => {
              if (dragged?.box === box.id) move(box, dragged.wall, dragged.alongFt);
              setDragged(null);
            }}
            onKeyDown={(event) => {
              const by = { ArrowLeft: -STEP_FT, ArrowRight: STEP_FT }[event.key];
              if (by === undefined) return;
              event.preventDefault();
              const most = room.wallsFt[spot.wall] ?? 0;
              move(box, spot.wall, Math.min(Math.max(spot.alongFt + by, 0), most));
            }}
          >
            <circle
              cx={sx}
              cy={sy}
              r={22}
              fill={picked ? 'var(--plum-tint)' : 'transparent'}
              stroke={picked ? 'var(--plum)' : 'none'}
              strokeWidth={3}
            />
            <circle cx={x} cy={y} r={5} fill="var(--ink)" />
            {(symbols.length > 0 ? symbols.slice(0, 2) : ['luminaire' as const]).map((symbol, index) => (
              <g
                key={index}
                transform={`translate(${sx + index * 22 - (Math.min(symbols.length, 2) > 1 ? 11 : 0)} ${sy}) scale(0.9)`}
              >
                <Symbol symbol={symbol} />
              </g>
            ))}
            <text
              x={sx + outward[0] * 24}
              y={sy + (Math.abs(outward[0]) > 0.5 ? 4 : outward[1] < 0 ? -18 : 30)}
              textAnchor={outward[0] > 0.5 ? 'start' : outward[0] < -0.5 ? 'end' : 'middle'}
              fontSize={12}
              fontWeight={700}
              fill="var(--ink)"
            >
              {box.name}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
