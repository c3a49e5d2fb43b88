import type { Insulation } from '../../trade/standards/cables';
import type { Probe, SeenEnd, Setup, Spot, Survey } from '../../job/model/survey';
import type { FarSide, Port } from './far-sides';
import { GuessModel } from './guess-model';
import { seenWhole } from './guess-setup';
import { JOINED, NO, NO_SAG, ONE_PATH, OPEN, SEPARATE, THROUGH, YES } from '../../job/seen/outcomes';
import { groundEnd, type Guess } from './scene';
import { conductorKey } from './far-side-wiring';
import { factsOf, type Grounding, type Facts } from './facts';
import { oddAsSeen, arrangements, nodesOf, type Arrangement, MOST_GUESSES } from './arrangements';

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
  const carries = (spot: Spot): boolean =>
    spot.on === 'conductor' && facts.carriesOthers.has(conductorKey(spot.cable, spot.insulation));
  switch (probe.with) {
    case 'drop': {
      if (!is(probe.hot, 'hot') || !is(probe.neutral, 'neutral')) return NO_SAG | SEPARATE | ONE_PATH;
      if (grounding === 'open' || grounding === 'none') return NO_SAG | SEPARATE | ONE_PATH;
      // On a short run too little is lost to tell.
      if (grounding !== 'separate') return NO_SAG | ONE_PATH;
      // What stays on the other leg takes off a shared neutral what the load puts on it: nothing may rise.
      return NO_SAG | SEPARATE | (carries(probe.neutral) ? ONE_PATH : 0);
    }
    case 'residual': {
      if (!is(probe.neutral, 'neutral') || grounding === 'open' || grounding === 'none') return YES | NO;
      // Over a neutral both probes are on one wire: nothing shows between them.
      if (grounding === 'over a neutral') return NO;
      // With the other leg loaded a shared neutral stands a volt or two over ground.
      return borrowed ? YES : facts.neutralsJoined || carries(probe.neutral) ? YES | NO : NO;
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
