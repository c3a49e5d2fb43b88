import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { checkRules } from '../code/rules/check';
import { Site } from '../code/rules/site';
import { takeOff } from '../choices/takeoff/list';
import type { Design } from '../job/model/design';
import { prove } from '../power/proof/prove';
import { soundHouse } from '../power/faults';
import { roughInBox, roughInRun } from '../site/roughin/rough-in';
import { scriptOf, studyFaults } from '../site/script/script';
import { TestWords } from '../site/script/words';
import { benchJobs } from '../testing/bench-jobs';
import { directoryOf } from '../handover/directory/directory';
import { draws } from '../testing/draws';
import { judge } from '../testing/judge';
import { anyJob } from '../testing/random-jobs';
import { makeUpSteps } from './makeup/steps';
import { planJob, type Plan } from './plan';

/*
 * A box on a flexible cord (400.12, 400.14, 314.23(H), from memory): the wiring of a cable, its ground green, and a plug
 * where the panel would be.
 */
const RUNS = draws(60, 1_000);

const onCords = (job: Design): Design => ({
  ...job,
  runs: job.runs.map((run) => ({ ...run, cord: true, existing: null })),
});
const onCables = (job: Design): Design => ({
  ...job,
  runs: job.runs.map((run) => ({ ...run, existing: null })),
});
const planned = (job: Design): Plan => {
  const outcome = planJob(job);
  if (!outcome.ok) throw new Error(outcome.refusals[0]?.message);
  return outcome.plan;
};

test(`of ${RUNS} random jobs, led by cords: wired as by cables, with a green ground; sound to the judge and the proof`, () => {
  let planned = 0;
  fc.assert(
    fc.property(anyJob, (job) => {
      const [cords, cables] = [planJob(onCords(job)), planJob(onCables(job))];
      expect(cords.ok).toBe(cables.ok);
      if (!cords.ok || !cables.ok) return;
      planned++;
      const { wiring } = cords.plan;
      expect(judge(onCords(job), wiring)).toEqual([]);
      expect(prove(onCords(job), wiring).findings).toEqual([]);
      const colors = ({ wiring: { cables: all } }: Plan, ground: string) =>
        all.map(({ conductors }) =>
          conductors.map(({ insulation, net }) => [insulation === ground ? 'ground' : insulation, net]),
        );
      expect(colors(cords.plan, 'green')).toEqual(colors(cables.plan, 'bare'));
      expect(
        wiring.cables.some(({ conductors }) => conductors.some(({ insulation }) => insulation === 'bare')),
      ).toBe(false);
    }),
    { numRuns: RUNS, seed: 29 },
  );
  expect(planned).toBeGreaterThan(RUNS / 4);
});

describe.each(benchJobs().map((job) => [job.name, job] as const))('%s', (_, job) => {
  const plan = planned(job);
  const cords = plan.wiring.cables.length;

  test('the code has nothing against it, and each end of each cord has its strain relief among the steps', () => {
    const findings = checkRules(new Site(job, plan.wiring));
    expect(findings.filter(({ rule }) => rule === 'W26')).toEqual([]);
    const steps = job.boxes.flatMap(({ id }) => makeUpSteps(plan, id));
    const of = (kind: string) => steps.filter(({ id }) => id.startsWith(`${kind} `)).length;
    expect([of('cord'), of('plug')]).toEqual([2 * cords - 1, 1]);
  });

  test('a plug, cord by the foot and a connector at each box are bought; no staple, no plate, no cable', () => {
    const lines = takeOff(plan);
    const need = (key: string) => lines.find((line) => line.key === key)?.need ?? 0;
    expect([need('plug 15'), need('cord connector')]).toEqual([1, 2 * cords - 1]);
    expect(need('cord 14-2')).toBeGreaterThan(6);
    expect(lines.filter(({ key }) => key.startsWith('cable ') || key === 'staple')).toEqual([]);
    const points = [
      ...job.boxes.flatMap((box) => roughInBox(plan, box)),
      ...job.runs.flatMap((run) => roughInRun(plan, run)),
    ];
    expect(points.filter(({ why }) => why.includes('334.30'))).toEqual([]);
    expect(points.filter(({ why }) => why.includes('400.12'))).toHaveLength(cords);
  });

  test('it stands on no label of the directory: it is moved about', () => {
    const labels = directoryOf([job]).map(({ label }) => label);
    for (const { name } of job.boxes) expect(labels.filter((label) => label.includes(name))).toEqual([]);
  });

  test('its tests ask for the plug, not for a panel: the ground pin is at hand', () => {
    const words = new TestWords(plan);
    const { steps } = scriptOf(plan, studyFaults(plan));
    expect(steps.length).toBeGreaterThan(3);
    for (const { test: own } of steps) {
      expect(own.reach).not.toBe('panel');
      const read = `${words.state(own)} ${words.what(own)}`;
      expect(read).not.toMatch(/panel|breaker/i);
    }
    expect(soundHouse(plan).wiring).toBe(plan.wiring);
  });
});
