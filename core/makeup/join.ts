import type { NetRole, Splice, Tail } from '../model/wiring';
import type { Habits } from '../model/job';

/** What meets on one net in one box, before it is joined. */
export interface Meeting {
  readonly box: string;
  readonly net: string;
  readonly role: NetRole;
  /** True for the neutral of a multiwire pair, which may not depend on a device's screws. */
  readonly shared: boolean;
  readonly ends: readonly string[];
  readonly terminals: readonly Waiting[];
}

/** A terminal that needs a wire, and the one that a whole tab joins it to. */
export interface Waiting {
  readonly terminal: string;
  readonly twin: string | null;
}

export interface Joined {
  readonly splice: Splice | null;
  readonly tails: readonly Omit<Tail, 'insulation' | 'gauge' | 'lengthIn'>[];
  readonly terminations: readonly { readonly end: string; readonly terminal: string }[];
  readonly caps: readonly string[];
}

const NOTHING: Joined = { splice: null, tails: [], terminations: [], caps: [] };

/**
 * Joins what meets on one net: one end and one terminal land directly, two terminals get a jumper, an end alone is
 * capped, and the rest is spliced with a tail for each terminal. By habit a receptacle in the middle of a run is fed
 * through its screws instead (never a shared neutral, 300.13(B), nor a ground, 250.148(B)), and the longest ground
 * is left whole as its own tail.
 */
export function join(meeting: Meeting, habits: Habits): Joined {
  const { box, net, role, ends, terminals } = meeting;
  const [end, secondEnd] = ends;
  const [first, second] = terminals;
  const tail = (from: Tail['from'], to: string, uncut: string | null = null) => ({
    id: `${box}:tail-${to.split(':').join('-')}`,
    box,
    net,
    role,
    from,
    to,
    uncut,
  });
  if (ends.length + terminals.length < 2) {
    return end === undefined ? NOTHING : { ...NOTHING, caps: [end] };
  }
  if (end !== undefined && first && ends.length === 1 && terminals.length === 1) {
    return { ...NOTHING, terminations: [{ end, terminal: first.terminal }] };
  }
  if (first && second && ends.length === 0 && terminals.length === 2) {
    return { ...NOTHING, tails: [tail({ at: 'terminal', terminal: first.terminal }, second.terminal)] };
  }
  const through = habits.midRun === 'feed-through' && role !== 'ground' && !meeting.shared;
  const twin = first?.twin ?? null;
  if (through && first && twin !== null && end !== undefined && secondEnd !== undefined) {
    if (ends.length === 2 && terminals.length === 1) {
      return {
        ...NOTHING,
        terminations: [
          { end, terminal: first.terminal },
          { end: secondEnd, terminal: twin },
        ],
      };
    }
  }
  const id = `${box}:${net}`;
  const splice: Splice = { id, box, net, role, ends };
  const folded = role === 'ground' && habits.grounds === 'folded' ? (end ?? null) : null;
  return {
    ...NOTHING,
    splice,
    tails: terminals.map(({ terminal }, index) =>
      tail({ at: 'splice', splice: id }, terminal, index === 0 ? folded : null),
    ),
  };
}
