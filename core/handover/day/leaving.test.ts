import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { jobTasks } from '../../choices/day/done';
import { EXAMPLE_SHOP } from '../../choices/takeoff/shop';
import { draws } from '../../testing/draws';
import { anyJob } from '../../testing/random-jobs';
import { makeUpSteps } from '../../wiring/makeup/steps';
import { tickOf } from '../../wiring/makeup/ticks';
import { planJob } from '../../wiring/plan';
import { leaving } from './leaving';

const RUNS = draws(150, 1500);
const { minutes } = EXAMPLE_SHOP;

test('of every breaker that may not be on: lines say why or what first, each box to cap is drawn with what is capped, and going on ends with it on', () => {
  const seen = { capped: 0, finishing: 0 };
  for (const [index, job] of fc.sample(anyJob, { numRuns: RUNS, seed: 31 }).entries()) {
    const outcome = planJob(job);
    if (!outcome.ok) continue;
    const { plan } = outcome;
    // Of each box a part of its steps, another of each.
    const ticks = plan.job.boxes.flatMap(({ id }, box) => {
      const steps = makeUpSteps(plan, id);
      return steps
        .slice(0, Math.ceil((steps.length * ((index + box) % 5)) / 4))
        .map((step) => tickOf(id, step, new Date('2026-05-04T10:00:00Z')));
    });
    const own = jobTasks(plan, { ticks, tasks: [] }, { minutes, walls: 'finished' });
    const { circuits } = leaving(own, { ticks }, minutes);
    expect(circuits).toHaveLength(plan.job.circuits.length);
    for (const { on, after, lines, boxes, finishing, number } of circuits) {
      expect(lines.length > 0).toBe(!on);
      expect(boxes.length > 0).toBe(after);
      for (const { drawing, caps } of boxes) {
        const drawn = new Set(drawing.wires.map(({ id }) => id));
        expect([...caps].filter((id) => !drawn.has(id))).toEqual([]);
        seen.capped += caps.length;
      }
      if (!finishing) continue;
      seen.finishing++;
      expect(finishing.tasks.at(-1)).toMatch(new RegExp(`(${number}.* on|Plug in)$`));
    }
  }
  expect(Math.min(seen.capped, seen.finishing)).toBeGreaterThan(20);
});
