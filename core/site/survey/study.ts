import type { Survey } from '../../job/model/survey';
import { adviceOf, type Advice } from './advice';
import { weigh, type Standing } from './evidence';
import { nextTest, type Suggestion } from './next-test';
import type { Test } from './possible-tests';
import { bitsOf } from '../diagnose/narrowing';
import { verdictOf, type Verdict } from './verdict';
import { cableName } from './words';
import { say } from '../../base/words/survey';

/** What a test may show, and what that would speak for. */
export interface Expected {
  /** A bit of the instrument's outcomes. */
  readonly outcome: number;
  /** How likely it is, all together 1. */
  readonly share: number;
  readonly speaksFor: string;
}

/** All that Find has to say at one moment; plain data, so that a worker can send it. */
export interface Study {
  readonly verdict: Verdict;
  readonly advice: Advice;
  readonly suggestion: Suggestion | null;
  readonly expected: readonly Expected[];
  /** The most believed far side of each cable, for labels. */
  readonly believed: Readonly<Record<string, string>>;
}

/** Studies a survey; tests in `skipped` (as `testKey` gives them) are not suggested. */
export function study(survey: Survey, skipped: readonly string[] = []): Study {
  const stopped = survey.outside.length > 0;
  const standings = stopped ? [] : weigh(survey);
  const weighed = verdictOf(survey, standings);
  const verdict = stopped ? { ...weighed, contradiction: null } : weighed;
  const suggestion = stopped ? null : nextTest(survey, standings, new Set(skipped), weighed);
  return {
    verdict,
    advice: adviceOf(survey, verdict, standings),
    suggestion,
    expected: suggestion ? expectedOf(survey, standings, suggestion.test) : [],
    believed: believedOf(standings),
  };
}

function expectedOf(survey: Survey, standings: readonly Standing[], test: Test): Expected[] {
  const agreeing = standings.filter(({ against }) => against.length === 0);
  const shares = new Map<number, { share: number; best: Standing }>();
  for (const standing of agreeing) {
    const bits = bitsOf(standing.weighed.allows(test.setup, test.probe));
    for (const bit of bits) {
      const known = shares.get(bit) ?? { share: 0, best: standing };
      shares.set(bit, { ...known, share: known.share + standing.weight / bits.length });
    }
  }
  const total = [...shares.values()].reduce((sum, { share }) => sum + share, 0);
  return [...shares]
    .map(([outcome, { share, best }]) => ({
      outcome,
      share: total > 0 ? share / total : 0,
      speaksFor: saysOf(survey, best),
    }))
    .sort((a, b) => b.share - a.share);
}

const saysOf = (survey: Survey, { weighed }: Standing): string =>
  [...weighed.guess.sides].map(([cable, side]) => `${cableName(survey, cable)}: ${side.says}`).join('; ') +
  GROUND_SAYS[weighed.grounding] +
  (weighed.borrowed ? say('study.neutralAnotherCircuit') : '');

const GROUND_SAYS = {
  separate: '',
  'over a neutral': say('study.groundTiedNeutral'),
  open: say('study.groundOpen'),
  none: '',
} as const;

function believedOf(standings: readonly Standing[]): Record<string, string> {
  const best = standings.find(({ against }) => against.length === 0);
  return Object.fromEntries([...(best?.weighed.guess.sides ?? [])].map(([cable, { says }]) => [cable, says]));
}
