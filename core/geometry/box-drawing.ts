import { deviceKind } from '../devices';
import { cableName } from '../makeup/cable-names';
import { boxGroundId, endId, terminalId, type Tail, type WiredCable, type WiredDevice } from '../model/wiring';
import type { Plan } from '../plan';
import { cableRow } from '../standards/cables';
import { connectorsFor } from '../standards/connectors';
import { routeChannel, type ChannelWire } from './channel';
import type { BoxDrawing, DrawnDevice, DrawnWire, XY } from './drawing';
import { bestOrdering, type CableEnds, type MiddleElement } from './order';

/** Width of a lane, in drawing units. Everything a wire can meet stands on a whole lane. */
export const LANE = 20;
const TRACK = 17;
const LABEL_HEIGHT = 46;
const JACKET_HEIGHT = 84;
const ABOVE_WALL = 40;
/** Room under the sheath for a letter and a band of tape. */
const FAN_TOP = 46;
const CHANNEL_PAD = 16;
const SPLICE_HEIGHT = 44;
const BODY_COLUMNS = 6;
const BODY_HEIGHT = 232;
const DEVICE_TOP = 26;
const DEVICE_BOTTOM = 34;
/** Narrowest cell of a cable, in lanes, so that its label has room. */
const CABLE_COLUMNS = 9;
/** Narrowest splice, in lanes, so that its label has room. */
const SPLICE_COLUMNS = 4;

const ROLE_LABEL = { ground: 'ground', neutral: 'neutral', hot: 'hot', switched: 'switched', traveler: 'traveler' };

/** Draws one box of a plan. Deterministic; throws nothing. */
export function drawBox(plan: Plan, box: string): BoxDrawing {
  const { wiring, job } = plan;
  const cables = wiring.cables.filter(({ from, to }) => from === box || to === box);
  const devices = wiring.devices.filter((one) => one.box === box).sort((a, b) => a.gang - b.gang);
  const splices = wiring.splices.filter((one) => one.box === box);
  const tails = wiring.tails.filter((one) => one.box === box);
  const used = new Set([
    ...tails.flatMap(({ to, from }) => (from.at === 'terminal' ? [to, from.terminal] : [to])),
    ...wiring.terminations.filter((one) => one.box === box).map(({ terminal }) => terminal),
  ]);
  const screwOfBox = used.has(boxGroundId(box)) ? boxGroundId(box) : null;

  // The bottom row: lanes beside each device, the lowest screw outermost, so that no lane crosses another.
  const bottom = layBottom(devices, used, screwOfBox);
  const rank = new Map([...bottom.columns.keys()].map((terminal, index) => [terminal, index]));

  const targetOf = new Map<string, string>();
  for (const splice of splices) for (const end of splice.ends) targetOf.set(end, splice.id);
  const passing = wiring.terminations.filter((one) => one.box === box);
  for (const { end } of passing) targetOf.set(end, `pass ${end}`);
  const caps = wiring.caps.filter((one) => one.box === box);
  for (const { end } of caps) targetOf.set(end, `cap ${end}`);

  const tailsOf = (splice: string) =>
    tails
      .filter(({ from }) => from.at === 'splice' && from.splice === splice)
      .sort((a, b) => (rank.get(a.to) ?? 0) - (rank.get(b.to) ?? 0));
  const middle: MiddleElement[] = [
    ...splices.map((splice) => ({
      id: splice.id,
      fixed: true,
      below: tailsOf(splice.id).map(({ to }) => rank.get(to) ?? 0),
    })),
    ...passing.map(({ end, terminal }) => ({
      id: `pass ${end}`,
      fixed: false,
      below: [rank.get(terminal) ?? 0],
    })),
    ...caps.map(({ end }) => ({ id: `cap ${end}`, fixed: false, below: [] })),
  ];
  const ordering = bestOrdering(
    cables.map((cable): CableEnds => ({
      id: cable.id,
      ends: cable.conductors.map(({ id }) => {
        const end = endId(id, box);
        return { end, target: targetOf.get(end) ?? '' };
      }),
    })),
    middle,
  );

  const portsOf = new Map(
    splices.map((splice) => {
      const count = splice.ends.length + tailsOf(splice.id).length;
      const [connector] = connectorsFor(count, 12, job.habits.connectors);
      return [splice.id, Math.max(connector?.ports ?? count, count)];
    }),
  );
  const widthOf = ({ id }: MiddleElement) =>
    portsOf.has(id) ? Math.max(SPLICE_COLUMNS, (portsOf.get(id) ?? 0) + 1) : id.startsWith('cap') ? 2 : 1;

  const cableCells = ordering.cables.map(({ ends }) => Math.max(CABLE_COLUMNS, ends.length + 2));
  const middleWidth = ordering.middle.reduce((sum, element) => sum + widthOf(element) + 1, 0);
  const columns = Math.max(sum(cableCells), middleWidth, bottom.width) + 2;

  // Top row: cells side by side over the whole width, the conductors in the middle of their cell.
  const topColumn = new Map<string, number>();
  const cellScale = columns / Math.max(sum(cableCells), 1);
  let cellStart = 0;
  const jackets = ordering.cables.map(({ id, ends }, index) => {
    const cell = (cableCells[index] ?? 0) * cellScale;
    const first = Math.round(cellStart + (cell - ends.length) / 2);
    ends.forEach(({ end }, at) => topColumn.set(end, first + at));
    cellStart += cell;
    return { id, first, count: ends.length };
  });
  const bottomShift = Math.floor((columns - bottom.width) / 2);
  const bottomColumn = (terminal: string) => (bottom.columns.get(terminal) ?? 0) + bottomShift;

  // Middle row: each element as near as it can to the mean of what it joins.
  const placed = spread(
    ordering.middle.map((element) => {
      const tops = ordering.cables.flatMap(({ ends }) =>
        ends.filter(({ target }) => target === element.id).map(({ end }) => topColumn.get(end) ?? 0),
      );
      const bottoms = terminalsBelow(element, tailsOf, passing).map(bottomColumn);
      const wanted = mean(element.id.startsWith('pass') ? bottoms : [...tops, ...bottoms]);
      return { width: widthOf(element), wanted: wanted - (widthOf(element) - 1) / 2 };
    }),
    columns,
  );
  const startOf = new Map(ordering.middle.map(({ id }, index) => [id, placed[index] ?? 0]));

  const upperWires: ChannelWire[] = [];
  const middlePin = new Map<string, number>();
  for (const element of ordering.middle) {
    const ends = ordering.cables.flatMap(({ ends: own }) => own.filter(({ target }) => target === element.id));
    const start = (startOf.get(element.id) ?? 0) + Math.floor((widthOf(element) - ends.length) / 2);
    ends.forEach(({ end }, index) => {
      const pin = portsOf.has(element.id) ? start + index : (startOf.get(element.id) ?? 0);
      middlePin.set(end, pin);
      upperWires.push({
        id: end,
        pins: [
          { column: topColumn.get(end) ?? 0, side: 'top' },
          { column: pin, side: 'bottom' },
        ],
      });
    });
  }
  const lowerWires: ChannelWire[] = [];
  for (const splice of splices) {
    const own = tailsOf(splice.id);
    const start = (startOf.get(splice.id) ?? 0) + Math.floor(((portsOf.get(splice.id) ?? 0) + 1 - own.length) / 2);
    own.forEach((tail, index) => {
      middlePin.set(tail.id, start + index);
      lowerWires.push({
        id: tail.id,
        pins: [
          { column: start + index, side: 'top' },
          { column: bottomColumn(tail.to), side: 'bottom' },
        ],
      });
    });
  }
  for (const { end, terminal } of passing) {
    lowerWires.push({
      id: end,
      pins: [
        { column: middlePin.get(end) ?? 0, side: 'top' },
        { column: bottomColumn(terminal), side: 'bottom' },
      ],
    });
  }
  for (const tail of tails) {
    if (tail.from.at !== 'terminal') continue;
    lowerWires.push({
      id: tail.id,
      pins: [
        { column: bottomColumn(tail.from.terminal), side: 'bottom' },
        { column: bottomColumn(tail.to), side: 'bottom' },
      ],
    });
  }

  const upper = routeChannel(upperWires);
  const lower = routeChannel(lowerWires);
  const x = (column: number) => (column + 1) * LANE;
  const wallTop = LABEL_HEIGHT + ABOVE_WALL;
  const sheathEnd = LABEL_HEIGHT + JACKET_HEIGHT;
  const upperTop = sheathEnd + FAN_TOP;
  const spliceTop = upperTop + upper.trackCount * TRACK + CHANNEL_PAD;
  const spliceBottom = spliceTop + SPLICE_HEIGHT;
  const lowerTop = spliceBottom + CHANNEL_PAD;
  const deviceTop = lowerTop + lower.trackCount * TRACK + DEVICE_TOP;
  const hasBottom = devices.length > 0 || screwOfBox !== null;
  const height = (hasBottom ? deviceTop + BODY_HEIGHT : spliceBottom) + DEVICE_BOTTOM + 12;

  const drawnDevices = devices.map((device) =>
    drawDevice(device, (bottom.bodies.get(device.id) ?? 0) + bottomShift, deviceTop, used, x),
  );
  const terminalAt = new Map(drawnDevices.flatMap(({ terminals }) => terminals.map(({ id, at }) => [id, at] as const)));
  const boxScrew: BoxDrawing['boxScrew'] = screwOfBox
    ? { id: screwOfBox, at: [x(bottomColumn(screwOfBox)), deviceTop + BODY_HEIGHT - 10] }
    : null;
  if (boxScrew) terminalAt.set(boxScrew.id, boxScrew.at);

  const upperPath = (end: string): XY[] => {
    const [top, pin] = [x(topColumn.get(end) ?? 0), x(middlePin.get(end) ?? 0)];
    const track = upper.tracks.get(end);
    if (track === undefined) return [[top, sheathEnd]];
    const y = upperTop + track * TRACK;
    return [
      [top, sheathEnd],
      [top, y],
      [pin, y],
    ];
  };
  const lowerPath = (id: string, from: number, terminal: string): XY[] => {
    const lane = x(bottomColumn(terminal));
    const at = terminalAt.get(terminal) ?? [lane, deviceTop];
    const track = lower.tracks.get(id);
    const across: XY[] =
      track === undefined
        ? []
        : [
            [from, lowerTop + track * TRACK],
            [lane, lowerTop + track * TRACK],
          ];
    return lane === at[0] ? [...across, at] : [...across, [lane, at[1]], at];
  };

  const wires: DrawnWire[] = [];
  for (const cable of cables) {
    const { gauge } = cableRow(cable.type);
    for (const conductor of cable.conductors) {
      const end = endId(conductor.id, box);
      const target = targetOf.get(end) ?? '';
      const column = x(middlePin.get(end) ?? 0);
      const terminal = passing.find((one) => one.end === end)?.terminal;
      const path: XY[] = [
        ...upperPath(end),
        ...(terminal
          ? lowerPath(end, column, terminal)
          : [[column, target.startsWith('cap') ? spliceTop + 8 : spliceTop + 14] as const]),
      ];
      const top = x(topColumn.get(end) ?? 0);
      wires.push({
        id: end,
        insulation: conductor.insulation,
        gauge,
        role: conductor.role,
        path,
        badge: [top, sheathEnd + 15],
        tape: conductor.reidentified ? [[top, sheathEnd + 34]] : [],
        wire: conductor.id,
        point: terminal ?? (target.startsWith('cap') ? end : target),
      });
    }
  }
  for (const tail of tails) wires.push(drawTail(tail));

  function drawTail(tail: Tail): DrawnWire {
    const start = tail.from.at === 'splice' ? null : tail.from.terminal;
    const pin = x(start === null ? (middlePin.get(tail.id) ?? 0) : bottomColumn(start));
    const down = lowerPath(tail.id, pin, tail.to);
    const startAt = start === null ? null : (terminalAt.get(start) ?? [pin, deviceTop]);
    const path: XY[] = startAt
      ? [startAt, ...(startAt[0] === pin ? [] : [[pin, startAt[1]] as const]), ...down]
      : [[pin, spliceBottom - 12], ...down];
    return {
      id: tail.id,
      insulation: tail.insulation,
      gauge: tail.gauge,
      role: tail.role,
      path,
      badge: [x(bottomColumn(tail.to)), deviceTop + 8],
      tape: [],
      wire: tail.id,
      point: tail.to,
    };
  }

  return {
    width: (columns + 1) * LANE,
    height,
    wall: { x: LANE / 2, y: wallTop, width: columns * LANE, height: height - wallTop - 6 },
    cables: jackets.map(({ id, first, count }) => {
      const cable = cables.find((one) => one.id === id) as WiredCable;
      const name = cableName(plan, cable, box);
      return {
        id,
        title: name.title,
        role: name.role,
        jacket: cableRow(cable.type).jacket,
        existing: cable.existing,
        x: x(first) - LANE * 0.7,
        y: LABEL_HEIGHT,
        width: (count - 1) * LANE + LANE * 1.4,
        height: JACKET_HEIGHT,
        label: [x(first) + ((count - 1) * LANE) / 2, 18],
      };
    }),
    wires,
    splices: splices.map((splice) => {
      const ports = portsOf.get(splice.id) ?? 0;
      const width = Math.max(SPLICE_COLUMNS, ports + 1);
      const start = startOf.get(splice.id) ?? 0;
      const left = x(start) - LANE / 2;
      const count = splice.ends.length + tailsOf(splice.id).length;
      const inset = (width * LANE - (ports - 1) * 16) / 2;
      return {
        id: splice.id,
        role: splice.role,
        label: `${ROLE_LABEL[splice.role]} ${count}`,
        x: left,
        y: spliceTop,
        width: width * LANE,
        height: SPLICE_HEIGHT,
        ports: Array.from({ length: ports }, (_, index) => ({
          at: [left + inset + index * 16, spliceTop + 14] as const,
          used: index < count,
        })),
      };
    }),
    caps: caps.map(({ end }) => ({ end, at: [x(middlePin.get(end) ?? 0), spliceTop + 8] })),
    devices: drawnDevices,
    boxScrew,
  };
}

interface Bottom {
  /** Lane by terminal, from the left; the map's order is the order of lanes. */
  readonly columns: ReadonlyMap<string, number>;
  /** First lane of each device's body. */
  readonly bodies: ReadonlyMap<string, number>;
  readonly width: number;
}

function layBottom(devices: readonly WiredDevice[], used: ReadonlySet<string>, boxScrew: string | null): Bottom {
  const columns = new Map<string, number>();
  const bodies = new Map<string, number>();
  let column = 0;
  if (boxScrew) {
    columns.set(boxScrew, column);
    column += 2;
  }
  for (const device of devices) {
    const { terminals } = deviceKind(device.kind);
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

function drawDevice(
  device: WiredDevice,
  column: number,
  top: number,
  used: ReadonlySet<string>,
  x: (column: number) => number,
): DrawnDevice {
  const kind = deviceKind(device.kind);
  const left = x(column) - LANE / 2;
  const width = BODY_COLUMNS * LANE;
  const at = (terminal: (typeof kind.terminals)[number]): XY => [
    terminal.side === 'left' ? left - 4 : left + width + 4,
    top + 14 + terminal.height * (BODY_HEIGHT - 28),
  ];
  const terminals = kind.terminals.map((terminal) => ({
    id: terminalId(device.id, terminal.id),
    name: terminal.name,
    screw: terminal.screw,
    at: at(terminal),
    used: used.has(terminalId(device.id, terminal.id)),
  }));
  const find = (id: string) => terminals.find((one) => one.id === terminalId(device.id, id));
  return {
    id: device.id,
    kind: device.kind,
    x: left,
    y: top,
    width,
    height: BODY_HEIGHT,
    terminals,
    tabs: kind.tabs.flatMap(({ id, joins }) => {
      const [from, to] = [find(joins[0]), find(joins[1])];
      if (!from || !to) return [];
      return [
        {
          id: `${device.id}:${id}`,
          from: from.at,
          to: to.at,
          screw: from.screw,
          broken: device.brokenTabs.includes(id),
        },
      ];
    }),
  };
}

function terminalsBelow(
  element: MiddleElement,
  tailsOf: (splice: string) => readonly Tail[],
  passing: Plan['wiring']['terminations'],
): string[] {
  const passed = passing.find(({ end }) => element.id === `pass ${end}`);
  return passed ? [passed.terminal] : tailsOf(element.id).map(({ to }) => to);
}

/** Starts of elements in a row: near where each wants to be, in order, a free lane between, within `columns`. */
function spread(items: readonly { readonly width: number; readonly wanted: number }[], columns: number): number[] {
  const starts: number[] = [];
  let from = 0;
  for (const { width, wanted } of items) {
    const start = Math.max(from, Math.round(wanted));
    starts.push(start);
    from = start + width + 1;
  }
  let limit = columns;
  for (let index = items.length - 1; index >= 0; index--) {
    const width = items[index]?.width ?? 0;
    starts[index] = Math.min(starts[index] ?? 0, limit - width);
    limit = (starts[index] ?? 0) - 1;
  }
  return starts;
}

const sum = (numbers: readonly number[]): number => numbers.reduce((total, one) => total + one, 0);
const mean = (numbers: readonly number[]): number => (numbers.length === 0 ? 0 : sum(numbers) / numbers.length);
