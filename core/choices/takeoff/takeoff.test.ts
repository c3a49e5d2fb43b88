import { describe, expect, test } from '@jest/globals';
import { parse } from 'csv-parse/sync';
import fc from 'fast-check';
import { applyCommands } from '../../job/commands/command';
import { demoJob, demoJobs } from '../../handover/jobs/demo-house';
import { planJob, type Plan } from '../../wiring/plan';
import { CABLE_TYPES, cableRow } from '../../trade/standards/cables';
import { cableUsdPerFt } from '../../trade/standards/prices';
import { anyPlan } from '../../testing/random-jobs';
import { laborCsv, readPrices, takeOffCsv, writeCsv } from './csv';
import { rollsOf, staplesFor } from './cable-lines';
import { AISLES } from './line';
import { existingPart, takeOff } from './list';
import { dollars, laborMinutes, quoteOf } from './quote';
import { renamedStop, stopsOf } from './aisles';
import { changeShop, EXAMPLE_SHOP, Shop } from './shop';
import { draws } from '../../testing/draws';

const planned = (id: string): Plan => {
  const outcome = planJob(demoJob(id)!);
  if (!outcome.ok) throw new Error('refused');
  return outcome.plan;
};
const needs = (plan: Plan): Record<string, number> =>
  Object.fromEntries(takeOff(plan).map(({ key, need }) => [key, need]));

test('the example prices a cable by its conductors: more of them, or thicker ones, cost more', () => {
  const plain = CABLE_TYPES.map(cableRow).filter(({ insulated }) => insulated.length === 2);
  // 12-2 against 14-2, and what one with four conductors costs more, by hand.
  expect(plain.map(({ type }) => [type, cableUsdPerFt({ type })])).toEqual([
    ['14-2', 0.45],
    ['12-2', 0.65],
    ['10-2', 1],
  ]);
  expect([
    cableUsdPerFt({ type: '12-2-2' }),
    cableUsdPerFt({ type: '12-4' }),
    cableUsdPerFt({ type: '12-3' }),
  ]).toEqual([1.3, 1.3, 0.9425]);
  for (const a of CABLE_TYPES.map(cableRow))
    for (const b of CABLE_TYPES.map(cableRow)) {
      const [usdA, usdB] = [cableUsdPerFt(a), cableUsdPerFt(b)];
      // A lower gauge number is the thicker conductor.
      if (a.gauge === b.gauge)
        expect(Math.sign(usdA - usdB)).toBe(Math.sign(a.insulated.length - b.insulated.length));
      if (a.insulated.length === b.insulated.length)
        expect(Math.sign(usdB - usdA)).toBe(Math.sign(a.gauge - b.gauge));
    }
});

describe('two demo jobs worked by hand (make-up allowance 8 in + 6 in an end, 10 % waste: common practice)', () => {
  test('Sunroom plant shelf: 34 ft of 12-2 is there, 18 ft of 12-3 is pulled', () => {
    expect(needs(planned('sunroom-plant-shelf'))).toEqual({
      // 18 ft × 12 = 216 in, two ends of 14 in: 244 in; × 1.1 = 268.4 in = 22.4 ft, up to 23.
      'cable 12-3': 23,
      // Garden door and Plant shelf, both new.
      'box nail-on 1 20.3': 2,
      'device single-pole 15': 1,
      'device duplex 15 tamper-resistant': 1,
      'plate toggle': 1,
      'plate duplex': 1,
      // Garden door: grounds of two cables and the switch 3; neutral 2 with a port to spare; hot of feed, run, pigtail 3.
      'connector lever-3': 3,
      // One near each box; the 16 ft between take four spans of 4 ft, so three more.
      staple: 5,
      // Garden door: one ground and one hot pigtail of 7 in, up to a foot each.
      'wire 12 bare': 1,
      'wire 12 black': 1,
    });
  });
  test('Stair: three new cables, a two-gang metal box, two 3-ways, a receptacle, a light', () => {
    expect(needs(planned('stair'))).toEqual({
      // (28 + 9) ft × 12 = 444 in, 48 in at the panel, three ends of 14 in: 534 in; × 1.1 = 587.4 in = 48.95 ft, up to 49.
      'cable 14-2': 49,
      // 24 ft × 12 = 288 in, two ends: 316 in; × 1.1 = 347.6 in = 28.97 ft, up to 29.
      'cable 14-3': 29,
      'box metal square 2 30.3': 1,
      'box metal device 1 18': 1,
      'box ceiling 1 20': 1,
      'device three-way 15': 2,
      'device duplex 15 tamper-resistant': 1,
      'device luminaire 15': 1,
      // Two cables enter the square box, which has no clamps; both metal boxes are bonded.
      'cable connector': 2,
      'ground screw': 2,
      // Pigtails of 7 in. Grounds: box and two devices, box and switch, 35 in. Hots: switch and receptacle, 14 in. Neutral: 7 in.
      'wire 14 bare': 3,
      'wire 14 black': 2,
      'wire 14 white': 1,
      'plate toggle duplex': 1,
      'plate toggle': 1,
      // Stair foot: grounds of two cables, box, two devices 5. Stair head: grounds of two cables, box, switch 4.
      'connector lever-5': 2,
      // Stair foot: neutral 3, hot 3. Stair head: neutral 2, one port to spare.
      'connector lever-3': 3,
      // Stair light: two leads to two conductors.
      'connector lever-2': 2,
      // 28 ft: 2 + ⌈26 / 4.5⌉ − 1 = 7; 24 ft: 2 + ⌈22 / 4.5⌉ − 1 = 6; 9 ft: 2 + ⌈7 / 4.5⌉ − 1 = 3.
      staple: 16,
    });
  });
  test('the quote of the sunroom, line by line', () => {
    const plan = planned('sunroom-plant-shelf');
    const shop = Shop.parse({
      prices: {
        'cable 12-3': '0.9425',
        'box nail-on 1 20.3': '3',
        'device single-pole 15': '3',
        'device duplex 15 tamper-resistant': '3',
        'plate toggle': '0.85',
        'plate duplex': '0.85',
        'connector lever-3': '0.45',
        staple: '0.06',
        'wire 12 bare': '0.30',
        'wire 12 black': '0.30',
      },
      truck: { staple: 5, 'plate toggle': 9 },
      markupPercent: '20',
      taxPercent: '8.25',
      laborPerHour: '90',
    });
    const quote = quoteOf(takeOff(plan), 107, shop);
    // 23 × 0.9425 = 21.6775, to 21.68; boxes 6.00; devices 3.00 twice; plates 0.85 twice; 3 × 0.45; 5 × 0.06;
    // a foot of wire at 0.30 twice.
    expect(quote.lines.map(({ cents }) => cents)).toEqual([2168, 600, 300, 300, 85, 85, 135, 30, 30, 30]);
    expect(quote.materialCents).toBe(3763);
    // 20 % of 37.63 = 7.526, to 7.53; 107 min at 90 an hour = 160.50; 8.25 % of 45.16 = 3.7257, to 3.73.
    expect([quote.markupCents, quote.laborCents, quote.taxCents]).toEqual([753, 16050, 373]);
    expect(quote.totalCents).toBe(3763 + 753 + 16050 + 373);
    // Staples and a toggle plate are on the truck: not bought.
    expect(quote.lines.map(({ buy }) => buy)).toEqual([23, 2, 1, 1, 0, 1, 3, 1, 1, 0]);
    expect(quote.shoppingCents).toBe(3763 - 85 - 30);
    expect(dollars(quote.totalCents)).toBe('$209.39');
  });
});

/** Whole-number arithmetic only: price in ten-thousandths of a dollar, half a cent up. */
function reference(price: string, need: number): number {
  const [whole = '0', part = ''] = price.split('.');
  const tenThousandths = BigInt(whole) * 10_000n + BigInt(part.padEnd(4, '0'));
  return Number((tenThousandths * BigInt(need) + 50n) / 100n);
}
const priceText = fc
  .tuple(fc.nat(99_999), fc.stringMatching(/^\d{0,4}$/))
  .map(([whole, part]) => (part === '' ? String(whole) : `${whole}.${part}`));

test('money: each line, the markup, the labor and the tax to the cent, time after time (whole-number arithmetic)', () => {
  fc.assert(
    fc.property(
      priceText,
      fc.nat(5000),
      fc.nat(9999),
      fc.integer({ min: 0, max: 99_999 }),
      fc.nat(10_000),
      priceText,
      (price, need, markup, tax, minutes, perHour) => {
        const line = {
          key: 'x',
          aisle: 'devices',
          name: 'x',
          unit: 'each',
          need,
          example: '0',
          like: null,
          because: [],
        } as const;
        const percent = (hundredths: number) =>
          `${Math.floor(hundredths / 100)}.${String(hundredths % 100).padStart(2, '0')}`;
        const shop = {
          ...EXAMPLE_SHOP,
          prices: { x: price },
          laborPerHour: perHour,
          markupPercent: percent(markup),
          taxPercent: percent(tax),
        };
        const quote = quoteOf([line], minutes, shop);
        const material = reference(price, need);
        expect(quote.materialCents).toBe(material);
        const share = (amount: number, hundredths: number) =>
          Number((BigInt(amount) * BigInt(hundredths) + 5000n) / 10_000n);
        expect(quote.markupCents).toBe(share(material, markup));
        expect(quote.taxCents).toBe(share(material + quote.markupCents, tax));
        const [whole = '0', part = ''] = perHour.split('.');
        const rate = BigInt(whole) * 10_000n + BigInt(part.padEnd(4, '0'));
        expect(quote.laborCents).toBe(Number((rate * BigInt(minutes) + 3000n) / 6000n));
        expect(quote.totalCents).toBe(material + quote.markupCents + quote.taxCents + quote.laborCents);
      },
    ),
    { numRuns: draws(1000, 10_000) },
  );
});

test('of every random job: things that are there are not bought, what is new is bought once, cable is enough', () => {
  fc.assert(
    fc.property(anyPlan, (plan) => {
      const { job } = plan;
      const lines = takeOff(plan);
      expect(new Set(lines.map(({ key }) => key)).size).toBe(lines.length);
      const count = (aisle: string) =>
        lines.reduce(
          (sum, one) => (one.aisle === aisle && !one.key.startsWith('ring') ? sum + one.need : sum),
          0,
        );
      expect(count('boxes')).toBe(job.boxes.filter(({ existing }) => !existing).length);
      expect(count('devices')).toBe(job.devices.filter(({ was }) => !was).length);
      const feet = plan.wiring.cables.reduce((sum, one) => (one.existing ? sum : sum + one.lengthFt), 0);
      expect(count('cable')).toBeGreaterThanOrEqual(feet);
      for (const line of lines) {
        expect(line.need).toBeGreaterThan(0);
        expect(Number.isInteger(line.need)).toBe(true);
        expect(line.because.length).toBeGreaterThan(0);
        // Lights and fans are the customer's: they have no price, not one of $0.
        expect([line.key, line.example === null]).toEqual([
          line.key,
          /^device (luminaire|fan-light) /.test(line.key),
        ]);
        if (line.example !== null) expect(Shop.safeParse({ prices: { x: line.example } }).success).toBe(true);
      }
      expect(laborMinutes(plan, EXAMPLE_SHOP)).toBeGreaterThanOrEqual(0);
    }),
    { numRuns: 75 },
  );
});

test('a job whose every part is there takes nothing', () => {
  const job = demoJob('stair')!;
  const done = applyCommands(job, []);
  expect(done.ok).toBe(true);
  const { plan } = { plan: planned('stair') };
  const all = {
    ...job,
    boxes: job.boxes.map((box) => ({ ...box, existing: true })),
    devices: job.devices.map((device) => ({ ...device, was: true })),
  };
  const wiring = {
    ...plan.wiring,
    cables: plan.wiring.cables.map((cable) => ({ ...cable, existing: true })),
  };
  expect(takeOff({ ...plan, job: all, wiring })).toEqual([]);
  expect(existingPart(all).devices).toHaveLength(job.devices.length);
});

test('staples and rolls: never farther apart than 4½ ft (NEC 334.30, from memory); rolls cover the feet', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.5, max: 500, noNaN: true }), (feet) => {
      const count = staplesFor(feet);
      if (feet > 2) expect((feet - 2) / (count - 1)).toBeLessThanOrEqual(4.5 + 1e-6);
      const { rolls, leftFt } = rollsOf(Math.ceil(feet), 250);
      expect(rolls * 250 - Math.ceil(feet)).toBe(leftFt);
      expect(leftFt).toBeLessThan(250);
    }),
  );
});

describe('CSV (RFC 4180, read by another parser)', () => {
  test('whatever stands in a cell comes back, and no cell is a formula', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.string(), fc.string()), { minLength: 1 }), (rows) => {
        const text = writeCsv(['a', 'b'], rows);
        const back: string[][] = parse(text, { skip_empty_lines: false, relax_column_count: true });
        expect(back).toHaveLength(rows.length + 1);
        back.slice(1).forEach((row, index) =>
          row.forEach((cell, at) => {
            expect(/^[=+\-@\t\r]/.test(cell)).toBe(false);
            expect(cell.replace(/^'/, '')).toBe(rows[index]![at]!.replace(/^'/, ''));
          }),
        );
      }),
    );
    expect(writeCsv(['a'], [['=1+1']])).toBe("a\r\n'=1+1");
  });
  test('a take-off read again gives the prices it was written with', () => {
    for (const job of demoJobs) {
      const outcome = planJob(job);
      if (!outcome.ok) continue;
      const quote = quoteOf(takeOff(outcome.plan), 0, EXAMPLE_SHOP);
      const read = readPrices(takeOffCsv(quote));
      expect(read.problems).toEqual([]);
      const again = quoteOf(takeOff(outcome.plan), 0, { ...EXAMPLE_SHOP, prices: { ...read.prices } });
      expect(again.materialCents).toBe(quote.materialCents);
    }
  });
  test('odd files: what, where, and the way out; good rows are kept; prototype keys are plain names', () => {
    expect(readPrices('name,cost\na,1').problems[0]).toMatchObject({ path: 'file' });
    const read = readPrices('item,price\nstaple,0.06\nplate,much\n__proto__,1\n,2');
    expect(read.problems.map(({ path }) => path)).toEqual(['row 3', 'row 5']);
    expect(read.prices['staple']).toBe('0.06');
    expect(Object.getPrototypeOf(read.prices)).toBe(Object.prototype);
    expect(readPrices(`item,price\n${'a,1\n'.repeat(5001)}`).problems[0]!.message).toContain('5001');
    expect(readPrices('x'.repeat(1_000_001)).problems[0]!.message).toContain('1,000,001');
    fc.assert(fc.property(fc.string(), (text) => void readPrices(text)));
  });
});

/** Rows of the labor table. */
const TASKS = Object.keys(EXAMPLE_SHOP.minutes).length;

test('the labor table goes out and comes in again; what is no minutes is told by its row', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 0, max: 10_000 }), { minLength: TASKS, maxLength: TASKS }),
      (tenths) => {
        const minutes = Object.fromEntries(
          Object.keys(EXAMPLE_SHOP.minutes).map((task, index) => [task, tenths[index]! / 10]),
        ) as typeof EXAMPLE_SHOP.minutes;
        const read = readPrices(laborCsv({ ...EXAMPLE_SHOP, minutes }));
        expect(read).toEqual({ prices: {}, minutes, problems: [] });
      },
    ),
  );
  const { minutes, problems } = readPrices(
    'task,minutes\nbreaker,25\nboxOpened,soon\nsinging,5\ndeviceNew,\n',
  );
  expect(minutes).toEqual({ breaker: 25 });
  expect(problems.map(({ path }) => path)).toEqual(['row 3', 'row 4', 'row 5']);
});

test('devices and plates are ordered in the color of the house, and nothing else is', () => {
  const plan = planned('stair');
  const lines = takeOff(plan);
  const plain = quoteOf(lines, 0, EXAMPLE_SHOP);
  const ivory = quoteOf(lines, 0, { ...EXAMPLE_SHOP, color: 'ivory' });
  expect(ivory.totalCents).toBe(plain.totalCents);
  for (const [index, { line }] of ivory.lines.entries()) {
    const was = plain.lines[index]!.line.name;
    expect(line.name).toBe(['devices', 'plates'].includes(line.aisle) ? `${was}, ivory` : was);
  }
});

test('a device of its own color is another thing to buy, with its plate; it costs what the plain one does until it has a price', () => {
  const plan = planned('sunroom-plant-shelf');
  const [first] = plan.job.devices.filter(({ kind, was }) => kind === 'duplex' && !was);
  const devices = plan.job.devices.map((one) => (one === first ? { ...one, color: 'ivory' as const } : one));
  const lines = takeOff({ ...plan, job: { ...plan.job, devices } });
  const ivory = lines.filter(({ like }) => like !== null);
  expect(ivory.map(({ aisle, need }) => [aisle, need])).toEqual([
    ['devices', 1],
    ['plates', 1],
  ]);
  for (const { key, name, like } of ivory) {
    expect(name).toMatch(/, ivory$/);
    const prices = { [like!]: '7' };
    const own = (shop: Shop) => quoteOf(lines, 0, shop).lines.find(({ line }) => line.key === key)!;
    expect(own({ ...EXAMPLE_SHOP, color: 'white', prices })).toMatchObject({ price: '7', line: { name } });
    expect(own({ ...EXAMPLE_SHOP, prices: { ...prices, [key]: '9.5' } }).price).toBe('9.5');
  }
  const plain = takeOff(plan);
  const count = (all: typeof plain) =>
    all.reduce((sum, { need, unit }) => (unit === 'each' ? sum + need : sum), 0);
  expect(count(lines)).toBe(count(plain));
});

test('aisles of one’s own: all is still bought, each stop is walked to once, named ones first by their numbers', () => {
  const name = fc.constantFrom('', 'Aisle 2', 'Aisle 14', 'Yard');
  fc.assert(
    fc.property(
      anyPlan,
      fc.dictionary(fc.constantFrom(...AISLES), name),
      fc.array(name, { maxLength: 6 }),
      name,
      (plan, aisles, own, to) => {
        const lines = takeOff(plan);
        const shelved = Object.fromEntries(
          own.flatMap((one, at) => (lines[at] ? [[lines[at].key, one]] : [])),
        );
        const shop = { ...EXAMPLE_SHOP, aisles, shelved };
        const quote = quoteOf(lines, 0, shop);
        const plain = quoteOf(lines, 0, EXAMPLE_SHOP);
        const keys = (all: typeof quote) => all.lines.map(({ line }) => line.key).sort();
        expect(keys(quote)).toEqual(keys(plain));
        expect(quote.totalCents).toBe(plain.totalCents);
        const stops = stopsOf(quote.lines);
        expect(stops.flatMap((stop) => stop.lines)).toEqual(quote.lines);
        const named = stops.flatMap((stop) => stop.own ?? []);
        expect(named).toEqual(['Aisle 2', 'Aisle 14', 'Yard'].filter((one) => named.includes(one)));
        expect(stops.slice(0, named.length).map((stop) => stop.own)).toEqual(named);
        for (const { own: where, line } of quote.lines)
          expect(where).toBe((shelved[line.key] ?? '') || (aisles[line.aisle] ?? '') || null);
        // Under another name nothing else moves; under none it is where we have it.
        const [stop] = stops;
        if (!stop) return;
        const after = changeShop(shop, renamedStop(stop, shop, to));
        if (!after.ok) throw new Error('refused');
        const moved = new Set(stop.lines.map(({ line }) => line.key));
        for (const { own: where, line } of quoteOf(lines, 0, after.value).lines)
          if (to !== '' && moved.has(line.key)) expect(where).toBe(to);
          else if (!moved.has(line.key))
            expect(where).toBe(quote.lines.find((one) => one.line.key === line.key)!.own);
      },
    ),
    { numRuns: 50 },
  );
});
