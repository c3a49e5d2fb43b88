import { cableRow, isWhite, type Insulation } from '../standards/cables';
import type { SeenCable, SeenEnd, Survey } from '../model/survey';
import { TRIP_TIMES } from '../energize/energize';
import { UnionFind } from '../graph/union-find';
import { deviceKind } from '../devices';
import { farSides, stiffTo, type FarSide, type Port } from './far-sides';
import { GuessModel, seenWhole } from './guess-model';
import { groundEnd, type Guess } from './scene';

/**
 * How many odd things may come together, widest first: the first limit with few enough guesses is taken, so that a
 * full box is not searched as far as a box with one cable. Plausible figures.
 */
const ODD_LIMITS = [3, 2.6, 2.2, 1.8, 1.5, 1.2, 1, 0.8, 0.6, 0.5] as const;
const ENOUGH_GUESSES = 160;
/** A box with more guesses than this even so is more than Find can sort out. */
const MOST_GUESSES = 1500;

/** A guess at what is in the wall, with what follows from it. */
export interface Weighed {
  readonly model: GuessModel;
  readonly guess: Guess;
  readonly odd: number;
  /** How likely before any reading, not scaled. */
  readonly prior: number;
  readonly facts: Facts;
}

/** What a guess says of the target box. */
export interface Facts {
  readonly hot: boolean;
  readonly neutral: boolean;
  readonly ground: boolean;
  /** A cable whose hot and neutral can feed an outlet here, all the time. */
  readonly tap: { readonly cable: string; readonly hot: string; readonly neutral: string } | null;
  /** More than one circuit is alive in the opened boxes. */
  readonly shared: boolean;
  /** What each conductor is, by `cable:color`. */
  readonly roles: ReadonlyMap<string, Port>;
}

export interface Guesses {
  readonly all: readonly Weighed[];
  /** False where there were more than could be held. */
  readonly complete: boolean;
}

/** Everything that what is seen can still be: far sides for every cable that make no short, plainest first. */
export function guessesOf(survey: Survey): Guesses {
  const joined = new Set(survey.same.flatMap(({ a, b }) => [a, b]));
  const cables = survey.boxes.flatMap((box) => box.cables.filter(({ id }) => !joined.has(id)));
  const nodes = nodesOf(survey);
  const ends = new Map<string, SeenEnd>(
    survey.boxes.flatMap((box) => box.ends.map((end) => [`${end.cable}:${end.insulation}`, end] as const)),
  );
  let found: Arrangement[] = [];
  for (const limit of ODD_LIMITS) {
    found = arrangements(cables, nodes, limit, joined.size > 0);
    if (found.length <= ENOUGH_GUESSES) break;
  }

  const complete = found.length <= MOST_GUESSES;
  const hasGround = survey.boxes.some((box) => groundEnd(survey, box) !== null);
  const all: Weighed[] = [];
  const whole = seenWhole(survey);
  for (const { sides: chosen, odd } of found) {
    for (const groundGood of hasGround ? [true, false] : [false]) {
      const guess: Guess = { sides: chosen, groundGood };
      const model = new GuessModel(whole, guess);
      const facts = factsOf(survey, model);
      if (!facts) continue;
      const total = odd + (hasGround && !groundGood ? 1 : 0);
      const prior = Math.exp(-1.3 * total) * hints(survey, chosen, ends);
      all.push({ model, guess, odd: total, prior, facts });
    }
  }
  return { all, complete };
}

interface Arrangement {
  readonly sides: ReadonlyMap<string, FarSide>;
  readonly odd: number;
}

/** Far sides for all cables that tie no node of the box to two sources, plainest first. */
function arrangements(
  cables: readonly SeenCable[],
  nodes: ReadonlyMap<string, number>,
  limit: number,
  fedElsewhere: boolean,
): Arrangement[] {
  const found: Arrangement[] = [];
  const stiff = new Map<number, string>();
  const sides = new Map<string, FarSide>();
  const choose = (index: number, odd: number, sources: number): void => {
    const cable = cables[index];
    if (!cable) {
      const total = odd + (sources === 0 && !fedElsewhere ? 1.5 : 0);
      if (total <= limit) found.push({ sides: new Map(sides), odd: total });
      return;
    }
    for (const side of farSides(cable.type)) {
      const feeds = Object.values(side.ports).some((port) => port === 'hot' || port === 'hot-second');
      const total = odd + side.odd + (feeds && sources > 0 ? 0.8 : 0);
      if (odd + side.odd > limit || found.length > MOST_GUESSES) break;
      if (total > limit) continue;
      const added = tie(side, cable.id, nodes, stiff);
      if (added.fits) {
        sides.set(cable.id, side);
        choose(index + 1, total, sources + (feeds || leads(side) ? 1 : 0));
        sides.delete(cable.id);
      }
      for (const node of added.nodes) stiff.delete(node);
    }
  };
  choose(0, 0, 0);
  return found.sort((a, b) => a.odd - b.odd);
}

/** Notes the source that each node is tied to; does not fit where it was tied to another. */
function tie(side: FarSide, cable: string, nodes: ReadonlyMap<string, number>, stiff: Map<number, string>) {
  const added: number[] = [];
  for (const [insulation, port] of Object.entries(side.ports)) {
    const source = stiffTo(port);
    const node = nodes.get(`${cable}:${insulation}`);
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
      const end = number(`${cable}:${insulation}`);
      if (sits.at === 'splice') pairs.push([end, number(`${box.id}/${sits.splice}`)]);
      if (sits.at === 'terminal') pairs.push([end, number(`${sits.device}:${sits.terminal}`)]);
    }
    for (const { splice, device, terminal } of box.tails) {
      pairs.push([number(`${box.id}/${splice}`), number(`${device}:${terminal}`)]);
    }
    for (const { id, kind, brokenTabs } of box.devices) {
      for (const tab of deviceKind(kind).tabs) {
        if (!brokenTabs.includes(tab.id))
          pairs.push([number(`${id}:${tab.joins[0]}`), number(`${id}:${tab.joins[1]}`)]);
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
      const ports = Object.entries(side.ports);
      for (const [insulation, port] of ports) {
        const end = ends.get(`${id}:${insulation}`);
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
function factsOf(survey: Survey, model: GuessModel): Facts | null {
  const points = model.asFound();
  for (const point of points) {
    for (const { id, breakerA } of point.network.circuits) {
      if (point.breakerCurrent(id) > TRIP_TIMES * breakerA) return null;
    }
  }
  const box = survey.boxes.find(({ id }) => id === survey.target);
  const roles = new Map<string, Port>();
  const circuits = new Set<string>();
  for (const [cable, side] of model.guess.sides) {
    for (const [insulation, port] of Object.entries(side.ports)) {
      roles.set(`${cable}:${insulation}`, port);
      const source = stiffTo(port);
      if (source !== undefined && source !== 'neutral') circuits.add(source);
    }
  }
  const facts = { hot: false, neutral: false, ground: false, tap: null as Facts['tap'] };
  for (const cable of box?.cables ?? []) {
    const at = (insulation: Insulation) => model.pointOf({ on: 'conductor', cable: cable.id, insulation });
    let hot: string | null = null;
    let neutral: string | null = null;
    for (const insulation of cableRow(cable.type).insulated) {
      const point = at(insulation);
      if (point === undefined) continue;
      const volts = points.map((one) => Math.abs(one.volts(point)));
      if (volts.every((v) => v > 110)) hot ??= insulation;
      if (volts.every((v) => v < 5)) neutral = isWhite(insulation) ? insulation : (neutral ?? insulation);
    }
    if (hot !== null) facts.hot = true;
    if (neutral !== null) facts.neutral = true;
    if (hot !== null && neutral !== null) facts.tap ??= { cable: cable.id, hot, neutral };
  }
  const ground = box ? groundEnd(survey, box) : null;
  if (ground !== null && box) {
    const point = model.pointOf({ on: 'ground', box: box.id });
    facts.ground = point !== undefined && points.every((one) => Math.abs(one.volts(point)) < 5);
  }
  return { ...facts, tap: facts.ground ? facts.tap : null, shared: circuits.size > 1, roles };
}
