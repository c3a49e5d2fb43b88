/** Screw finish, which in the trade says what lands there. `lead` is a wire that leaves the device. */
export type Screw = 'brass' | 'silver' | 'green' | 'dark' | 'lead';

/** One place on a device where a conductor can land, placed as seen from the front. */
export interface Terminal {
  readonly id: string;
  /** As the electrician would say it: "brass, upper". */
  readonly name: string;
  readonly screw: Screw;
  readonly side: 'left' | 'right';
  /** Height on the device body, 0 at the top to 1 at the bottom. */
  readonly height: number;
}

/** A break-off link between two terminals; whole as shipped. */
export interface Tab {
  readonly id: string;
  readonly name: string;
  readonly joins: readonly [string, string];
}

/** Something on the device that uses power: an outlet half, a lamp. */
export interface PowerPart {
  readonly does: 'power';
  readonly id: string;
  readonly name: string;
  readonly hot: string;
  readonly neutral: string;
  readonly ground: string;
  /** True where a plug goes in; false where the load is built in. */
  readonly plug: boolean;
}

/** The handle of a switch: it belongs to a control group. */
export interface ControlPart {
  readonly does: 'control';
  readonly id: string;
  readonly name: string;
  /** Terminal nearer the feed, or the pair of them when travelers arrive. */
  readonly feedSide: readonly string[];
  /** Terminal toward the load, or the pair of them when travelers leave. */
  readonly loadSide: readonly string[];
}

export type Part = PowerPart | ControlPart;

/**
 * A kind of device: its terminals and tabs as data, and its inner metal connections as a function of the handle's
 * position. Adding a kind is one file and one line in the index.
 */
export interface DeviceKind {
  readonly id: string;
  readonly name: string;
  readonly terminals: readonly Terminal[];
  readonly tabs: readonly Tab[];
  readonly parts: readonly Part[];
  /** Names of the handle's positions; empty where there is no handle. */
  readonly positions: readonly string[];
  /** Pairs of terminals joined by metal in this position, tabs left out. */
  readonly inner: (position: number) => readonly (readonly [string, string])[];
  /** True when the device is one that receives plugs and so counts as a receptacle. */
  readonly receptacle: boolean;
}

export const green: Terminal = { id: 'ground', name: 'green', screw: 'green', side: 'left', height: 1 };
