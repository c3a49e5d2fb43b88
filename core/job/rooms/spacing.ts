import { sure } from '../../base/sure';
import { wishKind } from '../../trade/devices';
import type { Design, Room, RoomKind } from '../model/design';
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
 * Which receptacles of a room count, and the stretches of wall that are more than 6 ft from one, measured along the
 * wall line round the corners. Doors and openings are not drawn: a gap may be one.
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

function gapsOf(room: Room, counted: Spacing['counted']): Gap[] {
  const starts: number[] = [];
  let total = 0;
  for (const ft of room.wallsFt) {
    starts.push(total);
    total += ft;
  }
  const marks = counted
    .map(({ wall, alongFt }) => sure(starts[wall], 'such wall') + alongFt)
    .sort((a, b) => a - b);
  const near = (ft: number) =>
    marks.some((mark) => {
      const away = Math.abs(mark - ft);
      return Math.min(away, total - away) <= SPACING_FT + 1e-9;
    });
  // A short wall counts along the wall line that it is part of: what counts is measured round the corners (210.52(A)(2)(1)).
  if (total < WALL_SPACE_FT) return [];
  return room.wallsFt.flatMap((ft, wall): Gap[] => {
    const start = sure(starts[wall], 'such wall');
    // The ends of what each receptacle reaches are the only places where a gap can begin or end.
    const cuts = [
      0,
      ft,
      ...marks.flatMap((mark) =>
        [mark - SPACING_FT, mark + SPACING_FT, mark - SPACING_FT + total, mark + SPACING_FT - total].map(
          (one) => one - start,
        ),
      ),
    ]
      .filter((cut) => cut >= 0 && cut <= ft)
      .sort((a, b) => a - b);
    const gaps: Gap[] = [];
    cuts.forEach((fromFt, index) => {
      const toFt = cuts[index + 1];
      if (toFt === undefined || toFt - fromFt < 1e-6 || near(start + (fromFt + toFt) / 2)) return;
      const last = gaps.at(-1);
      if (last && Math.abs(last.toFt - fromFt) < 1e-6) gaps[gaps.length - 1] = { ...last, toFt };
      else gaps.push({ wall, fromFt, toFt });
    });
    return gaps;
  });
}
