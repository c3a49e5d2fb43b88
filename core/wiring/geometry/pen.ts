import { sure } from '../../base/sure';
import { endId } from '../../job/model/keys';
import type { WiredCable, Tail } from '../../job/model/wiring';
import { cableRow } from '../../trade/standards/cables';
import type { Columns } from './columns';
import { type Contents, capId } from './contents';
import type { XY, DrawnDevice, BoxDrawing, DrawnWire } from './drawing';
import {
  LABEL_HEIGHT,
  JACKET_HEIGHT,
  FAN_TOP,
  TRACK,
  CHANNEL_PAD,
  SPLICE_HEIGHT,
  DEVICE_TOP,
  BODY_HEIGHT,
  DEVICE_BOTTOM,
  WORKS_HEIGHT,
  laneX,
} from './scale';

interface Heights {
  readonly sheathEnd: number;
  readonly upper: number;
  readonly splice: number;
  readonly spliceEnd: number;
  readonly lower: number;
  readonly device: number;
  readonly total: number;
}

export function heightsOf(contents: Contents, { upper, lower }: Columns, breakers = false): Heights {
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
export class Pen {
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
