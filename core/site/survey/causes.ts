import type { SeenBox, Survey } from '../../job/model/survey';
import { HOT_OPEN, NEUTRAL_OPEN, type Port } from './far-sides';
import type { Weighed } from './guesses';
import { deviceKind } from '../../trade/devices';
import { cableRow, isGround } from '../../trade/standards/cables';
import { groundEnd } from './scene';
import { say } from '../../base/words/survey';

/*
 * Why no outlet can be fed from a box: each cause with what it is called, what it means and the ways out. A cause is
 * given only where the readings leave no other; until then what it may be is named (common practice: a wrong reason
 * sends the next person to the wrong place). Sections from memory.
 */

export interface Cause {
  /** In a list of what it may be. */
  readonly called: string;
  readonly reason: (survey: Survey) => string;
  readonly waysOut: readonly string[];
  /** True where people can be hurt by it as it is now, outlet or no outlet. */
  readonly hazard: boolean;
}
interface Row extends Cause {
  /** `seenNone`: one sees that no ground comes into the box. */
  readonly holds: (weighed: Weighed, seenNone: boolean) => boolean;
}

export const NEAREST = say('advice.feedFromNearest');
export const NO_GROUND = [say('advice.runGround'), say('advice.ungroundedReplacement')] as const;
const FEED_BOX = say('advice.openBoxBefore');

/** What may be at the far ends of a switch loop. */
const IN_A_LOOP: ReadonlySet<Port> = new Set<Port>([
  'hot',
  'hot-second',
  'hot-other-leg',
  'lamp',
  'lamp-2',
  'lamp-second',
  'open',
]);

const portsOf = ({ guess }: Weighed): Port[] =>
  [...guess.sides.values()].flatMap(({ ports }) => Object.values(ports));
const every = (weighed: Weighed, of: readonly Port[]): boolean =>
  portsOf(weighed).every((port) => of.includes(port));
const hasSide = ({ guess }: Weighed, ids: ReadonlySet<string>): boolean =>
  [...guess.sides.values()].some(({ id }) => ids.has(id));

/** The first that holds is what a guess is called. */
const ROWS: readonly Row[] = [
  {
    called: say('cause.reversed'),
    reason: () => say('advice.reversedUpstream'),
    waysOut: [FEED_BOX, NEAREST, say('advice.correctAndRetake')],
    hazard: true,
    holds: ({ facts }) => facts.barred === 'reversed',
  },
  {
    called: say('cause.twoCables'),
    reason: () => say('advice.apartCables'),
    waysOut: [say('advice.findMeeting'), NEAREST],
    hazard: true,
    holds: ({ facts }) => facts.barred === 'two cables',
  },
  {
    called: say('cause.anotherCircuit'),
    reason: ({ breaker }) => say('advice.otherBreakerFeeds', { breaker }),
    waysOut: [say('advice.findBreaker'), say('advice.directory'), NEAREST],
    hazard: true,
    holds: ({ facts }) => facts.barred === 'another circuit',
  },
  {
    called: say('cause.neutralsJoined'),
    reason: () => say('advice.borrowedNeutral'),
    waysOut: [say('advice.separateNeutrals'), FEED_BOX, NEAREST],
    hazard: true,
    holds: ({ facts }) => facts.barred === 'neutrals joined' || facts.barred === 'borrowed neutral',
  },
  {
    called: say('cause.retired'),
    reason: () => say('advice.retiredCut'),
    waysOut: [say('advice.capMarkAbandonedRemove'), NEAREST, say('advice.nextBox')],
    hazard: false,
    holds: (weighed) => every(weighed, ['open']),
  },
  {
    called: say('cause.tied'),
    reason: () => say('advice.retiredTied'),
    waysOut: [say('advice.capMarkAbandonedRemove'), NEAREST, say('advice.nextBox')],
    hazard: false,
    holds: (weighed) => every(weighed, ['open', 'tied']),
  },
  {
    called: say('cause.neutralSwitched'),
    reason: () => say('advice.switchedNeutral'),
    waysOut: [say('advice.switchInHot'), FEED_BOX, NEAREST],
    hazard: true,
    holds: (weighed) => portsOf(weighed).includes('neutral-switched'),
  },
  {
    called: say('cause.neutralOpen'),
    reason: () => say('advice.openNeutralUpstream'),
    waysOut: [FEED_BOX, say('advice.repairNeutral'), NEAREST],
    hazard: true,
    holds: (weighed) => hasSide(weighed, NEUTRAL_OPEN),
  },
  {
    called: say('cause.hotOpen'),
    reason: () => say('advice.openHotUpstream'),
    waysOut: [FEED_BOX, say('advice.lookUpstream'), NEAREST],
    hazard: false,
    holds: (weighed) => hasSide(weighed, HOT_OPEN) && !weighed.facts.hot,
  },
  {
    called: say('cause.groundCapped'),
    reason: () => say('advice.cappedGround'),
    waysOut: [say('advice.spliceGround'), NEAREST, NO_GROUND[0]],
    hazard: false,
    holds: ({ facts }) => !facts.ground && facts.pair !== null && facts.groundCapped,
  },
  {
    called: say('cause.bootleg'),
    reason: () => say('advice.bootlegGround'),
    waysOut: [say('advice.findTieRemove'), NEAREST, ...NO_GROUND],
    hazard: true,
    holds: ({ grounding, facts }) => grounding === 'over a neutral' && facts.pair !== null,
  },
  {
    called: say('cause.noGround'),
    reason: () => say('advice.noGround'),
    waysOut: [NEAREST, ...NO_GROUND],
    hazard: true,
    holds: ({ facts }, seenNone) => seenNone || (facts.pair !== null && !facts.ground),
  },
  {
    called: say('cause.loop'),
    reason: () => say('advice.switchLoop'),
    waysOut: [say('advice.pullNew3WireCable'), say('advice.radioSwitchAtLight'), NEAREST],
    hazard: false,
    holds: (weighed) =>
      !weighed.facts.neutral &&
      portsOf(weighed).includes('lamp') &&
      portsOf(weighed).every((port) => IN_A_LOOP.has(port)),
  },
  {
    called: say('cause.noNeutral'),
    reason: () => say('advice.noHere', { missing: say('advice.neutral') }),
    waysOut: [say('advice.newThreeWire'), say('advice.radioSwitch'), NEAREST],
    hazard: false,
    holds: ({ facts }) => !facts.neutral,
  },
  {
    called: say('cause.noHot'),
    reason: () => say('advice.noHere', { missing: say('advice.constantHot') }),
    waysOut: [say('advice.newThreeWire'), say('advice.tapFeedSide'), NEAREST],
    hazard: false,
    holds: ({ facts }) => !facts.hot,
  },
];
const OTHERWISE: Cause = {
  called: say('cause.noPair'),
  reason: () => say('advice.noHere', { missing: say('advice.pairConstantHotNeutral') }),
  waysOut: [say('advice.newThreeWire'), say('advice.radioSwitch'), NEAREST],
  hazard: false,
};
const LOOP = ROWS.find(({ called }) => called === say('cause.loop'));

/** What stands against an outlet in a guess that has none. */
export function causeIn(survey: Survey, weighed: Weighed): Cause {
  const box: SeenBox | undefined = survey.boxes.find(({ id }) => id === survey.target);
  const seenNone = !box || groundEnd(survey, box) === null;
  return ROWS.find(({ holds }) => holds(weighed, seenNone)) ?? OTHERWISE;
}

/** Causes by their share of the belief, the most believed first. */
export function causesOf(
  survey: Survey,
  standings: readonly { readonly weighed: Weighed; readonly weight: number }[],
): readonly (readonly [Cause, number])[] {
  const total = standings.reduce((sum, { weight }) => sum + weight, 0);
  const shares = new Map<Cause, number>();
  for (const { weighed, weight } of standings) {
    if (weighed.facts.tap !== null) continue;
    const cause = causeIn(survey, weighed);
    shares.set(cause, (shares.get(cause) ?? 0) + weight / total);
  }
  return [...shares].sort(([, a], [, b]) => b - a);
}

/** A look tells: both conductors of the only cable sit on one switch (common practice). */
function looksLikeLoop(survey: Survey): boolean {
  const box = survey.boxes.find(({ id }) => id === survey.target);
  const [cable, ...more] = box?.cables ?? [];
  if (!box || !cable || more.length > 0 || cableRow(cable.type).insulated.length !== 2) return false;
  const on = new Set(
    box.ends.flatMap(({ insulation, sits }) =>
      isGround(insulation) ? [] : [sits.at === 'terminal' ? sits.device : ''],
    ),
  );
  const device = box.devices.find(({ id }) => on.has(id));
  return on.size === 1 && device !== undefined && deviceKind(device.kind).serves === 'switch';
}

/** Share of the belief from which a cause is the only one left. */
export const SURE = 0.98;
/** Causes that are named where none is sure. */
const NAMED = 3;

/** Why not: the cause where none other is left, what it mostly is, or what it may be. */
export function whyNot(
  survey: Survey,
  agreeing: readonly { readonly weighed: Weighed; readonly weight: number }[],
): Pick<Cause, 'waysOut'> & { readonly reason: string } {
  const causes = causesOf(survey, agreeing);
  const [top, share] = causes[0] ?? [OTHERWISE, 1];
  const { waysOut } = top;
  if (share >= SURE) return { reason: top.reason(survey), waysOut };
  if (LOOP && looksLikeLoop(survey))
    return { reason: say('advice.almostAlways', { called: LOOP.called }), waysOut: LOOP.waysOut };
  const named = causes.slice(0, NAMED).map(([one]) => one.called);
  const more = causes.length > NAMED;
  return { reason: say('advice.whichever', { causes: named.join('; '), more }), waysOut };
}
