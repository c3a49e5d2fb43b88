import { zodProblems } from '@core/model/file';
import type { Design } from '@core/model/design';
import { bad, good, type Checked } from '@core/model/problem';
import { planJob } from '@core/plan';
import { takeOff } from '@core/takeoff/list';
import { laborMinutes, quoteOf, type Quote } from '@core/takeoff/quote';
import { Shop } from '@core/takeoff/shop';
import { together } from '@core/takeoff/together';
import { readJson } from './json';

interface TakeOffReport extends Quote {
  /** Jobs that cannot be wired as asked, and why: nothing is bought for them. */
  readonly refused: readonly { readonly job: string; readonly why: string }[];
}

/**
 * What to buy for one job or for several and what it costs, by a shop's own prices where they are given; cents in whole
 * numbers.
 */
export function takeOffReport(jobs: readonly Design[], text: string): Checked<TakeOffReport> {
  const json = readJson(text, 'shop');
  if (!json.ok) return json;
  const read = Shop.safeParse(json.value);
  if (!read.success) return bad(...zodProblems(read.error));
  const shop = read.data;
  const planned = jobs.map((job) => ({ job, outcome: planJob(job) }));
  const plans = planned.flatMap(({ outcome }) => (outcome.ok ? [outcome.plan] : []));
  const lists = plans.map((plan) => ({ job: plan.job.name, lines: takeOff(plan, shop.allowances) }));
  const [only] = lists;
  const lines = lists.length === 1 && only ? only.lines : together(lists);
  const minutes = plans.reduce((sum, plan) => sum + laborMinutes(plan, shop), 0);
  const refused = planned.flatMap(({ job, outcome }) =>
    outcome.ok ? [] : [{ job: job.id, why: outcome.refusals.map(({ message }) => message).join(' ') }],
  );
  return good({ ...quoteOf(lines, minutes, shop), refused });
}
