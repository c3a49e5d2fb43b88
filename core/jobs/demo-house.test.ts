import { DEMO_LIST } from './demo-list';
import { expect, test } from '@jest/globals';
import { checkPlanLines } from '../brief/check-lines';
import { boxFill, countBox } from '../boxfill/box-fill';
import { checkReferences } from '../model/references';
import { planJob } from '../plan';
import { prove } from '../proof/prove';
import { demoJobs, demoRecord } from './demo-house';

const REFUSED = 'attic-hatch-switch';

test('the demo house has its eight jobs, each sound', () => {
  expect(demoJobs.map(({ id }) => id)).toEqual([
    'sunroom-plant-shelf',
    'hall-console',
    'attic-hatch-switch',
    'laundry-counter',
    'porch-soffit',
    'stair',
    'den-media-wall',
    'landing-three-switches',
  ]);
  for (const job of demoJobs) expect(checkReferences(job)).toEqual([]);
});

test.each(demoJobs.filter(({ id }) => id !== REFUSED).map((job) => [job.name, job] as const))(
  '%s compiles, proves and fits its boxes',
  (_, job) => {
    const outcome = planJob(job);
    if (!outcome.ok) throw new Error(outcome.refusals[0]!.message);
    expect(prove(job, outcome.plan.wiring).findings).toEqual([]);
    const over = job.boxes.filter(
      (box) => !boxFill(countBox(outcome.plan.wiring, box), box.volumeIn3, job.edition).fits,
    );
    expect(over.map(({ name }) => name)).toEqual([]);
    expect(
      checkPlanLines(demoRecord(job.id).brief, job, outcome).filter(({ state }) => state === 'not met'),
    ).toEqual([]);
  },
);

test('the attic hatch is refused for want of a conductor in the loop', () => {
  const outcome = planJob(demoJobs.find(({ id }) => id === REFUSED)!);
  expect(outcome).toMatchObject({
    ok: false,
    refusals: [{ code: 'too few conductors', at: [{ id: 'loop' }] }],
  });
});

test('the porch outlet dies with the bench device, the bench outlet too', () => {
  const job = demoJobs.find(({ id }) => id === 'porch-soffit')!;
  const outcome = planJob(job);
  if (!outcome.ok) throw new Error('refused');
  expect(prove(job, outcome.plan.wiring).coverage.get('bench-gfci')).toEqual([
    'bench-gfci/outlet',
    'soffit-outlet/upper',
    'soffit-outlet/lower',
  ]);
});

test('the list of the demo house is that of its jobs', () => {
  expect(DEMO_LIST.map(({ id, name }) => [id, name])).toEqual(
    expect.arrayContaining(demoJobs.map(({ id, name }) => [id, name])),
  );
  expect(DEMO_LIST).toHaveLength(demoJobs.length);
});
