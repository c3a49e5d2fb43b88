import { zodProblems } from '@core/model/file';
import { bad, good, type Checked } from '@core/model/problem';
import type { Plan } from '@core/plan';
import { takeOff } from '@core/takeoff/list';
import { laborMinutes, quoteOf } from '@core/takeoff/quote';
import { Shop } from '@core/takeoff/shop';
import { readJson } from './json';

/** What to buy and what it costs, by a shop's own prices where they are given; cents in whole numbers. */
export function takeOffReport(plan: Plan, text: string): Checked<object> {
  const json = readJson(text, 'shop');
  if (!json.ok) return json;
  const shop = Shop.safeParse(json.value);
  if (!shop.success) return bad(...zodProblems(shop.error));
  return good(quoteOf(takeOff(plan, shop.data.allowances), laborMinutes(plan, shop.data), shop.data));
}
