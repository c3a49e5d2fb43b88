import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { demoJobs, demoRecord } from '../jobs/demo-house';
import { makeUpSteps } from '../../wiring/makeup/steps';
import { tickOf } from '../../wiring/makeup/ticks';
import { EMPTY_RECORD } from '../../job/model/record';
import { planJob } from '../../wiring/plan';
import { anyJob } from '../../testing/random-jobs';
import { glance } from './glance';
import { sketchOf } from './sketch';

describe('a job at a glance', () => {
  test('any job: every box and run is in its sketch, every symbol inside its box', () => {
    fc.assert(
      fc.property(anyJob, (job) => {
        const outcome = planJob(job);
        const { nodes, runs } = sketchOf(job, outcome);
        expect(nodes.filter(({ source }) => source === null)).toHaveLength(job.boxes.length);
        expect(runs).toHaveLength(job.runs.length);
        for (const { x, y, width, height, symbols } of nodes)
          for (const { at, scale } of symbols) {
            expect(at.x - 14 * scale).toBeGreaterThanOrEqual(x);
            expect(at.x + 14 * scale).toBeLessThanOrEqual(x + width);
            expect(at.y - 12 * scale).toBeGreaterThanOrEqual(y);
            expect(at.y + 12 * scale).toBeLessThanOrEqual(y + height);
          }
        const drawn = runs.reduce((sum, { insulations }) => sum + insulations.length, 0);
        const planned = outcome.ok
          ? outcome.plan.wiring.cables.reduce((sum, { conductors }) => sum + conductors.length, 0)
          : 0;
        expect(drawn).toBe(planned);
      }),
      { numRuns: 60 },
    );
  });

  test('what is next follows what was done', () => {
    const design = demoJobs.find(({ id }) => id === 'landing-three-switches')!;
    const outcome = planJob(design);
    if (!outcome.ok) throw new Error('the landing is wired');
    const all = design.boxes.flatMap(({ id }) =>
      makeUpSteps(outcome.plan, id).map((step) => tickOf(id, step, new Date(0))),
    );
    const at = (record: Partial<typeof EMPTY_RECORD>) =>
      glance({ design, record: { ...EMPTY_RECORD, ...record } }).next.stage;
    expect(at({})).toBe('make-up');
    expect(glance({ design, record: { ...EMPTY_RECORD, ticks: all.slice(0, 2) } }).next.says).toContain(
      '2 of',
    );
    expect(at({ ticks: all })).toBe('test');
    const hall = demoJobs.find(({ id }) => id === 'hall-console')!;
    expect(glance({ design: hall, record: demoRecord(hall.id) }).next.stage).toBe('find');
  });

  test('a job that cannot be wired says so first, and what stands against it', () => {
    const attic = demoJobs.find(({ id }) => id === 'attic-hatch-switch')!;
    const { next, against } = glance({ design: attic, record: EMPTY_RECORD });
    expect(planJob(attic).ok).toBe(next.stage !== 'lay-out');
    if (next.stage === 'lay-out') expect(against?.count).toBeGreaterThan(0);
  });
});
