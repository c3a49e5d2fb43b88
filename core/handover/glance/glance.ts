import { makeUpSteps } from '../../wiring/makeup/steps';
import { tickSteps } from '../../wiring/makeup/ticks';
import type { Job } from '../../job/model/job';
import { planJob } from '../../wiring/plan';
import { standsAgainst } from '../../code/rules/against';
import { sketchOf, type Sketch } from './sketch';
import { say } from '../../base/words/glance';

/** What a job is at, at a glance: drawn small, what is next, what stands against it. Plain data. */
export interface Glance {
  readonly sketch: Sketch;
  readonly next: {
    readonly stage: 'lay-out' | 'find' | 'make-up' | 'test' | 'record';
    readonly says: string;
  };
  /** The first of what stands against it, and how many there are in all; null where nothing was found. */
  readonly against: { readonly says: string; readonly count: number } | null;
  /** Who did what last; null where nothing is in the log. `at`: ISO 8601, UTC. */
  readonly last: { readonly by: string; readonly says: string; readonly at: string } | null;
}

/** Plans a job, judges it and says what it is at. Only what was judged is called clear. */
export function glance({ design, record }: Job): Glance {
  const outcome = planJob(design);
  const sketch = sketchOf(design, outcome);
  const last = record.log.at(-1) ?? null;
  if (!outcome.ok)
    return {
      sketch,
      last: last && { by: last.by, says: last.says, at: last.at },
      next: { stage: 'lay-out', says: say('glance.fixLayOut') },
      against: counted(outcome.refusals.map(({ message }) => message)),
    };
  const { findings, rules } = standsAgainst({ design, record }, outcome.plan.wiring);
  const against = counted([...findings, ...rules].map(({ message }) => message));
  const steps = design.boxes.flatMap(
    ({ id }) => tickSteps(makeUpSteps(outcome.plan, id), record.ticks, id).steps,
  );
  const done = steps.filter(({ state }) => state === 'done').length;
  const looking = record.surveys.length > 0 && done === 0;
  return {
    sketch,
    against,
    last: last && { by: last.by, says: last.says, at: last.at },
    next: looking
      ? { stage: 'find', says: say('glance.find', { name: record.surveys.at(-1)?.name ?? '' }) }
      : done < steps.length
        ? { stage: 'make-up', says: say('glance.makeUp', { done, steps: steps.length }) }
        : record.tests.length === 0
          ? { stage: 'test', says: say('glance.test') }
          : { stage: 'record', says: say('glance.record', { tests: record.tests.length }) },
  };
}

const counted = (all: readonly string[]): Glance['against'] => {
  const [first] = all;
  return first === undefined ? null : { says: first, count: all.length };
};
