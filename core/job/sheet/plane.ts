import { sure } from '../../base/sure';
import type { Measure, Sheet, SheetPoint, SheetScale } from '../model/sheet';
import type { FloorPoint } from '../rooms/corners';

/** The way between the pixels of a sheet and the feet of the floor that it shows. */
export interface Plane {
  readonly toFloor: (point: SheetPoint) => FloorPoint;
  readonly toSheet: (point: FloorPoint) => SheetPoint;
}

/** A plane seen from anywhere, as nine factors by rows. */
type Matrix = readonly [number, number, number, number, number, number, number, number, number];

/** Pixels between two points that are still told apart. */
const LEAST_PX = 4;

/** The plane of a scaled sheet; null where nothing scales it, or what does spans nothing. */
export function planeOf({ scale }: Pick<Sheet, 'scale'>): Plane | null {
  const matrix = scale && matrixOf(scale);
  if (!matrix) return null;
  const back = inverse(matrix);
  return {
    toFloor: ({ x, y }) => applied(back, x, y),
    toSheet: ([xFt, yFt]) => {
      const [x, y] = applied(matrix, xFt, yFt);
      return { x, y };
    },
  };
}

/** From feet to pixels. */
function matrixOf(scale: SheetScale): Matrix | null {
  if (scale.by === 'length') {
    const px = apart(scale.from, scale.to);
    const perFt = px / scale.lengthFt;
    return px < LEAST_PX ? null : [perFt, 0, 0, 0, perFt, 0, 0, 0, 1];
  }
  const corners = clockwise(scale.corners);
  if (!isConvex(corners)) return null;
  const [a, b, c, d, e, f, g, h, i] = fromUnitSquare(corners);
  const [wide, high] = [scale.wideFt, scale.highFt];
  return [a / wide, b / high, c, d / wide, e / high, f, g / wide, h / high, i];
}

const apart = (from: SheetPoint, to: SheetPoint): number => Math.hypot(to.x - from.x, to.y - from.y);

/** Four points in order round their middle, the one nearest to the upper left first. */
export function clockwise(points: readonly SheetPoint[]): SheetPoint[] {
  const [midX, midY] = [mean(points.map(({ x }) => x)), mean(points.map(({ y }) => y))];
  const round = points.toSorted(
    (a, b) => Math.atan2(a.y - midY, a.x - midX) - Math.atan2(b.y - midY, b.x - midX),
  );
  const first = round.reduce((best, { x, y }, at) => {
    const now = sure(round[best], 'such point');
    return x + y < now.x + now.y ? at : best;
  }, 0);
  return [...round.slice(first), ...round.slice(0, first)];
}
const mean = (values: readonly number[]): number => values.reduce((sum, one) => sum + one, 0) / values.length;

/** True where every corner turns the same way, by more than a finger's width. */
function isConvex(corners: readonly SheetPoint[]): boolean {
  return corners.every((one, at) => {
    const [next, after] = [1, 2].map((step) => sure(corners[(at + step) % corners.length], 'such corner'));
    if (!next || !after) return false;
    const turn = (next.x - one.x) * (after.y - next.y) - (next.y - one.y) * (after.x - next.x);
    return turn > LEAST_PX * LEAST_PX;
  });
}

/**
 * The plane in which the corners of a unit square are seen at four points (P. Heckbert, "Fundamentals of Texture Mapping and
 * Image Warping", 1989, section 2.2.3; from memory).
 */
function fromUnitSquare(corners: readonly SheetPoint[]): Matrix {
  const [p0, p1, p2, p3] = [0, 1, 2, 3].map((at) => sure(corners[at], 'fourth corner')) as [
    SheetPoint,
    SheetPoint,
    SheetPoint,
    SheetPoint,
  ];
  const [dx1, dx2, dx3] = [p1.x - p2.x, p3.x - p2.x, p0.x - p1.x + p2.x - p3.x];
  const [dy1, dy2, dy3] = [p1.y - p2.y, p3.y - p2.y, p0.y - p1.y + p2.y - p3.y];
  const under = dx1 * dy2 - dx2 * dy1;
  const g = (dx3 * dy2 - dx2 * dy3) / under;
  const h = (dx1 * dy3 - dx3 * dy1) / under;
  return [
    p1.x - p0.x + g * p1.x,
    p3.x - p0.x + h * p3.x,
    p0.x,
    p1.y - p0.y + g * p1.y,
    p3.y - p0.y + h * p3.y,
    p0.y,
    g,
    h,
    1,
  ];
}

/** The same way back, but for a factor that all share. */
const inverse = ([a, b, c, d, e, f, g, h, i]: Matrix): Matrix => [
  e * i - f * h,
  c * h - b * i,
  b * f - c * e,
  f * g - d * i,
  a * i - c * g,
  c * d - a * f,
  d * h - e * g,
  b * g - a * h,
  a * e - b * d,
];

function applied([a, b, c, d, e, f, g, h, i]: Matrix, x: number, y: number): readonly [number, number] {
  const far = g * x + h * y + i;
  return [(a * x + b * y + c) / far, (d * x + e * y + f) / far];
}

/** A second length against what the scale makes of it. */
export interface Fit {
  /** What the sheet shows between its points, ft. */
  readonly showsFt: number;
  /** How far off that is, as a part of what was said. */
  readonly off: number;
  /** Within 1 % or 2 in: what is traced can be built by. */
  readonly fits: boolean;
}

/** How well a second length fits; null where there is none, or no scale. */
export function fitOf(sheet: Pick<Sheet, 'scale' | 'check'>): Fit | null {
  const plane = planeOf(sheet);
  if (!plane || !sheet.check) return null;
  const showsFt = lengthOn(plane, sheet.check);
  const differs = Math.abs(showsFt - sheet.check.lengthFt);
  return {
    showsFt,
    off: differs / sheet.check.lengthFt,
    fits: differs <= Math.max(sheet.check.lengthFt / 100, 2 / 12),
  };
}

/** How far apart two points of a sheet are, ft. */
function lengthOn(plane: Plane, { from, to }: Pick<Measure, 'from' | 'to'>): number {
  const [a, b] = [plane.toFloor(from), plane.toFloor(to)];
  return Math.hypot(b[0] - a[0], b[1] - a[1]);
}
