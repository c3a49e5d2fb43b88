import {
  HAZARDS_LEFT,
  type HazardLeft,
  type Probe,
  type Reading,
  type SeenBox,
  type Setup,
  type Spot,
  type Survey,
} from '../../job/model/survey';
import { cableRow, isGround, isWhite } from '../../trade/standards/cables';
import type { Standing } from './evidence';
import { touched } from './evidence-key';
import type { Pair } from './facts';
import type { Weighed } from './guesses';
import { DOUBLE, HOT, JOINED, LOW, NO, TRIPS, valueMask, YES } from '../../job/seen/outcomes';
import { owedFound } from './owed-found';
import { proofsOf } from './proofs';
import { groundEnd } from './scene';
import { conductorKey } from './far-side-wiring';
import { say } from '../../base/words/survey';

/*
 * The first of two grades: *yes, on these readings*. It is what a careful electrician reads with the cover off before a
 * pair is tapped (common practice): all dead with the breaker off, the white joined with the ground; live through low
 * impedance with every switch worked, hot to ground. What that does not exclude is rare in an ordinary wall; it is named,
 * and read at the new outlet before its cover goes on. Whatever is odd in the box withholds this grade: then each proof
 * is read here.
 */

/** What is not as it should be though a pair reads well. */
export type Hazard = HazardLeft | 'ground open' | 'another circuit' | 'reversed' | 'not constant';

/** Those that a yes may leave open: a look and readings at the box seldom show them, the new outlet does. */
const LEFT: ReadonlySet<Hazard> = new Set(HAZARDS_LEFT);
export const mayBeLeft = (hazard: Hazard): hazard is HazardLeft => LEFT.has(hazard);

export const HAZARD_SAYS: Record<Hazard, string> = {
  bootleg: say('hazard.bootleg'),
  'borrowed neutral': say('hazard.borrowedNeutral'),
  'neutrals joined': say('hazard.neutralsJoined'),
  'ground open': say('hazard.groundOpen'),
  'another circuit': say('hazard.anotherCircuit'),
  reversed: say('hazard.reversed'),
  'two cables': say('hazard.twoCables'),
  'not constant': say('hazard.notConstant'),
};

/** A reading of this grade: what it is to show, where, and the reading that showed it. */
export interface Basic {
  readonly says: string;
  readonly setup: Setup;
  readonly probe: Probe;
  readonly reading: Reading | null;
}

export interface FirstGrade {
  readonly pair: Pair;
  readonly basics: readonly Basic[];
  /** What is odd in the box, in words: this grade is withheld until each proof is read. */
  readonly withheld: readonly string[];
  /** True where the pair may be tapped on these readings. */
  readonly reached: boolean;
  /** What they do not exclude. */
  readonly left: readonly Hazard[];
  /** What one of them alone excludes: a reading taken in the wrong place would hide it. */
  readonly once: readonly Hazard[];
}

/** Share of the belief that some pair is live here from which its readings are the next ones. */
const WORTH_READING = 0.15;

/** The grade of the pair that is most believed to be live all the time; null where hardly any is. */
export function firstGrade(
  survey: Survey,
  standings: readonly Standing[],
  complete: boolean,
): FirstGrade | null {
  const box = survey.boxes.find(({ id }) => id === survey.target);
  const agreeing = standings.filter(({ against }) => against.length === 0);
  const live = agreeing.filter(({ weighed }) => weighed.facts.pair !== null);
  const believed = agreeing.reduce((sum, { weight }) => sum + weight, 0);
  const share = live.reduce((sum, { weight }) => sum + weight, 0);
  const best = live.find(({ weighed }) => weighed.facts.tap !== null) ?? live[0];
  const pair = best?.weighed.facts.pair;
  if (!box || !best || !pair || share < WORTH_READING * believed || groundEnd(survey, box) === null)
    return null;
  const basics = basicsOf(survey, box, pair);
  const withheld = oddities(survey, best, pair);
  const left = [...new Set([...hazardsOf(agreeing, pair), ...unread(survey, box, pair)])];
  return {
    pair,
    basics,
    withheld,
    reached:
      !survey.proveAll &&
      complete &&
      withheld.length === 0 &&
      basics.every(({ reading }) => reading !== null) &&
      left.every(mayBeLeft),
    left,
    once: hazardsOf(
      standings.filter(({ weightAgainst }) => weightAgainst === 1),
      pair,
    ).filter((one) => !left.includes(one)),
  };
}

/**
 * What no light reading can exclude, whatever the guesses say: it stands until its own proof is read. Where the pair is
 * spliced with other cables, what it is fed by may come in two of them.
 */
function unread(survey: Survey, box: SeenBox, pair: Pair): HazardLeft[] {
  const proven = new Set(proofsOf(survey, pair).flatMap(({ of, reading }) => (reading ? of : [])));
  const [clamped] = owedFound({ ...survey, laidOut: { pair, left: ['two cables'] } });
  const at = (cable: string, insulation: Pair['hot']) =>
    touched(survey, { on: 'conductor', cable, insulation }, 'as found');
  const own = [pair.hot, pair.neutral].map((insulation) => at(pair.cable, insulation));
  const joined = box.ends.some(
    ({ cable, insulation }) =>
      cable !== pair.cable && !isGround(insulation) && own.includes(at(cable, insulation)),
  );
  return [
    ...(proven.has('ground') ? [] : (['bootleg'] as const)),
    ...(proven.has('neutral') ? [] : (['borrowed neutral'] as const)),
    ...(joined && clamped?.found !== 'not there' ? (['two cables'] as const) : []),
  ];
}

/** What of a pair may not be as it should be, by the guesses that say so, the most believed first. */
function hazardsOf(standings: readonly Standing[], pair: Pair): Hazard[] {
  const shares = new Map<Hazard, number>();
  for (const { weighed, weight } of standings)
    for (const one of hazardsIn(weighed, pair)) shares.set(one, (shares.get(one) ?? 0) + weight);
  return [...shares].sort((a, b) => b[1] - a[1]).map(([one]) => one);
}

/** What is wrong with a pair in a guess; nothing where it may be tapped. */
export function hazardsIn({ facts, grounding, borrowed }: Weighed, { cable, hot, neutral }: Pair): Hazard[] {
  const live =
    facts.live.get(conductorKey(cable, hot)) === 'hot' &&
    facts.live.get(conductorKey(cable, neutral)) === 'neutral';
  if (live && facts.tap !== null) return [];
  const found: Hazard[] = [];
  if (grounding === 'over a neutral') found.push('bootleg');
  if (grounding === 'open') found.push('ground open');
  if (borrowed) found.push('borrowed neutral');
  const { barred } = facts;
  if (!live) found.push(barred === 'another circuit' || barred === 'reversed' ? barred : 'not constant');
  // What bars another pair of the box does not bar this one.
  else if (facts.pair === null && barred !== null && !found.includes(barred)) found.push(barred);
  return found.length > 0 ? found : ['not constant'];
}

const AS_FOUND = { apart: 'as found', loadsOut: false } as const;

/** The readings of this grade, in the order of two set-ups: breaker off, breaker on. */
function basicsOf(survey: Survey, box: SeenBox, pair: Pair): Basic[] {
  const spot = (insulation: Pair['hot']): Spot => ({ on: 'conductor', cable: pair.cable, insulation });
  const hot = spot(pair.hot);
  const neutral = spot(pair.neutral);
  const ground: Spot = { on: 'ground', box: box.id };
  const off: Setup = { ...AS_FOUND, breakers: 'off', switches: 'worked' };
  const dead: Setup = { ...AS_FOUND, breakers: 'all off', switches: 'as they are' };
  const on: Setup = { ...AS_FOUND, breakers: 'on', switches: 'worked' };
  const wanted: readonly { says: string; setup: Setup; probe: Probe; shows: number }[] = [
    {
      says: say('basic.dead', { breaker: survey.breaker }),
      setup: off,
      probe: { with: 'sweep', box: box.id },
      shows: NO,
    },
    {
      says: say('basic.joined'),
      setup: dead,
      probe: { with: 'continuity', from: neutral, to: ground },
      shows: JOINED,
    },
    {
      says: say('basic.live'),
      setup: on,
      probe: { with: 'meter', impedance: 'low', from: hot, to: neutral },
      shows: HOT,
    },
    {
      says: say('basic.toGround'),
      setup: { ...on, switches: 'as they are' },
      probe: { with: 'meter', impedance: 'high', from: hot, to: ground },
      shows: HOT,
    },
  ];
  return wanted.map(({ shows, ...basic }) => ({
    ...basic,
    reading:
      survey.readings.find(
        (reading) => isAsGood(survey, basic, reading) && valueMask(reading.probe, reading.value) === shows,
      ) ?? null,
  }));
}

/** True where a reading was taken on the same two things, in a state that says as much. */
function isAsGood(
  survey: Survey,
  { setup, probe }: Pick<Basic, 'setup' | 'probe'>,
  reading: Reading,
): boolean {
  if (setup.breakers !== reading.setup.breakers || probe.with !== reading.probe.with) return false;
  if (setup.switches === 'worked' && reading.setup.switches !== 'worked') return false;
  const at = (spot: Spot, of: Setup) => touched(survey, spot, of.apart);
  if (!('from' in probe) || !('from' in reading.probe)) return probe.with === 'sweep';
  // A low-impedance meter tells all that one of high impedance does.
  if (probe.with === 'meter' && probe.impedance === 'low')
    if (reading.probe.with !== 'meter' || reading.probe.impedance !== 'low') return false;
  const wanted = [at(probe.from, setup), at(probe.to, setup)].sort().join(' ');
  return (
    wanted === [at(reading.probe.from, reading.setup), at(reading.probe.to, reading.setup)].sort().join(' ')
  );
}

/** What in the box, or in what was read there, is not as in an ordinary wall. */
function oddities(survey: Survey, best: Standing, { cable }: Pair): string[] {
  const { boxes, readings, others } = survey;
  const cables = boxes.flatMap((box) => box.cables);
  const ends = boxes.flatMap((box) => box.ends);
  const masks = readings.map(
    (reading) => [reading.probe.with, valueMask(reading.probe, reading.value)] as const,
  );
  const feeds = [...best.weighed.guess.sides.values()].filter(({ ports }) =>
    Object.values(ports).some((port) => port === 'hot' || port === 'hot-second' || port === 'hot-other-leg'),
  ).length;
  const found: [boolean, string][] = [
    [cables.some((one) => one.id === cable && !one.hasGround), say('odd.noGround')],
    [ends.some(({ insulation, taped }) => taped && isWhite(insulation)), say('odd.whiteTaped')],
    [others.length > 0, say('odd.secondCircuit')],
    [feeds > 1, say('odd.twoFeeds')],
    [cables.some(({ type }) => cableRow(type).insulated.length > 3), say('odd.fourConductors')],
    [
      masks.some(
        ([probe, mask]) =>
          (probe === 'sweep' && mask === YES) ||
          (probe === 'meter' && (mask === LOW || mask === DOUBLE || mask === TRIPS)),
      ),
      say('odd.reading'),
    ],
  ];
  return found.filter(([is]) => is).map(([, says]) => says);
}
