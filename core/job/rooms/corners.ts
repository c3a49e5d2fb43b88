import { sure } from '../../base/sure';
import type { Room } from '../model/design';

/** A point of the floor, ft. */
export type FloorPoint = readonly [xFt: number, yFt: number];

/**
 * Corners of a room from its wall lengths, clockwise from the upper left. Four walls make a rectangle; other counts
 * a polygon of equal turns, which is enough to see what is on which wall.
 */
export function corners({ wallsFt }: Pick<Room, 'wallsFt'>): FloorPoint[] {
  if (wallsFt.length < 3) return straight(wallsFt);
  const turn = (2 * Math.PI) / wallsFt.length;
  const points: FloorPoint[] = [];
  let [x, y, heading] = [0, 0, 0];
  for (const length of wallsFt) {
    points.push([x, y]);
    x += length * Math.cos(heading);
    y += length * Math.sin(heading);
    heading += turn;
  }
  return points;
}

/** One or two walls stand in a row. */
const straight = (wallsFt: readonly number[]): FloorPoint[] =>
  wallsFt.reduce<FloorPoint[]>(
    (points, length) => [...points, [(points.at(-1)?.[0] ?? 0) + length, 0]],
    [[0, 0]],
  );

/** Where on the floor a spot of a wall is, and the way out of the room from there. */
export function spotPoint(
  room: Pick<Room, 'wallsFt'>,
  wall: number,
  alongFt: number,
): { at: FloorPoint; outward: FloorPoint } {
  const points = corners(room);
  const start = points[wall] ?? [0, 0];
  const next = points[wall + 1] ?? points[0] ?? start;
  const length = room.wallsFt[wall] ?? 1;
  const end: FloorPoint =
    next === points[0] && room.wallsFt.length < 3 ? [start[0] + length, start[1]] : next;
  const size = Math.hypot(end[0] - start[0], end[1] - start[1]) || 1;
  const [dx, dy] = [(end[0] - start[0]) / size, (end[1] - start[1]) / size];
  return { at: [start[0] + dx * alongFt, start[1] + dy * alongFt], outward: [dy, -dx] };
}

/** The spot of a wall nearest to a point of the floor. */
export function nearestSpot(
  room: Pick<Room, 'wallsFt'>,
  [x, y]: FloorPoint,
): { wall: number; alongFt: number } {
  let best = { wall: 0, alongFt: 0, far: Number.POSITIVE_INFINITY };
  room.wallsFt.forEach((length, wall) => {
    const { at: start } = spotPoint(room, wall, 0);
    const { at: end } = spotPoint(room, wall, length);
    const [dx, dy] = [(end[0] - start[0]) / length, (end[1] - start[1]) / length];
    const along = Math.min(Math.max((x - start[0]) * dx + (y - start[1]) * dy, 0), length);
    const far = Math.hypot(start[0] + dx * along - x, start[1] + dy * along - y);
    if (far < best.far) best = { wall, alongFt: along, far };
  });
  // Half feet are as fine as a finger points.
  const most = sure(room.wallsFt[best.wall], 'such wall');
  return { wall: best.wall, alongFt: Math.min(Math.round(best.alongFt * 2) / 2, most) };
}
