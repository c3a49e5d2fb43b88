import type { z } from 'zod';
import { isHome, type Box, type Design, type Room, type Run } from '../model/design';
import { staplesAlong } from '../../trade/standards/cable-run';
import { say } from '../../base/words/rooms';

/** Distances along framing, ft. Studs stand 16 in apart (common practice). */
const STUD_SPACING_FT = 16 / 12;
/** Height a box stands at where nothing is said, in: a receptacle's (common practice). */
const USUAL_HEIGHT_IN = 16;

/** A run measured along its route. */
export interface Measured {
  readonly lengthFt: number;
  /** Holes through studs and plates. */
  readonly holes: number;
  readonly staples: number;
  /** How it goes, in words with its numbers. */
  readonly says: string;
}

/**
 * Measures a run between two boxes on the walls of one room: up to the plate and over, or along the wall through the
 * studs. `null` where a box has no spot, or they are in different rooms.
 */
export function measureRun(
  job: Design,
  run: Pick<Run, 'from' | 'to'>,
  route: 'over' | 'along',
): Measured | null {
  const [from, to] = [run.from, run.to].map((id) => job.boxes.find((box) => box.id === id));
  if (!from?.spot || !to?.spot || from.spot.room !== to.spot.room) return null;
  const room = job.rooms.find(({ id }) => id === from.spot?.room);
  if (!room) return null;
  const walls = apartFt(room, from.spot, to.spot);
  const heights = [from, to].map(({ heightIn }) => (heightIn ?? USUAL_HEIGHT_IN) / 12);
  const [a = 0, b = 0] = heights;
  if (route === 'over') {
    const up = room.ceilingFt - a;
    const down = room.ceilingFt - b;
    return result(
      up + walls + down,
      2,
      say('route.upPlateOverDown', { ft: ft(up), ft2: ft(walls), ft3: ft(down) }),
    );
  }
  const holes = Math.floor(walls / STUD_SPACING_FT);
  return result(
    walls + Math.abs(a - b),
    holes,
    say('route.alongWallThroughStudsUp', { ft: ft(walls), holes, ft2: ft(Math.abs(a - b)) }),
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
const position = (room: Room, { wall, alongFt }: Spot): number =>
  room.wallsFt.slice(0, wall).reduce((sum, one) => sum + one, 0) + alongFt;

/** Length of a run along its route, ft; null where it is given, or cannot be measured. */
function measuredFt(design: Design, run: Run): number | null {
  if (run.route === 'given' || isHome(run)) return null;
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
