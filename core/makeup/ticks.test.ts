import { expect, test } from '@jest/globals';
import { applyCommand, type Command } from '../commands/command';
import { demoJob } from '../jobs/demo-house';
import type { Job } from '../model/job';
import { planJob } from '../plan';
import { makeUpSteps } from './steps';
import { stepText, tickSteps } from './ticks';

const run = (job: Job, command: Command): Job => {
  const done = applyCommand(job, command);
  if (!done.ok) throw new Error(done.problems[0]!.message);
  return done.value.job;
};
const stepsOf = (job: Job) => {
  const outcome = planJob(job);
  if (!outcome.ok) throw new Error('refused');
  return makeUpSteps(outcome.plan, 'plant-shelf');
};
const ticked = (job: Job) => tickSteps(stepsOf(job), job.ticks, 'plant-shelf');

test('a change of the plan shows which ticks no longer hold', () => {
  const start = run(demoJob('sunroom-plant-shelf')!, { do: 'move feed', run: 'feed', box: 'plant-shelf' });
  const all = stepsOf(start).reduce(
    (job, step) =>
      run(job, {
        do: 'tick',
        tick: { box: 'plant-shelf', step: step.id, says: stepText(step), at: '2026-11-25T10:00:00.000Z' },
      }),
    start,
  );
  expect(new Set(ticked(all).steps.map(({ state }) => state))).toEqual(new Set(['done']));

  // The feed moves to the switch: the splices are gone, the jackets and landings read otherwise.
  const moved = ticked(run(all, { do: 'move feed', run: 'feed', box: 'garden-door' }));
  expect(moved.orphans.map(({ step }) => step)).toEqual([
    'splice plant-shelf~ground',
    'splice plant-shelf~neutral/c14',
    'splice plant-shelf~hot/c14',
  ]);
  const state = (id: string) => moved.steps.find(({ step }) => step.id === id)?.state;
  expect(state('mark')).toBe('stale');
  expect(state('land shelf-outlet:ground')).toBe('stale');
  expect(state('tab shelf-outlet hot-tab')).toBe('done');
});

test('a tick is taken off again', () => {
  const [step] = stepsOf(demoJob('sunroom-plant-shelf')!);
  const tick = { box: 'plant-shelf', step: step!.id, says: stepText(step!), at: '2026-11-25T10:00:00.000Z' };
  const on = run(demoJob('sunroom-plant-shelf')!, { do: 'tick', tick });
  expect(ticked(on).steps[0]!.state).toBe('done');
  expect(ticked(run(on, { do: 'untick', box: 'plant-shelf', step: step!.id })).steps[0]!.state).toBe('open');
});
