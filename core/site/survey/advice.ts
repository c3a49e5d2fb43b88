import type { Survey } from '../../job/model/survey';
import { NEAREST, NO_GROUND, whyNot } from './causes';
import type { Standing } from './evidence';
import { NOT_PROVEN } from './proofs';
import type { Verdict } from './verdict';
import { cableName } from './words';
import { INSULATION_NAME } from '../../trade/standards/names';
import { say } from '../../base/words/survey';

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

const STILL = [
  say('advice.boxFill'),
  say('advice.circuitLoad'),
  say('advice.roomOfCircuit'),
  say('advice.protectionOfPlace'),
] as const;

const OUTSIDE_SAYS = {
  aluminum: say('advice.aluminum'),
  'cloth or rubber': say('advice.clothOrRubber'),
  'knob-and-tube': say('advice.knobAndTube'),
  scorched: say('advice.scorched'),
  conduit: say('advice.conduit'),
  'armored cable': say('advice.armoredCable'),
  'other wiring method': say('advice.methodNotPlanned'),
} as const;

const NOT_PLANNED: ReadonlySet<string> = new Set(['conduit', 'armored cable', 'other wiring method']);

/** The verdict in words, with the ways out where it is no. Sections from memory. */
export function adviceOf(survey: Survey, verdict: Verdict, standings: readonly Standing[]): Advice {
  const [out] = survey.outside;
  if (out !== undefined) {
    const method = NOT_PLANNED.has(out);
    return {
      answer: method ? say('advice.notPlannedHere') : say('advice.stopOutside'),
      reason: say('advice.trueOther', { out: OUTSIDE_SAYS[out], method }),
      waysOut: [say('advice.feedFromElsewhere')],
      cautions: [],
      stillToCheck: [],
    };
  }
  const cautions: string[] = [];
  if (verdict.shared === 'yes') cautions.push(say('advice.twoCircuitsAlive'));
  if (verdict.shared === 'not known yet') cautions.push(say('advice.secondCircuitPossible'));
  if (verdict.conductors.some(({ is, insulation }) => insulation === 'white' && is === 'hot')) {
    cautions.push(say('advice.bandWhite'));
  }
  if (verdict.contradiction) {
    return {
      answer: say('advice.readingsAtOdds'),
      reason: verdict.contradiction.says,
      waysOut: [],
      cautions,
      stillToCheck: [],
    };
  }
  if (verdict.unknownUse) {
    return {
      answer: say('advice.notKnownHere'),
      reason: say('advice.useNotKnown'),
      waysOut: [say('advice.openBoxBefore'), NEAREST],
      cautions,
      stillToCheck: [],
    };
  }
  if (survey.listed !== null && survey.listed !== survey.breaker) {
    cautions.push(say('advice.otherBreakerListed', { listed: survey.listed, breaker: survey.breaker }));
  }
  const proven = verdict.tap === 'yes' ? verdict.from : null;
  const pair = proven ?? (verdict.first?.reached ? verdict.first.pair : null);
  if (pair) {
    const { cable, hot, neutral } = pair;
    return {
      answer: proven ? say('advice.yes') : say('advice.yesOnReadings'),
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
  if (verdict.groundUnproven) {
    return {
      answer: say('advice.groundOpen'),
      reason: say('advice.groundPathOpen'),
      waysOut: [NEAREST, ...NO_GROUND],
      cautions,
      stillToCheck: [],
    };
  }
  const agreeing = standings.filter(({ against }) => against.length === 0);
  if (verdict.tap === 'no') {
    const { reason, waysOut } = whyNot(survey, agreeing);
    return {
      answer: say('advice.no'),
      reason,
      waysOut,
      cautions,
      stillToCheck: [],
    };
  }
  if (agreeing.length > 0 && agreeing.every(({ weighed }) => weighed.facts.tap === null))
    return {
      answer: say('advice.notKnownYet'),
      reason: say('advice.asFarAsRead', { reason: whyNot(survey, agreeing).reason }),
      waysOut: [],
      cautions,
      stillToCheck: [],
    };
  const missing = verdict.proofs.filter(({ reading }) => reading === null).map(({ of }) => NOT_PROVEN[of]);
  return {
    answer: say('advice.notKnownYet'),
    reason:
      verdict.left === 'yes' && missing.length > 0
        ? say('advice.nothingSpeaksAgainstBut', { missing: missing.join('; ') })
        : say('advice.stillOpen'),
    waysOut: [],
    cautions,
    stillToCheck: [],
  };
}
