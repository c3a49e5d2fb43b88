import type { Insulation } from '../../trade/standards/cables';

/*
 * The one place where an id is made out of others. The ids of a job file hold lower-case letters, digits and dashes
 * only, so every sign between the parts below is one that no id can hold: two different things never get one key,
 * whatever they are called. A key is never parsed apart; who needs the parts keeps them beside it.
 */

declare const of: unique symbol;
type Key<Kind extends string> = string & { readonly [of]: Kind };

export type CableId = Key<'cable'>;
export type ConductorId = Key<'conductor'>;
export type EndId = Key<'end'>;
export type TerminalId = Key<'terminal'>;
export type SpliceId = Key<'splice'>;
export type TailId = Key<'tail'>;
export type NetId = Key<'net'>;
export type DomainId = Key<'domain'>;
export type PartKey = Key<'part'>;

// oxlint-disable-next-line typescript/no-unnecessary-type-parameters -- the brand is what is asked for
const key = <K extends Key<string>>(text: string): K => text as K;

/** The first cable of a run has the run's own id; further ones are counted. */
export const cableId = (run: string, index = 0): CableId => key(index === 0 ? run : `${run}*${index + 1}`);
/** `run-1:red` */
export const conductorId = (cable: string, insulation: Insulation): ConductorId =>
  key(`${cable}:${insulation}`);
/** A conductor's end in a box: `run-1:red@shelf`. */
export const endId = (conductor: string, box: string): EndId => key(`${conductor}@${box}`);
/** `shelf-outlet:hot-upper` */
export const terminalId = (device: string, terminal: string): TerminalId => key(`${device}:${terminal}`);
/** A tab of a device, as it is pointed at: `shelf-outlet|hot-tab`. */
export const tabId = (device: string, tab: string): string => `${device}|${tab}`;
/** A half, a lamp, a handle: `shelf-outlet/lower`. */
export const partKey = (device: string, part: string): PartKey => key(`${device}/${part}`);

/** The other place for a plug of a part that has two: `gfci/outlet+2`. */
export const secondPlug = (part: string): string => `${part}+2`;
/** The part that a place for a plug belongs to. */
export const pluggedPart = (plug: string): string => (plug.endsWith('+2') ? plug.slice(0, -2) : plug);

/** The `number`th splice of a net in a box, from 1: `shelf~hot/14`. */
export const spliceId = (box: string, net: string, number = 1): SpliceId =>
  key(number === 1 ? `${box}~${net}` : `${box}~${net}~${number}`);
/** A pigtail or jumper by what it leads to, since one at most leads anywhere: `>shelf-outlet:hot-upper`. */
export const tailId = (to: string): TailId => key(`>${to}`);
/** Metal out of sight between two terminals. */
export const linkId = (from: TerminalId, to: TerminalId): TailId => key(`${from}>${to}`);
/** The contacts at the two ends of a pigtail. */
export const tailStart = (tail: string): EndId => key(`${tail}@start`);
export const tailEnd = (tail: string): EndId => key(`${tail}@end`);

/** Where a pigtail ends that was taken off its screw: in the air. */
export const hangingId = (end: string): TerminalId => key(`${end}!`);
/** A splice that was made by hand, told apart by its number in the box. */
export const handSpliceId = (box: string, number: number): SpliceId => key(`${box}~!${number}`);

/** The ground screw of a metal box: `shelf#ground`. */
export const boxGroundId = (box: string): TerminalId => key(`${box}#ground`);
/** The breaker's screw of a circuit. */
export const panelHotId = (circuit: string): TerminalId => key(`panel#hot:${circuit}`);
/** The neutral screw of a breaker that protects; plain breakers have none. */
export const panelNeutralId = (circuit: string): TerminalId => key(`panel#neutral:${circuit}`);
export const PANEL_NEUTRAL: TerminalId = key('panel#neutral');
export const PANEL_GROUND: TerminalId = key('panel#ground');
export const LEG_POINTS = { A: 'panel#leg:A', B: 'panel#leg:B' } as const;

/** The place of one conductor on a bar of the panel. */
export const slotId = (terminal: TerminalId, end: string): TerminalId => key(`${terminal} ${end}`);

/** What shares one hot-and-neutral source: `14`, a multiwire pair `16+18`, behind LOAD terminals `14>gfci`. */
export const domainKey = (circuits: readonly string[], via: string | null): DomainId => {
  const own = [...circuits].sort().join('+');
  return key(via === null ? own : `${own}>${via}`);
};
/** True for what two circuits share: a multiwire pair. */
export const isShared = (domain: DomainId): boolean => domain.includes('+');
/** True for what hangs on the LOAD side of a protecting device. */
export const isOnLoad = (domain: DomainId): boolean => domain.includes('>');

/** `hot/14`, `neutral/16+18`, `hot/14>gfci` */
export const feedNet = (role: 'hot' | 'neutral', domain: string): NetId => key(`${role}/${domain}`);
/** `switched/lamps` */
export const switchedNet = (group: string): NetId => key(`switched/${group}`);
/** One of the two travelers after the `rank`th place of a group: `traveler/lamps/1a`. */
export const travelerNet = (group: string, rank: number, wire: 'a' | 'b'): NetId =>
  key(`traveler/${group}/${rank}${wire}`);
export const GROUND_NET: NetId = key('ground');

/** Resistors of a network that no conductor stands for. */
export const breakerWire = (circuit: string): string => `!breaker:${circuit}`;
/** The lead of a protecting breaker from its neutral screw to the bar. */
export const breakerNeutralWire = (circuit: string): string => `!breaker-neutral:${circuit}`;
export const contactWire = (device: string, pole: 'hot' | 'neutral'): string => `!contact:${device}:${pole}`;
export const loadWire = (part: string): string => `!load:${part}`;
export const testerWire = (part: string, light: number): string => `!tester:${part}:${light}`;
export const bridgeWire = (index: number): string => `!bridge:${index}`;
export const METER_WIRE = '!meter';
export const PERSON_WIRE = '!person';
