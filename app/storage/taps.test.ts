import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { changeHouse, type HouseCommand } from '@core/job/commands/house';
import { HOUSE_COMMANDS } from '@core/job/commands/house-table';
import { demoHouse } from '@core/handover/jobs/demo-house';
import type { House } from '@core/job/model/house';
import { changeShop, EXAMPLE_SHOP, type ShopChange } from '@core/choices/takeoff/shop';
import { draws } from '@core/testing/draws';
import { fromSchema } from '@core/testing/from-schema';
import { SplitTapDatabase, type ShopTap } from './database';
import { HouseStore } from './houses';
import { JobStore } from './jobs';
import { OF_SHOP, ofHouse, writeDown } from './journal';
import { ShopStore } from './shop-store';

/* What is tapped on a house or on the shop is kept from the tap on, whatever becomes of the page, and of whichever tab. */

let db: SplitTapDatabase;
let count = 0;
beforeEach(async () => {
  db = new SplitTapDatabase(`taps-${count++}`);
  await new JobStore(db).openDemo(demoHouse.id);
});
afterEach(() => db.close());

const shop = () => new ShopStore(db);
const houses = () => new HouseStore(db);
async function houseNow(): Promise<House> {
  const opened = await houses().open(demoHouse.id);
  if (!opened.ok) throw new Error('no house');
  return opened.value.house;
}

/** Ids and numbers of the demo house, and some that it does not have. */
const POOLS = {
  number: ['1', '5', '9', '14', '77'],
  tiedWith: ['1', '5', '77'],
  neutralWith: ['1', '5', '77'],
  person: ['mara', 'jo', 'nobody'],
  '': [],
};
const houseTaps = fc.array(
  fc.oneof(...HOUSE_COMMANDS.map(({ schema }) => fromSchema<HouseCommand>(schema, POOLS))),
  { minLength: 1, maxLength: 8 },
);

describe('a house', () => {
  test('taps whose page ended at once are carried out at the next opening, in order, each once', async () => {
    await fc.assert(
      fc.asyncProperty(houseTaps, fc.constantFrom('house', 'job'), async (taps, opens) => {
        let due = await houseNow();
        let refused = 0;
        for (const change of taps) {
          const done = changeHouse(due, change);
          if (done.ok) due = done.value.house;
          else refused++;
          // The page writes it down, and is gone.
          await writeDown(db, { on: 'house', jobId: ofHouse(demoHouse.id), house: demoHouse.id, change });
        }
        const next = new JobStore(db);
        const job = opens === 'job' ? await next.open('hall-console') : await next.carryOutWaiting();
        expect(await houseNow()).toEqual(due);
        // A job is opened as its panel has it by then.
        const { design } = (job?.ok ? job.value : null) ?? { design: { circuits: [] } };
        for (const circuit of design.circuits)
          expect(
            due.panel.find(({ number }) => number === circuit.number)?.breakerA ?? circuit.breakerA,
          ).toBe(circuit.breakerA);
        await next.carryOutWaiting();
        expect(await houseNow()).toEqual(due);
        // What was refused is told, once.
        expect((await db.journal.toArray()).map((entry) => entry.refused !== undefined)).toEqual(
          Array(refused).fill(true),
        );
        expect((await houses().refusals(demoHouse.id)).length >= refused).toBe(true);
        expect(await db.journal.count()).toBe(0);
      }),
      { numRuns: draws(25, 200) },
    );
  });

  test('what a house refuses is told with the reason, and nothing is changed', async () => {
    const before = await houseNow();
    const done = await houses().run(demoHouse.id, { do: 'set house', change: { spaces: 900 } });
    expect(done.ok ? [] : done.problems.map(({ path }) => path)).toEqual(['spaces']);
    expect(await houseNow()).toEqual(before);
    expect(await db.journal.count()).toBe(0);
  });
});

const keys = fc.constantFrom('staple', 'tie', 'cable 14-2', 'plate toggle');
const price = fc.constantFrom('1', '2.50', 'much');
const shopChange: fc.Arbitrary<ShopChange> = fc.record(
  {
    prices: fc.dictionary(keys, price),
    truck: fc.dictionary(keys, fc.integer({ min: -1, max: 9 })),
    markupPercent: fc.constantFrom('10', 'x'),
    taxPercent: fc.constantFrom('7'),
    laborPerHour: fc.constantFrom('95.5'),
    color: fc.constantFrom('white', ''),
    minutes: fc.record({ breaker: fc.integer({ min: 1, max: 50 }) }),
    allowances: fc.record({ wastePercent: fc.integer({ min: 0, max: 120 }) }),
  },
  { requiredKeys: [] },
);
const shopTaps: fc.Arbitrary<readonly ShopTap[]> = fc.array(
  fc.oneof(
    fc.record({ do: fc.constant('set' as const), change: shopChange }),
    fc.record({
      do: fc.constant('tick' as const),
      list: fc.constantFrom('stair', 'house alder-court-12'),
      key: keys,
      bought: fc.boolean(),
    }),
  ),
  { minLength: 1, maxLength: 8 },
);

describe('the shop', () => {
  test('taps of two tabs, some of whose page ended at once, are all there: each changes what it says and no more', async () => {
    await fc.assert(
      fc.asyncProperty(shopTaps, shopTaps, fc.boolean(), async (one, other, ends) => {
        await db.shop.clear();
        await db.journal.clear();
        let due = EXAMPLE_SHOP;
        const ticks = new Map<string, Set<string>>();
        const [a, b] = [shop(), shop()];
        // One after the other on the wall, each tab knowing nothing of the other.
        for (let index = 0; index < Math.max(one.length, other.length); index++)
          for (const [taps, tab] of [[one, a] as const, [other, b] as const]) {
            const tap = taps[index];
            if (!tap) continue;
            if (tap.do === 'set') {
              const done = changeShop(due, tap.change);
              if (done.ok) due = done.value;
            } else {
              const list = ticks.get(tap.list) ?? new Set<string>();
              if (tap.bought) list.add(tap.key);
              else list.delete(tap.key);
              ticks.set(tap.list, list);
            }
            if (ends) await writeDown(db, { on: 'shop', jobId: OF_SHOP, change: tap });
            else await tab.run(tap);
          }
        await shop().carryOut();
        expect((await shop().open('stair')).shop).toEqual(due);
        for (const [list, bought] of ticks) expect((await shop().open(list)).bought).toEqual(bought);
      }),
      { numRuns: draws(25, 200) },
    );
  });

  test('a price that is none is refused with its place; what is stored stays', async () => {
    await shop().run({ do: 'set', change: { prices: { staple: '2' } } });
    const wrong = await shop().run({ do: 'set', change: { prices: { staple: '-2' } } });
    expect(wrong.map(({ path }) => path)).toEqual(['prices.staple']);
    expect((await shop().open('stair')).shop.prices).toEqual({ staple: '2' });
  });

  test('what is stored and cannot be read is put aside before it is written over', async () => {
    await db.shop.put({ id: 'shop', value: { prices: 7 } });
    expect(await shop().run({ do: 'set', change: { color: 'white' } })).toEqual([]);
    const rows = await db.shop.toArray();
    expect(rows.filter(({ id }) => id.startsWith('unreadable shop')).map(({ value }) => value)).toEqual([
      { prices: 7 },
    ]);
  });
});
