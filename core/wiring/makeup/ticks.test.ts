import { expect, test } from '@jest/globals';
import { applyCommand, note, type DesignCommand, type RecordCommand } from '../../job/commands/command';
import { demoJob } from '../../handover/jobs/demo-house';
import type { Design } from '../../job/model/design';
import { EMPTY_RECORD, type JobRecord } from '../../job/model/record';
import { planJob } from '../plan';
import { makeUpSteps } from './steps';
import { stepText, tickOf, tickSteps } from './ticks';

const run = (job: Design, command: DesignCommand): Design => {
  const done = applyCommand(job, command);
  if (!done.ok) throw new Error(done.problems[0]!.message);
  return done.value.job;
};
const noted = (record: JobRecord, command: RecordCommand): JobRecord => {
  const done = note(record, command);
  if (!done.ok) throw new Error(done.problems[0]!.message);
  return done.value.record;
};
const stepsOf = (job: Design) => {
  const outcome = planJob(job);
  if (!outcome.ok) throw new Error('refused');
  return makeUpSteps(outcome.plan, 'plant-shelf');
};
const ticked = (job: Design, { ticks }: JobRecord) => tickSteps(stepsOf(job), ticks, 'plant-shelf');
const AT = new Date('2026-11-25T10:00:00.000Z');
const allTicked = (job: Design) =>
  stepsOf(job).reduce(
    (record, step) => noted(record, { do: 'tick', tick: tickOf('plant-shelf', step, AT) }),
    EMPTY_RECORD,
  );
const SPLICED = run(demoJob('sunroom-plant-shelf')!, { do: 'move feed', run: 'feed', box: 'plant-shelf' });

test('a change of the plan shows which ticks no longer hold', () => {
  const record = allTicked(SPLICED);
  expect(new Set(ticked(SPLICED, record).steps.map(({ state }) => state))).toEqual(new Set(['done']));

  // The feed moves to the switch: the splices are gone, the jackets and landings are other ones.
  const moved = ticked(run(SPLICED, { do: 'move feed', run: 'feed', box: 'garden-door' }), record);
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

test('words do not matter: another name of a box, another number of the circuit, a reworded step', () => {
  const record = allTicked(SPLICED);
  for (const command of [
    { do: 'set box', box: 'garden-door', change: { name: 'Back door' } },
    { do: 'set circuit', circuit: 'c14', change: { number: '15' } },
    { do: 'set edition', edition: '2023' },
  ] as const) {
    const renamed = run(SPLICED, command);
    expect(new Set(ticked(renamed, record).steps.map(({ state }) => state))).toEqual(new Set(['done']));
  }
  const reworded = stepsOf(SPLICED).map((step) => ({ ...step, title: `${step.title}, please` }));
  expect(new Set(tickSteps(reworded, record.ticks, 'plant-shelf').steps.map(({ state }) => state))).toEqual(
    new Set(['done']),
  );
});

test('another connector, another end, another gauge make the step another, and only that one', () => {
  const record = allTicked(SPLICED);
  const twisted = run(SPLICED, { do: 'set habits', habits: { connectors: 'twist-on' } });
  const states = ticked(twisted, record).steps;
  const stale = states.filter(({ state }) => state === 'stale').map(({ step }) => step.stage);
  expect(new Set(stale)).toEqual(new Set(['ground', 'neutral', 'hot']));
  expect(states.filter(({ state }) => state === 'done').length).toBeGreaterThan(3);
});

test('a tick of an older file holds by its words', () => {
  const [step] = stepsOf(SPLICED);
  const old = { ...tickOf('plant-shelf', step!, AT), did: null };
  const state = (says: string) =>
    tickSteps(stepsOf(SPLICED), [{ ...old, says }], 'plant-shelf').steps[0]!.state;
  expect(state(stepText(step!))).toBe('done');
  expect(state('something else')).toBe('stale');
});

test('a tick is taken off again', () => {
  const job = demoJob('sunroom-plant-shelf')!;
  const [step] = stepsOf(job);
  const on = noted(EMPTY_RECORD, { do: 'tick', tick: tickOf('plant-shelf', step!, AT) });
  expect(ticked(job, on).steps[0]!.state).toBe('done');
  const off = noted(on, { do: 'untick', box: 'plant-shelf', step: step!.id });
  expect(ticked(job, off).steps[0]!.state).toBe('open');
});
