import type { Reading, Survey } from '../../job/model/survey';
import type { Insulation } from '../../trade/standards/cables';
import { heldGuesses, unknownUses, weigh, type Standing } from './evidence';
import { firstGrade, type FirstGrade } from './first-grade';
import type { Facts, Pair } from './facts';
import { PORT_SAYS, type Port } from './far-sides';
import { proofsOf, type Proof } from './proofs';
import { conductorKey } from './far-side-wiring';
import { orList } from '../../base/words/lists';
import { say } from '../../base/words/survey';

export type Tri = 'yes' | 'no' | 'not known yet';

/**
 * A verdict stands on two readings at the least: every guess that says otherwise must be at odds with two, so that
 * one false reading can never make it. Three where a bootleg or a borrowed neutral is ruled out: only few instruments
 * show those, so that two false readings could otherwise make a yes. What is planned as without a ground does with two.
 */
export const READINGS_AGAINST = { usual: 2, hidden: 3 } as const;

/** A guess that the readings have not ruled out yet. */
export const isPossible = ({ weightAgainst, weighed }: Standing): boolean =>
  weightAgainst <
  READINGS_AGAINST[weighed.facts.tap === null && weighed.facts.pair !== null ? 'hidden' : 'usual'];

export type { Proof } from './proofs';

export interface ConductorVerdict {
  readonly cable: string;
  readonly insulation: Insulation;
  /** One word for what it is where all guesses agree; what it may still be otherwise. */
  readonly is: Port | null;
  readonly says: string;
  /** True where it is a constant hot in every guess, of whichever circuit. */
  readonly alwaysHot: boolean;
}

export interface Verdict {
  readonly tap: Tri;
  readonly hot: Tri;
  readonly neutral: Tri;
  readonly ground: Tri;
  /** What striking out every other answer comes to; a yes also wants every proof. */
  readonly left: Tri;
  /** The pair that would be tapped, with what was read of it, once no other answer is left. */
  readonly proofs: readonly Proof[];
  /** True where all but a separate path of the ground is proven: what is planned then is planned as without a ground. */
  readonly groundUnproven: boolean;
  /** The cable and colors to tap, once that is sure. */
  readonly from: { readonly cable: string; readonly hot: Insulation; readonly neutral: Insulation } | null;
  readonly conductors: readonly ConductorVerdict[];
  /** A second circuit may be alive here: hots are lifted, no neutral is opened. */
  readonly shared: Tri;
  /** True where a cable with four insulated conductors is used in a way that Find does not know. */
  readonly unknownUse: boolean;
  /** Readings that cannot all be true, and which of them, taken again, would resolve it. */
  readonly contradiction: Contradiction | null;
  /** The first grade of a yes: of the pair that is most believed; null where hardly any is live here. */
  readonly first: FirstGrade | null;
  /** Guesses that every reading agrees with. */
  readonly open: number;
}

export interface Contradiction {
  readonly says: string;
  readonly suspects: readonly Reading[];
}

/** What is known of the opened box so far. */
export function verdictOf(survey: Survey, standings: readonly Standing[] = weigh(survey)): Verdict {
  const agreeing = standings.filter(({ against }) => against.length === 0);
  const possible = standings.filter(isPossible);
  const { complete } = heldGuesses(survey);
  const wide = unknownUses(survey);
  const sure = (holds: (one: Standing) => boolean): Tri => {
    if (agreeing.length === 0 || !complete) return 'not known yet';
    if (possible.every(holds)) return 'yes';
    // Of cables with four insulated conductors only the plainest uses are known: that none of them fits proves no no.
    if (wide) return 'not known yet';
    return possible.every((one) => !holds(one)) ? 'no' : 'not known yet';
  };
  const pair = agreeing[0] ? pairOf(agreeing[0]) : null;
  const some = sure(({ weighed }) => weighed.facts.tap !== null);
  // It is one and the same pair that is live in every guess left.
  const same = pair !== null && possible.every(({ weighed }) => isLivePair(weighed.facts, pair));
  const left = some === 'yes' && !same ? 'not known yet' : some;
  const proofs = pair ? proofsOf(survey, pair) : [];
  const missing = proofs.filter(({ reading }) => reading === null).map(({ of }) => of);
  const named = sure(({ weighed }) => weighed.facts.shared) === 'yes' && agreeing.length > 0;
  // A second circuit is no bar where each of its conductors is known for what it is.
  const conductors = conductorVerdicts(survey, agreeing);
  const wanted = missing.filter(
    (of) => !(of === 'nothing else' && named && conductors.every(({ is }) => is !== null)),
  );
  const tap = left === 'yes' && (!pair || wanted.length > 0) ? 'not known yet' : left;
  // A neutral that is borrowed and stands in for the ground too shows on one instrument only: one reading strikes it out.
  const exceptGround = possible.every(
    ({ weighed, against, weightAgainst }) =>
      weighed.facts.tap !== null ||
      weightAgainst >= READINGS_AGAINST.usual ||
      (weighed.grounding === 'over a neutral' && weighed.borrowed && against.length > 0) ||
      (weighed.grounding === 'over a neutral' && !weighed.borrowed && weighed.facts.pair !== null),
  );
  return {
    tap,
    left,
    proofs,
    groundUnproven:
      tap !== 'no' &&
      pair !== null &&
      complete &&
      exceptGround &&
      wanted.every((of) => of === 'ground') &&
      tap !== 'yes',
    hot: sure(({ weighed }) => weighed.facts.hot),
    neutral: sure(({ weighed }) => weighed.facts.neutral),
    ground: sure(({ weighed }) => weighed.facts.ground),
    from: tap === 'yes' ? pair : null,
    conductors: tap === 'yes' && pair ? asTapped(conductors, pair) : conductors,
    shared: sure(({ weighed }) => weighed.facts.shared),
    // Where more is possible than Find knows, no reading is blamed for not fitting.
    contradiction: agreeing.length === 0 && !wide ? contradiction(survey, standings) : null,
    unknownUse: agreeing.length === 0 && wide,
    first: agreeing.length > 0 && tap !== 'no' ? firstGrade(survey, standings, complete) : null,
    open: agreeing.length,
  };
}

/** The pair of a guess that is live all the time on this circuit, whether its ground is proven or not. */
export function pairOf({ weighed }: Pick<Standing, 'weighed'>): NonNullable<Verdict['from']> | null {
  const { facts } = weighed;
  return facts.tap ?? facts.pair;
}

const isLivePair = ({ live }: Facts, { cable, hot, neutral }: Pair): boolean =>
  live.get(conductorKey(cable, hot)) === 'hot' && live.get(conductorKey(cable, neutral)) === 'neutral';

const CONSTANT_HOTS: ReadonlySet<Port> = new Set<Port>(['hot', 'hot-second', 'hot-other-leg']);

function conductorVerdicts(survey: Survey, agreeing: readonly Standing[]): ConductorVerdict[] {
  const hidden = new Set(survey.same.flatMap(({ a, b }) => [a, b]));
  return survey.boxes.flatMap((box) =>
    box.ends.flatMap(({ cable, insulation }): ConductorVerdict[] => {
      if (insulation === 'bare' || insulation === 'green' || hidden.has(cable)) return [];
      const key = conductorKey(cable, insulation);
      const shares = new Map<Port, number>();
      for (const { weighed, weight } of agreeing) {
        const port = weighed.facts.roles.get(key);
        if (port !== undefined) shares.set(port, (shares.get(port) ?? 0) + weight);
      }
      const ports = [...shares].sort((a, b) => b[1] - a[1]).map(([port]) => port);
      const alwaysHot = ports.length > 0 && ports.every((port) => CONSTANT_HOTS.has(port));
      const words = [...new Set(ports.map((port) => PORT_SAYS[port]))];
      const [only] = ports;
      if (words.length === 1 && only !== undefined) {
        return [{ cable, insulation, is: only, says: words[0] ?? '', alwaysHot }];
      }
      const says =
        words.length === 0
          ? say('verdict.notKnown')
          : say('verdict.trueOther', { words: orList(words.slice(0, 2)), wordsCount: words.length > 2 });
      return [{ cable, insulation, is: null, says, alwaysHot }];
    }),
  );
}

/** The pair that is tapped is called what it was proven to be, whichever way it came to be that. */
const asTapped = (
  conductors: readonly ConductorVerdict[],
  { cable, hot, neutral }: Pair,
): ConductorVerdict[] =>
  conductors.map((one) => {
    const is =
      one.cable !== cable
        ? null
        : one.insulation === hot
          ? ('hot' as const)
          : one.insulation === neutral
            ? ('neutral' as const)
            : null;
    return is === null ? one : { ...one, is, says: PORT_SAYS[is] };
  });

/** The readings that the best guesses cannot explain: without one of them the rest agree. */
function contradiction(survey: Survey, standings: readonly Standing[]): Contradiction {
  const fewest = standings.reduce(
    (least, { against }) => Math.min(least, against.length),
    Number.POSITIVE_INFINITY,
  );
  if (!Number.isFinite(fewest)) {
    return {
      says: say('verdict.noWiringMatches'),
      suspects: survey.readings,
    };
  }
  const best = standings.filter(({ against }) => against.length === fewest);
  const blame = new Map<Reading, number>();
  for (const { against, weight } of best) {
    for (const reading of against) blame.set(reading, (blame.get(reading) ?? 0) + weight);
  }
  const suspects = [...blame].sort((a, b) => b[1] - a[1]).map(([reading]) => reading);
  const repeated = suspects.every(({ times }) => times >= 2);
  const says = repeated
    ? say('verdict.twiceAtOdds')
    : fewest === 1
      ? say('verdict.readingsAtOdds')
      : say('verdict.fewestFalse', { fewest });
  return { says, suspects };
}
