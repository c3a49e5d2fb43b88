import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { dice } from '../../base/dice';
import { demoJobs } from '../../handover/jobs/demo-house';
import type { Design } from '../../job/model/design';
import type { Tick } from '../../job/model/record';
import { draws } from '../../testing/draws';
import { exposed, type Worked } from '../../testing/exposed';
import { anyJob } from '../../testing/random-jobs';
import { stopsOf } from '../../site/stops/stops';
import { makeUpSteps } from '../../wiring/makeup/steps';
import { tickOf } from '../../wiring/makeup/ticks';
import { planJob, type Plan } from '../../wiring/plan';
import { EXAMPLE_SHOP } from '../takeoff/shop';
import { standingOf } from './done';
import { tasksOf } from './tasks';
import { waysOut } from './way-out';

/*
 * Leaving in the middle of the work: whatever way out is said, a judge that shares no code with network, solver and proof finds
 * nothing live at its end that can be touched.
 */
const RUNS = draws(60, 3000);
const { minutes } = EXAMPLE_SHOP;
const at = new Date('2026-05-04T10:00:00Z');

const planned = (job: Design): Plan | null => {
  const outcome = planJob(job);
  return outcome.ok ? outcome.plan : null;
};

/** The boxes as far as they are ticked, for the judge; those that nobody has begun and that were there stand as they were. */
function workOf(plan: Plan, ticks: readonly Tick[]): { worked: Map<string, Worked>; unknown: Set<string> } {
  const unknown = new Set<string>();
  const worked = new Map(
    plan.job.boxes.map(({ id, existing }): [string, Worked] => {
      const steps = makeUpSteps(plan, id);
      const did = new Set(ticks.filter(({ box }) => box === id).map(({ step }) => step));
      const done = steps.filter((step) => did.has(step.id));
      if (existing && done.length === 0) unknown.add(id);
      const of = (lands: boolean) =>
        new Set(done.flatMap(({ stage, touches }) => ((stage === 'land') === lands ? touches : [])));
      return [id, { closed: done.length === steps.length, landed: of(true), made: of(false) }];
    }),
  );
  return { worked, unknown };
}

const withSteps = (plan: Plan, box: string, ids: readonly string[]): Tick[] =>
  makeUpSteps(plan, box)
    .filter(({ id }) => ids.includes(id))
    .map((step) => tickOf(box, step, at));

test(`${RUNS} random parts of random work: going on as said, the breaker may be on; nothing live can be touched then, and no task of it is idle`, () => {
  const seen = { finish: 0, cap: 0, now: 0, off: 0 };
  for (const [index, job] of fc.sample(anyJob, { numRuns: RUNS * 3, seed: 29 }).entries()) {
    const plan = planned(job);
    if (!plan || seen.finish + seen.cap + seen.now + seen.off >= RUNS * 2) continue;
    const random = dice(index);
    const tasks = tasksOf(plan, { minutes, walls: 'finished' });
    // A part of the work as it is done: whole tasks in their order, the last of them half.
    const count = Math.floor(random() * tasks.length);
    const before = tasks.slice(0, count);
    const none = standingOf(plan, tasks, { ticks: [], tasks: [] });
    const ticks = before.flatMap(({ id, place }, position) => {
      const steps = (none.get(id)?.steps ?? []).map(({ step }) => step.id);
      return withSteps(
        plan,
        place,
        position === count - 1 ? steps.slice(0, Math.ceil(steps.length / 2)) : steps,
      );
    });
    const checked = before
      .slice(0, -1)
      .map(({ id }) => ({ task: id, says: '', at: at.toISOString(), by: '' }));
    const standing = standingOf(plan, tasks, { ticks, tasks: checked });
    const number = (id: string) => job.circuits.find((one) => one.id === id)?.number ?? '';
    for (const way of waysOut(stopsOf(plan, ticks), tasks, standing, number, minutes)) {
      seen[way.nearest]++;
      if (!way.finishing) continue;
      const more = way.finishing.tasks.flatMap(({ id, place }) =>
        withSteps(
          plan,
          place,
          (none.get(id)?.steps ?? []).map(({ step }) => step.id),
        ),
      );
      const { worked, unknown } = workOf(plan, [...ticks, ...more]);
      const live = exposed(plan.job, plan.wiring, worked, new Set([way.circuit]));
      const touchable = [...live.boxes, ...[...live.ends].map((end) => end.split(' ')[0] ?? '')];
      expect({ index, live: touchable.filter((box) => !unknown.has(box)) }).toEqual({ index, live: [] });
      // Each of its tasks comes before the breaker, and none is done already.
      for (const task of way.finishing.tasks) expect(standing.get(task.id)?.done).toBe(false);
      expect(way.finishing.tasks.at(-1)).toMatchObject({ does: 'on' });
    }
  }
  expect(seen.finish).toBeGreaterThan(RUNS / 10);
  expect(seen.now + seen.cap).toBeGreaterThan(0);
});

test('of the demo jobs: before anything is done nothing has to be finished, in the middle each circuit has a way out or stays off', () => {
  for (const design of demoJobs) {
    const plan = planned(design);
    if (!plan) continue;
    const tasks = tasksOf(plan, { minutes });
    const all = design.boxes.flatMap(({ id }) =>
      withSteps(
        plan,
        id,
        makeUpSteps(plan, id).map((one) => one.id),
      ),
    );
    const number = (id: string) => design.circuits.find((one) => one.id === id)?.number ?? '';
    const done = standingOf(plan, tasks, { ticks: all, tasks: [] });
    expect(waysOut(stopsOf(plan, all), tasks, done, number, minutes).map(({ nearest }) => nearest)).toEqual(
      design.circuits.map(() => 'now'),
    );
  }
});
