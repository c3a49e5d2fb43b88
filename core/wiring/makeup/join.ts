import {
  spliceId,
  tailId,
  type EndId,
  type NetId,
  type NetRole,
  type Splice,
  type Tail,
  type TerminalId,
} from '../../job/model/wiring';
import type { Habits } from '../../job/model/design';
import type { Insulation } from '../../trade/standards/cables';

/** What meets on one net in one box, before it is joined. */
export interface Meeting {
  readonly box: string;
  readonly net: NetId;
  readonly role: NetRole;
  /** True for the neutral of a multiwire pair, which may not depend on a device's screws. */
  readonly shared: boolean;
  readonly ends: readonly EndId[];
  readonly terminals: readonly Waiting[];
  /** The most conductors that a connector of the house holds. */
  readonly capacity: number;
  /** Number of its first splice among those of its net in the box, from 1. */
  readonly first: number;
}

/** A terminal that needs a wire, and the one that a whole tab joins it to. */
export interface Waiting {
  readonly terminal: TerminalId;
  readonly twin: TerminalId | null;
  /** The color of the device's own lead, where it is one. */
  readonly lead: Insulation | null;
  /** It is of a duplex whose halves are one: the other screw of its side can feed on. */
  readonly feedsOn?: boolean;
}

export interface Joined {
  /** One splice; more where no connector holds them all, each joined to the next by a jumper. */
  readonly splices: readonly Splice[];
  readonly tails: readonly (Omit<Tail, 'insulation' | 'gauge' | 'lengthIn' | 'lead'> & {
    readonly leadColor: Insulation | null;
  })[];
  readonly terminations: readonly { readonly end: EndId; readonly terminal: TerminalId }[];
  readonly caps: readonly EndId[];
}

const NOTHING: Joined = { splices: [], tails: [], terminations: [], caps: [] };

/**
 * Joins what meets on one net: a device's own lead is always spliced, never put under a screw; one end and one terminal land directly, two terminals get a jumper, an end alone is
 * capped, and the rest is spliced with a tail for each terminal. By habit a receptacle in the middle of a run is fed
 * through its screws instead (never a shared neutral, 300.13(B), nor a ground, 250.148(B)), and the longest ground
 * is left whole as its own tail.
 */
export function join(meeting: Meeting, habits: Habits): Joined {
  const chain = habits.quad === 'jumpers' ? chainOf(meeting, habits) : [];
  const led = new Set(chain.slice(1).map(({ terminal }) => terminal));
  const terminals = meeting.terminals.filter(({ terminal }) => !led.has(terminal));
  const joined = joinEach({ ...meeting, terminals }, habits);
  const jumpers = chain.slice(1).flatMap(({ terminal }, index): Joined['tails'] => {
    const from = chain[index]?.twin ?? null;
    if (from === null) return [];
    const { box, net, role } = meeting;
    const start = { at: 'terminal', terminal: from } as const;
    return [
      { id: tailId(terminal), box, net, role, from: start, to: terminal, uncut: null, leadColor: null },
    ];
  });
  return { ...joined, tails: [...joined.tails, ...jumpers] };
}

/**
 * Duplexes side by side that feed one another by jumpers from screw to screw: never a shared neutral (300.13(B)), nor a
 * ground (250.148(B)), and not where the second screw carries the run on.
 */
function chainOf({ terminals, role, shared, ends }: Meeting, { midRun }: Habits): readonly Waiting[] {
  if (role === 'ground' || shared || (midRun === 'feed-through' && ends.length > 1)) return [];
  const own = terminals.filter(
    ({ feedsOn, twin, lead }) => feedsOn === true && twin !== null && lead === null,
  );
  return own.length > 1 ? own : [];
}

function joinEach(meeting: Meeting, habits: Habits): Joined {
  const { box, net, role, ends, terminals } = meeting;
  const [end, secondEnd] = ends;
  const [first, second] = terminals;
  const leads = new Map<string, Insulation>(
    terminals.flatMap((one) => (one.lead ? [[one.terminal, one.lead]] : [])),
  );
  const isLead = (one: Waiting | undefined) => one?.lead !== null && one !== undefined;
  const tail = (from: Tail['from'], to: Tail['to'], uncut: Tail['uncut'] = null) => ({
    id: tailId(to),
    box,
    net,
    role,
    from,
    to,
    uncut,
    leadColor: leads.get(to) ?? null,
  });
  if (ends.length + terminals.length < 2) {
    return end === undefined ? NOTHING : { ...NOTHING, caps: [end] };
  }
  if (end !== undefined && first && !isLead(first) && ends.length === 1 && terminals.length === 1) {
    return { ...NOTHING, terminations: [{ end, terminal: first.terminal }] };
  }
  if (first && second && !isLead(first) && !isLead(second) && ends.length === 0 && terminals.length === 2) {
    return { ...NOTHING, tails: [tail({ at: 'terminal', terminal: first.terminal }, second.terminal)] };
  }
  const through = habits.midRun === 'feed-through' && role !== 'ground' && !meeting.shared;
  const twin = first?.twin ?? null;
  if (through && first && !isLead(first) && twin !== null && end !== undefined && secondEnd !== undefined) {
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

type MakeTail = (from: Tail['from'], to: Tail['to'], uncut?: Tail['uncut']) => Joined['tails'][number];

/** Shares what meets out over as many splices as the connectors need. */
function splice(meeting: Meeting, tail: MakeTail, folded: EndId | null): Pick<Joined, 'splices' | 'tails'> {
  const { box, net, role, ends, terminals, capacity } = meeting;
  const splices: Splice[] = [];
  const tails: Joined['tails'][number][] = [];
  const waitingEnds = [...ends];
  const waitingTerminals = terminals.map(({ terminal }, index) => ({
    terminal,
    uncut: index === 0 ? folded : null,
  }));
  for (let number = 1; waitingEnds.length + waitingTerminals.length > 0; number++) {
    const id = spliceId(box, net, meeting.first + number - 1);
    const arriving = number === 1 ? 0 : 1;
    const left = waitingEnds.length + waitingTerminals.length;
    const room = left + arriving <= capacity ? left : capacity - arriving - 1;
    const own = waitingEnds.splice(0, room);
    const tailed = waitingTerminals.splice(0, room - own.length);
    const before = splices.at(-1);
    if (before) tails.push(tail({ at: 'splice', splice: before.id }, id));
    splices.push({ id, box, net, role, connector: number, ends: own });
    tails.push(...tailed.map(({ terminal, uncut }) => tail({ at: 'splice', splice: id }, terminal, uncut)));
  }
  return { splices, tails };
}
