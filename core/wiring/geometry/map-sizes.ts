/* Sizes of the map of runs, in units of the screen, and how what lies along the runs and across them turns to it. */

export interface MapPoint {
  readonly x: number;
  readonly y: number;
}
export interface MapArea extends MapPoint {
  readonly width: number;
  readonly height: number;
}

export interface MapSizes {
  readonly node: { readonly width: number; readonly height: number };
  /** Room for a label; null for a map without any. */
  readonly label: { readonly width: number; readonly height: number } | null;
  /** Half of the widest ribbon of a run. */
  readonly halfRibbon: number;
  /** Free room between boxes beside each other. */
  readonly gap: number;
}

export const MAP_SIZES = {
  node: { width: 132, height: 62 },
  label: { width: 92, height: 34 },
  halfRibbon: 12,
  gap: 26,
} as const satisfies MapSizes;

/** A miniature of it, without words. */
export const SKETCH_SIZES = {
  node: { width: 46, height: 26 },
  label: null,
  halfRibbon: 5,
  gap: 8,
} as const satisfies MapSizes;

export type MapDirection = 'RIGHT' | 'DOWN';

/** Between a ribbon and what lies beside it. */
export const CLEAR = 3;

/** How long and how wide things are, along the runs and across them, and how both turn to the screen. */
export class Ruler {
  readonly label: { readonly along: number; readonly across: number } | null;
  /** Of a rank of boxes, along. */
  readonly band: number;
  /** Of a box with one run, across. */
  readonly side: number;
  /** From the line of one run to that of the next beside it. */
  readonly pitch: number;
  /** The same where a label has no room between: at the far side of a box, in the room for bends. */
  readonly exitPitch: number;
  readonly ribbon: number;

  constructor(
    readonly sizes: MapSizes,
    readonly right: boolean,
  ) {
    const { node, label, halfRibbon } = sizes;
    this.label = label && {
      along: right ? label.width : label.height,
      across: right ? label.height : label.width,
    };
    this.band = right ? Math.max(node.width, label?.width ?? 0) : node.height;
    this.side = right ? node.height : node.width;
    this.ribbon = 2 * halfRibbon;
    this.exitPitch = this.ribbon + CLEAR;
    this.pitch = this.exitPitch + (this.label ? this.label.across + CLEAR : 0);
  }

  /** The line of a lane in the room for bends, from its beginning. */
  lane = (index: number): number => CLEAR + this.sizes.halfRibbon + index * this.exitPitch;

  /** Where the label of a line starts across: above it, or right of it. */
  besideOf(line: number): number {
    const clear = this.sizes.halfRibbon + CLEAR;
    return this.right ? line - clear - (this.label?.across ?? 0) : line + clear;
  }

  private point = ([along, across]: Spot): MapPoint =>
    this.right ? { x: along, y: across } : { x: across, y: along };

  area = ({ at, length, breadth }: Block): MapArea => ({
    ...this.point(at),
    width: this.right ? length : breadth,
    height: this.right ? breadth : length,
  });

  drawn = ({ points, label }: Line) => ({
    points: points.map(this.point),
    label:
      this.label && label && this.area({ at: label, length: this.label.along, breadth: this.label.across }),
  });
}

/** Along, across. */
export type Spot = readonly [along: number, across: number];
export interface Block {
  readonly at: Spot;
  readonly length: number;
  readonly breadth: number;
}
export interface Line {
  readonly points: readonly Spot[];
  /** Where its label begins; null where labels have no size. */
  readonly label: Spot | null;
}

/** One symbol at its full size. */
const SYMBOL = { width: 28, height: 24 };

/** Where the symbols of a box stand in it: in a row, each as large as there is room for; the middle of each. */
export function symbolRow(
  count: number,
  room: MapArea,
  centered = false,
): { readonly scale: number; readonly at: readonly MapPoint[] } {
  const scale = Math.min(1, room.width / (Math.max(count, 1) * SYMBOL.width), room.height / SYMBOL.height);
  const start = centered ? (room.width - count * SYMBOL.width * scale) / 2 : 0;
  return {
    scale,
    at: Array.from({ length: count }, (_, index) => ({
      x: room.x + start + (index + 0.5) * SYMBOL.width * scale,
      y: room.y + room.height / 2,
    })),
  };
}
