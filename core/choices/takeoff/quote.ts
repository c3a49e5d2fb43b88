import Big from 'big.js';
import type { Design } from '../../job/model/design';
import type { Drawable } from '../../wiring/plan';
import { tasksOf } from '../day/tasks';
import type { TakeOffLine } from './line';
import { locale } from '../../base/words/language';
import { say } from '../../base/words/takeoff';
import { ownAisle, walked } from './aisles';
import { priceOf, type Shop } from './shop';

/** Half a cent and more is a cent. */
const HALF_UP = 1;
const cents = (dollars: Big): number => dollars.times(100).round(0, HALF_UP).toNumber();
/** A share of an amount in cents, rounded to the cent. */
const share = (amount: number, percent: string): number =>
  Big(amount).times(percent).div(100).round(0, HALF_UP).toNumber();

export interface QuoteLine {
  readonly line: TakeOffLine;
  /** The aisle that the shop finds it in; null for ours. */
  readonly own: string | null;
  readonly truck: number;
  readonly buy: number;
  /** Dollars for one, as written; null for what the customer brings. */
  readonly price: string | null;
  /** Cents for what is used, whether it is bought or on the truck; rounded once. */
  readonly cents: number;
  /** Cents for what is bought. */
  readonly buyCents: number;
}

/** A quote in whole cents. Rounded, half a cent up: each line, the markup, the labor, the tax; sums are exact. */
export interface Quote {
  readonly lines: readonly QuoteLine[];
  readonly materialCents: number;
  readonly markupCents: number;
  readonly laborMinutes: number;
  readonly laborCents: number;
  /** On material and its markup, not on labor. Common practice; local law rules. */
  readonly taxCents: number;
  readonly totalCents: number;
  /** What the shopping list comes to without tax. */
  readonly shoppingCents: number;
}

export function quoteOf(lines: readonly TakeOffLine[], laborMinutes: number, shop: Shop): Quote {
  const priced = lines.map((plain): QuoteLine => {
    const line = colored(plain, shop);
    const truck = Math.min(shop.truck[line.key] ?? 0, line.need);
    const buy = line.need - truck;
    const price = priceOf(shop, line);
    return {
      line,
      own: ownAisle(shop, plain),
      truck,
      buy,
      price,
      cents: cents(Big(price ?? 0).times(line.need)),
      buyCents: cents(Big(price ?? 0).times(buy)),
    };
  });
  const materialCents = priced.reduce((sum, one) => sum + one.cents, 0);
  const markupCents = share(materialCents, shop.markupPercent);
  const laborCents = cents(Big(shop.laborPerHour).times(laborMinutes).div(60));
  const taxCents = share(materialCents + markupCents, shop.taxPercent);
  return {
    lines: walked(priced),
    materialCents,
    markupCents,
    laborMinutes,
    laborCents,
    taxCents,
    totalCents: materialCents + markupCents + laborCents + taxCents,
    shoppingCents: priced.reduce((sum, one) => sum + one.buyCents, 0),
  };
}

/** Devices and plates that have no color of their own are ordered in that of the house. */
const colored = (line: TakeOffLine, { color }: Shop): TakeOffLine =>
  color !== '' && line.like === null && (line.aisle === 'devices' || line.aisle === 'plates')
    ? { ...line, name: say('list.colored', { name: line.name, color }) }
    : line;

/** Minutes of work by the shop's table: of all the tasks that the day puts in order. */
export const laborMinutes = (plan: Drawable, { minutes }: Shop, before?: Design): number =>
  tasksOf(plan, before ? { minutes, before } : { minutes }).reduce((sum, task) => sum + task.minutes, 0);

/** "$1,234.05" */
export const dollars = (amount: number): string =>
  (amount / 100).toLocaleString(locale, { style: 'currency', currency: 'USD' });
