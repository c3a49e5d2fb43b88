import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { Design } from '../../job/model/design';
import { APPLIANCES, type ApplianceId } from '../../trade/standards/appliances';
import { duplexIn, sketch } from '../../testing/jobs';
import { BAND, breakerSays, longestS } from '../../trade/standards/breaker-band';
import { dayProfile } from './day-profile';
import { headroom } from './headroom';
import { circuitLoad } from './load';
import { ownCircuit } from './own-circuit';
import { say } from '../../base/words/standards';

/*
 * Laws of loads on random circuits. Limits: 210.20(A) continuous load at 125 %, 220.18 the rating, 210.23 80 % for one
 * appliance, Table 210.21(B)(2) the receptacle (NEC, from memory).
 */

interface Draw {
  readonly breakerA: 15 | 20;
  readonly ratingA: 15 | 20;
  readonly there: number;
  readonly upper: number;
  readonly continuous: boolean;
  readonly appliance?: ApplianceId;
}
const draw: fc.Arbitrary<Draw> = fc.record({
  breakerA: fc.constantFrom(15 as const, 20 as const),
  ratingA: fc.constantFrom(15 as const, 20 as const),
  there: fc.integer({ min: 0, max: 2600 }),
  upper: fc.integer({ min: 0, max: 1000 }),
  continuous: fc.boolean(),
});
const jobOf = (
  { breakerA, ratingA, there, upper, continuous, appliance }: Draw,
  lower = 0,
  lowerContinuous = false,
): Design => {
  const base = sketch({
    breakerA,
    boxes: ['one'],
    runs: ['panel-one:20'],
    devices: [duplexIn('one', null, null)],
  });
  const power = { does: 'power', circuit: 'c', control: null } as const;
  return Design.parse({
    ...base,
    circuits: base.circuits.map((one) => ({ ...one, existingLoadVA: there })),
    devices: base.devices.map((one) => ({
      ...one,
      ratingA,
      wants: {
        upper: { ...power, watts: upper, continuous, appliance },
        lower: { ...power, watts: lower, continuous: lowerContinuous },
      },
    })),
  });
};
const roomOf = (job: Design) => headroom(job, job.circuits[0]!, job.devices[0]!);
const rulesOf = (job: Design) => circuitLoad(job, job.circuits[0]!).findings.map(({ rule }) => rule);
/** A receptacle that its circuit may hold (Table 210.21(B)(3)). */
const allowed = ({ breakerA, ratingA }: Draw) => breakerA >= ratingA;

describe('what can still be plugged in', () => {
  test('so much, and no limit speaks that did not before; two watts more, and one does', () => {
    fc.assert(
      fc.property(draw, (one) => {
        fc.pre(allowed(one));
        const before = rulesOf(jobOf(one));
        const { watts } = roomOf(jobOf(one));
        const within = rulesOf(jobOf(one, watts));
        if (watts > 0) expect(within).toEqual(before);
        expect(rulesOf(jobOf(one, watts + 2)).length).toBeGreaterThan(0);
      }),
    );
  });
  test('the same for what runs three hours or more', () => {
    fc.assert(
      fc.property(draw, (one) => {
        fc.pre(allowed(one));
        const before = rulesOf(jobOf(one));
        const { continuousWatts } = roomOf(jobOf(one));
        if (continuousWatts > 0) expect(rulesOf(jobOf(one, continuousWatts, true))).toEqual(before);
        expect(rulesOf(jobOf(one, continuousWatts + 2, true)).length).toBeGreaterThan(0);
      }),
    );
  });
  test('never negative, never more for a long run, never more with more on the circuit', () => {
    fc.assert(
      fc.property(draw, fc.integer({ min: 0, max: 600 }), (one, more) => {
        const room = roomOf(jobOf(one));
        const after = roomOf(jobOf({ ...one, there: one.there + more }));
        expect(room.watts).toBeGreaterThanOrEqual(0);
        expect(room.continuousWatts).toBeLessThanOrEqual(room.watts);
        expect(after.watts).toBeLessThanOrEqual(room.watts);
        expect(after.continuousWatts).toBeLessThanOrEqual(room.continuousWatts);
      }),
    );
  });
  test.each([
    [15, 15, 0, 1440, 'appliance'],
    [20, 15, 0, 1440, '15 A receptacle'],
    [20, 20, 0, 1920, 'appliance'],
    [20, 20, 1000, 1400, 'left'],
    [15, 20, 0, 0, '20 A receptacle'],
    [15, 15, 1800, 0, 'left'],
  ] as const)(
    'breaker %i A, receptacle %i A, %i VA there: %i W, by the %s',
    (breakerA, ratingA, there, watts, by) => {
      const room = roomOf(jobOf({ breakerA, ratingA, there, upper: 0, continuous: false }));
      expect(room.watts).toBe(watts);
      expect(room.limitedBy).toContain(by);
    },
  );
});

describe('a circuit', () => {
  test('counts what is there and added, the long-running part at 125 %', () => {
    fc.assert(
      fc.property(draw, (one) => {
        const load = circuitLoad(jobOf(one), jobOf(one).circuits[0]!);
        expect(load.capacityVA).toBe(one.breakerA * 120);
        expect(load.continuousCapacityVA).toBe(one.breakerA * 96);
        expect(load.countedVA).toBeCloseTo(one.there + one.upper * (one.continuous ? 1.25 : 1), 6);
        expect(load.spareVA + load.countedVA).toBeCloseTo(load.capacityVA, 6);
      }),
    );
  });
  test('a space heater of 1500 W is 12.5 A: too much for one appliance on 15 A, and for a 15 A receptacle on 20 A', () => {
    const heater = (breakerA: 15 | 20, ratingA: 15 | 20) =>
      circuitLoad(
        jobOf({ breakerA, ratingA, there: 0, upper: 1500, continuous: false }),
        jobOf({ breakerA, ratingA, there: 0, upper: 1500, continuous: false }).circuits[0]!,
      ).findings.map(({ rule, section }) => [rule, section]);
    expect(heater(15, 15)).toEqual([['L03', '210.23']]);
    expect(heater(20, 15)).toEqual([['L03', 'Table 210.21(B)(2)']]);
    expect(heater(20, 20)).toEqual([]);
  });
});

describe('a day', () => {
  const whole = (one: Draw) => dayProfile(jobOf(one), jobOf(one).circuits[0]!);
  test('has 24 hours, none with more than is on the circuit, one with all that was there', () => {
    fc.assert(
      fc.property(draw, (one) => {
        const hours = whole(one);
        expect(hours.map(({ hour }) => hour)).toEqual(Array.from({ length: 24 }, (_, hour) => hour));
        for (const { existingVA, addedVA } of hours) {
          expect(existingVA).toBeLessThanOrEqual(one.there);
          expect(addedVA).toBeLessThanOrEqual(one.upper);
        }
        expect(Math.max(...hours.map(({ existingVA }) => existingVA))).toBe(one.there);
      }),
    );
  });
  test.each(APPLIANCES.map((one) => [one.name, one] as const))(
    '%s runs at its hours',
    (_, { id, watts, hours }) => {
      const added = whole({
        breakerA: 20,
        ratingA: 20,
        there: 0,
        upper: watts,
        continuous: false,
        appliance: id,
      });
      expect(added.filter(({ addedVA }) => addedVA > 0).map(({ hour }) => hour)).toEqual(
        [...hours].sort((a, b) => a - b),
      );
      expect(hours.length).toBeGreaterThan(0);
    },
  );
});

describe('a breaker (UL 489, from memory)', () => {
  test('holds its rating for ever, opens at 135 % within an hour and at 200 % within two minutes', () => {
    expect(longestS(1)).toBe(Number.POSITIVE_INFINITY);
    expect(longestS(1.35)).toBeCloseTo(3600, 6);
    expect(longestS(2)).toBeCloseTo(120, 6);
  });
  test('more current never takes longer', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 20, noNaN: true }),
        fc.double({ min: 0, max: 5, noNaN: true }),
        (times, more) => {
          expect(longestS(times + more)).toBeLessThanOrEqual(longestS(times));
        },
      ),
    );
    // From the standard's point at 200 % on the heat that opens it stays the same: current squared times seconds.
    for (const { times, seconds } of BAND.filter((one) => one.times >= 2))
      expect(times ** 2 * seconds).toBeCloseTo(2 ** 2 * 120, 6);
    // Between the two points of the standard it is a straight line on doubly logarithmic paper.
    for (const { times, seconds } of BAND.filter((one) => one.times < 2)) {
      const slope = (Math.log(3600) - Math.log(seconds)) / (Math.log(times) - Math.log(1.35) || 1);
      if (times > 1.35) expect(slope).toBeCloseTo(Math.log(30) / Math.log(2 / 1.35), 6);
    }
  });
  test('in words', () => {
    expect(breakerSays(15, 15)).toBe('holds');
    expect(breakerSays(18, 15)).toBe(say('breakerBand.over'));
    expect(breakerSays(20.25, 15)).toBe(say('breakerBand.tripsWithinMin', { round: 60 }));
    expect(breakerSays(40, 20)).toBe(say('breakerBand.tripsWithinMin', { round: 2 }));
    expect(breakerSays(60, 20)).toMatch(/^trips within \d+ s$/);
  });
});

test('rooms whose receptacles have a 20 A circuit of their own (NEC 210.11(C), from memory)', () => {
  expect((['kitchen', 'pantry', 'dining'] as const).map(ownCircuit)).toEqual(
    Array(3).fill('small appliance'),
  );
  expect((['laundry', 'bathroom', 'garage'] as const).map(ownCircuit)).toEqual([
    'laundry',
    'bathroom',
    'garage',
  ]);
  expect((['bedroom', 'hallway', 'sunroom', 'other'] as const).map(ownCircuit)).toEqual(Array(4).fill(null));
});
