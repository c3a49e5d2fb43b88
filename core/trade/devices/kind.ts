import type { Insulation } from '../standards/cables';
import { INSULATION_NAME } from '../standards/names';
import { say } from '../../base/words/devices';

/** Screw finish, which in the trade says what lands there. `lead` is a wire that leaves the device. */
export type Screw = 'brass' | 'silver' | 'green' | 'dark' | 'lead';

/** One place on a device where a conductor can land, placed as seen from the front. */
export interface Terminal {
  readonly id: string;
  /** As the electrician would say it: "upper brass screw". */
  readonly name: string;
  readonly screw: Screw;
  readonly side: 'left' | 'right';
  /** Height on the device body, 0 at the top to 1 at the bottom. */
  readonly height: number;
  /** Color of a lead's insulation; leads only. */
  readonly lead?: Insulation;
  /** True where the wire goes straight under a clamp instead of round a screw. */
  readonly clamp?: boolean;
}

/** A break-off link between two terminals; whole as shipped. */
export interface Tab {
  readonly id: string;
  readonly name: string;
  /** As short as it can be said: "brass tab". */
  readonly short: string;
  readonly joins: readonly [string, string];
}

/** Something on the device that uses power: an outlet half, a lamp. */
export interface PowerPart {
  readonly does: 'power';
  readonly id: string;
  readonly name: string;
  /** Terminals that the wiring feeds. */
  readonly hot: string;
  readonly neutral: string;
  readonly ground: string;
  /** True where a plug goes in; false where the load is built in. */
  readonly plug: boolean;
  /** Where the plug or lamp gets its power, if not at the terminals: behind a device's own contacts. */
  readonly face?: { readonly hot: string; readonly neutral: string };
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
  /** Terminal for the neutral of the controlled circuit, where the switch is electronic. */
  readonly neutral?: string;
}

export type Part = PowerPart | ControlPart;

export type ProtectionKind = 'gfci' | 'afci' | 'dual';

/** Contacts from LINE to LOAD that open on a fault. */
export interface Protection {
  readonly kind: ProtectionKind;
  readonly line: { readonly hot: string; readonly neutral: string };
  readonly load: { readonly hot: string; readonly neutral: string };
}

/** Kinds that are wired as they are asked for. */
export const PLAIN_KINDS = [
  'duplex',
  'single',
  'gfci',
  'afci',
  'dual-function',
  'combination',
  'combination-gfci',
  'luminaire',
  'fan-light',
  'exhaust-fan',
  'radio-receiver',
  'radio-switch',
] as const;

/** Every kind of device as it is wired; a switch is what its place among the others makes it. */
export const WIRED_KINDS = [
  ...PLAIN_KINDS,
  'single-pole',
  'three-way',
  'four-way',
  'illuminated-single-pole',
  'illuminated-three-way',
  'electronic-single-pole',
  'electronic-three-way',
  'dimmer-single-pole',
  'dimmer-three-way',
] as const;
export type WiredKind = (typeof WIRED_KINDS)[number];

/**
 * A kind of device: its terminals and tabs as data, and its inner metal connections as a function of the handle's
 * position. Adding a kind is one file and one line in the index.
 */
export interface DeviceKind {
  readonly id: WiredKind;
  readonly name: string;
  readonly terminals: readonly Terminal[];
  readonly tabs: readonly Tab[];
  readonly parts: readonly Part[];
  /** Names of the handle's positions; empty where there is no handle. */
  readonly positions: readonly string[];
  /** Pairs of terminals joined by metal in this position, tabs and protecting contacts left out. */
  readonly inner: (position: number) => readonly (readonly [string, string])[];
  /** True when the device is one that receives plugs and so counts as a receptacle. */
  readonly receptacle: boolean;
  /** True when it sits on a yoke in a gang of its own; false when it hangs or lies in the box. */
  readonly yoke: boolean;
  readonly protection?: Protection;
  /** What people call the place where it is. */
  readonly serves: 'outlet' | 'switch' | 'switch and outlet' | 'light' | 'fan' | 'receiver';
  /** True where line and switch leg may change screws: nothing tells them apart but habit. */
  readonly equalScrews?: boolean;
  /** True when it controls by radio and has no terminals at all. */
  readonly wireless?: boolean;
  /** Symbol of a switch on a plan, where it is not a plain S. */
  readonly symbol?: 'S3' | 'S4';
  /** True where each half may be fed and switched on its own: a tab on each side. */
  readonly halves?: boolean;
  /** True where one plug goes in, and no second. */
  readonly singleOutlet?: boolean;
  /** True for a timer, a sensor and the like. */
  readonly electronic?: boolean;
  /** True when it dims: one a group, and never ahead of a receptacle. */
  readonly dims?: boolean;
  /** A ceiling fan with blades, that hangs from its box. */
  readonly paddles?: boolean;
  /** Its end of a radio link. */
  readonly radio?: 'switch' | 'receiver';
}

export const green: Terminal = {
  id: 'ground',
  name: say('kind.greenScrew'),
  screw: 'green',
  side: 'left',
  height: 1,
};

/** Shorthand for a terminal. */
export const terminal = (
  id: string,
  name: string,
  screw: Screw,
  side: 'left' | 'right',
  height: number,
): Terminal => ({ id, name, screw, side, height });

/** Shorthand for a wire that leaves the device: it is spliced, never put under a screw. */
export const lead = (
  id: string,
  insulation: Insulation,
  side: 'left' | 'right',
  height: number,
  use = '',
): Terminal => ({
  id,
  name: say('kind.lead', { insulation: INSULATION_NAME[insulation], use }),
  screw: 'lead',
  side,
  height,
  lead: insulation,
});

/** What a plain device without handle and tabs has in common. */
export const still = {
  tabs: [],
  positions: [],
  inner: () => [],
} as const satisfies Partial<DeviceKind>;
