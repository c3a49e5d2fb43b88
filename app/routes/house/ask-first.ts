import type { Command } from '@core/job/commands/command';
import type { Effect } from '@core/choices/house/effects';
import type { House } from '@core/job/model/house';
import { carriedOut } from '~/storage/carry-out';
import type { OpenJob } from '~/storage/jobs';
import { openStore } from '~/storage/opened';
import { houseWorker } from '~/workers/core';

/** What a change of the panel does to the other jobs of the house, looked at in a worker. */
export async function effectsOn(
  before: House,
  after: House,
  except: string | null,
): Promise<readonly Effect[]> {
  const { houses } = await openStore();
  const whole = await (await houses()).whole(before.id);
  if (!whole.ok) return [];
  const jobs = whole.value.jobs.map(({ design }) => design);
  const effects = await houseWorker.ask((worker) => worker.houseEffects(before, after, jobs));
  return effects.filter(({ job }) => job !== except);
}

/** What commands on a job would do to the other jobs of its house. */
export async function askFirst(
  { id, design, record, around }: OpenJob,
  commands: readonly Command[],
): Promise<readonly Effect[]> {
  if (!around) return [];
  const done = carriedOut({ design, record }, { intent: 'commands', commands: [...commands] }, around);
  const after = done.ok ? done.value.around?.house : undefined;
  if (!after || after === around.house) return [];
  return effectsOn(around.house, after, id).catch(() => []);
}
