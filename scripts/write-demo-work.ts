// Writes what was done so far in two jobs of the demo house, as the commands of an app would leave it.
import { writeFileSync } from 'node:fs';
import { tasksOf } from '../core/choices/day/tasks';
import { EXAMPLE_SHOP } from '../core/choices/takeoff/shop';
import { TaskWords } from '../core/handover/day/words';
import { note, type RecordCommand } from '../core/job/commands/command';
import { demoJob } from '../core/handover/jobs/demo-house';
import { makeUpSteps } from '../core/wiring/makeup/steps';
import { tickOf } from '../core/wiring/makeup/ticks';
import { EMPTY_RECORD, type JobRecord } from '../core/job/model/record';
import { planJob, type Plan } from '../core/wiring/plan';
import { logged } from '../core/job/record/log';
import { FieldReport } from '../core/site/script/report';
import { studyFaults } from '../core/site/script/script';
import type { Design } from '../core/job/model/design';

/** What of the landing's day is checked off: all until its circuit is on. */
const DAY_TASKS: ReadonlySet<string> = new Set(['off', 'land', 'dead test', 'on']);
const DAY = Date.UTC(2026, 4, 12, 13, 0);
let minutes = 0;
const now = (after: number): Date => new Date(DAY + (minutes += after) * 60_000);

function planned(id: string): { design: Design; plan: Plan } {
  const design = demoJob(id);
  const outcome = design && planJob(design);
  if (!design || !outcome?.ok) throw new Error(`${id} is wired`);
  return { design, plan: outcome.plan };
}
function did(design: Design, record: JobRecord, command: RecordCommand, at: Date, by: string): JobRecord {
  const noted = note(record, command);
  if (!noted.ok) throw new Error(JSON.stringify(noted.problems));
  const stamp = { at: at.toISOString(), by };
  return logged([command], { design, record }, noted.value.record, null, stamp);
}
function made(
  design: Design,
  plan: Plan,
  record: JobRecord,
  box: string,
  most: number,
  by: string,
): JobRecord {
  return makeUpSteps(plan, box)
    .slice(0, most)
    .reduce((all, step) => {
      const at = now(4);
      return did(design, all, { do: 'tick', tick: tickOf(box, step, at) }, at, by);
    }, record);
}

// The laundry counter: half made up, with what was said on site.
const laundry = planned('laundry-counter');
let work = made(laundry.design, laundry.plan, EMPTY_RECORD, 'counter', 6, 'Theo');
const seen = now(2);
work = did(
  laundry.design,
  work,
  {
    do: 'log',
    entry: {
      at: seen.toISOString(),
      by: 'Mara',
      kind: 'note',
      box: 'counter',
      says: 'Counter box set flush. The device is deep: check its instructions before it is folded in.',
      corrects: null,
    },
  },
  seen,
  'Mara',
);

// The landing: made up, and the first readings do not agree with the plan.
const landing = planned('landing-three-switches');
minutes = 24 * 60;
let tested: JobRecord = EMPTY_RECORD;
for (const { id } of landing.design.boxes)
  tested = made(landing.design, landing.plan, tested, id, Number.POSITIVE_INFINITY, 'Mara');
// It is landed and on again: everyone could have left then.
const tasks = tasksOf(landing.plan, { minutes: EXAMPLE_SHOP.minutes });
const words = new TaskWords([{ job: landing.design.id, plan: landing.plan, tasks, done: new Set<string>() }]);
for (const task of tasks)
  if (DAY_TASKS.has(task.does)) {
    const at = now(task.minutes);
    const of = [{ job: landing.design.id, task: task.id }];
    const done = { task: task.id, says: words.what({ ...task, of }), at: at.toISOString(), by: 'Mara' };
    tested = did(landing.design, tested, { do: 'task done', done }, at, 'Mara');
  }
const wired = { job: landing.design, wiring: landing.plan.wiring };
const study = studyFaults(wired);
const report = new FieldReport(wired, study);
/** The red and the black of the run to the middle changed over at the middle: both ends look right. */
const hidden = study.faults.findIndex(({ id }) => id === 'F16 first@middle');
const shows = study.shows[hidden];
if (!shows) throw new Error('that mistake is in the catalog');
for (const step of report.script().steps.slice(0, 5)) {
  const code = shows[study.tests.findIndex(({ id }) => id === step.id)] ?? '';
  const read = [step.expected, ...step.others].find((one) => one.code === code);
  if (!read) throw new Error(`${step.id} can show ${code}`);
  const at = now(6);
  const reading = {
    test: step.id,
    shows: code,
    symptom: null,
    says: `${step.what} ${step.state} ${read.says}`,
    at: at.toISOString(),
  };
  tested = did(landing.design, tested, { do: 'read test', reading }, at, 'Mara');
}

const { ticks, log } = work;
const all = {
  'laundry-counter': { ticks, log },
  'landing-three-switches': {
    ticks: tested.ticks,
    log: tested.log,
    tests: tested.tests,
    tasks: tested.tasks,
  },
};
writeFileSync(
  'core/handover/jobs/demo-work.ts',
  [
    '// Made by `npm run demo-work`: what was done so far in two jobs of the demo house.',
    `export const WORK: Readonly<Record<string, object>> = ${JSON.stringify(all, null, 2)};`,
    '',
  ].join('\n'),
);
