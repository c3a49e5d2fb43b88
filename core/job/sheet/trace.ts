import type { Draft } from 'immer';
import { Box, PANEL, Room, type Design, type Opening } from '../model/design';
import { freshId } from '../model/fresh-id';
import type { Sheet, SheetPoint, SheetScale } from '../model/sheet';
import { nearestOnWall, spotPoint, type FloorPoint } from '../rooms/corners';
import { floorCorners, inRoom, isWithin, onFloor, placeOnFloor } from '../rooms/floor';
import { directionOf, outlineOf } from './outline';
import { planeOf, type Plane } from './plane';

/* What is tapped on a sheet, as rooms, doors, boxes and the panel of the job. Each change takes a draft. */

type Drawn = Draft<Design>;

/** A symbol stands before its wall, no farther than this from it, ft; one that is farther hangs, or stands free. */
const BEFORE_WALL_FT = 1.5;
/** A door ends no nearer to a corner than its wall does; what is tapped past the end of a wall ends there. */
const inches = (ft: number): number => Math.round(ft * 100) / 100;

const planeIn = ({ sheets }: Drawn, id: string): Plane | null => {
  const sheet = sheets.find((one) => one.id === id);
  return sheet ? planeOf(sheet) : null;
};
const roomsOn = ({ rooms }: Drawn, sheet: string): Draft<Room>[] =>
  rooms.filter(({ plan }) => plan?.sheet === sheet);

/** A room from its tapped corners: a new one, or new walls for one that is there. */
export function traceRoom(
  design: Drawn,
  {
    sheet,
    corners,
    room: id,
    name,
    kind,
  }: {
    readonly sheet: string;
    readonly corners: readonly SheetPoint[];
    readonly room: string | null;
    readonly name: Room['name'];
    readonly kind: Room['kind'];
  },
): void {
  const plane = planeIn(design, sheet);
  if (!plane) return;
  const own =
    design.rooms.find((one) => one.id === id) ??
    Room.parse({ id: freshId(design.rooms, name), name, kind, wallsFt: [1] });
  if (!design.rooms.includes(own)) design.rooms.push(own);
  const placed = design.rooms.find((one) => one.id === own.id);
  if (!placed) return;
  const before = { ...placed, plan: placed.plan?.sheet === sheet ? placed.plan : null };
  // As near as it can to where it was on the sheet; from another one it keeps its wall.
  reshape(design, placed, sheet, corners.map(plane.toFloor), (was) => {
    const floor = onFloor(before, spotPoint(before, was.wall, was.alongFt).at);
    const local = floor && inRoom(placed, floor);
    return local ? nearestOnWall(placed, local) : was;
  });
}

/** Where on its walls something of a room is. */
interface OnWall {
  readonly wall: number;
  readonly alongFt: number;
}

/** New walls for a room; what stood on the old ones stands as `moved` says, once the walls are there. */
function reshape(
  design: Drawn,
  room: Draft<Room>,
  sheet: string,
  corners: readonly FloorPoint[],
  moved: (was: OnWall) => OnWall,
): void {
  const others = roomsOn(design, sheet).filter(({ id }) => id !== room.id);
  const beside = others.flatMap((one) => floorCorners(one));
  const [first] = others;
  const outline = outlineOf(corners, beside, first ? directionOf(floorCorners(first)) : null);
  room.wallsFt = [...outline.wallsFt];
  room.turnsDeg = [...outline.turnsDeg];
  room.plan = { sheet, xFt: outline.at[0], yFt: outline.at[1], headingDeg: outline.headingDeg };
  const onWall = (was: OnWall): OnWall => {
    const { wall, alongFt } = moved(was);
    const own = Math.min(wall, room.wallsFt.length - 1);
    return { wall: own, alongFt: Math.min(inches(alongFt), room.wallsFt[own] ?? 0) };
  };
  for (const { spot } of design.boxes) if (spot?.room === room.id) Object.assign(spot, onWall(spot));
  room.openings = room.openings.flatMap((opening): Opening[] => {
    const { wall } = opening;
    const [from, to] = [opening.fromFt, opening.toFt].map((alongFt) => onWall({ wall, alongFt }));
    return from && to && from.wall === to.wall && to.alongFt > from.alongFt
      ? [{ ...opening, wall: from.wall, fromFt: from.alongFt, toFt: to.alongFt }]
      : [];
  });
}

/** A door, an opening or a window between two points near a wall. */
export function traceOpening(
  design: Drawn,
  {
    sheet,
    room: id,
    kind,
    from,
    to,
  }: {
    readonly sheet: string;
    readonly room: string;
    readonly kind: Opening['kind'];
    readonly from: SheetPoint;
    readonly to: SheetPoint;
  },
): void {
  const plane = planeIn(design, sheet);
  const room = design.rooms.find((one) => one.id === id);
  if (!plane || room?.plan?.sheet !== sheet) return;
  const [a, b] = [from, to].map((point) => inRoom(room, plane.toFloor(point)));
  if (!a || !b) return;
  const { wall } = nearestOnWall(room, [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]);
  const ends = [a, b].map((point) => alongOf(room, wall, point)).sort((one, other) => one - other);
  room.openings.push({
    id: freshId(room.openings, kind),
    kind,
    wall,
    fromFt: inches(ends[0] ?? 0),
    toFt: Math.min(inches(ends[1] ?? 0), room.wallsFt[wall] ?? 0),
  });
}

/** How far along a wall a point stands before it, ft, no farther than its ends. */
function alongOf(room: Room, wall: number, [x, y]: FloorPoint): number {
  const length = room.wallsFt[wall] ?? 0;
  const [start, end] = [spotPoint(room, wall, 0).at, spotPoint(room, wall, length).at];
  const along = ((x - start[0]) * (end[0] - start[0]) + (y - start[1]) * (end[1] - start[1])) / (length || 1);
  return Math.min(Math.max(along, 0), length);
}

/** A box where its symbol stands: on the wall that it stands before, or free. */
export function traceBox(design: Drawn, sheet: string, id: string, at: SheetPoint): void {
  const plane = planeIn(design, sheet);
  const box = design.boxes.find((one) => one.id === id);
  if (plane && box) stand(design, box, sheet, plane.toFloor(at));
}

function stand(design: Drawn, box: Draft<Box>, sheet: string, floor: FloorPoint): void {
  const rooms = roomsOn(design, sheet);
  const around = rooms.find((room) => isWithin(floorCorners(room), floor));
  const walls = rooms.flatMap((room) => {
    const local = inRoom(room, floor);
    return local ? [{ room, ...nearestOnWall(room, local) }] : [];
  });
  const own = (around ? walls.filter(({ room }) => room.id === around.id) : walls).toSorted(
    (a, b) => a.farFt - b.farFt,
  )[0];
  const onWall = own && own.farFt <= BEFORE_WALL_FT && box.family !== 'ceiling';
  box.spot = onWall ? { room: own.room.id, wall: own.wall, alongFt: inches(own.alongFt) } : null;
  box.at = onWall ? null : { sheet, xFt: inches(floor[0]), yFt: inches(floor[1]) };
  if (!onWall && around) box.room = around.id;
}

export function tracePanel(design: Drawn, sheet: string, at: SheetPoint): void {
  const floor = planeIn(design, sheet)?.toFloor(at);
  if (floor) design.panelAt = { sheet, xFt: inches(floor[0]), yFt: inches(floor[1]) };
}

/** A sheet scaled anew: what was traced stays where it is on the picture, and its lengths follow. */
export function rescale(design: Drawn, id: string, scale: SheetScale): void {
  const sheet = design.sheets.find((one) => one.id === id);
  const [was, is] = [sheet ? planeOf(sheet) : null, planeOf({ scale })];
  if (sheet) sheet.scale = { ...scale } as Draft<SheetScale>;
  if (!was || !is) return;
  const anew = (point: FloorPoint): FloorPoint => is.toFloor(was.toSheet(point));
  const place = (own: { xFt: number; yFt: number } | null) => {
    if (own) [own.xFt, own.yFt] = anew([own.xFt, own.yFt]).map(inches) as [number, number];
  };
  for (const room of roomsOn(design, id)) {
    const corners = floorCorners(room).map(anew);
    const before = [...room.wallsFt];
    // What stands on a wall keeps its part of it.
    reshape(design, room, id, corners, ({ wall, alongFt }) => ({
      wall,
      alongFt: (alongFt * (room.wallsFt[wall] ?? 0)) / (before[wall] ?? 1),
    }));
  }
  for (const { at } of design.boxes) if (at?.sheet === id) place(at);
  if (design.panelAt?.sheet === id) place(design.panelAt);
}

/** A sheet goes: rooms keep their walls, boxes their spots on them; what was told by the sheet alone is no longer known. */
export function removeSheet(design: Drawn, id: string): void {
  design.sheets = design.sheets.filter((one) => one.id !== id);
  for (const room of roomsOn(design, id)) room.plan = null;
  for (const box of design.boxes) if (box.at?.sheet === id) box.at = null;
  if (design.panelAt?.sheet === id) design.panelAt = null;
}

/** What of a job is traced on a sheet, in the pixels of its picture. */
export interface Traced {
  readonly rooms: readonly { readonly room: Room; readonly corners: readonly SheetPoint[] }[];
  readonly openings: readonly {
    readonly room: string;
    readonly opening: Opening;
    readonly from: SheetPoint;
    readonly to: SheetPoint;
  }[];
  /** By box, and the panel by its id. */
  readonly places: ReadonlyMap<string, SheetPoint>;
}

export function tracedOn(design: Design, sheet: Sheet): Traced {
  const plane = planeOf(sheet);
  if (!plane) return { rooms: [], openings: [], places: new Map() };
  const rooms = design.rooms.filter(({ plan }) => plan?.sheet === sheet.id);
  const seen = (room: Room, point: FloorPoint): SheetPoint => plane.toSheet(onFloor(room, point) ?? [0, 0]);
  return {
    rooms: rooms.map((room) => ({ room, corners: floorCorners(room).map(plane.toSheet) })),
    openings: rooms.flatMap((room) =>
      room.openings.map((opening) => ({
        room: room.id,
        opening,
        from: seen(room, spotPoint(room, opening.wall, opening.fromFt).at),
        to: seen(room, spotPoint(room, opening.wall, opening.toFt).at),
      })),
    ),
    places: new Map(
      [PANEL, ...design.boxes.map(({ id }) => id)].flatMap((id) => {
        const place = placeOnFloor(design, id);
        return place?.sheet === sheet.id ? [[id, plane.toSheet([place.xFt, place.yFt])] as const] : [];
      }),
    ),
  };
}
