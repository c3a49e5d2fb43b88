import type { NetRole } from '../../job/model/wiring';
import type { Screw, WiredKind } from '../../trade/devices/kind';
import type { Insulation } from '../../trade/standards/cables';
import type { Gauge } from '../../trade/standards/conductors';

/** A point of the drawing, in drawing units: one lane is 20. */
export type XY = readonly [x: number, y: number];

export interface Rect {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** The open box as pure geometry, seen from the front: cables on top, splices in a row, devices below. */
export interface BoxDrawing {
  readonly width: number;
  readonly height: number;
  readonly box: string;
  /** The box's inner wall. */
  readonly wall: Rect;
  readonly cables: readonly DrawnCable[];
  readonly wires: readonly DrawnWire[];
  readonly splices: readonly DrawnSplice[];
  readonly caps: readonly DrawnCap[];
  readonly devices: readonly DrawnDevice[];
  /** Screws of the enclosure itself: the ground screw of a metal box; in the panel its breakers and bars. */
  readonly screws: readonly DrawnScrew[];
}

export interface DrawnScrew {
  readonly id: string;
  readonly name: string;
  readonly screw: Screw;
  /** The point of the network that it is. */
  readonly point: string;
  /** The circuit whose breaker it is; null for the others. */
  readonly circuit: string | null;
  readonly at: XY;
}

export interface DrawnCable extends Rect {
  readonly id: string;
  readonly title: string;
  readonly role: string;
  /** Both, where one had to be cut. */
  readonly whole: string;
  readonly jacket: 'white' | 'yellow' | 'orange';
  readonly existing: boolean;
  /** Middle of the label's first line. */
  readonly label: XY;
}

export interface DrawnWire {
  /** Conductor end or tail. */
  readonly id: string;
  /** What it is called: its color, and where it comes from. No two of a box are called the same. */
  readonly name: string;
  readonly insulation: Insulation;
  readonly gauge: Gauge;
  readonly role: NetRole | null;
  readonly path: readonly XY[];
  /** Where its letter stands. */
  readonly badge: XY;
  /** Where a band of tape goes round it, if it is re-identified. */
  readonly tape: readonly XY[];
  /** True where a current from the wire's first end to its second runs along the path, false where it runs against it. */
  readonly along: boolean;
  /** The cable that it is of; null for a tail. */
  readonly cable: string | null;
  /** The conductor or tail whose current it shows, and the point whose voltage. */
  readonly wire: string;
  readonly point: string;
}

export interface DrawnSplice extends Rect {
  readonly id: string;
  readonly role: NetRole;
  /** How many conductors meet in it. */
  readonly count: number;
  readonly label: string;
  readonly ports: readonly { readonly at: XY; readonly used: boolean }[];
}

export interface DrawnCap {
  readonly end: string;
  /** True where nothing is on it: it hangs. */
  readonly bare: boolean;
  readonly at: XY;
}

export interface DrawnDevice extends Rect {
  readonly id: string;
  readonly kind: WiredKind;
  /** True where the ground pin is up. */
  readonly turned: boolean;
  /** True where it is seen from behind. */
  readonly behind: boolean;
  /** What its handle works, and where that stands under it; null where it has none. */
  readonly works: { readonly text: string; readonly whole: string; readonly at: XY } | null;
  readonly terminals: readonly DrawnTerminal[];
  readonly tabs: readonly DrawnTab[];
}

export interface DrawnTerminal {
  readonly id: string;
  readonly name: string;
  readonly screw: Screw;
  readonly at: XY;
  readonly used: boolean;
}

export interface DrawnTab {
  readonly id: string;
  /** Its name on its device. */
  readonly tab: string;
  readonly from: XY;
  readonly to: XY;
  readonly screw: Screw;
  readonly broken: boolean;
}
