import { mapSymbols } from '@core/code/brief/symbols';
import { placeName } from '@core/job/model/called';
import { PANEL, type Design } from '@core/job/model/design';
import type { Sheet, SheetPoint } from '@core/job/model/sheet';
import { tracedOn } from '@core/job/sheet/trace';
import { Symbol } from '~/drawing/symbols';
import { usePlan } from '../job/context';
import { say } from '~/words/sheet';

/** A length as it stands on a plan: 12'-6". */
export function feetInches(ft: number): string {
  const inches = Math.round(ft * 12);
  return say('table.feet', { feet: Math.floor(inches / 12), inches: inches % 12 });
}

const line = (points: readonly SheetPoint[]): string =>
  points.map(({ x, y }, at) => `${at === 0 ? 'M' : 'L'}${x} ${y}`).join('');

/** What is traced on a sheet: rooms with their lengths, doors and windows, boxes and the panel. */
export function TracedMarks({
  job,
  sheet,
  unit,
  named,
}: {
  job: Design;
  sheet: Sheet;
  unit: number;
  /** With names and lengths: while it is traced, or where there is no picture that says them. */
  named: boolean;
}) {
  const { outcome } = usePlan();
  const { rooms, openings, places } = tracedOn(job, sheet);
  const below = { stroke: 'var(--sand)', strokeWidth: 7 * unit, fill: 'none' } as const;
  return (
    <g className="pointer-events-none" data-traced={rooms.length}>
      {rooms.map(({ room, corners }) => (
        <g key={room.id} data-room={room.id}>
          <path d={`${line(corners)}Z`} fill="var(--plum)" fillOpacity={0.07} />
          <path d={`${line(corners)}Z`} {...below} strokeOpacity={0.7} />
          <path d={`${line(corners)}Z`} fill="none" stroke="var(--plum)" strokeWidth={3 * unit} />
          {named &&
            corners.map((corner, wall) => {
              const next = corners[(wall + 1) % corners.length] ?? corner;
              return (
                <Words key={wall} at={{ x: (corner.x + next.x) / 2, y: (corner.y + next.y) / 2 }} unit={unit}>
                  {feetInches(room.wallsFt[wall] ?? 0)}
                </Words>
              );
            })}
          {named ? (
            <Words at={middle(corners)} unit={unit} strong>
              {room.name}
            </Words>
          ) : null}
        </g>
      ))}
      {openings.map(({ room, opening, from, to }) => (
        <g key={`${room} ${opening.id}`} data-opening={opening.kind}>
          <path d={line([from, to])} {...below} strokeWidth={9 * unit} />
          <path
            d={line([from, to])}
            stroke="var(--ink)"
            strokeWidth={(opening.kind === 'window' ? 7 : 3) * unit}
            {...(opening.kind === 'window' ? {} : { strokeDasharray: `${3 * unit} ${4 * unit}` })}
          />
          {opening.kind === 'window' ? (
            <path d={line([from, to])} stroke="var(--sand)" strokeWidth={2.5 * unit} />
          ) : null}
        </g>
      ))}
      {[...places].map(([id, { x, y }]) => (
        <g key={id} transform={`translate(${x} ${y}) scale(${unit})`} data-place={id}>
          {id === PANEL ? (
            <path d="M-9 -13h18v26h-18z" fill="var(--ink)" stroke="var(--sand)" strokeWidth={2} />
          ) : (
            <g transform="scale(0.8)">
              <circle r={17} fill="var(--sand)" fillOpacity={0.85} />
              <Symbol symbol={mapSymbols(job, outcome, id)[0] ?? 'receptacle'} />
            </g>
          )}
          {named ? (
            <text
              y={30}
              textAnchor="middle"
              fontSize={12}
              fontWeight={700}
              fill="var(--ink)"
              stroke="var(--sand)"
              strokeWidth={4}
              paintOrder="stroke"
            >
              {placeName(job, id)}
            </text>
          ) : null}
        </g>
      ))}
    </g>
  );
}

function Words({
  at,
  unit,
  strong = false,
  children,
}: {
  at: SheetPoint;
  unit: number;
  strong?: boolean;
  children: string;
}) {
  return (
    <text
      transform={`translate(${at.x} ${at.y}) scale(${unit})`}
      textAnchor="middle"
      y={5}
      fontSize={strong ? 15 : 13}
      fontWeight={strong ? 750 : 650}
      fill="var(--ink)"
      stroke="var(--sand)"
      strokeWidth={5}
      paintOrder="stroke"
    >
      {children}
    </text>
  );
}

const middle = (corners: readonly SheetPoint[]): SheetPoint => ({
  x: corners.reduce((sum, { x }) => sum + x, 0) / corners.length,
  y: corners.reduce((sum, { y }) => sum + y, 0) / corners.length,
});
