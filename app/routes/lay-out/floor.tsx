import { useRef, useState } from 'react';
import { symbolsOf } from '@core/code/brief/symbols';
import { placeName } from '@core/job/model/called';
import type { Design, Room, Box } from '@core/job/model/design';
import { corners, type FloorPoint, nearestSpot, spotPoint } from '@core/job/rooms/corners';
import { WALL_ROOMS, spacing } from '@core/job/rooms/spacing';
import { Symbol } from '~/drawing/symbols';
import { say } from '~/words/lay-out';
import { useJob, usePlan } from '../job/context';
import type { Chosen } from './run-map-parts';
import { WallOpenings, WallGaps } from './wall-spacing';

export interface Props {
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

/** A device by its box. */
export const nameOf = (job: Design, device: string): string =>
  placeName(job, job.devices.find(({ id }) => id === device)?.box ?? device);

export function Floor({ room, chosen, onChoose }: Props & { room: Room }) {
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
