import { describe, expect, test } from '@jest/globals';
import { duplexIn, sketch } from '../../testing/jobs';
import { circuitLoad } from './load';

/** One duplex with a load on its upper half. */
const load = (
  breakerA: 15 | 20,
  watts: number,
  options: { ratingA?: 15 | 20; continuous?: boolean } = {},
) => {
  const outlet = duplexIn('one', null, null);
  const job = sketch({
    breakerA,
    boxes: ['one'],
    runs: ['panel-one:30'],
    devices: [
      {
        ...outlet,
        ratingA: options.ratingA ?? 15,
        wants: {
          ...outlet.wants,
          upper: { ...outlet.wants.upper, watts, continuous: options.continuous ?? false },
        },
      },
    ],
  });
  return circuitLoad(job, job.circuits[0]!);
};
const rules = (result: ReturnType<typeof load>) =>
  result.findings.map(({ rule, section }) => `${rule} ${section}`);

describe('circuit load (NEC 210.20, 210.23, Table 210.21(B)(2), from memory)', () => {
  test('15 A: 1800 VA, 1440 VA continuous; 20 A: 2400 and 1920', () => {
    const limits = ([15, 20] as const).map((breakerA) => load(breakerA, 0));
    expect(limits.map(({ capacityVA, continuousCapacityVA }) => [capacityVA, continuousCapacityVA])).toEqual([
      [1800, 1440],
      [2400, 1920],
    ]);
  });
  test('a 1500 W heater, 12.5 A, is over 80 % of 15 A', () => {
    expect(rules(load(15, 1500))).toEqual(['L03 210.23']);
  });
  test('on 20 A it is under 16 A but over the 12 A of a 15 A receptacle: it needs a 20 A one', () => {
    expect(rules(load(20, 1500))).toEqual(['L03 Table 210.21(B)(2)']);
    expect(rules(load(20, 1500, { ratingA: 20 }))).toEqual([]);
  });
  test('1440 W (12 A) is just allowed on 15 A', () => expect(rules(load(15, 1440))).toEqual([]));
  test('a 20 A receptacle may not be on a 15 A circuit (Table 210.21(B)(3))', () => {
    expect(rules(load(15, 100, { ratingA: 20 }))).toEqual(['S03 Table 210.21(B)(3)']);
  });
  test('continuous load counts at 125 %', () => {
    const result = load(20, 2000, { ratingA: 20, continuous: true });
    expect(result.countedVA).toBe(2500);
    expect(rules(result)).toContain('L01 210.20(A)');
  });
});
