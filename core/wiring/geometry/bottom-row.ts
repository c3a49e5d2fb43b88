import { deviceKind, type DeviceKind, type Terminal } from '../../trade/devices';
import type { CableName } from '../makeup/cable-names';
import { tabId, terminalId, type WiredDevice } from '../../job/model/wiring';
import type { DrawnDevice, XY } from './drawing';
import { BODY_COLUMNS, BODY_HEIGHT, DEVICE_BOTTOM, LANE, laneX, WORKS_LETTER } from './scale';

/** The lanes beside the devices: the lowest screw outermost, so that no lane crosses another. */
export interface BottomRow {
  /** Lane by terminal; the map's order is the order of lanes from the left. */
  readonly columns: ReadonlyMap<string, number>;
  /** First lane of each device's body. */
  readonly bodies: ReadonlyMap<string, number>;
  readonly width: number;
}

/** How a box is looked at: the ground pins of the house, and from which side the devices are seen. */
export interface View {
  readonly groundPin: 'up' | 'down';
  /** Back view, left and right change places: devices pulled out and turned to land their wires. */
  readonly side: 'front' | 'behind';
  /** True where the panel is drawn with all that lands in it, not just what is spliced there. */
  readonly wholePanel?: boolean;
  /** What cables are called, where it is not as in a plan. */
  readonly names?: ReadonlyMap<string, CableName>;
}

/**
 * A kind's terminals as mounted. A receptacle with its ground pin up is turned half round: hot and neutral change
 * sides, the ground screw comes to the top; "upper" and "lower" stay as they are seen.
 */
function mounted(kind: DeviceKind, { groundPin, side }: View): readonly Terminal[] {
  if (side === 'behind') {
    return mounted(kind, { groundPin, side: 'front' }).map((terminal) => ({
      ...terminal,
      side: terminal.side === 'left' ? 'right' : 'left',
    }));
  }
  if (!kind.receptacle || groundPin === 'down') return kind.terminals;
  return kind.terminals.map((terminal) => ({
    ...terminal,
    side: terminal.side === 'left' ? 'right' : 'left',
    height: terminal.id === 'ground' ? 1 - terminal.height : terminal.height,
  }));
}

export function layBottomRow(
  view: View,
  devices: readonly WiredDevice[],
  used: ReadonlySet<string>,
  screws: readonly string[],
): BottomRow {
  const columns = new Map<string, number>();
  const bodies = new Map<string, number>();
  let column = 0;
  for (const screw of screws) {
    columns.set(screw, column);
    column += 2;
  }
  for (const device of devices) {
    const terminals = mounted(deviceKind(device.kind), view);
    const on = (side: 'left' | 'right') =>
      terminals
        .filter(({ id, side: own }) => own === side && used.has(terminalId(device.id, id)))
        .sort((a, b) => (side === 'left' ? b.height - a.height : a.height - b.height));
    for (const { id } of on('left')) columns.set(terminalId(device.id, id), column++);
    column += 1;
    bodies.set(device.id, column);
    column += BODY_COLUMNS + 1;
    for (const { id } of on('right')) columns.set(terminalId(device.id, id), column++);
    column += 1;
  }
  return { columns, bodies, width: column };
}

/** Cuts a label to the room there is for it. */
export function cut(text: string, width: number, letter: number): string {
  const most = Math.max(Math.floor(width / letter) - 1, 3);
  return text.length <= most ? text : `${text.slice(0, most - 1).trimEnd()}…`;
}

/** A device with its screws and tabs in place; `column` is the first lane of its body, `top` its upper edge. */
export function drawDevice(
  view: View,
  device: WiredDevice,
  column: number,
  top: number,
  used: ReadonlySet<string>,
  works: string | null,
): DrawnDevice {
  const kind = deviceKind(device.kind);
  const left = laneX(column) - LANE / 2;
  const width = BODY_COLUMNS * LANE;
  const terminals = mounted(kind, view).map((terminal) => {
    const at: XY = [
      terminal.side === 'left' ? left - 4 : left + width + 4,
      top + 14 + terminal.height * (BODY_HEIGHT - 28),
    ];
    const id = terminalId(device.id, terminal.id);
    return { id, name: terminal.name, screw: terminal.screw, at, used: used.has(id) };
  });
  const find = (id: string) => terminals.find((one) => one.id === terminalId(device.id, id));
  return {
    id: device.id,
    kind: device.kind,
    turned: kind.receptacle && view.groundPin === 'up',
    behind: view.side === 'behind',
    works:
      works === null
        ? null
        : {
            text: cut(works, width + 2 * LANE, WORKS_LETTER),
            whole: works,
            at: [left + width / 2, top + BODY_HEIGHT + DEVICE_BOTTOM],
          },
    x: left,
    y: top,
    width,
    height: BODY_HEIGHT,
    terminals,
    tabs: kind.tabs.flatMap(({ id, joins }) => {
      const [from, to] = [find(joins[0]), find(joins[1])];
      if (!from || !to) return [];
      const broken = device.brokenTabs.includes(id);
      return [{ id: tabId(device.id, id), tab: id, from: from.at, to: to.at, screw: from.screw, broken }];
    }),
  };
}
