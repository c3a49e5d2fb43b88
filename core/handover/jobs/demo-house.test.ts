import { DEMO_LIST } from './demo-list';
import { expect, test } from '@jest/globals';
import { checkPlanLines } from '../../code/brief/check-lines';
import { boxFill, countBox } from '../../wiring/boxfill/box-fill';
import { checkReferences } from '../../job/model/references';
import { planJob } from '../../wiring/plan';
import { prove } from '../../power/proof/prove';
import { makeUpSteps } from '../../wiring/makeup/steps';
import { tickSteps } from '../../wiring/makeup/ticks';
import { readPicture } from '../photos/picture';
import { FieldReport } from '../../site/script/report';
import { studyFaults } from '../../site/script/script';
import { demoJobs, demoPictures, demoRecord } from './demo-house';

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

test('what was done in the half made-up job holds by what is joined with what', () => {
  const { ticks, log, photos } = demoRecord('laundry-counter');
  const job = demoJobs.find(({ id }) => id === 'laundry-counter')!;
  const outcome = planJob(job);
  if (!outcome.ok) throw new Error('the laundry is wired');
  const { steps, orphans } = tickSteps(makeUpSteps(outcome.plan, 'counter'), ticks, 'counter');
  expect(orphans).toEqual([]);
  expect(steps.filter(({ state }) => state === 'done')).toHaveLength(6);
  expect(steps.some(({ state }) => state === 'open')).toBe(true);
  expect(log.length).toBeGreaterThan(ticks.length);
  const bytes = Uint8Array.from(Buffer.from(demoPictures[0].base64, 'base64'));
  const read = readPicture(bytes, 'demo');
  expect(read.ok && read.value).toMatchObject({ bytes: photos[0]?.bytes, widthPx: 300, heightPx: 375 });
});

test('the readings of the landing speak against the plan, and name the mistake that was hidden', () => {
  const { tests } = demoRecord('landing-three-switches');
  const job = demoJobs.find(({ id }) => id === 'landing-three-switches')!;
  const outcome = planJob(job);
  if (!outcome.ok) throw new Error('the landing is wired');
  const wired = { job, wiring: outcome.plan.wiring };
  const report = new FieldReport(wired, studyFaults(wired));
  const found = report.find(tests);
  const suspected = found.suspects.flatMap(({ ways }) =>
    ways.flatMap(({ faults }) => faults.map(({ id }) => id)),
  );
  // One reading makes no verdict: it is still being looked for, and there is a next test.
  expect(found.verdict).toBe('open');
  expect(found.next).not.toBeNull();
  expect(suspected).toContain('F16 first@middle');
});
