import { dice, oneOf } from '../../base/dice';
import { boxesOf } from '../../job/model/in-box';
import type { Probe, Setup, Survey, Value } from '../../job/model/survey';
import type { Plan } from '../../wiring/plan';
import { study } from '../../site/survey/study';
import { takeReading } from '../../job/seen/take-reading';
import type { Level } from './code';
import { answer } from './answer';
import { situationOf, type Situation } from './situation';

/** An opened box with a far side that only the simulator knows. */
export interface WallDrill {
  readonly situation: Situation;
  readonly survey: Survey;
}

/** What is there, as the player says it. */
export interface WallAnswer {
  readonly hot: boolean;
  readonly neutral: boolean;
  readonly ground: boolean;
}

/**
 * A drill by its seed: one box of the job as it is found. At level 1 the ground is sound and whites used as hots are
 * taped; at 2 they are not taped; at 3 the ground may be cut upstream or not be there at all.
 */
export function wallDrill(plan: Plan, level: Level, seed: number): WallDrill | null {
  const random = dice(seed);
  const roll = random();
  const grounding = level < 3 ? 'sound' : roll < 0.4 ? 'cut' : roll < 0.6 ? 'absent' : 'sound';
  const name = (box: string) => plan.job.boxes.find(({ id }) => id === box)?.name ?? box;
  const found = boxesOf(plan.wiring).flatMap(
    (box) => situationOf(plan, box, { grounding, tape: level === 1, name: name(box) }) ?? [],
  );
  const situation = oneOf(found, random);
  return situation ? { situation, survey: situation.survey } : null;
}

/** What the instrument shows at the `count`th reading; the same however often it is asked. */
export const wallShows = (drill: WallDrill, seed: number, count: number, setup: Setup, probe: Probe): Value =>
  answer(drill.situation, setup, probe, dice(seed * 1000 + count));

export const wallTruth = ({ situation: { truth } }: WallDrill): WallAnswer => ({
  hot: truth.hot,
  neutral: truth.neutral,
  ground: truth.ground,
});

/** Tests beyond which the best tester gives up. */
const MOST_TESTS = 40;

/** How many tests the finder takes to its verdict, when the simulator answers it. */
export function bestAtWall(drill: WallDrill, seed: number): number {
  const survey: Survey = { ...drill.survey, readings: [] };
  for (let count = 0; count < MOST_TESTS; count++) {
    const { suggestion } = study(survey);
    if (!suggestion) return count;
    const { setup, probe } = suggestion.test;
    survey.readings = survey.readings.map((one) => ({ ...one }));
    takeReading(survey.readings, { setup, probe, value: wallShows(drill, seed, count, setup, probe) });
  }
  return MOST_TESTS;
}
