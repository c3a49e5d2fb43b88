import { produce, type Draft } from 'immer';
import type { DesignCommand } from '../commands/command';
import { PANEL, Room, type Box, type Design, type Opening } from '../model/design';
import { freshId } from '../model/fresh-id';
import { bad, good, type Checked } from '../model/problem';
import type { Sheet, SheetPoint, SheetScale } from '../model/sheet';
import { nearestOnWall, spotPoint, type FloorPoint } from '../rooms/corners';
import { floorCorners, inRoom, isWithin, onFloor, placeOnFloor } from '../rooms/floor';
import { directionOf, outlineOf } from './outline';
import { planeOf, type Plane } from './plane';
import { say } from '../../base/words/commands';

/* What is tapped on a sheet, as rooms, doors, boxes and the panel of the job. */

type Drawn = Draft<Design>;

/** A symbol stands before its wall, no farther than this from it, ft; one that is farther hangs, or stands free. */
const BEFORE_WALL_FT = 1.5;
/** A hundredth of a foot is an eighth of an inch: nothing that is traced is known closer. */
const hundredths = (ft: number): number => Math.round(ft * 100) / 100;

const roomsOn = ({ rooms }: Drawn, sheet: string): Draft<Room>[] =>
  rooms.filter(({ plan }) => plan?.sheet === sheet);

/** What a tap, or a few of them, is about. */
export type Tap =
  | { readonly on: 'scale'; readonly scale: SheetScale }
  | {
      readonly on: 'room';
      readonly corners: readonly SheetPoint[];
      /** One that is there gets these walls; null for a new one. */
      readonly room: string | null;
      readonly name: Room['name'];
      readonly kind: Room['kind'];
    }
  | {
      readonly on: 'opening';
      readonly room: string;
      readonly kind: Opening['kind'];
      readonly from: SheetPoint;
      readonly to: SheetPoint;
    }
  | { readonly on: 'box'; readonly box: string; readonly at: SheetPoint }
  | { readonly on: 'panel'; readonly at: SheetPoint };

/**
 * What comes of taps on a sheet, as one command: rooms with their walls, places of boxes and of the panel, the scale. Nothing
 * is traced before a length is known; points that span nothing scale nothing.
 */
export function trace(job: Design, sheet: string, tap: Tap): Checked<DesignCommand> {
  const own = job.sheets.find(({ id }) => id === sheet);
  if (!own) return bad({ path: 'sheet', message: say('sheetRows.noSheet', { id: sheet }) });
  const plane = planeOf(tap.on === 'scale' ? tap : own);
  if (!plane)
    return bad(
      tap.on === 'scale'
        ? { path: 'scale', message: say('sheetRows.spansNothing'), wayOut: say('sheetRows.tapFarther') }
        : {
            path: 'sheet',
            message: say('sheetRows.noScale', { name: own.name }),
            wayOut: say('sheetRows.scaleFirst'),
          },
    );
  const after = produce(job, (design) => carriedOut(design, sheet, plane, tap));
  return good({
    do: 'trace',
    sheet,
    scale: after.sheets.find(({ id }) => id === sheet)?.scale ?? null,
    rooms: after.rooms.filter((room) => !job.rooms.includes(room)),
    boxes: after.boxes
      .filter((box) => !job.boxes.includes(box))
      .map(({ id, spot, at, room }) => ({ box: id, at: { spot, at, room } })),
    panelAt: after.panelAt,
  });
}

function carriedOut(design: Drawn, sheet: string, plane: Plane, tap: Tap): void {
  switch (tap.on) {
    case 'scale':
      return rescale(design, sheet, plane, tap.scale);
    case 'room':
      return traceRoom(design, sheet, plane, tap);
    case 'opening':
      return traceOpening(design, sheet, plane, tap);
    case 'box': {
      const box = design.boxes.find(({ id }) => id === tap.box);
      if (box) stand(design, box, sheet, plane.toFloor(tap.at));
      return;
    }
    case 'panel': {
      const [xFt, yFt] = plane.toFloor(tap.at);
      design.panelAt = { sheet, xFt: hundredths(xFt), yFt: hundredths(yFt) };
    }
  }
}

type On<Name> = Extract<Tap, { on: Name }>;

/** A room from its tapped corners: a new one, or new walls for one that is there. */
function traceRoom(
  design: Drawn,
  sheet: string,
  plane: Plane,
  { corners, room, name, kind }: On<'room'>,
): void {
  let own = design.rooms.find(({ id }) => id === room);
  if (!own) {
    design.rooms.push(Room.parse({ id: freshId(design.rooms, name), name, kind, wallsFt: [1] }));
    own = design.rooms.at(-1);
  }
  if (!own) return;
  const placed = own;
  const before = { ...placed, plan: placed.plan?.sheet === sheet ? { ...placed.plan } : null };
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
    return { wall: own, alongFt: Math.min(hundredths(alongFt), room.wallsFt[own] ?? 0) };
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
function traceOpening(
  design: Drawn,
  sheet: string,
  plane: Plane,
  { room: id, kind, from, to }: On<'opening'>,
): void {
  const room = design.rooms.find((one) => one.id === id);
  if (room?.plan?.sheet !== sheet) return;
  const [a, b] = [from, to].map((point) => inRoom(room, plane.toFloor(point)));
  if (!a || !b) return;
  const { wall } = nearestOnWall(room, [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]);
  const ends = [a, b].map((point) => alongOf(room, wall, point)).sort((one, other) => one - other);
  room.openings.push({
    id: freshId(room.openings, kind),
    kind,
    wall,
    fromFt: hundredths(ends[0] ?? 0),
    toFt: Math.min(hundredths(ends[1] ?? 0), room.wallsFt[wall] ?? 0),
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
  box.spot = onWall ? { room: own.room.id, wall: own.wall, alongFt: hundredths(own.alongFt) } : null;
  box.at = onWall ? null : { sheet, xFt: hundredths(floor[0]), yFt: hundredths(floor[1]) };
  if (!onWall && around) box.room = around.id;
}

/** A sheet scaled anew: what was traced stays where it is on the picture, and its lengths follow. */
function rescale(design: Drawn, id: string, is: Plane, scale: SheetScale): void {
  const sheet = design.sheets.find((one) => one.id === id);
  const was = sheet ? planeOf(sheet) : null;
  if (sheet) sheet.scale = scale;
  if (!was) return;
  const anew = (point: FloorPoint): FloorPoint => is.toFloor(was.toSheet(point));
  const place = (own: { xFt: number; yFt: number } | null) => {
    if (own) [own.xFt, own.yFt] = anew([own.xFt, own.yFt]).map(hundredths) as [number, number];
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
