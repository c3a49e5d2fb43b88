import { sure } from '../../base/sure';
import { deviceKind } from '../../trade/devices';
import { colorName, endNames, type CableName } from '../makeup/cable-names';
import { deviceNames, worksOf } from '../makeup/device-names';
import { inBox } from '../../job/model/in-box';
import { PANEL } from '../../job/model/design';
import { endId, type NetRole, type Tail, type WiredCable } from '../../job/model/wiring';
import type { Drawable } from '../plan';
import { cableRow } from '../../trade/standards/cables';
import { cut, drawDevice, type View } from './bottom-row';
import { placeColumns, type Columns } from './columns';
import { capId, contentsOf, type Contents } from './contents';
import type { BoxDrawing, DrawnCable, DrawnDevice, DrawnSplice, DrawnWire, XY } from './drawing';
import {
  ABOVE_WALL,
  BODY_HEIGHT,
  CHANNEL_PAD,
  DEVICE_BOTTOM,
  DEVICE_TOP,
  FAN_TOP,
  JACKET_HEIGHT,
  LABEL_HEIGHT,
  LANE,
  laneX,
  ROLE_LETTER,
  SPLICE_HEIGHT,
  TITLE_LETTER,
  TRACK,
  WORKS_HEIGHT,
} from './scale';
import { say } from '../../base/words/geometry';

/** Draws one box of a plan: three rows of pins, two channels of wires. Deterministic; throws nothing. */
export function drawBox(
  plan: Drawable,
  box: string,
  how: Partial<Pick<View, 'side' | 'wholePanel' | 'names'>> = {},
): BoxDrawing {
  const view: View = { groundPin: plan.job.habits.groundPin, side: 'front', ...how };
  const contents = contentsOf(plan, box, view);
  const columns = placeColumns(contents);
  const heights = heightsOf(contents, columns, view.wholePanel && box === PANEL);
  const devices = contents.devices.map((device) =>
    drawDevice(
      view,
      device,
      (contents.bottom.bodies.get(device.id) ?? 0) + columns.bodyShift,
      heights.device,
      contents.used,
      worksOf(plan.job, device),
    ),
  );
  const screwY = heights.device + (contents.devices.length > 0 ? BODY_HEIGHT - 10 : 24);
  const screws = contents.screws.map((one) => ({
    ...one,
    at: [laneX(columns.bottom(one.id)), screwY] as const,
  }));
  const pen = new Pen(
    contents,
    columns,
    heights,
    devices,
    screws,
    wireNames(plan, box, how.names, devices, screws),
  );
  const wallTop = LABEL_HEIGHT + ABOVE_WALL;
  return {
    box,
    width: (columns.count + 3) * LANE,
    height: heights.total,
    wall: { x: LANE / 2, y: wallTop, width: (columns.count + 2) * LANE, height: heights.total - wallTop - 6 },
    cables: columns.ordering.cables.flatMap(({ id, ends }) => {
      const cable = contents.cables.find((one) => one.id === id);
      const first = ends[0] ? columns.top(ends[0].end) : 0;
      const name = contents.names.get(id);
      return cable && name ? [drawCable(cable, name, first, ends.length, columns.cell(id) * LANE)] : [];
    }),
    wires: [
      ...contents.cables.flatMap((cable) =>
        cable.conductors.map((conductor) => pen.conductor(cable, conductor, endId(conductor.id, box))),
      ),
      ...contents.tails.map((tail) => pen.tail(tail)),
    ],
    splices: contents.splices.map(({ id, role }) => {
      const count = contents.countOf(id);
      return drawSplice(id, role, count, contents.portsOf(id), columns, contents, heights.splice);
    }),
    caps: contents.caps.map(({ end, bare }) => ({
      end,
      bare,
      at: [laneX(columns.start(capId(end))), heights.splice + 8],
    })),
    devices,
    screws,
  };
}

/** What every wire of a box is called, for ears: no two alike. */
function wireNames(
  plan: Drawable,
  box: string,
  cables: View['names'],
  devices: readonly DrawnDevice[],
  screws: BoxDrawing['screws'],
): ReadonlyMap<string, string> {
  const titles = deviceNames(plan, box);
  const places = new Map<string, string>([
    ...devices.flatMap(({ id, kind, terminals }) =>
      terminals.map(
        (terminal) =>
          [
            terminal.id,
            say('boxDrawing.screwOf', {
              screw: terminal.name,
              device: titles.get(id) ?? deviceKind(kind).name,
            }),
          ] as const,
      ),
    ),
    ...screws.map(({ id, name }) => [id, name] as const),
  ]);
  const taken = new Map<string, number>();
  /** Jumpers between splices of one net are told apart by their number. */
  const own = (name: string): string => {
    const count = (taken.get(name) ?? 0) + 1;
    taken.set(name, count);
    return count === 1 ? name : `${name}, ${count}`;
  };
  return new Map<string, string>([
    ...endNames(plan, box, cables),
    ...inBox(plan.wiring, box).tails.map(({ id, insulation, to, lead }) => {
      const place = places.get(to);
      const color = colorName(insulation);
      return [
        id,
        own(
          place === undefined
            ? lead
              ? say('boxDrawing.lead', { color })
              : say('boxDrawing.jumper', { color })
            : lead
              ? say('boxDrawing.leadTo', { color, place })
              : say('boxDrawing.pigtailTo', { color, place }),
        ),
      ] as const;
    }),
  ]);
}

interface Heights {
  readonly sheathEnd: number;
  readonly upper: number;
  readonly splice: number;
  readonly spliceEnd: number;
  readonly lower: number;
  readonly device: number;
  readonly total: number;
}

function heightsOf(contents: Contents, { upper, lower }: Columns, breakers = false): Heights {
  const sheathEnd = LABEL_HEIGHT + JACKET_HEIGHT;
  const upperTop = sheathEnd + FAN_TOP;
  const splice = upperTop + upper.trackCount * TRACK + CHANNEL_PAD;
  const hasMiddle = contents.splices.length + contents.caps.length > 0;
  const spliceEnd = splice + (hasMiddle ? SPLICE_HEIGHT : 0);
  const lowerTop = spliceEnd + CHANNEL_PAD;
  const device = lowerTop + lower.trackCount * TRACK + DEVICE_TOP;
  const bottom =
    contents.devices.length > 0 ? BODY_HEIGHT : contents.screws.length > 0 ? (breakers ? 128 : 60) : null;
  return {
    sheathEnd,
    upper: upperTop,
    splice,
    spliceEnd,
    lower: lowerTop,
    device,
    total:
      (bottom === null ? spliceEnd : device + bottom) +
      DEVICE_BOTTOM +
      12 +
      (contents.devices.length > 0 ? WORKS_HEIGHT : 0),
  };
}

/** Draws wires along their lanes and tracks. */
class Pen {
  private readonly terminalAt: ReadonlyMap<string, XY>;

  constructor(
    private readonly contents: Contents,
    private readonly columns: Columns,
    private readonly heights: Heights,
    devices: readonly DrawnDevice[],
    screws: BoxDrawing['screws'],
    private readonly names: ReadonlyMap<string, string>,
  ) {
    const terminals = devices.flatMap((device) => device.terminals.map(({ id, at }) => [id, at] as const));
    this.terminalAt = new Map([...terminals, ...screws.map(({ id, at }) => [id, at] as const)]);
  }

  private nameOf(wire: string): string {
    return sure(this.names.get(wire), `name for ${wire}`);
  }

  conductor(cable: WiredCable, conductor: WiredCable['conductors'][number], end: string): DrawnWire {
    const { heights, columns, contents } = this;
    const target = sure(contents.targetOf.get(end), `place for ${end}`);
    const capped = target === capId(end);
    const terminal = contents.passing.find((one) => one.end === end)?.terminal;
    const [top, middle] = [laneX(columns.top(end)), laneX(columns.middle(end))];
    const landing: XY[] = terminal
      ? this.down(end, middle, terminal)
      : [[middle, heights.splice + (capped ? 8 : 14)]];
    return {
      id: end,
      name: this.nameOf(end),
      insulation: conductor.insulation,
      gauge: cableRow(cable.type).gauge,
      role: conductor.role,
      path: [[top, heights.sheathEnd], ...this.across(top, middle, end), ...landing],
      badge: [top, heights.sheathEnd + 15],
      tape: conductor.reidentified ? [[top, heights.sheathEnd + 34]] : [],
      cable: cable.id,
      along: end === endId(conductor.id, cable.to),
      wire: conductor.id,
      point: terminal ? contents.pointOf(terminal) : capped ? end : target,
    };
  }

  tail(tail: Tail): DrawnWire {
    const { heights, columns } = this;
    if (this.contents.jumpers.includes(tail)) return this.jumper(tail);
    const start = tail.from.at === 'terminal' ? tail.from.terminal : null;
    const lane = laneX(start === null ? columns.middle(tail.id) : columns.bottom(start));
    const startAt: XY = start === null ? [lane, heights.spliceEnd - 12] : this.at(start, lane);
    const down = this.down(tail.id, lane, tail.to);
    return {
      id: tail.id,
      name: this.nameOf(tail.id),
      insulation: tail.insulation,
      gauge: tail.gauge,
      role: tail.role,
      path: startAt[0] === lane ? [startAt, ...down] : [startAt, [lane, startAt[1]], ...down],
      badge: [laneX(columns.bottom(tail.to)), heights.device + 8],
      tape: [],
      cable: null,
      along: true,
      wire: tail.id,
      point: tail.to,
    };
  }

  /** A short wire from one splice to the next. */
  private jumper(tail: Tail): DrawnWire {
    const { heights, columns } = this;
    const [a, b] = [laneX(columns.middle(tail.id)), laneX(columns.middle(`${tail.id} end`))];
    const y = heights.lower + (columns.lower.tracks.get(tail.id) ?? 0) * TRACK;
    const top = heights.spliceEnd - 12;
    return {
      id: tail.id,
      name: this.nameOf(tail.id),
      insulation: tail.insulation,
      gauge: tail.gauge,
      role: tail.role,
      path: [
        [a, top],
        [a, y],
        [b, y],
        [b, top],
      ],
      badge: [(a + b) / 2, y],
      tape: [],
      cable: null,
      along: true,
      wire: tail.id,
      point: tail.to,
    };
  }

  private at(terminal: string, lane: number): XY {
    return this.terminalAt.get(terminal) ?? [lane, this.heights.device];
  }

  /** Through the upper channel, from under the sheath to the middle row. */
  private across(top: number, middle: number, end: string): XY[] {
    const track = this.columns.upper.tracks.get(end);
    if (track === undefined) return [];
    const y = this.heights.upper + track * TRACK;
    return [
      [top, y],
      [middle, y],
    ];
  }

  /** Through the lower channel, down the terminal's lane and in to the screw. */
  private down(id: string, from: number, terminal: string): XY[] {
    const lane = laneX(this.columns.bottom(terminal));
    const at = this.at(terminal, lane);
    const track = this.columns.lower.tracks.get(id);
    const y = this.heights.lower + (track ?? 0) * TRACK;
    const across: XY[] =
      track === undefined
        ? []
        : [
            [from, y],
            [lane, y],
          ];
    return lane === at[0] ? [...across, at] : [...across, [lane, at[1]], at];
  }
}

function drawCable(
  cable: WiredCable,
  { title, role }: CableName,
  first: number,
  count: number,
  width: number,
): DrawnCable {
  return {
    id: cable.id,
    title: cut(title, width, TITLE_LETTER),
    role: cut(role, width, ROLE_LETTER),
    whole: `${title}, ${role}`,
    jacket: cableRow(cable.type).jacket,
    existing: cable.existing,
    x: laneX(first) - LANE * 0.7,
    y: LABEL_HEIGHT,
    width: (count - 1) * LANE + LANE * 1.4,
    height: JACKET_HEIGHT,
    label: [laneX(first) + ((count - 1) * LANE) / 2, 18],
  };
}

/** "neutral 3" */
const SPLICE_LABEL: Readonly<Record<NetRole, (count: number) => string>> = {
  ground: (count) => say('boxDrawing.ground', { count }),
  neutral: (count) => say('boxDrawing.neutral', { count }),
  hot: (count) => say('boxDrawing.hot', { count }),
  switched: (count) => say('boxDrawing.switched', { count }),
  traveler: (count) => say('boxDrawing.traveler', { count }),
};

function drawSplice(
  id: string,
  role: NetRole,
  count: number,
  ports: number,
  columns: Columns,
  contents: Contents,
  y: number,
): DrawnSplice {
  const lanes = contents.middleRow.find((element) => element.id === id)?.width ?? ports + 1;
  const width = lanes * LANE;
  const x = laneX(columns.start(id)) - LANE / 2;
  const inset = (width - (ports - 1) * 16) / 2;
  return {
    id,
    role,
    count,
    label: SPLICE_LABEL[role](count),
    x,
    y,
    width,
    height: SPLICE_HEIGHT,
    ports: Array.from({ length: ports }, (_, index) => ({
      at: [x + inset + index * 16, y + 14],
      used: index < count,
    })),
  };
}
