import type { Wiring } from '../../job/model/wiring';
import { terminalId, type EndId, type SpliceId, type TerminalId } from '../../job/model/wiring';

/** A fault as a change to the graph: a contact that is open or loose, or two points that touch. */
export type Disturbance =
  | { readonly kind: 'contact'; readonly end: string; readonly ohms: number }
  | { readonly kind: 'bridge'; readonly a: string; readonly b: string; readonly ohms: number };

/** A contact that does not meet. `end` is a conductor end, or a tail id with `@start` or `@end`. */
export const openContact = (end: string): Disturbance => ({
  kind: 'contact',
  end,
  ohms: Number.POSITIVE_INFINITY,
});

/** A contact that heats, Ω (0.5 to 5 is common practice for a loose one). */
export const looseContact = (end: string, ohms: number): Disturbance => ({ kind: 'contact', end, ohms });

/** Two points that touch, metal to metal. */
export const touching = (a: string, b: string): Disturbance => ({ kind: 'bridge', a, b, ohms: 0.001 });

/** A tab left whole that should be broken, or broken that should be whole. */
export const withTab = (wiring: Wiring, device: string, tab: string, state: 'whole' | 'broken'): Wiring => ({
  ...wiring,
  devices: wiring.devices.map((wired) =>
    wired.id !== device
      ? wired
      : {
          ...wired,
          brokenTabs:
            state === 'broken'
              ? [...new Set([...wired.brokenTabs, tab])]
              : wired.brokenTabs.filter((id) => id !== tab),
        },
  ),
});

/** Whatever lands on the first terminal of a device put on the second, and the other way round. */
export function withSwappedTerminals(wiring: Wiring, device: string, first: string, second: string): Wiring {
  const [a, b] = [terminalId(device, first), terminalId(device, second)];
  const swap = <T extends TerminalId | SpliceId>(terminal: T): T | TerminalId => {
    const id: string = terminal;
    return id === a ? b : id === b ? a : terminal;
  };
  return {
    ...wiring,
    terminations: wiring.terminations.map((one) => ({ ...one, terminal: swap(one.terminal) })),
    tails: wiring.tails.map((tail) => ({
      ...tail,
      to: swap(tail.to),
      from: tail.from.at === 'terminal' ? { at: 'terminal', terminal: swap(tail.from.terminal) } : tail.from,
    })),
  };
}

/** What lands of two conductor ends of one box, changed over. */
export function withChangedOver(wiring: Wiring, a: EndId, b: EndId): Wiring {
  const other = (end: EndId): EndId => (end === a ? b : end === b ? a : end);
  return {
    ...wiring,
    splices: wiring.splices.map((splice) => ({ ...splice, ends: splice.ends.map(other) })),
    terminations: wiring.terminations.map((one) => ({ ...one, end: other(one.end) })),
    caps: wiring.caps.map((cap) => ({ ...cap, end: other(cap.end) })),
  };
}

/** Whatever lands on one terminal landed on another one. */
export function withRelanded(wiring: Wiring, from: TerminalId, to: TerminalId): Wiring {
  const moved = <T extends TerminalId | SpliceId>(terminal: T): T | TerminalId =>
    (terminal as string) === from ? to : terminal;
  return {
    ...wiring,
    terminations: wiring.terminations.map((one) => ({ ...one, terminal: moved(one.terminal) })),
    tails: wiring.tails.map((tail) => ({
      ...tail,
      to: moved(tail.to),
      from:
        tail.from.at === 'terminal'
          ? { at: 'terminal', terminal: moved<TerminalId>(tail.from.terminal) }
          : tail.from,
    })),
  };
}

/** What lands on these terminals of a device left in the air: it joins nothing. */
export const withAllOff = (wiring: Wiring, device: string, terminals: readonly string[]): Wiring =>
  terminals.reduce(
    (so, terminal) => withRelanded(so, terminalId(device, terminal), terminalId(device, `${terminal}!`)),
    wiring,
  );
