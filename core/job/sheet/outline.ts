import { sure } from '../../base/sure';
import type { FloorPoint } from '../rooms/corners';

/*
 * The corners that were tapped, as the walls that were meant: what is near a right angle is one, and what is near a corner of the
 * neighbor is there.
 */

/** A wall within this of the house's own direction runs along it, degrees; a short one also where its ends are no farther off, ft. */
const NEAR_DEG = 5;
const SHORT = { deg: 20, ft: 0.3 };
/** A corner within this of one of a neighbor is that one, ft: less than a stud wall is thick, so that no two faces of it become one. */
const NEAR_FT = 0.25;

const RAD = Math.PI / 180;

export interface Outline {
  /** Of each wall, ft, clockwise. */
  readonly wallsFt: readonly number[];
  readonly turnsDeg: readonly number[];
  /** The first corner. */
  readonly at: FloorPoint;
  readonly headingDeg: number;
}

/**
 * The walls that corners stand for, clockwise from the first. `beside`: corners of rooms already traced; `alongDeg`: the
 * direction of their walls, null where there are none and the corners say it themselves.
 */
export function outlineOf(
  tapped: readonly FloorPoint[],
  beside: readonly FloorPoint[],
  alongDeg: number | null,
): Outline {
  const corners = squared(isClockwise(tapped) ? tapped : turnedRound(tapped), beside, alongDeg);
  const sides = corners.map((corner, at): FloorPoint => {
    const next = sure(corners[(at + 1) % corners.length], 'next corner');
    return [next[0] - corner[0], next[1] - corner[1]];
  });
  const headings = sides.map(([x, y]) => Math.atan2(y, x) / RAD);
  return {
    wallsFt: sides.map(([x, y]) => rounded(Math.hypot(x, y))),
    turnsDeg: headings.map((own, at) =>
      rounded(turn(own, sure(headings[(at + 1) % headings.length], 'heading'))),
    ),
    at: [rounded(corners[0]?.[0] ?? 0), rounded(corners[0]?.[1] ?? 0)],
    headingDeg: rounded(headings[0] ?? 0),
  };
}

/** Hundredths of a foot and of a degree. */
const rounded = (value: number): number => Math.round(value * 100) / 100 + 0;

/** From one heading to the next, -180 to 180. */
const turn = (from: number, to: number): number => ((((to - from + 180) % 360) + 360) % 360) - 180;

/** Twice the area, positive where one walks clockwise as the sheet lies. */
const doubleArea = (corners: readonly FloorPoint[]): number =>
  corners.reduce((sum, [x, y], at) => {
    const [nextX, nextY] = sure(corners[(at + 1) % corners.length], 'next corner');
    return sum + x * nextY - nextX * y;
  }, 0);
const isClockwise = (corners: readonly FloorPoint[]): boolean => doubleArea(corners) >= 0;
/** The other way round, from the same corner. */
const turnedRound = ([first, ...rest]: readonly FloorPoint[]): FloorPoint[] =>
  first ? [first, ...rest.toReversed()] : [];

/** The direction that most of the length of the walls runs along or square to, degrees from 0 to 90. */
export function directionOf(corners: readonly FloorPoint[]): number {
  let [sin, cos] = [0, 0];
  corners.forEach(([x, y], at) => {
    const [nextX, nextY] = sure(corners[(at + 1) % corners.length], 'next corner');
    const [length, angle] = [Math.hypot(nextX - x, nextY - y), Math.atan2(nextY - y, nextX - x)];
    sin += length * Math.sin(4 * angle);
    cos += length * Math.cos(4 * angle);
  });
  return (((Math.atan2(sin, cos) / RAD / 4) % 90) + 90) % 90;
}

/**
 * Corners with their near right angles made right: walls along the house share one line each, which lies in the middle of the
 * corners tapped on it, or through a neighbor's corner where one of them is there.
 */
function squared(
  tapped: readonly FloorPoint[],
  beside: readonly FloorPoint[],
  alongDeg: number | null,
): FloorPoint[] {
  const along = alongDeg ?? directionOf(tapped);
  const own = tapped.map((point) => rotated(point, -along));
  const others = beside.map((point) => rotated(point, -along));
  const fixed = own.map((point) => nearest(point, others));
  const placed = own.map((point, at) => fixed[at] ?? point);
  // Corners joined by a wall across share their y, by one along the other way their x.
  const groups = [own.map((_, at) => at), own.map((_, at) => at)] as const;
  own.forEach((point, at) => {
    const next = (at + 1) % own.length;
    const [x, y] = sure(own[next], 'next corner');
    const angle = Math.abs(turn(0, Math.atan2(y - point[1], x - point[0]) / RAD));
    const length = Math.hypot(x - point[0], y - point[1]);
    const isNear = (off: number) =>
      off <= NEAR_DEG || (off <= SHORT.deg && length * Math.sin(off * RAD) <= SHORT.ft);
    if (isNear(Math.min(angle, 180 - angle))) join(groups[1], at, next);
    else if (isNear(Math.abs(90 - angle))) join(groups[0], at, next);
  });
  return placed.map((_, at): FloorPoint => {
    const value = (axis: 0 | 1): number => {
      const all = placed.flatMap((_own, other) => (groups[axis][other] === groups[axis][at] ? [other] : []));
      const held = all.filter((other) => fixed[other] !== null);
      const from = held.length > 0 ? held : all;
      return from.reduce((sum, other) => sum + sure(placed[other], 'corner')[axis], 0) / from.length;
    };
    return rotated([value(0), value(1)], along);
  });
}

function join(groups: number[], a: number, b: number): void {
  const [from, to] = [groups[b], sure(groups[a], 'group')];
  groups.forEach((group, at) => {
    if (group === from) groups[at] = to;
  });
}

function nearest(point: FloorPoint, others: readonly FloorPoint[]): FloorPoint | null {
  let best: { point: FloorPoint; far: number } | null = null;
  for (const other of others) {
    const far = Math.hypot(other[0] - point[0], other[1] - point[1]);
    if (far <= NEAR_FT && (best === null || far < best.far)) best = { point: other, far };
  }
  return best?.point ?? null;
}

const rotated = ([x, y]: FloorPoint, byDeg: number): FloorPoint => {
  const [sin, cos] = [Math.sin(byDeg * RAD), Math.cos(byDeg * RAD)];
  return [x * cos - y * sin, x * sin + y * cos];
};
