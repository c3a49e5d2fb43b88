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
  /** The most conductors that a connector of the house holds. */
  readonly capacity: number;
}

/** A terminal that needs a wire, and the one that a whole tab joins it to. */
export interface Waiting {
  readonly terminal: string;
  readonly twin: string | null;
}

export interface Joined {
  /** One splice; more where no connector holds them all, each joined to the next by a jumper. */
  readonly splices: readonly Splice[];
  readonly tails: readonly Omit<Tail, 'insulation' | 'gauge' | 'lengthIn'>[];
  readonly terminations: readonly { readonly end: string; readonly terminal: string }[];
  readonly caps: readonly string[];
}

const NOTHING: Joined = { splices: [], tails: [], terminations: [], caps: [] };

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
  const folded = role === 'ground' && habits.grounds === 'folded' ? (end ?? null) : null;
  return { ...NOTHING, ...splice(meeting, tail, folded) };
}

type MakeTail = (from: Tail['from'], to: string, uncut?: string | null) => Joined['tails'][number];

/** Shares what meets out over as many splices as the connectors need. */
function splice(meeting: Meeting, tail: MakeTail, folded: string | null): Pick<Joined, 'splices' | 'tails'> {
  const { box, net, role, ends, terminals, capacity } = meeting;
  const splices: Splice[] = [];
  const tails: Joined['tails'][number][] = [];
  const waitingEnds = [...ends];
  const waitingTerminals = terminals.map(({ terminal }, index) => ({
    terminal,
    uncut: index === 0 ? folded : null,
  }));
  for (let number = 1; waitingEnds.length + waitingTerminals.length > 0; number++) {
    const id = number === 1 ? `${box}:${net}` : `${box}:${net}-${number}`;
    const arriving = number === 1 ? 0 : 1;
    const left = waitingEnds.length + waitingTerminals.length;
    const room = left + arriving <= capacity ? left : capacity - arriving - 1;
    const own = waitingEnds.splice(0, room);
    const tailed = waitingTerminals.splice(0, room - own.length);
    const before = splices.at(-1);
    if (before) {
      const jumper = tail({ at: 'splice', splice: before.id }, id);
      tails.push({ ...jumper, id: `${before.id}-jumper` });
    }
    splices.push({ id, box, net, role, ends: own });
    tails.push(...tailed.map(({ terminal, uncut }) => tail({ at: 'splice', splice: id }, terminal, uncut)));
  }
  return { splices, tails };
}
