import { cableRow, isWhite, type Insulation } from '../../trade/standards/cables';
import type { Probe, SeenCable, SeenEnd, Setup, Spot, Survey } from '../../job/model/survey';
import { spliceId, terminalId, type ConductorId } from '../../job/model/wiring';
import { TRIP_TIMES } from '../../power/energize/energize';
import { UnionFind } from '../../base/graph/union-find';
import { deviceKind } from '../../trade/devices';
import { farSides, HURTS, leadsToPanel, stiffTo, type FarSide, type Port } from './far-sides';
import { GuessModel, seenWhole } from './guess-model';
import { JOINED, NO, NO_SAG, ONE_PATH, OPEN, SEPARATE, THROUGH, YES } from '../../job/seen/outcomes';
import { aliasOf, conductorKey, groundEnd, type Guess } from './scene';

/**
 * How many odd things may come together, widest first: the first limit with few enough guesses is taken, so that a
 * full box is not searched as far as a box with one cable. Plausible figures.
 */
const ODD_LIMITS = [3, 2.6, 2.2, 1.8, 1.5, 1.2, 1, 0.8, 0.6, 0.5] as const;
const ENOUGH_GUESSES = 180;
/** How many odd things may come together where nothing plainer explains what was read. */
const WIDEST_ODD = 4;
const WIDE_GUESSES = 300;
const MOST_WIDE = 1200;
/** How odd the others may be beside a far side that hurts; and beside any one that is odd. */
const PLAIN_ODD = 0.2;
const BESIDE_ODD = 0.45;
/** A box with more guesses than this even so is more than Find can sort out. */
const MOST_GUESSES = 1500;

/** How the bare conductors of a box are joined with the panel: by a path of their own, over a neutral, or not at all. */
export type Grounding = 'separate' | 'over a neutral' | 'open' | 'none';

/** A guess at what is in the wall, with what follows from it. */
export interface Weighed {
  readonly grounding: Grounding;
  /** The neutral that comes with the hot is that of another circuit (200.4, 300.3(B)). */
  readonly borrowed: boolean;
  /** The outcomes that this guess allows, as bits of the instrument. */
  readonly allows: (setup: Setup, probe: Probe) => number;
  readonly model: GuessModel;
  readonly guess: Guess;
  readonly odd: number;
  /** How likely before any reading, not scaled. */
  readonly prior: number;
  readonly facts: Facts;
}

export interface Pair {
  readonly cable: string;
  readonly hot: Insulation;
  readonly neutral: Insulation;
}

/** What a guess says of the target box. */
export interface Facts {
  readonly hot: boolean;
  readonly neutral: boolean;
  readonly ground: boolean;
  /** A cable whose hot and neutral can feed an outlet here, all the time. */
  readonly tap: Pair | null;
  /** The same pair, whatever the ground is like. */
  readonly pair: Pair | null;
  /** Why a pair that is live all the time may not be tapped; null where there is none, or where it may. */
  readonly barred:
    'reversed' | 'neutrals joined' | 'another circuit' | 'borrowed neutral' | 'two cables' | null;
  /** A bare conductor that leads to the panel is capped here, or on nothing that the others are on. */
  readonly groundCapped: boolean;
  /** More than one circuit is alive in the opened boxes. */
  readonly shared: boolean;
  /** The neutral of this circuit is spliced with that of another, here in the box. */
  readonly neutralsJoined: boolean;
  /** Conductors that are a hot of this circuit all the time, or a neutral. */
  readonly live: ReadonlyMap<ConductorId, 'hot' | 'neutral'>;
  /** What each conductor is. */
  readonly roles: ReadonlyMap<ConductorId, Port>;
}

export interface Guesses {
  readonly all: readonly Weighed[];
  /** False where there were more than could be held. */
  readonly complete: boolean;
}

/**
 * Everything that what is seen can still be: far sides for every cable that make no short, plainest first. `widest`: as odd
 * as can be held, for readings that nothing plainer explains.
 */
export function guessesOf(survey: Survey, widest = false): Guesses {
  const joined = new Set(survey.same.flatMap(({ a, b }) => [a, b]));
  const cables = survey.boxes.flatMap((box) => box.cables.filter(({ id }) => !joined.has(id)));
  const nodes = nodesOf(survey);
  const ends = new Map<string, SeenEnd>(
    survey.boxes.flatMap((box) =>
      box.ends.map((end) => [conductorKey(end.cable, end.insulation), end] as const),
    ),
  );
  const fedElsewhere = joined.size > 0;
  const capped = new Set([...ends].flatMap(([key, { sits }]) => (sits.at === 'capped' ? [key] : [])));
  const oddOf = (cable: string, side: FarSide): number => oddAsSeen(cable, side, capped);
  const upTo = (limit: number) => arrangements(cables, nodes, { limit, fedElsewhere, oddOf });
  /** Those of the widest limit that has few enough, else of the narrowest. */
  const narrowed = (most: number): Arrangement[] => {
    let all: Arrangement[] = [];
    for (const limit of ODD_LIMITS) {
      all = upTo(limit);
      if (all.length <= most) break;
    }
    return all;
  };
  const widestOf = (): Arrangement[] => {
    const together = upTo(WIDEST_ODD);
    if (together.length <= WIDE_GUESSES) return together;
    // Too many odd things together: then one of any oddness, beside plain ones.
    const alone = arrangements(cables, nodes, { limit: 0, fedElsewhere, oddOf, oneOdd: true });
    if (alone.length <= MOST_WIDE) return alone;
    const narrow = narrowed(WIDE_GUESSES);
    return narrow.length <= WIDE_GUESSES ? narrow : alone;
  };
  const found = widest ? widestOf() : narrowed(ENOUGH_GUESSES);

  const complete = found.length <= MOST_GUESSES;
  const hasGround = survey.boxes.some((box) => groundEnd(survey, box) !== null);
  const all: Weighed[] = [];
  const whole = seenWhole(survey);
  for (const { sides: chosen, odd } of found) {
    for (const groundGood of hasGround ? [true, false] : [false]) {
      const guess: Guess = { sides: chosen, groundGood };
      const model = new GuessModel(whole, guess);
      const facts = factsOf(survey, model, nodes);
      if (!facts) continue;
      for (const [more, grounding, borrowed] of variants(hasGround, groundGood, facts)) {
        const total = odd + more;
        const prior = Math.exp(-1.3 * total) * hints(survey, chosen, ends);
        const own = withVariant(facts, grounding, borrowed);
        all.push({
          model,
          guess,
          odd: total,
          prior,
          facts: own,
          grounding,
          borrowed,
          allows: (setup, probe) => allowed(model, facts, grounding, borrowed, setup, probe),
        });
      }
    }
  }
  return { all, complete };
}

/** A bootleg and a borrowed neutral look like sound wiring to most instruments: each is a guess of its own. */
function variants(
  hasGround: boolean,
  groundGood: boolean,
  facts: Facts,
): readonly (readonly [odd: number, Grounding, borrowed: boolean])[] {
  if (!hasGround) return [[0, 'none', false]];
  if (!groundGood) return [[0.7, 'open', false]];
  if (facts.tap === null) {
    return [
      [0, 'separate', false],
      [0.9, 'over a neutral', false],
    ];
  }
  return [
    [0, 'separate', false],
    [0.9, 'over a neutral', false],
    [1, 'separate', true],
    [1.9, 'over a neutral', true],
  ];
}

function withVariant(facts: Facts, grounding: Grounding, borrowed: boolean): Facts {
  const sound = grounding === 'separate';
  return {
    ...facts,
    ground: facts.ground && sound,
    tap: sound && !borrowed ? facts.tap : null,
    barred: borrowed && facts.tap !== null ? 'borrowed neutral' : facts.barred,
  };
}

/** What an instrument may show: the network's answer, and for the few that tell more, what the variant says. */
function allowed(
  model: GuessModel,
  facts: Facts,
  grounding: Grounding,
  borrowed: boolean,
  setup: Setup,
  probe: Probe,
): number {
  const is = (spot: Spot, part: 'hot' | 'neutral'): boolean =>
    spot.on === 'conductor' && facts.live.get(conductorKey(spot.cable, spot.insulation)) === part;
  switch (probe.with) {
    case 'drop': {
      if (!is(probe.hot, 'hot') || !is(probe.neutral, 'neutral')) return NO_SAG | SEPARATE | ONE_PATH;
      if (grounding === 'open' || grounding === 'none') return NO_SAG | SEPARATE | ONE_PATH;
      // On a short run too little is lost to tell.
      return NO_SAG | (grounding === 'separate' ? SEPARATE : ONE_PATH);
    }
    case 'residual': {
      if (!is(probe.neutral, 'neutral') || grounding === 'open' || grounding === 'none') return YES | NO;
      // Over a neutral both probes are on one wire: nothing shows between them.
      if (grounding === 'over a neutral') return NO;
      return borrowed ? YES : facts.neutralsJoined ? YES | NO : NO;
    }
    case 'panel clamp':
      if (!is(probe.hot, 'hot') || !is(probe.neutral, 'neutral')) return YES | NO;
      return borrowed ? YES : facts.neutralsJoined ? YES | NO : NO;
    case 'feed clamp':
      if (!is(probe.hot, 'hot') || !is(probe.neutral, 'neutral')) return YES | NO;
      // What comes by one cable and goes back by another does not cancel; where neutrals are joined some of it strays.
      return facts.barred === 'two cables' ? YES : facts.neutralsJoined ? YES | NO : NO;
    case 'lifted neutral': {
      const anything = JOINED | THROUGH | OPEN;
      if (!is(probe.neutral, 'neutral') || grounding === 'open' || grounding === 'none') return anything;
      // With its own way to the bar gone, only a bootleg or another circuit's neutral leads on to the ground.
      if (grounding === 'over a neutral' || borrowed) return JOINED;
      return facts.neutralsJoined ? anything : OPEN;
    }
    default:
      return model.allows(setup, probe);
  }
}

interface Arrangement {
  readonly sides: ReadonlyMap<string, FarSide>;
  readonly odd: number;
}

/** What a conductor that is capped here makes likelier of a far side in which it is a spare, or cut off. */
const CAPPED_ODD = 0.4;

/** How unusual a far side is of a cable whose ends are seen. */
const oddAsSeen = (cable: string, { odd, ports }: FarSide, capped: ReadonlySet<string>): number => {
  const spares = (Object.entries(ports) as [Insulation, Port][]).filter(
    ([insulation, port]) => port === 'open' && capped.has(conductorKey(cable, insulation)),
  );
  return Math.max(0, odd - CAPPED_ODD * spares.length);
};

/** Far sides for all cables that tie no node of the box to two sources, plainest first. */
function arrangements(
  cables: readonly SeenCable[],
  nodes: ReadonlyMap<string, number>,
  {
    limit,
    fedElsewhere,
    oddOf,
    oneOdd = false,
  }: {
    limit: number;
    fedElsewhere: boolean;
    oddOf: (cable: string, side: FarSide) => number;
    oneOdd?: boolean;
  },
): Arrangement[] {
  const beside = oneOdd ? BESIDE_ODD : PLAIN_ODD;
  const found: Arrangement[] = [];
  const stiff = new Map<number, string>();
  const sides = new Map<string, FarSide>();
  /** `hurt`: how odd the one side is that hurts, kept whatever the limit; 0 where none was taken so. */
  const choose = (index: number, odd: number, sources: number, own: number, hurt = 0): void => {
    const cable = cables[index];
    if (!cable) {
      const total = odd + hurt + (sources === 0 && !fedElsewhere ? 1.5 : 0);
      if (total - hurt <= Math.max(limit, oneOdd ? beside + 1.5 : 0))
        found.push({ sides: new Map(sides), odd: total });
      return;
    }
    for (const side of farSides(cable.type)) {
      const ports = Object.values(side.ports);
      // One circuit seldom arrives twice; how odd a second circuit is, its own row says.
      const feeds = ports.includes('hot');
      const arrives = feeds || ports.includes('hot-second');
      const sideOdd = oddOf(cable.id, side);
      const total = odd + sideOdd + (feeds && own > 0 ? 0.8 : 0);
      if (found.length > MOST_GUESSES) break;
      // Beside one that hurts the others are plain.
      const over = total > (hurt > 0 || oneOdd ? beside : limit);
      const kept = over && hurt === 0 && (oneOdd || HURTS.has(side.id)) && odd <= beside;
      if (over && !kept) continue;
      const added = tie(side, cable.id, nodes, stiff);
      if (added.fits) {
        sides.set(cable.id, side);
        choose(
          index + 1,
          kept ? odd : total,
          sources + (arrives || leads(side) || isDeadFeed(side) ? 1 : 0),
          own + (feeds ? 1 : 0),
          kept ? sideOdd : hurt,
        );
        sides.delete(cable.id);
      }
      for (const node of added.nodes) stiff.delete(node);
    }
  };
  choose(0, 0, 0, 0);
  return found.sort((a, b) => a.odd - b.odd);
}

/** Notes the source that each node is tied to; does not fit where it was tied to another. */
function tie(side: FarSide, cable: string, nodes: ReadonlyMap<string, number>, stiff: Map<number, string>) {
  const added: number[] = [];
  for (const [insulation, port] of Object.entries(side.ports) as [Insulation, Port][]) {
    const source = stiffTo(port);
    const node = nodes.get(conductorKey(cable, insulation));
    if (source === undefined || node === undefined) continue;
    const before = stiff.get(node);
    if (before === undefined) {
      stiff.set(node, source);
      added.push(node);
    } else if (before !== source) {
      return { fits: false, nodes: added };
    }
  }
  return { fits: true, nodes: added };
}

/** A feed whose hot is open: nothing is live, and it is where the circuit arrives all the same. */
const isDeadFeed = (side: FarSide): boolean => {
  const ports = Object.values(side.ports);
  return ports.includes('neutral') && ports.includes('open') && !leads(side);
};

const leads = (side: FarSide): boolean =>
  Object.values(side.ports).some((port) => stiffTo(port) !== undefined && port !== 'neutral');

/** Conductors joined by splices, tails and unbroken tabs are one node. */
function nodesOf(survey: Survey): Map<string, number> {
  const numbers = new Map<string, number>();
  const number = (id: string): number => {
    const known = numbers.get(id) ?? numbers.size;
    numbers.set(id, known);
    return known;
  };
  const pairs: [number, number][] = [];
  for (const box of survey.boxes) {
    for (const { cable, insulation, sits } of box.ends) {
      const end = number(conductorKey(cable, insulation));
      if (sits.at === 'splice') pairs.push([end, number(spliceId(box.id, sits.splice))]);
      if (sits.at === 'terminal') pairs.push([end, number(terminalId(sits.device, sits.terminal))]);
    }
    for (const { splice, device, terminal } of box.tails) {
      pairs.push([number(spliceId(box.id, splice)), number(terminalId(device, terminal))]);
    }
    for (const { id, kind, brokenTabs } of box.devices) {
      for (const tab of deviceKind(kind).tabs) {
        if (!brokenTabs.includes(tab.id))
          pairs.push([number(terminalId(id, tab.joins[0])), number(terminalId(id, tab.joins[1]))]);
      }
    }
  }
  const joined = new UnionFind(numbers.size);
  for (const [a, b] of pairs) joined.join(a, b);
  return new Map([...numbers].map(([id, at]) => [id, joined.find(at)]));
}

/** Tape and jacket marks make a guess likelier; they prove nothing. */
function hints(
  survey: Survey,
  sides: ReadonlyMap<string, FarSide>,
  ends: ReadonlyMap<string, SeenEnd>,
): number {
  let factor = 1;
  for (const { cables } of survey.boxes) {
    for (const { id, mark } of cables) {
      const side = sides.get(id);
      if (!side) continue;
      const ports = Object.entries(side.ports) as [Insulation, Port][];
      for (const [insulation, port] of ports) {
        const end = ends.get(conductorKey(id, insulation));
        if (end?.taped && insulation === 'white') factor *= port === 'neutral' || port === 'return' ? 0.3 : 2;
      }
      const fed = ports.some(([, port]) => port === 'hot');
      if (/feed|panel|line|power/i.test(mark)) factor *= fed ? 3 : 0.5;
      if (/light|lamp|load|fan/i.test(mark)) factor *= fed ? 0.5 : 2;
    }
  }
  return factor;
}

/** What a guess says of the target box, found by energizing it; null where some switch position is a short. */
function factsOf(survey: Survey, model: GuessModel, nodes: ReadonlyMap<string, number>): Facts | null {
  const points = model.asFound();
  for (const point of points) {
    for (const { id, breakerA } of point.network.circuits) {
      if (point.breakerCurrent(id) > TRIP_TIMES * breakerA) return null;
    }
  }
  const off = model.asFound('off');
  const box = survey.boxes.find(({ id }) => id === survey.target);
  const roles = new Map<ConductorId, Port>();
  const circuits = new Set<string>();
  const strangers = new Set<number>();
  for (const [cable, side] of model.guess.sides) {
    const ports = Object.values(side.ports);
    const foreign = ports.some((port) => FOREIGN.has(port)) && !ports.includes('hot');
    for (const [insulation, port] of Object.entries(side.ports) as [Insulation, Port][]) {
      const key = conductorKey(cable, insulation);
      roles.set(key, port);
      const source = stiffTo(port);
      if (source !== undefined && source !== 'neutral') circuits.add(source);
      if (FOREIGN.has(port)) circuits.add('second');
      const node = nodes.get(key);
      if (foreign && port === 'neutral' && node !== undefined) strangers.add(node);
    }
  }
  const facts = {
    hot: false,
    neutral: false,
    ground: false,
    tap: null as Facts['tap'],
    barred: null as Facts['barred'],
  };
  const live = new Map<ConductorId, 'hot' | 'neutral'>();
  let neutralsJoined = false;
  for (const cable of box?.cables ?? []) {
    let hot: Insulation | null = null;
    let neutral: Insulation | null = null;
    let strange = false;
    for (const insulation of cableRow(cable.type).insulated) {
      const point = model.pointOf({ on: 'conductor', cable: cable.id, insulation });
      if (point === undefined) continue;
      const key = conductorKey(aliasOf(survey, cable.id), insulation);
      const volts = points.map((one) => Math.abs(one.volts(point)));
      if (volts.every((v) => v > 110)) {
        const own = off.every((one) => !(Math.abs(one.volts(point)) > 5));
        if (own) {
          hot ??= insulation;
          live.set(key, 'hot').set(conductorKey(cable.id, insulation), 'hot');
        } else strange = true;
      }
      if (volts.every((v) => v < 5) && roles.get(key) !== 'neutral-switched') {
        live.set(key, 'neutral').set(conductorKey(cable.id, insulation), 'neutral');
        const node = nodes.get(key);
        if (node !== undefined && strangers.has(node)) neutralsJoined = true;
        neutral = isWhite(insulation) ? insulation : (neutral ?? insulation);
      }
    }
    if (hot !== null) facts.hot = true;
    if (neutral !== null) facts.neutral = true;
    if (hot === null && strange && neutral !== null) facts.barred ??= 'another circuit';
    if (hot === null || neutral === null) continue;
    // A black neutral cannot be re-identified: what was changed over is corrected upstream (200.6).
    if (!isWhite(neutral) || isWhite(hot)) facts.barred ??= 'reversed';
    else if (neutralsJoined) facts.barred ??= 'neutrals joined';
    else if (!comeTogether(survey, model, nodes, { cable: cable.id, hot, neutral }))
      facts.barred ??= 'two cables';
    else facts.tap ??= { cable: cable.id, hot, neutral };
  }
  const ground = box ? groundEnd(survey, box) : null;
  if (ground !== null && box) {
    const point = model.pointOf({ on: 'ground', box: box.id });
    facts.ground = point !== undefined && points.every((one) => Math.abs(one.volts(point)) < 5);
  }
  const groundCapped =
    !facts.ground &&
    model.guess.groundGood &&
    (box?.cables ?? []).some(({ id, hasGround }) => {
      const side = model.guess.sides.get(id);
      return hasGround && side !== undefined && leadsToPanel(side);
    });
  return {
    ...facts,
    pair: facts.tap,
    tap: facts.ground ? facts.tap : null,
    shared: circuits.size > 1,
    groundCapped,
    neutralsJoined,
    live,
    roles,
  };
}

/** True where one cable brings both: a hot by one cable and its neutral by another do not cancel (300.3(B)). */
function comeTogether(
  survey: Survey,
  model: GuessModel,
  nodes: ReadonlyMap<string, number>,
  { cable, hot, neutral }: Pair,
): boolean {
  const node = (one: string, insulation: Insulation) =>
    nodes.get(conductorKey(aliasOf(survey, one), insulation));
  const [hotNode, neutralNode] = [node(cable, hot), node(cable, neutral)];
  return [...model.guess.sides].some(([one, { ports }]) => {
    const entries = Object.entries(ports) as [Insulation, Port][];
    const brings = (port: Port, at: number | undefined) =>
      entries.some(([insulation, own]) => own === port && node(one, insulation) === at);
    return brings('hot', hotNode) && brings('neutral', neutralNode);
  });
}

/** Ports of a circuit that is not the named one. */
const FOREIGN: ReadonlySet<Port> = new Set<Port>([
  'hot-second',
  'hot-other-leg',
  'fed-second-1',
  'fed-second-2',
  'fed-other-1',
  'fed-other-2',
  'lamp-second',
  'switched-second',
  'switched-other',
]);
