import type { WiredKind } from '../../trade/devices/kind';
import type { CableType, Insulation } from '../../trade/standards/cables';
import type { Gauge } from '../../trade/standards/conductors';
import type { CableId, ConductorId, DomainId, EndId, NetId, SpliceId, TailId, TerminalId } from './keys';

export * from './keys';

/**
 * What is joined to what: the other half of a job, apart from the wishes. It is compiled from wishes, and can be
 * energized and checked whoever wrote it. Its ids are made in `keys`.
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
  readonly id: CableId;
  readonly run: string;
  readonly type: CableType;
  /** A flexible cord of this make-up, its ground green. */
  readonly cord: boolean;
  readonly from: string;
  readonly to: string;
  readonly lengthFt: number;
  readonly existing: boolean;
  readonly conductors: readonly WiredConductor[];
}

export interface WiredConductor {
  readonly id: ConductorId;
  readonly insulation: Insulation;
  /** The net it carries; null is a spare, capped at both ends. */
  readonly net: NetId | null;
  readonly role: NetRole | null;
  /** The circuit whose current it carries; null for grounds and spares. */
  readonly circuit: string | null;
  /** What its current must cancel with in the cable: a circuit, a multiwire pair, what one LOAD side feeds. */
  readonly domain: DomainId | null;
  /** The place it leads to, seen from where its net starts; null for grounds, spares and what is not known. */
  readonly toward: string | null;
  /** A white used as a hot, banded with tape in every box where it shows. */
  readonly reidentified: boolean;
}

export interface WiredDevice {
  readonly id: string;
  readonly box: string;
  readonly gang: number;
  readonly kind: WiredKind;
  readonly brokenTabs: readonly string[];
}

export interface Splice {
  readonly id: SpliceId;
  readonly box: string;
  readonly net: NetId;
  readonly role: NetRole;
  /** Which it is, from 1, of the connectors that share out what one of them cannot hold. */
  readonly connector: number;
  /** Conductor ends that meet here; tails that start here name the splice themselves. */
  readonly ends: readonly EndId[];
}

/** A short wire inside a box: from a splice or terminal to a terminal, or to the next splice of the same net. */
export interface Tail {
  readonly id: TailId;
  readonly box: string;
  readonly net: NetId;
  readonly role: NetRole;
  readonly insulation: Insulation;
  readonly gauge: Gauge;
  readonly lengthIn: number;
  readonly from: TailStart;
  readonly to: TerminalId | SpliceId;
  /** The conductor end that was left long enough to be this tail itself, passing through the splice uncut. */
  readonly uncut: EndId | null;
  /** True where it is no pigtail but the device's own lead, spliced as it is. */
  readonly lead: boolean;
}

export type TailStart =
  | { readonly at: 'splice'; readonly splice: SpliceId }
  | { readonly at: 'terminal'; readonly terminal: TerminalId };

export interface Termination {
  readonly box: string;
  readonly end: EndId;
  readonly terminal: TerminalId;
}

export interface Cap {
  readonly box: string;
  readonly end: EndId;
  /** True where it hangs bare: nothing is on it. */
  readonly bare?: true;
}
