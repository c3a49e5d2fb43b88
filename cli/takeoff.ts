import { zodProblems } from '@core/job/model/job-file';
import type { Design } from '@core/job/model/design';
import { bad, good, type Checked } from '@core/job/model/problem';
import { quoteOf, type Quote } from '@core/choices/takeoff/quote';
import { Shop } from '@core/choices/takeoff/shop';
import { listsOf, together } from '@core/choices/takeoff/together';
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
  const read = readShop(text);
  if (!read.ok) return read;
  const shop = read.value;
  const { lists, minutes, refused } = listsOf(jobs, shop);
  const [only] = lists;
  const lines = lists.length === 1 && only ? only.lines : together(lists);
  const why = refused.map(({ job, refusals }) => ({
    job: job.id,
    why: refusals.map(({ message }) => message).join(' '),
  }));
  return good({ ...quoteOf(lines, minutes, shop), refused: why });
}

/** A shop's own from JSON text, the example's where it says nothing. */
export function readShop(text: string): Checked<Shop> {
  const json = readJson(text, 'shop');
  if (!json.ok) return json;
  const read = Shop.safeParse(json.value);
  return read.success ? good(read.data) : bad(...zodProblems(read.error));
}
