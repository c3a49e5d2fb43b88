import { cableRow, isWhite, type Insulation } from '../../trade/standards/cables';
import type { Survey } from '../../job/model/survey';
import type { ConductorId } from '../../job/model/wiring';
import { TRIP_TIMES } from '../../power/energize/energize';
import { leadsToPanel, stiffTo, type Port } from './far-sides';
import { GuessModel } from './guess-model';
import { aliasOf, groundEnd } from './scene';
import { conductorKey } from './far-side-wiring';

/** How the bare conductors of a box are joined with the panel: by a path of their own, over a neutral, or not at all. */
export type Grounding = 'separate' | 'over a neutral' | 'open' | 'none';

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
  /** Neutrals that another circuit's current truthfully returns on: one cable brings both with one neutral (210.4). */
  readonly carriesOthers: ReadonlySet<ConductorId>;
  /** Conductors that are a hot of this circuit all the time, or a neutral. */
  readonly live: ReadonlyMap<ConductorId, 'hot' | 'neutral'>;
  /** What each conductor is. */
  readonly roles: ReadonlyMap<ConductorId, Port>;
}

/** What a guess says of the target box, found by energizing it; null where some switch position is a short. */
export function factsOf(survey: Survey, model: GuessModel, nodes: ReadonlyMap<string, number>): Facts | null {
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
  const returning = new Set<number>();
  for (const [cable, side] of model.guess.sides) {
    const ports = Object.values(side.ports);
    const serves = ports.some((port) => FOREIGN.has(port));
    const foreign = serves && !ports.includes('hot');
    for (const [insulation, port] of Object.entries(side.ports) as [Insulation, Port][]) {
      const key = conductorKey(cable, insulation);
      roles.set(key, port);
      const source = stiffTo(port);
      if (source !== undefined && source !== 'neutral') circuits.add(source);
      if (FOREIGN.has(port)) circuits.add('second');
      const node = nodes.get(key);
      if (foreign && port === 'neutral' && node !== undefined) strangers.add(node);
      if (serves && port === 'neutral' && node !== undefined) returning.add(node);
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
  const carriesOthers = new Set<ConductorId>();
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
        if (node !== undefined && returning.has(node))
          carriesOthers.add(key).add(conductorKey(cable.id, insulation));
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
    carriesOthers,
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
