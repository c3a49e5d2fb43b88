import { PANEL, type Design, type Room } from '../model/design';
import type { FloorPlace } from '../model/sheet';
import { corners, spotPoint, type FloorPoint } from './corners';

/* Rooms where they are on the floor that a sheet shows; without a place there each lies by itself. */

type Placed = Pick<Room, 'wallsFt' | 'turnsDeg' | 'plan'>;

/** A point of a room, told from its first corner along its first wall, as a point of the floor; null where the room is on no sheet. */
export function onFloor({ plan }: Placed, [x, y]: FloorPoint): FloorPoint | null {
  if (!plan) return null;
  const [sin, cos] = turned(plan.headingDeg);
  return [plan.xFt + x * cos - y * sin, plan.yFt + x * sin + y * cos];
}

/** The way back: a point of the floor as the room tells it; null where the room is on no sheet. */
export function inRoom({ plan }: Placed, [x, y]: FloorPoint): FloorPoint | null {
  if (!plan) return null;
  const [sin, cos] = turned(plan.headingDeg);
  const [dx, dy] = [x - plan.xFt, y - plan.yFt];
  return [dx * cos + dy * sin, dy * cos - dx * sin];
}
const turned = (deg: number): readonly [sin: number, cos: number] => [
  Math.sin((deg * Math.PI) / 180),
  Math.cos((deg * Math.PI) / 180),
];

/** Corners of a room on the floor of its sheet; none where it is on no sheet. */
export const floorCorners = (room: Placed): FloorPoint[] =>
  corners(room).flatMap((corner) => {
    const at = onFloor(room, corner);
    return at ? [at] : [];
  });

/** Where a box or the panel is on a sheet; null where that is not known. */
export function placeOnFloor(job: Design, id: string): FloorPlace | null {
  if (id === PANEL) return job.panelAt;
  const box = job.boxes.find((one) => one.id === id);
  if (!box?.spot) return box?.at ?? null;
  const { spot } = box;
  const room = job.rooms.find((one) => one.id === spot.room);
  const at = room && onFloor(room, spotPoint(room, spot.wall, spot.alongFt).at);
  return room?.plan && at ? { sheet: room.plan.sheet, xFt: at[0], yFt: at[1] } : null;
}

/** True where a point lies within a room. */
export function isWithin(outline: readonly FloorPoint[], [x, y]: FloorPoint): boolean {
  let inside = false;
  outline.forEach(([ax, ay], at) => {
    const [bx, by] = outline[(at + 1) % outline.length] ?? [ax, ay];
    if (ay > y !== by > y && x < ax + ((bx - ax) * (y - ay)) / (by - ay)) inside = !inside;
  });
  return inside;
}
