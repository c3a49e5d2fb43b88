import { PANEL } from '../../job/model/design';
import { deviceKind } from '../../trade/devices';
import { terminalId } from '../../job/model/wiring';
import type { BoxDrawing, DrawnDevice, DrawnScrew, Rect, XY } from './drawing';

/** A box with its cover on, in the units and places of its open drawing: what can be seen and reached then. */
export interface DrawnCover {
  readonly box: string;
  /** What it is drawn in. */
  readonly frame: Rect;
  readonly plate: Rect;
  /** Devices that look through it or hang below it. */
  readonly devices: readonly DrawnDevice[];
  /** The screws that hold it. On a yoke they touch its strap, and so the ground screw of the device, if it has one. */
  readonly screws: readonly { readonly id: string; readonly at: XY; readonly point: string | null }[];
  /** The handles that stand out of a panel's cover, one a circuit. */
  readonly breakers: readonly DrawnScrew[];
}

/** How far a plate stands out over what it covers. */
const OVER = 26;
/** A blank cover. */
const BLANK = { width: 150, height: 230 };
/** A panel's cover over the screws of its breakers, and how high it is with their handles. */
const PANEL_TOP = 40;
const PANEL_HIGH = 200;
/** Room round a plate; what a handle works stands in it. */
const ROOM = 28;
const UNDER = 20;
/** From a face's end to the screw there. */
const BEYOND = 22;

/** The screws of breakers with a handle under them, one a circuit: two conductors on one breaker are on two screws. */
export function breakerHandles(screws: readonly DrawnScrew[]): readonly DrawnScrew[] {
  const handles = new Map<string, DrawnScrew>();
  for (const screw of screws) if (screw.circuit !== null) handles.set(screw.circuit, screw);
  return [...handles.values()];
}

/** The cover of a box. */
export function coverOf({ box, wall, devices, screws }: BoxDrawing): DrawnCover {
  if (box === PANEL) {
    const breakers = breakerHandles(screws);
    const y = Math.min(...breakers.map(({ at }) => at[1])) - PANEL_TOP;
    const plate = breakers.length > 0 ? { ...wall, y, height: PANEL_HIGH } : wall;
    return { box, frame: framed(plate), plate, devices: [], screws: cornersOf(plate), breakers };
  }
  const [left, right] = [Math.min(...devices.map(({ x }) => x)), Math.max(...devices.map(endOf))];
  const [first] = devices;
  const middle = wall.x + wall.width / 2;
  const plate: Rect = first
    ? {
        x: left - OVER,
        y: first.y - OVER - BEYOND,
        width: right - left + 2 * OVER,
        height: first.height + 2 * (OVER + BEYOND),
      }
    : { x: middle - BLANK.width / 2, y: wall.y, ...BLANK };
  const seated = devices.filter(({ kind }) => deviceKind(kind).yoke);
  return {
    box,
    frame: framed(plate),
    plate,
    devices: devices.map((device) => ({
      ...device,
      works: device.works && {
        ...device.works,
        at: [device.works.at[0], plate.y + plate.height + UNDER] as const,
      },
    })),
    screws: first ? seated.flatMap(screwsOf) : screwsAt('blank', middle, [plate.y + 30, plate.y + 200], null),
    breakers: [],
  };
}

const framed = ({ x, y, width, height }: Rect): Rect => ({
  x: x - ROOM,
  y: y - ROOM,
  width: width + 2 * ROOM,
  height: height + 2 * ROOM,
});

const endOf = ({ x, width }: DrawnDevice): number => x + width;

const screwsAt = (id: string, x: number, heights: readonly number[], point: string | null) =>
  heights.map((y, index) => ({ id: `${id} ${index}`, at: [x, y] as const, point }));

/** A duplex's plate is held by one screw between its halves, any other by two. Common practice. */
function screwsOf({ id, kind, x, y, width, height }: DrawnDevice): DrawnCover['screws'] {
  const { halves = false, terminals } = deviceKind(kind);
  const ground = terminals.find(({ screw }) => screw === 'green');
  const heights = halves ? [y + height / 2] : [y - BEYOND, y + height + BEYOND];
  return screwsAt(id, x + width / 2, heights, ground ? terminalId(id, ground.id) : null);
}

const cornersOf = ({ x, y, width, height }: Rect): DrawnCover['screws'] =>
  [x + 24, x + width - 24].flatMap((at) => screwsAt(`corner ${at}`, at, [y + 24, y + height - 24], null));
