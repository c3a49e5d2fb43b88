import { expect, test } from '@jest/globals';
import { boxesThatFit } from '../../wiring/boxfill/boxes-that-fit';
import { boxFill, countBox } from '../../wiring/boxfill/box-fill';
import { demoJob } from '../../handover/jobs/demo-house';
import { planJob } from '../../wiring/plan';
import { cutLengthFt, roughInBox, roughInRun } from './rough-in';

const outcome = planJob(demoJob('sunroom-plant-shelf')!);
if (!outcome.ok) throw new Error('refused');
const { plan } = outcome;

test('a new run: cut length with 14 in at each end and a tenth more, rounded up (common practice)', () => {
  // 18 ft + 28 in = 20.33 ft; a tenth more is 22.4: 23 ft.
  expect(cutLengthFt(18)).toBe(23);
  expect(roughInRun(plan, plan.job.runs[1]!)[0]!.what).toContain('Cut 12-3 to 23 ft');
});
test('an existing run asks for nothing', () => {
  expect(roughInRun(plan, plan.job.runs[0]!)).toEqual([]);
});
test('a one-gang box without clamps: staple within 8 in of sheath (314.17(C), from memory)', () => {
  const lines = roughInBox(plan, plan.job.boxes[1]!).map(({ what }) => what);
  expect(lines.some((what) => what.includes('within 8 in'))).toBe(true);
  expect(lines.some((what) => what.includes('Center 40 in'))).toBe(true);
});
test('the smallest boxes that would do hold it, and the next smaller of the family does not', () => {
  const count = countBox(plan.wiring, plan.job.boxes[0]!);
  const rows = boxesThatFit(count, 1, '2020');
  expect(rows.length).toBeGreaterThan(2);
  for (const row of rows) {
    const own = { ...count, internalClamps: row.internalClamps };
    expect(boxFill(own, row.volumeIn3, '2020').fits).toBe(true);
  }
  expect(rows.find(({ family }) => family === 'nail-on')!.volumeIn3).toBe(18);
});
