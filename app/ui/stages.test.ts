import { describe, expect, test } from '@jest/globals';
import { applyCommands, type DesignCommand } from '@core/job/commands/command';
import { demoJob, demoJobs, demoRecord } from '@core/handover/jobs/demo-house';
import { EMPTY_RECORD } from '@core/job/model/record';
import { planJob } from '@core/wiring/plan';
import { prove } from '@core/power/proof/prove';
import { checkRules } from '@core/code/rules/check';
import { Site } from '@core/code/rules/site';
import { answered } from '../testing/answered';
import { stageAt, stageStates, STAGES } from './stages';

const states = async (id: string, ...commands: DesignCommand[]) => {
  const done = applyCommands(demoJob(id)!, commands);
  if (!done.ok) throw new Error(done.problems[0]!.message);
  return stageStates(await answered(done.value.job, demoRecord(id)));
};

test('the stage on screen is told by its place in the address, whatever the job is called', () => {
  for (const { path } of STAGES) {
    expect(stageAt(`/job/${path}`)).toBeUndefined();
    expect(stageAt(`/house/${path}`)).toBeUndefined();
    for (const job of ['stair', ...STAGES.map((one) => one.path)])
      expect(stageAt(`/job/${job}/${path}`)?.path).toBe(path);
  }
});

describe('the mark in a stage’s tab', () => {
  test('of every demo job it says what its plan, its verification and its rules say', async () => {
    for (const job of demoJobs) {
      const own = stageStates(await answered(job, demoRecord(job.id)));
      expect(Object.keys(own).sort()).toEqual(STAGES.map(({ path }) => path).sort());
      const outcome = planJob(job);
      if (!outcome.ok) {
        expect([own['lay-out'], own['make-up'], own.energize]).toEqual(['conflict', 'open', 'open']);
        continue;
      }
      const { wiring } = outcome.plan;
      const sound = prove(job, wiring).findings.length === 0;
      expect(own.energize).toBe(sound ? 'settled' : 'conflict');
      const site = new Site(job, wiring).withRecord(demoRecord(job.id));
      const broken = checkRules(site).some(({ severity }) => severity === 'stop' || severity === 'code');
      expect(own.check).toBe(broken ? 'conflict' : 'settled');
    }
  });
  test('a job that is wired, fits, proves and keeps the rules is settled from Lay out on', async () => {
    const own = await states('landing-three-switches');
    expect([own['lay-out'], own.check, own['make-up'], own.energize]).toEqual(Array(4).fill('settled'));
  });
  test('a refused job is in conflict in Lay out, and what follows from it is open', async () => {
    const own = await states('attic-hatch-switch');
    expect(own['lay-out']).toBe('conflict');
    expect([own.options, own.check, own['make-up'], own.energize]).toEqual(Array(4).fill('open'));
  });
  test('Check is in conflict while a rule stands against the job, and settled once its fix is done', async () => {
    const breaker = (protection: 'none' | 'afci') =>
      ({ do: 'set circuit', circuit: 'c9', change: { protection } }) as const;
    expect((await states('hall-console', breaker('none'))).check).toBe('conflict');
    expect((await states('hall-console', breaker('none'), breaker('afci'))).check).toBe('settled');
  });
  test('a question alone is no conflict', async () => {
    const unsaid = { do: 'set box', box: 'stair-foot', change: { room: null, spot: null } } as const;
    const done = applyCommands(demoJob('stair')!, [unsaid]);
    const rules = done.ok ? (await answered(done.value.job, EMPTY_RECORD)).judged.rules : [];
    expect(rules.some(({ severity }) => severity === 'ask')).toBe(true);
    expect((await states('stair', unsaid)).check).toBe('settled');
  });
  test('a box too small is a conflict of Make up', async () => {
    const small = { do: 'set box', box: 'plant-shelf', change: { volumeIn3: 8 } } as const;
    expect((await states('sunroom-plant-shelf', small))['make-up']).toBe('conflict');
  });
  test('too much on a circuit is a conflict of Lay out', async () => {
    const heavy = { do: 'set circuit', circuit: 'c14', change: { existingLoadVA: 2400 } } as const;
    expect((await states('sunroom-plant-shelf', heavy))['lay-out']).toBe('conflict');
  });
  test('what is not judged yet is neither right nor wrong', async () => {
    const own = await answered(demoJob('landing-three-switches')!, EMPTY_RECORD);
    const early = stageStates({ ...own, judged: null, judging: true });
    expect([early.brief, early.check, early.energize]).toEqual(['open', 'open', 'open']);
  });
  test('an opened box is open until it is laid out or left', async () => {
    expect((await states('hall-console')).find).toBe('open');
    expect((await states('stair')).find).toBe('settled');
  });
});
