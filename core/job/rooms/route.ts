import type { z } from 'zod';
import { sure } from '../../base/sure';
import { PANEL, type Box, type Design, type Room, type Run } from '../model/design';
import { roomOf } from '../model/room-of';
import { staplesAlong } from '../../trade/standards/cable-run';
import { say } from '../../base/words/rooms';
import { placeOnFloor } from './floor';

/** Distances along framing, ft. Studs stand 16 in apart (common practice). */
const STUD_SPACING_FT = 16 / 12;
/** Height a box stands at where nothing is said, in: a receptacle's (common practice). */
const USUAL_HEIGHT_IN = 16;
const USUAL_CEILING_FT = 8;

/** A run measured along its route. */
export interface Measured {
  readonly lengthFt: number;
  /** Holes through studs and plates. */
  readonly holes: number;
  readonly staples: number;
  /** How it goes, in words with its numbers. */
  readonly says: string;
}

/** Middle of a panel above the floor, in, and what a cable goes over a door at, ft (common practice). */
const PANEL_HEIGHT_IN = 60;
const OVER_DOOR_FT = 7;

/** An end of a run: how high it is, and under which ceiling. */
interface End {
  readonly upFt: number;
  readonly ceilingFt: number;
  readonly room: Room | undefined;
  readonly spot: Spot | null;
}

function endOf(job: Design, id: string): End | null {
  const box = job.boxes.find((one) => one.id === id);
  if (!box && id !== PANEL) return null;
  const room = job.rooms.find((one) => one.id === roomOf(box));
  const ceilingFt = room?.ceilingFt ?? Math.max(USUAL_CEILING_FT, ...job.rooms.map((one) => one.ceilingFt));
  const hangs = box?.family === 'ceiling' && box.heightIn === null;
  const upFt = box ? (hangs ? ceilingFt : (box.heightIn ?? USUAL_HEIGHT_IN) / 12) : PANEL_HEIGHT_IN / 12;
  return { upFt, ceilingFt, room, spot: box?.spot ?? null };
}

/**
 * Measures a run: up to the plate and over, between any two places of one sheet or on the walls of one room; or along the wall
 * through the studs, within one room, over the doors in its way. `null` where the places are not known.
 */
export function measureRun(
  job: Design,
  run: Pick<Run, 'from' | 'to'>,
  route: 'over' | 'along',
): Measured | null {
  const [from, to] = [endOf(job, run.from), endOf(job, run.to)];
  if (!from || !to) return null;
  const room = from.spot && to.spot && from.spot.room === to.spot.room ? from.room : undefined;
  if (route === 'along')
    return room && from.spot && to.spot ? alongWalls(room, [from.spot, to.spot], [from.upFt, to.upFt]) : null;
  const acrossFt = room && from.spot && to.spot ? apartFt(room, from.spot, to.spot) : across(job, run);
  if (acrossFt === null) return null;
  const up = Math.max(from.ceilingFt - from.upFt, 0);
  const down = Math.max(to.ceilingFt - to.upFt, 0);
  return result(
    up + acrossFt + down,
    2,
    say('route.overPlate', { upFt: ft(up), overFt: ft(acrossFt), downFt: ft(down) }),
  );
}

/** Between two places of a sheet along the house and square to it, as joists lead a cable, ft. */
function across(job: Design, { from, to }: Pick<Run, 'from' | 'to'>): number | null {
  const [a, b] = [placeOnFloor(job, from), placeOnFloor(job, to)];
  if (!a || !b || a.sheet !== b.sheet) return null;
  const along = job.rooms.find(({ plan }) => plan?.sheet === a.sheet)?.plan?.headingDeg ?? 0;
  const [far, angle] = [
    Math.hypot(b.xFt - a.xFt, b.yFt - a.yFt),
    Math.atan2(b.yFt - a.yFt, b.xFt - a.xFt) - (along * Math.PI) / 180,
  ];
  return far * (Math.abs(Math.cos(angle)) + Math.abs(Math.sin(angle)));
}

/** The shorter way along the walls from one spot to another; up and over where a door stands in it. */
function alongWalls(
  room: Room,
  [from, to]: readonly [Spot, Spot],
  heights: readonly [number, number],
): Measured {
  const total = room.wallsFt.reduce((sum, wall) => sum + wall, 0);
  const [near, far] = [position(room, from), position(room, to)].sort((a, b) => a - b) as [number, number];
  const doors = room.openings
    .filter(({ kind }) => kind !== 'window')
    .map(
      ({ wall, fromFt, toFt }) =>
        (position(room, { wall, alongFt: fromFt }) + position(room, { wall, alongFt: toFt })) / 2,
    );
  const isBetween = (door: number) => door > near && door < far;
  const straight = { wallsFt: far - near, over: doors.some(isBetween) };
  const round = { wallsFt: total - (far - near), over: doors.some((door) => !isBetween(door)) };
  const level = Math.abs(heights[0] - heights[1]);
  const [first, ...others] = (room.wallsFt.length < 3 ? [straight] : [straight, round])
    .map(({ wallsFt, over }) => ({
      wallsFt,
      over,
      upFt: over ? heights.reduce((sum, height) => sum + Math.max(OVER_DOOR_FT - height, 0), 0) : level,
    }))
    .sort((a, b) => a.wallsFt + a.upFt - b.wallsFt - b.upFt);
  const { wallsFt, upFt, over } = sure(first, `way of ${others.length + 1}`);
  const holes = Math.floor(wallsFt / STUD_SPACING_FT);
  return result(
    wallsFt + upFt,
    holes,
    over
      ? say('route.alongWallOverDoor', { ft: ft(wallsFt), holes, up: ft(upFt) })
      : say('route.alongWall', { alongFt: ft(wallsFt), holes, upFt: ft(upFt) }),
  );
}

const ft = (value: number): string => say('route.ft', { round: Math.round(value * 10) / 10 });

function result(exactFt: number, holes: number, says: string): Measured {
  const lengthFt = Math.max(Math.round(exactFt * 2) / 2, 0.5);
  return { lengthFt, holes, staples: staplesAlong(lengthFt), says };
}

type Spot = NonNullable<Box['spot']>;

/** Along the walls from one spot of a room to another, the shorter way round, ft. */
export function apartFt(room: Room, from: Spot, to: Spot): number {
  const around = room.wallsFt.reduce((sum, wall) => sum + wall, 0);
  const straight = Math.abs(position(room, from) - position(room, to));
  return room.wallsFt.length < 3 ? straight : Math.min(straight, around - straight);
}

/** Distance round the room from its first corner. */
const position = (room: Room, { wall, alongFt }: Pick<Spot, 'wall' | 'alongFt'>): number =>
  room.wallsFt.slice(0, wall).reduce((sum, one) => sum + one, 0) + alongFt;

/** Length of a run along its route, ft; null where it is given, or cannot be measured. */
function measuredFt(design: Design, run: Run): number | null {
  if (run.route === 'given') return null;
  return measureRun(design, run, run.route)?.lengthFt ?? null;
}

/** The design with every run that follows a route as long as that route; itself where nothing differs. */
export function measured(design: Design): Design {
  const runs = design.runs.map((run) => {
    const lengthFt = measuredFt(design, run) ?? run.lengthFt;
    if (lengthFt === run.lengthFt) return run;
    return { ...run, lengthFt };
  });
  return runs.some((run, index) => run !== design.runs[index]) ? { ...design, runs } : design;
}

/** The design as it is stored: what is measured is left out. */
export const withoutMeasured = (design: Design): z.input<typeof Design> => ({
  ...design,
  runs: design.runs.map((run) => (measuredFt(design, run) === null ? run : withoutLength(run))),
});
const withoutLength = ({ lengthFt: _, ...rest }: Run): Omit<Run, 'lengthFt'> => rest;
