import { sure } from '../../base/sure';
import { wishKind } from '../../trade/devices';
import type { Design, Opening, Room, RoomKind } from '../model/design';
import { say } from '../../base/words/rooms';

/** No point of a wall farther than this from a receptacle that counts, ft; wall lines from this length on count. */
const SPACING_FT = 6;
const WALL_SPACE_FT = 2;
/** Higher than this a receptacle does not count, in. */
const TOO_HIGH_IN = 66;

/** Rooms of NEC 210.52(A) (from memory). */
export const WALL_ROOMS: ReadonlySet<RoomKind> = new Set<RoomKind>([
  'kitchen',
  'family',
  'dining',
  'living',
  'library',
  'den',
  'sunroom',
  'bedroom',
  'recreation',
]);

export interface Gap {
  readonly wall: number;
  readonly fromFt: number;
  readonly toFt: number;
}

export interface Spacing {
  readonly counted: readonly { readonly device: string; readonly wall: number; readonly alongFt: number }[];
  readonly uncounted: readonly { readonly device: string; readonly why: string }[];
  readonly gaps: readonly Gap[];
}

/**
 * Which receptacles of a room count, and the stretches of wall that are more than 6 ft from one, measured along the floor line
 * of each wall space: round the corners, and no farther than a door or an opening that breaks it (NEC 210.52(A)(1), (2), from
 * memory).
 */
export function spacing(job: Design, room: Room): Spacing {
  const counted: Spacing['counted'][number][] = [];
  const uncounted: Spacing['uncounted'][number][] = [];
  for (const device of job.devices) {
    const box = job.boxes.find(({ id }) => id === device.box);
    if (!box || box.spot?.room !== room.id || !wishKind(device.kind).receptacle) continue;
    const parts = Object.values(device.wants).filter((want) => want.does === 'power');
    const why =
      parts.length > 0 && parts.every((want) => want.control !== null)
        ? say('spacing.switchTurnsAllOff')
        : (box.heightIn ?? 0) > TOO_HIGH_IN
          ? say('spacing.over5FtUp')
          : box.reach === 'in cabinet'
            ? say('spacing.insideCabinet')
            : null;
    if (why === null) counted.push({ device: device.id, wall: box.spot.wall, alongFt: box.spot.alongFt });
    else uncounted.push({ device: device.id, why });
  }
  return { counted, uncounted, gaps: gapsOf(room, counted) };
}

/** What one walks through ends a wall space; a window does not. */
const breaks = ({ kind }: Opening): boolean => kind !== 'window';

/** A stretch along the walls, ft from the first corner; past the first corner again it goes on beyond the whole way round. */
interface Stretch {
  readonly fromFt: number;
  readonly toFt: number;
}

/** The wall spaces of a room: between what breaks them, round the corners. One or two walls stand in a row and close no ring. */
function wallSpaces({ wallsFt, openings }: Room, starts: readonly number[], total: number): Stretch[] {
  const broken = openings
    .filter(breaks)
    .map(({ wall, fromFt, toFt }) => {
      const start = sure(starts[wall], 'such wall');
      return { fromFt: start + fromFt, toFt: start + toFt };
    })
    .sort((a, b) => a.fromFt - b.fromFt);
  const [first] = broken;
  if (!first) return [{ fromFt: 0, toFt: total }];
  const isRing = wallsFt.length > 2;
  const between = broken.map(({ toFt }, at) => ({
    fromFt: toFt,
    toFt: broken[at + 1]?.fromFt ?? (isRing ? first.fromFt + total : total),
  }));
  return isRing ? between : [{ fromFt: 0, toFt: first.fromFt }, ...between];
}

function gapsOf(room: Room, counted: Spacing['counted']): Gap[] {
  const starts: number[] = [];
  let total = 0;
  for (const ft of room.wallsFt) {
    starts.push(total);
    total += ft;
  }
  const isRing = room.wallsFt.length > 2;
  // On a ring a wall space may go on past the first corner.
  const marks = counted
    .map(({ wall, alongFt }) => sure(starts[wall], 'such wall') + alongFt)
    .flatMap((mark) => (isRing ? [mark, mark + total] : [mark]));
  const whole = isRing && !room.openings.some(breaks);
  return wallSpaces(room, starts, total)
    .flatMap((space): Gap[] => {
      // A short wall counts along the wall line that it is part of: what counts is measured round the corners (210.52(A)(2)(1)).
      if (space.toFt - space.fromFt < WALL_SPACE_FT) return [];
      return uncovered(space, marks, total, whole).flatMap((gap) =>
        onWalls(gap, room.wallsFt, starts, total),
      );
    })
    .sort((a, b) => a.wall - b.wall || a.fromFt - b.fromFt);
}

/** What of a wall space no receptacle on it reaches. `whole`: it is the whole way round, and reaches across its own beginning. */
function uncovered(
  { fromFt, toFt }: Stretch,
  marks: readonly number[],
  total: number,
  whole: boolean,
): Stretch[] {
  const reached = marks
    .flatMap((mark) => (whole ? [mark - total, mark] : [mark]))
    .filter((mark) => whole || (mark >= fromFt - 1e-9 && mark <= toFt + 1e-9))
    .sort((a, b) => a - b);
  const gaps: Stretch[] = [];
  let at = fromFt;
  for (const mark of reached) {
    if (mark - SPACING_FT > at + 1e-6) gaps.push({ fromFt: at, toFt: Math.min(mark - SPACING_FT, toFt) });
    at = Math.max(at, mark + SPACING_FT);
    if (at >= toFt) break;
  }
  if (toFt > at + 1e-6) gaps.push({ fromFt: at, toFt });
  return gaps.filter((gap) => gap.toFt > gap.fromFt + 1e-6);
}

/** A stretch wall by wall. */
function onWalls(
  { fromFt, toFt }: Stretch,
  wallsFt: readonly number[],
  starts: readonly number[],
  total: number,
): Gap[] {
  return [0, total].flatMap((round) =>
    wallsFt.flatMap((ft, wall): Gap[] => {
      const start = sure(starts[wall], 'such wall') + round;
      const [from, to] = [Math.max(fromFt, start), Math.min(toFt, start + ft)];
      return to - from > 1e-6 ? [{ wall, fromFt: from - start, toFt: to - start }] : [];
    }),
  );
}
