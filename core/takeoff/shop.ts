import { z } from 'zod';
import { BOX_USD, BREAKER_USD, cableUsdPerFt, DEVICE_USD, MINUTES, TIE_USD } from '../standards/prices';
import { SWITCH_FAMILIES } from '../devices/switches';
import { deviceKind, WIRED_KINDS } from '../devices';
import { BOX_FAMILIES } from '../standards/boxes';
import { CABLE_TYPES } from '../standards/cables';
import { ALLOWANCES, type TakeOffLine } from './list';

/** Dollars with at most four places, as they are written. */
export const Price = z.string().regex(/^\d{1,6}(\.\d{1,4})?$/);
const Percent = z.string().regex(/^\d{1,3}(\.\d{1,4})?$/);
const inches = (most: number) => z.number().min(0).max(most);

/** What a shop has of its own: prices, labor, what is on the truck. */
export const Shop = z.strictObject({
  /** By the key of what is bought; the example's where it is not said. */
  prices: z.record(z.string().max(200), Price).default({}),
  /** What is on the truck, by the same key: ft or pieces. */
  truck: z.record(z.string().max(200), z.number().min(0).max(100_000)).default({}),
  markupPercent: Percent.default('20'),
  taxPercent: Percent.default('8'),
  laborPerHour: Price.default('90'),
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
      wastePercent: z.int().min(0).max(100).default(ALLOWANCES.wastePercent),
      rollFt: z.int().min(1).max(5000).default(ALLOWANCES.rollFt),
    })
    .prefault({}),
});
export type Shop = z.infer<typeof Shop>;
export const EXAMPLE_SHOP: Shop = Shop.parse({});

const written = (usd: number): string => usd.toFixed(4).replace(/\.?0+$/, '');
/** Devices as they are wired cost what the switch of their family costs. */
const familyOf = (kind: string): keyof typeof DEVICE_USD => {
  for (const [family, { alone, end, between }] of Object.entries(SWITCH_FAMILIES))
    if ([alone, end, between].some((one) => one?.id === kind)) return family as keyof typeof DEVICE_USD;
  return kind as keyof typeof DEVICE_USD;
};

/** An example's price of something that is bought, until the shop says its own. Invented figures. */
export function examplePrice({ key, aisle }: Pick<TakeOffLine, 'key' | 'aisle'>): string {
  switch (aisle) {
    case 'cable':
      return written(cableUsdPerFt(CABLE_TYPES.find((type) => key === `cable ${type}`) ?? CABLE_TYPES[0]));
    case 'boxes':
      return written(BOX_USD[BOX_FAMILIES.find((family) => key.startsWith(`box ${family} `)) ?? 'nail-on']);
    case 'devices': {
      const kind = [...WIRED_KINDS]
        .sort((a, b) => b.length - a.length)
        .find((id) => key.startsWith(`device ${id} `));
      return written(kind ? DEVICE_USD[familyOf(deviceKind(kind).id)] : 0);
    }
    case 'breakers':
      return key === 'tie'
        ? written(TIE_USD)
        : written(
            (Object.keys(BREAKER_USD) as (keyof typeof BREAKER_USD)[])
              .filter((protection) => key.endsWith(` ${protection}`))
              .map((protection) => BREAKER_USD[protection] || 12)[0] ?? 12,
          );
    case 'plates':
      return '0.85';
    case 'connectors':
      return '0.45';
    case 'fastening':
      return key === 'tape' ? '3.5' : '0.06';
  }
}

export const priceOf = (shop: Shop, line: TakeOffLine): string => shop.prices[line.key] ?? examplePrice(line);
