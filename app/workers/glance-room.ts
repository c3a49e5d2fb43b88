import { glance, type Glance } from '@core/glance/glance';
import { sketchOf, type Sketch } from '@core/glance/sketch';
import { addsOf, withPanel } from '@core/house/panel';
import { demoHouse, demoJobs, demoWhole } from '@core/jobs/demo-house';
import { applyCommands } from '@core/commands/command';
import type { Design } from '@core/model/design';
import { checkJob } from '@core/model/file';
import type { Job } from '@core/model/job';
import { removalOf } from '@core/options/wish';
import { planJob } from '@core/plan';
import { jobFrom } from '@core/starts/job-from';
import { startDefaults } from '@core/starts/start';
import { STARTS } from '@core/starts/starts';
import { othersIn, soundHouse } from '~/storage/around';
import type { StoredSummary } from '~/storage/database';

/** A job as it is stored, with what it must know of its house; or a demo job that was not opened yet. */
export type Stored =
  | { readonly demo: string }
  | {
      readonly design: unknown;
      readonly record: unknown;
      readonly house: unknown;
      readonly lines: readonly StoredSummary[];
    };

/** What a stored job is at; null where it cannot be read, which its own page says. */
export function glanceAt(id: string, stored: Stored): Glance | null {
  const job = 'demo' in stored ? demoIn(stored.demo) : jobIn(id, stored);
  return job && glance(job);
}

function demoIn(id: string): Job | null {
  const job = demoWhole(id);
  const others = demoJobs.filter((one) => one.id !== id).map(addsOf);
  return job ? { ...job, design: withPanel(job.design, demoHouse, others) } : null;
}

function jobIn(id: string, { design, record, house, lines }: Exclude<Stored, { demo: string }>): Job | null {
  const read = checkJob(design, record);
  if (!read.ok) return null;
  const around = soundHouse(house);
  return around
    ? { ...read.value, design: withPanel(read.value.design, around, othersIn(lines, id)) }
    : read.value;
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
