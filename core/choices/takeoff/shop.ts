import { z } from 'zod';
import { MINUTES } from '../../trade/standards/prices';
import { zodProblems } from '../../job/model/job-file';
import { bad, good, type Checked } from '../../job/model/problem';
import { AISLES, ALLOWANCES, type TakeOffLine } from './line';

/** Dollars with at most four places, as they are written. */
export const Price = z.string().regex(/^\d{1,6}(\.\d{1,4})?$/);
const Percent = z.string().regex(/^\d{1,3}(\.\d{1,4})?$/);
const AisleName = z.string().trim().max(40);
const inches = (most: number) => z.number().min(0).max(most);

/** What a shop has of its own: prices, labor, what is on the truck. */
export const Shop = z.strictObject({
  /** By the key of what is bought; the example's where it is not said. */
  prices: z.record(z.string().max(200), Price).default({}),
  /** What is on the truck, by the same key: ft or pieces. */
  truck: z.record(z.string().max(200), z.number().min(0).max(100_000)).default({}),
  /** What the shop calls our aisles: "Aisle 14"; empty where it does not. */
  aisles: z.partialRecord(z.enum(AISLES), AisleName).default({}),
  /** Single things that are found elsewhere than their aisle, by their key. */
  shelved: z.record(z.string().max(200), AisleName).default({}),
  markupPercent: Percent.default('20'),
  taxPercent: Percent.default('8'),
  laborPerHour: Price.default('90'),
  /** Of devices and plates, as it is ordered: "white"; empty where it does not matter. */
  color: z.string().trim().max(30).default(''),
  minutes: z
    .strictObject(
      Object.fromEntries(
        Object.entries(MINUTES).map(([name, minutes]) => [
          name,
          z.number().min(0).max(1000).default(minutes),
        ]),
      ) as Record<keyof typeof MINUTES, z.ZodDefault<z.ZodNumber>>,
    )
    .prefault({}),
  allowances: z
    .strictObject({
      boxIn: inches(60).default(ALLOWANCES.boxIn),
      slackIn: inches(240).default(ALLOWANCES.slackIn),
      panelIn: inches(240).default(ALLOWANCES.panelIn),
      wastePercent: z.int().min(0).max(100).default(ALLOWANCES.wastePercent),
      rollFt: z.int().min(1).max(5000).default(ALLOWANCES.rollFt),
    })
    .prefault({}),
});
export type Shop = z.infer<typeof Shop>;
export const EXAMPLE_SHOP: Shop = Shop.parse({});

/**
 * What changes of a shop's own, and no more: a figure, or single prices, pieces, minutes. Two of them, of whichever page,
 * do not undo each other.
 */
export type ShopChange = {
  readonly [Field in keyof Shop]?: Shop[Field] extends string ? string : Partial<Shop[Field]>;
};

/** A shop after a change. Bad input gives problems and changes nothing. */
export function changeShop(shop: Shop, change: ShopChange): Checked<Shop> {
  const next = Object.fromEntries(
    Object.entries(shop).map(([field, was]) => {
      const now = change[field as keyof Shop] ?? {};
      return [
        field,
        typeof was === 'string' ? (typeof now === 'string' ? now : was) : { ...was, ...(now as object) },
      ];
    }),
  );
  const read = Shop.safeParse(next);
  return read.success ? good(read.data) : bad(...zodProblems(read.error));
}

/** What is bought of a list after one of its lines is ticked, or no longer. */
export function ticked(
  list: ReadonlySet<string>,
  { key, bought }: { readonly key: string; readonly bought: boolean },
): ReadonlySet<string> {
  const next = new Set(list);
  if (bought) next.add(key);
  else next.delete(key);
  return next;
}

/** The shop's own price of a thing, or that of the same thing in the color of the house. */
export const ownPrice = (
  { prices }: Pick<Shop, 'prices'>,
  { key, like = null }: { readonly key: string; readonly like?: string | null },
): string | undefined => prices[key] ?? (like === null ? undefined : prices[like]);

/** What one of it costs: the shop's price, or the example's; null for what the customer brings unless the shop has a price. */
export const priceOf = (shop: Shop, line: TakeOffLine): string | null => ownPrice(shop, line) ?? line.example;
