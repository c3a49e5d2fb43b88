import { answer } from '../handover/drills/answer';
import type { Situation } from '../handover/drills/situation';
import type { Reading, Setup, Probe, Survey } from '../job/model/survey';
import { costOf } from '../site/survey/cost';
import { weigh } from '../site/survey/evidence';
import type { FirstGrade } from '../site/survey/first-grade';
import { nextTest } from '../site/survey/next-test';
import { owedOf } from '../site/survey/owed';
import { verdictOf, type Verdict } from '../site/survey/verdict';
import { falsified } from './falsified';

/** A visit to a box: what was read there, and what it came to. */
export interface Visit {
  readonly survey: Survey;
  readonly verdict: Verdict;
  readonly first: FirstGrade | null;
  readonly readings: number;
  readonly setups: number;
  readonly heavy: number;
  /** Readings that were all true, or but for one, were called contradictory on the way. */
  readonly contradicted: boolean;
}

const MOST_READINGS = 45;

/** Every suggested test taken, those of one set-up in one go; the readings in `lies` falsely. */
export function visit(
  situation: Situation,
  random: () => number,
  {
    survey: begun = situation.survey,
    lies = new Set(),
  }: { survey?: Survey; lies?: ReadonlySet<number> } = {},
): Visit {
  let survey = begun;
  let [readings, setups, heavy] = [0, 0, 0];
  let before = '';
  let contradicted = false;
  while (readings < MOST_READINGS) {
    const standings = weigh(survey);
    const verdict = verdictOf(survey, standings);
    contradicted ||= verdict.contradiction !== null;
    const next = nextTest(survey, standings, undefined, verdict);
    if (!next || next.again) break;
    for (const { setup, probe } of [next.test, ...next.together]) {
      const own = `${setup.breakers === 'on'} ${setup.apart} ${setup.loadsOut}`;
      if (own !== before) setups++;
      before = own;
      if (costOf(setup, probe).effort >= 5) heavy++;
      survey = taken(situation, survey, { setup, probe }, random, lies.has(survey.readings.length));
      readings++;
    }
  }
  const verdict = verdictOf(survey);
  return { survey, verdict, first: verdict.first, readings, setups, heavy, contradicted };
}

function taken(
  situation: Situation,
  survey: Survey,
  { setup, probe }: { setup: Setup; probe: Probe },
  random: () => number,
  falsely = false,
): Survey {
  const truthful = answer(situation, setup, probe, random);
  const value = falsely ? falsified(truthful, random) : truthful;
  const reading: Reading = { id: `r${survey.readings.length}`, setup, probe, value, times: 1 };
  return { ...survey, readings: [...survey.readings, reading] };
}

/** What was left open when it was laid out, read at the new outlet until each is told or nothing more is asked. */
export function withOwed(situation: Situation, survey: Survey, random: () => number): Survey {
  const next = owedOf(survey).find(({ found, reading }) => found === 'open' && reading === null);
  return next ? withOwed(situation, taken(situation, survey, next, random), random) : survey;
}
