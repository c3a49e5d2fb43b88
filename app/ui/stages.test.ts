import { describe, expect, test } from '@jest/globals';
import { applyCommands, note, type DesignCommand } from '@core/commands/command';
import { demoJob, demoJobs, demoRecord } from '@core/jobs/demo-house';
import { EMPTY_RECORD, type JobRecord } from '@core/model/record';
import { computed, derive } from '../derived';
import { stageStates, STAGES } from './stages';

const states = (id: string, ...commands: DesignCommand[]) => {
  const done = applyCommands(demoJob(id)!, commands);
  if (!done.ok) throw new Error(done.problems[0]!.message);
  return stageStates(derive(done.value.job, demoRecord(id)));
};

describe('the mark in a stage’s tab', () => {
  test('every stage of every demo job has one', () => {
    for (const job of demoJobs) {
      const own = stageStates(derive(job, demoRecord(job.id)));
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
    const rules = done.ok ? derive(done.value.job, EMPTY_RECORD).rules() : [];
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
  test('one design is planned, proven and judged once, whatever is noted beside it', () => {
    const job = { ...demoJob('hall-console')! };
    const record = demoRecord(job.id);
    const before = { ...computed };
    const counts = () => ({
      plans: computed.plans - before.plans,
      proofs: computed.proofs - before.proofs,
      rules: computed.rules - before.rules,
    });
    const look = (noted: JobRecord) => {
      const own = derive(job, noted);
      stageStates(own);
      return own;
    };
    look(record);
    expect(counts()).toEqual({ plans: 1, proofs: 1, rules: 1 });
    const tick = {
      box: 'hall-switch',
      step: 'mark',
      did: null,
      says: 'Mark',
      at: '2026-11-25T10:00:00.000Z',
    };
    for (const command of [
      { do: 'tick', tick },
      { do: 'set brief', change: { wish: 'typed' } },
      { do: 'note seen', survey: 'hall', change: { what: 'outside', method: 'aluminum', seen: true } },
    ] as const) {
      const done = note(record, command);
      if (!done.ok) throw new Error(done.problems[0]!.message);
      const own = look(done.value.record);
      // What was found is judged all the same.
      expect(own.rules().some(({ rule }) => rule === 'X01')).toBe(command.do === 'note seen');
    }
    expect(counts()).toEqual({ plans: 1, proofs: 1, rules: 1 });
    derive({ ...job, name: 'Another' }, record).rules();
    expect(counts().plans).toBe(2);
  });
  test('a refused job has no proof, no network and no rules, but repairs', () => {
    const own = derive(demoJob('attic-hatch-switch')!, EMPTY_RECORD);
    expect([own.proof(), own.network(), own.site()]).toEqual([null, null, null]);
    expect(own.rules()).toEqual([]);
    expect(own.repairs().length).toBeGreaterThan(0);
    expect(own.fill('hatch')).toBeNull();
  });
  test('a wired one has them, each the same on a second asking', () => {
    const own = derive(demoJob('sunroom-plant-shelf')!, EMPTY_RECORD);
    expect(own.repairs()).toEqual([]);
    expect(own.proof()!.findings).toEqual([]);
    expect(own.proof()).toBe(own.proof());
    expect(own.network()).toBe(own.network());
    expect(own.rules()).toBe(own.rules());
    expect(own.fill('plant-shelf')!.fits).toBe(true);
    expect(own.fill('nowhere')).toBeNull();
  });
});
