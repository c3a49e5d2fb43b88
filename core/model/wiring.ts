import type { CableType, Insulation } from '../standards/cables';
import type { Gauge } from '../standards/conductors';

/**
 * What is joined to what: the other half of a job, apart from the wishes. It is compiled from wishes, and can be
 * energized and checked whoever wrote it. Ids are text: `run-1:red` is a conductor, `run-1:red@shelf` its end in a
 * box, `shelf:hot` a splice, `outlet:hot-upper` a terminal.
 */
export interface Wiring {
  readonly cables: readonly WiredCable[];
  readonly devices: readonly WiredDevice[];
  readonly splices: readonly Splice[];
  readonly tails: readonly Tail[];
  /** Conductor ends that land on a terminal. Ends in a splice are listed there; the rest are capped. */
  readonly terminations: readonly Termination[];
  readonly caps: readonly Cap[];
}

export type NetRole = 'ground' | 'neutral' | 'hot' | 'switched' | 'traveler';

export interface WiredCable {
  readonly id: string;
  readonly run: string;
  readonly type: CableType;
  readonly from: string;
  readonly to: string;
  readonly lengthFt: number;
  readonly existing: boolean;
  readonly conductors: readonly WiredConductor[];
}

export interface WiredConductor {
  readonly id: string;
  readonly insulation: Insulation;
  /** The net it carries; null is a spare, capped at both ends. */
  readonly net: string | null;
  readonly role: NetRole | null;
  /** The circuit whose current it carries; null for grounds and spares. */
  readonly circuit: string | null;
  /** What its current must cancel with in the cable: a circuit, a multiwire pair, what one LOAD side feeds. */
  readonly domain: string | null;
  /** A white used as a hot, banded with tape in every box where it shows. */
  readonly reidentified: boolean;
}

export interface WiredDevice {
  readonly id: string;
  readonly box: string;
  readonly gang: number;
  readonly kind: string;
  readonly brokenTabs: readonly string[];
}

export interface Splice {
  readonly id: string;
  readonly box: string;
  readonly net: string;
  readonly role: NetRole;
  /** Conductor ends that meet here; tails that start here name the splice themselves. */
  readonly ends: readonly string[];
}

/** A short wire inside a box: from a splice or terminal to a terminal. */
export interface Tail {
  readonly id: string;
  readonly box: string;
  readonly net: string;
  readonly role: NetRole;
  readonly insulation: Insulation;
  readonly gauge: Gauge;
  readonly lengthIn: number;
  readonly from: TailStart;
  readonly to: string;
  /** The conductor end that was left long enough to be this tail itself, passing through the splice uncut. */
  readonly uncut: string | null;
}

export type TailStart =
  { readonly at: 'splice'; readonly splice: string } | { readonly at: 'terminal'; readonly terminal: string };

export interface Termination {
  readonly box: string;
  readonly end: string;
  readonly terminal: string;
}

export interface Cap {
  readonly box: string;
  readonly end: string;
}

export const endId = (conductor: string, box: string): string => `${conductor}@${box}`;
/** The conductor that an end belongs to. */
export const conductorOfEnd = (end: string): string => end.slice(0, end.indexOf('@'));
export const terminalId = (device: string, terminal: string): string => `${device}:${terminal}`;
/** The ground screw of a metal box. */
export const boxGroundId = (box: string): string => `${box}:box-ground`;

/** Terminals inside the panel. */
export const panelHotId = (circuit: string): string => `panel:hot-${circuit}`;
/** The neutral screw of a breaker that protects; plain breakers have none. */
export const panelNeutralId = (circuit: string): string => `panel:neutral-${circuit}`;
export const PANEL_NEUTRAL = 'panel:neutral';
export const PANEL_GROUND = 'panel:ground';
