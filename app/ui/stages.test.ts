import { describe, expect, test } from '@jest/globals';
import { applyCommands, type Command } from '@core/commands/command';
import { demoJob, demoJobs } from '@core/jobs/demo-house';
import type { Job } from '@core/model/job';
import { derive } from '../derived';
import { stageStates, STAGES } from './stages';

const states = (id: string, ...commands: Command[]) => {
  const done = applyCommands(demoJob(id)!, commands);
  if (!done.ok) throw new Error(done.problems[0]!.message);
  return stageStates(derive(done.value.job));
};

describe('the mark in a stage’s tab', () => {
  test('every stage of every demo job has one', () => {
    for (const job of demoJobs) {
      const own = stageStates(derive(job));
      for (const { path } of STAGES) expect(['open', 'settled', 'conflict']).toContain(own[path]);
    }
  });
  test('a job that is wired, fits, proves and keeps the rules is settled from Lay out on', () => {
    const own = states('landing-three-switches');
    expect([own['lay-out'], own.load, own['make-up'], own.energize]).toEqual(Array(4).fill('settled'));
  });
  test('a refused job is in conflict in Lay out, and what follows from it is open', () => {
    const own = states('attic-hatch-switch');
    expect(own['lay-out']).toBe('conflict');
    expect([own.options, own.load, own['make-up'], own.energize]).toEqual(Array(4).fill('open'));
  });
  test('Load is in conflict while a rule stands against the job, and settled once its fix is done', () => {
    const breaker = (protection: 'none' | 'afci') =>
      ({ do: 'set circuit', circuit: 'c9', change: { protection } }) as const;
    expect(states('hall-console', breaker('none')).load).toBe('conflict');
    expect(states('hall-console', breaker('none'), breaker('afci')).load).toBe('settled');
  });
  test('a question alone is no conflict', () => {
    const unsaid = { do: 'set box', box: 'stair-foot', change: { room: null } } as const;
    const done = applyCommands(demoJob('stair')!, [unsaid]);
    const rules = done.ok ? derive(done.value.job).rules() : [];
    expect(rules.some(({ severity }) => severity === 'ask')).toBe(true);
    expect(states('stair', unsaid).load).toBe('settled');
  });
  test('a box too small is a conflict of Make up', () => {
    const small = { do: 'set box', box: 'plant-shelf', change: { volumeIn3: 8 } } as const;
    expect(states('sunroom-plant-shelf', small)['make-up']).toBe('conflict');
  });
  test('too much on a circuit is a conflict of Lay out', () => {
    const heavy = { do: 'set circuit', circuit: 'c14', change: { existingLoadVA: 2400 } } as const;
    expect(states('sunroom-plant-shelf', heavy)['lay-out']).toBe('conflict');
  });
  test('an opened box is open until it is laid out or left', () => {
    expect(states('hall-console').find).toBe('open');
    expect(states('stair').find).toBe('settled');
  });
});

describe('what is derived', () => {
  test('the same content is computed once, another is not mistaken for it', () => {
    const job = demoJob('stair')!;
    expect(derive(structuredClone(job) as Job)).toBe(derive(job));
    const other = { ...job, name: 'Stair, again' };
    expect(derive(other)).not.toBe(derive(job));
    expect(derive(other).job.name).toBe('Stair, again');
  });
  test('a refused job has no proof, no network and no rules, but repairs', () => {
    const own = derive(demoJob('attic-hatch-switch')!);
    expect([own.proof(), own.network(), own.site()]).toEqual([null, null, null]);
    expect(own.rules()).toEqual([]);
    expect(own.repairs().length).toBeGreaterThan(0);
    expect(own.fill('hatch')).toBeNull();
  });
  test('a wired one has them, each the same on a second asking', () => {
    const own = derive(demoJob('sunroom-plant-shelf')!);
    expect(own.repairs()).toEqual([]);
    expect(own.proof()!.findings).toEqual([]);
    expect(own.proof()).toBe(own.proof());
    expect(own.network()).toBe(own.network());
    expect(own.rules()).toBe(own.rules());
    expect(own.fill('plant-shelf')!.fits).toBe(true);
    expect(own.fill('nowhere')).toBeNull();
  });
});
