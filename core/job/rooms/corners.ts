import { sure } from '../../base/sure';
import type { Room } from '../model/design';

/** A point of the floor, ft. */
export type FloorPoint = readonly [xFt: number, yFt: number];

/** A room as far as its shape goes. */
export type Shape = Pick<Room, 'wallsFt'> & Partial<Pick<Room, 'turnsDeg'>>;

/**
 * Corners of a room from its wall lengths, clockwise from the upper left. As it was traced, where it was; else four walls make
 * a rectangle and other counts a polygon of equal turns, which is enough to see what is on which wall.
 */
export function corners({ wallsFt, turnsDeg }: Shape): FloorPoint[] {
  if (wallsFt.length < 3) return straight(wallsFt);
  const even = (2 * Math.PI) / wallsFt.length;
  const points: FloorPoint[] = [];
  let [x, y, heading] = [0, 0, 0];
  wallsFt.forEach((length, wall) => {
    points.push([x, y]);
    x += length * Math.cos(heading);
    y += length * Math.sin(heading);
    const turn = turnsDeg?.[wall];
    heading += turn === undefined ? even : (turn * Math.PI) / 180;
  });
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
  room: Shape,
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

/** Where on the walls of a room a point of its floor is nearest to, and how far it is from there, ft. */
export function nearestOnWall(
  room: Shape,
  [x, y]: FloorPoint,
): { readonly wall: number; readonly alongFt: number; readonly farFt: number } {
  let best = { wall: 0, alongFt: 0, farFt: Number.POSITIVE_INFINITY };
  room.wallsFt.forEach((length, wall) => {
    const { at: start } = spotPoint(room, wall, 0);
    const { at: end } = spotPoint(room, wall, length);
    const [dx, dy] = [(end[0] - start[0]) / length, (end[1] - start[1]) / length];
    const alongFt = Math.min(Math.max((x - start[0]) * dx + (y - start[1]) * dy, 0), length);
    const farFt = Math.hypot(start[0] + dx * alongFt - x, start[1] + dy * alongFt - y);
    if (farFt < best.farFt) best = { wall, alongFt, farFt };
  });
  return best;
}

/** The spot of a wall nearest to a point of the floor. */
export function nearestSpot(room: Shape, point: FloorPoint): { wall: number; alongFt: number } {
  const { wall, alongFt } = nearestOnWall(room, point);
  // Half feet are as fine as a finger points.
  return { wall, alongFt: Math.min(Math.round(alongFt * 2) / 2, sure(room.wallsFt[wall], 'such wall')) };
}

/** True where two walls of an outline cross, or lie on each other. */
export function crossesItself(corners: readonly FloorPoint[]): boolean {
  const walls = corners.map(
    (from, at) => [from, sure(corners[(at + 1) % corners.length], 'next corner')] as const,
  );
  return walls.some(([a, b], at) =>
    walls.some(([c, d], other) => {
      const apart = Math.abs(at - other);
      return other > at + 1 && apart < walls.length - 1 && cross(a, b, c, d);
    }),
  );
}
function cross(a: FloorPoint, b: FloorPoint, c: FloorPoint, d: FloorPoint): boolean {
  const side = (p: FloorPoint, q: FloorPoint, r: FloorPoint) =>
    Math.sign((q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]));
  return side(a, b, c) !== side(a, b, d) && side(c, d, a) !== side(c, d, b);
}
