import { describe, expect, test } from '@jest/globals';
import { applyCommands, type DesignCommand } from '../../job/commands/command';
import { demoJob, demoJobs } from '../../handover/jobs/demo-house';
import { makeUpSteps } from '../../wiring/makeup/steps';
import { placesToMakeUp } from '../../wiring/makeup/panel';
import { planJob, type Plan } from '../../wiring/plan';
import { billOf, brokenTabs, connectorsOf, newCableFt, pigtailsOf, totalFt } from './bill';

const planned = (id: string, ...commands: DesignCommand[]): Plan => {
  const done = applyCommands(demoJob(id)!, commands);
  if (!done.ok) throw new Error(done.problems[0]!.message);
  const outcome = planJob(done.value.job);
  if (!outcome.ok) throw new Error(outcome.refusals[0]!.message);
  return outcome.plan;
};
const plans = demoJobs.flatMap((job) => {
  const outcome = planJob(job);
  return outcome.ok ? [outcome.plan] : [];
});

describe('the bill of a plan', () => {
  test('against nothing, all that is new is on it once: each cable, box and device', () => {
    for (const plan of plans) {
      const { cables, boxes, devices, opened } = billOf(plan, null);
      expect(cables.map(({ cable }) => cable.id)).toEqual(
        plan.wiring.cables.filter(({ existing }) => !existing).map(({ id }) => id),
      );
      expect(boxes.map(({ box }) => box.id)).toEqual(plan.job.boxes.map(({ id }) => id));
      expect(devices.map(({ device }) => device.id)).toEqual(plan.job.devices.map(({ id }) => id));
      expect(opened.size).toBe(0);
    }
  });
  test('against itself nothing is on it but cable that is still to be pulled', () => {
    for (const plan of plans) {
      const { cables, boxes, devices, breakers } = billOf(plan, plan.job);
      expect([boxes, devices, breakers]).toEqual([[], [], []]);
      expect(cables.every(({ cable, replaces }) => !cable.existing && replaces === null)).toBe(true);
    }
  });
  test('feet by type add to the feet of the new cables; runs that were to be pulled can be left out', () => {
    for (const { wiring } of plans) {
      const fresh = wiring.cables.filter(({ existing }) => !existing);
      const feet = fresh.reduce((sum, { lengthFt }) => sum + lengthFt, 0);
      expect(totalFt(newCableFt(wiring))).toBeCloseTo(feet, 9);
      expect(totalFt(newCableFt(wiring, new Set(fresh.map(({ run }) => run))))).toBe(0);
      for (const [type, own] of newCableFt(wiring))
        expect(own).toBeCloseTo(
          fresh.filter((cable) => cable.type === type).reduce((sum, { lengthFt }) => sum + lengthFt, 0),
          9,
        );
    }
  });
  test('a larger box, another device and another breaker stand in the place of what was there', () => {
    const before = demoJob('hall-console')!;
    const [box] = before.boxes;
    const [circuit] = before.circuits;
    const outlet = before.devices.find(({ kind }) => kind === 'duplex')!;
    const bill = billOf(
      planned(
        before.id,
        { do: 'set box', box: box!.id, change: { volumeIn3: box!.volumeIn3 + 10 } },
        { do: 'set kind', device: outlet.id, kind: 'gfci' },
        { do: 'set circuit', circuit: circuit!.id, change: { protection: 'dual' } },
      ),
      before,
    );
    expect(bill.boxes.map(({ box: { id }, instead }) => [id, instead])).toEqual([[box!.id, true]]);
    expect(bill.devices.map(({ device: { id }, instead }) => [id, instead])).toEqual([[outlet.id, true]]);
    expect(bill.breakers.map((one) => [one.circuit.id, one.protection, one.tie])).toEqual([
      [circuit!.id, true, false],
    ]);
    expect(bill.opened.has(box!.id)).toBe(true);
  });
  test('tabs, connectors and pigtails are those that the make-up steps ask for', () => {
    for (const plan of plans) {
      const steps = [...placesToMakeUp(plan.job, plan.wiring)].flatMap((place) => makeUpSteps(plan, place));
      const splices = steps.filter(({ id }) => id.startsWith('splice '));
      const counts = [...connectorsOf(plan).values()].reduce((sum, count) => sum + count, 0);
      expect(counts).toBe(splices.length);
      expect(brokenTabs(plan.wiring)).toHaveLength(steps.filter(({ id }) => id.startsWith('tab ')).length);
      for (const tail of pigtailsOf(plan.wiring)) expect(tail.lead).toBe(false);
    }
  });
});
