import { glance, type Glance } from '@core/handover/glance/glance';
import { sketchOf, type Sketch } from '@core/handover/glance/sketch';
import { inHouse } from '@core/choices/house/panel';
import { demoHouse, demoJobs, demoRecord } from '@core/handover/jobs/demo-house';
import { applyCommands } from '@core/job/commands/command';
import type { Design } from '@core/job/model/design';
import { checkJob } from '@core/job/model/job-file';
import { removalOf } from '@core/choices/options/wish';
import { planJob, shownPlan, type ShownPlan } from '@core/wiring/plan';
import { jobFrom } from '@core/handover/starts/job-from';
import { startDefaults } from '@core/handover/starts/start';
import { STARTS, startOf } from '@core/handover/starts/starts';
import { inside, othersIn, soundHouse, type StoredJob } from '~/storage/around';

/** What a stored job is at; null where it cannot be read, which its own page says. */
export function glanceAt(id: string, stored: StoredJob): Glance | null {
  const read = checkJob(stored.design, stored.record);
  if (!read.ok) return null;
  const house = soundHouse(stored.house);
  const around = house && { house, others: othersIn(stored.lines, id) };
  return glance({ ...read.value, design: inside(read.value.design, around) });
}

/** What a demo job is at that was not opened yet. */
export function glanceAtDemo(id: string): Glance | null {
  const design = inHouse(demoHouse, demoJobs).find((job) => job.id === id);
  return design ? glance({ design, record: demoRecord(id) }) : null;
}

/** Each option for an outlet drawn small, what it changes beside the job without the outlet marked. */
export function optionSketches(job: Design, outlet: string, options: readonly Design[]): readonly Sketch[] {
  const device = job.devices.find(({ id }) => id === outlet);
  const without = device && applyCommands(job, removalOf(job, device));
  const bare = without?.ok ? without.value.job : job;
  const before = { job: bare, outcome: planJob(bare) };
  return options.map((one) => sketchOf(one, planJob(one), before));
}

/** The picture of each starting point, as it is where nothing is changed. */
export const startSketches = (): Readonly<Record<string, Sketch>> =>
  Object.fromEntries(
    STARTS.flatMap((start) => {
      const job = jobFrom(start, start.id, startDefaults(start));
      return job.ok ? [[start.id, sketchOf(job.value.design, planJob(job.value.design))] as const] : [];
    }),
  );

/** The box to try on the first visit: a switch with a half-switched outlet beside it, planned like any job. */
export function boxToTry(): ShownPlan | null {
  const start = startOf('beside-switch');
  const made = start && jobFrom(start, 'try-it', startDefaults(start));
  if (!made?.ok) return null;
  const half = applyCommands(made.value.design, [
    { do: 'set control', device: 'first-outlet', part: 'lower', control: 'first-switch' },
  ]);
  const outcome = half.ok ? planJob(half.value.job) : null;
  return outcome?.ok ? shownPlan(outcome.plan) : null;
}
