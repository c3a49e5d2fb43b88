import type { Survey } from '../model/survey';
import type { Standing } from './evidence';
import { NOT_PROVEN } from './proofs';
import { groundEnd } from './scene';
import type { Verdict } from './verdict';
import { HOT_OPEN, NEUTRAL_OPEN, type Port } from './far-sides';
import { cableName } from './words';
import { INSULATION_NAME } from '../standards/names';
import { say } from '../words/survey';

/** What a verdict means for the outlet that is wanted. */
export interface Advice {
  /** One line, read at arm's length. */
  readonly answer: string;
  readonly reason: string;
  readonly waysOut: readonly string[];
  readonly cautions: readonly string[];
  /** Limits that do not hang on the wiring. */
  readonly stillToCheck: readonly string[];
}

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

const NOT_RULED_OUT = say('advice.secondCircuitNotRuledOut');
const STILL = [
  say('advice.roomBox31416'),
  say('advice.loadCircuit21019210'),
  say('advice.whetherRoomMayFedFrom'),
  say('advice.gfciAfciTamperResistancePlace'),
] as const;

const OUTSIDE_SAYS = {
  aluminum: say('advice.aluminumBranchWiringNeedsConnectors'),
  'cloth or rubber': say('advice.clothRubberInsulationBreaksWhen'),
  'knob-and-tube': say('advice.knobTubeWiringNoGround'),
  scorched: say('advice.scorchedBrittleInsulationSomethingHere'),
  conduit: say('advice.conductorsConduitFollowOtherRules'),
  'armored cable': say('advice.armoredMetalCladCableNot'),
  'other wiring method': say('advice.splitTapPlansNmB'),
} as const;

const NOT_PLANNED: ReadonlySet<string> = new Set(['conduit', 'armored cable', 'other wiring method']);

/** The verdict in words, with the ways out where it is no. Sections from memory. */
export function adviceOf(survey: Survey, verdict: Verdict, standings: readonly Standing[]): Advice {
  const [out] = survey.outside;
  if (out !== undefined) {
    const method = NOT_PLANNED.has(out);
    return {
      answer: method ? say('advice.notPlannedHere') : say('advice.stopOutsideWhatSplitTap'),
      reason: say('advice.trueOther', { out: OUTSIDE_SAYS[out], method }),
      waysOut: [say('advice.feedNewOutletFromSound')],
      cautions: [],
      stillToCheck: [],
    };
  }
  const cautions: string[] = [];
  if (verdict.shared === 'yes') cautions.push(say('advice.twoCircuitsAliveHereSwitch'));
  if (verdict.shared === 'not known yet') cautions.push(NOT_RULED_OUT);
  if (verdict.conductors.some(({ is, insulation }) => insulation === 'white' && is === 'hot')) {
    cautions.push(say('advice.whiteHereHotBandTape'));
  }
  if (verdict.contradiction) {
    return {
      answer: say('advice.twoReadingsCannotBothTrue'),
      reason: verdict.contradiction.says,
      waysOut: [],
      cautions,
      stillToCheck: [],
    };
  }
  if (survey.listed !== null && survey.listed !== survey.breaker) {
    cautions.push(
      say('advice.directoryGivesBreakerBreakerCorrect', { listed: survey.listed, breaker: survey.breaker }),
    );
  }
  if (verdict.tap === 'yes' && verdict.from) {
    const { cable, hot, neutral } = verdict.from;
    return {
      answer: say('advice.yesAlwaysOutletCanTapped'),
      reason: say('advice.tapBreaker', {
        hot: INSULATION_NAME[hot],
        neutral: INSULATION_NAME[neutral],
        cableName: cableName(survey, cable),
        breaker: survey.breaker,
      }),
      waysOut: [],
      cautions,
      stillToCheck: STILL,
    };
  }
  if (verdict.first?.reached) {
    const { cable, hot, neutral } = verdict.first.pair;
    return {
      answer: say('advice.yesOnReadings'),
      reason: say('advice.tapBreaker', {
        hot: INSULATION_NAME[hot],
        neutral: INSULATION_NAME[neutral],
        cableName: cableName(survey, cable),
        breaker: survey.breaker,
      }),
      waysOut: [],
      // What the readings do not exclude stands beside, with its test; a second circuit is among it.
      cautions:
        verdict.shared === 'not known yet' ? cautions.filter((one) => one !== NOT_RULED_OUT) : cautions,
      stillToCheck: STILL,
    };
  }
  if (verdict.groundUnproven) {
    return {
      answer: say('advice.hotNeutralVerifiedGroundNot'),
      reason: say('advice.groundContinuousSeparatePathNot'),
      waysOut: [NEAREST, ...NO_GROUND],
      cautions,
      stillToCheck: [],
    };
  }
  if (verdict.tap === 'no') {
    const { reason, waysOut } = whyNot(survey, verdict, standings);
    return {
      answer: say('advice.noAlwaysOutletCannotFed'),
      reason,
      waysOut,
      cautions,
      stillToCheck: [],
    };
  }
  const missing = verdict.proofs.filter(({ reading }) => reading === null).map(({ of }) => NOT_PROVEN[of]);
  return {
    answer: say('advice.notKnownYet'),
    reason:
      verdict.left === 'yes' && missing.length > 0
        ? say('advice.nothingSpeaksAgainstBut', { missing: missing.join('; ') })
        : say('advice.whatSeenCanStillWired'),
    waysOut: [],
    cautions,
    stillToCheck: [],
  };
}

const NEAREST = say('advice.feedOutletFromNearestAlways');

const NO_GROUND = [
  say('advice.runSeparateEquipmentGroundPanel'),
  say('advice.onlyOutletAlreadyUngroundedType'),
] as const;

/** Share of the belief from which something is called what it is. */
const MOSTLY = 0.6;

interface Reason {
  readonly reason: string;
  readonly waysOut: readonly string[];
}

/** What stands against an outlet, called what it is: the first that fits most of what is believed. */
function whyNot(survey: Survey, verdict: Verdict, standings: readonly Standing[]): Reason {
  const box = survey.boxes.find(({ id }) => id === survey.target);
  const left = standings.filter(({ against }) => against.length === 0);
  const total = left.reduce((sum, { weight }) => sum + weight, 0);
  const mostly = (holds: (one: Standing['weighed']) => boolean): boolean =>
    total > 0 && left.reduce((sum, one) => sum + (holds(one.weighed) ? one.weight : 0), 0) >= MOSTLY * total;
  const ports = ({ guess }: Standing['weighed']) =>
    [...guess.sides.values()].map((side) => Object.values(side.ports));
  const barred = (why: NonNullable<Standing['weighed']['facts']['barred']>) =>
    mostly(({ facts }) => facts.barred === why);
  const feedBox = say('advice.openBoxBeforeOneCircuit');

  if (barred('reversed')) {
    return {
      reason: say('advice.reversedPolarityFeedUpstreamCorrect'),
      waysOut: [feedBox, NEAREST, say('advice.correctUpstreamThenTakeReadings')],
    };
  }
  if (barred('two cables')) {
    return {
      reason: say('advice.hotComesOneCableNeutral'),
      waysOut: [say('advice.findWhereTwoCablesMeet'), NEAREST],
    };
  }
  if (barred('another circuit')) {
    return {
      reason: say('advice.whatLiveHereNotBreaker', { breaker: survey.breaker }),
      waysOut: [say('advice.switchBreakersOffOneTime'), say('advice.correctDirectory4084'), NEAREST],
    };
  }
  if (barred('neutrals joined') || barred('borrowed neutral')) {
    return {
      reason: say('advice.neutralHereSplicedAnotherCircuit'),
      waysOut: [say('advice.separateNeutralsTwoCircuitsBoth'), feedBox, NEAREST],
    };
  }
  const everyOpen = mostly((one) => ports(one).every((list) => list.every((port) => port === 'open')));
  const everyDead = mostly((one) =>
    ports(one).every((list) => list.every((port) => port === 'open' || port === 'tied')),
  );
  if (everyOpen || everyDead) {
    return {
      reason: everyOpen ? say('advice.cableRetiredDeadCutOff') : say('advice.cableRetiredDeadConductorsTied'),
      waysOut: [say('advice.capMarkAbandonedRemove'), NEAREST, say('advice.lookLiveCableNextBox')],
    };
  }
  if (
    mostly(({ guess }) =>
      [...guess.sides.values()].some(({ ports: own }) => Object.values(own).includes('neutral-switched')),
    )
  ) {
    return {
      reason: say('advice.switchUpstreamOpensNeutral404'),
      waysOut: [say('advice.correctUpstreamSwitchBelongsHot'), feedBox, NEAREST],
    };
  }
  const has = (one: Standing['weighed'], sides: ReadonlySet<string>) =>
    [...one.guess.sides.values()].some(({ id }) => sides.has(id));
  if (mostly((one) => has(one, NEUTRAL_OPEN))) {
    return {
      reason: say('advice.neutralFeedOpenUpstreamNothing'),
      waysOut: [feedBox, say('advice.repairOpenNeutralThenTake'), NEAREST],
    };
  }
  if (mostly((one) => has(one, HOT_OPEN) && !one.facts.hot)) {
    return {
      reason: say('advice.hotFeedOpenUpstreamNeutral'),
      waysOut: [feedBox, say('advice.lookTrippedGfciLooseScrew'), NEAREST],
    };
  }
  const noGround = !box || groundEnd(survey, box) === null || verdict.ground === 'no';
  if (noGround && mostly(({ facts }) => facts.groundCapped)) {
    return {
      reason: say('advice.groundLeadsPanelCappedHere'),
      waysOut: [say('advice.spliceCappedGroundOthersThen'), NEAREST, NO_GROUND[0]],
    };
  }
  if (noGround && mostly(({ grounding }) => grounding === 'over a neutral')) {
    return {
      reason: say('advice.groundHereTiedNeutralBootleg'),
      waysOut: [say('advice.findTieRemove'), NEAREST, ...NO_GROUND],
    };
  }
  if (noGround) {
    return {
      reason: say('advice.noEquipmentGroundReachesBox'),
      waysOut: [NEAREST, ...NO_GROUND],
    };
  }
  const lacks = (what: 'hot' | 'neutral') => mostly(({ facts }) => !facts[what]);
  const noNeutral = lacks('neutral');
  const noHot = !noNeutral && lacks('hot');
  const missing = noNeutral
    ? say('advice.neutral')
    : noHot
      ? say('advice.constantHot')
      : say('advice.pairConstantHotNeutral');
  const likeliest = [...(left[0]?.weighed.facts.roles.values() ?? [])];
  const loop = likeliest.includes('lamp') && likeliest.every((port) => IN_A_LOOP.has(port));
  if (noNeutral && loop) {
    return {
      reason: say('advice.switchLoopBothConductorsHots'),
      waysOut: [say('advice.pullNew3WireCable'), say('advice.fitRadioControlledSwitchReceiver'), NEAREST],
    };
  }
  return {
    reason: say('advice.noHere', { missing }),
    waysOut: [
      say('advice.pullNew3WireCable2'),
      noHot ? say('advice.tapBoxFeedSideInstead') : say('advice.fitRadioControlledSwitchPair'),
      NEAREST,
    ],
  };
}
