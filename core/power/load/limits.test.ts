import { describe, expect, test } from '@jest/globals';
import { Design } from '../../job/model/design';
import { planJob } from '../../wiring/plan';
import { bundleFactor } from '../../trade/standards/conductors';
import { duplexIn, sketch } from '../../testing/jobs';
import { breakerSays, BAND, longestS } from '../../trade/standards/breaker-band';
import { dayProfile } from './day-profile';
import { headroom } from './headroom';
import { formulaDropV, voltageDrops } from './voltage-drop';

const loaded = (watts: number, feet = 60, breakerA: 15 | 20 = 20): Design => {
  const base = sketch({
    breakerA,
    boxes: ['far'],
    runs: [`panel-far:${feet}`],
    devices: [duplexIn('far', null, null)],
  });
  return Design.parse({
    ...base,
    devices: base.devices.map((one) => ({
      ...one,
      wants: { ...one.wants, upper: { ...one.wants['upper'], watts } },
    })),
  });
};
const wiringOf = (job: Design) => {
  const outcome = planJob(job);
  if (!outcome.ok) throw new Error('refused');
  return outcome.plan.wiring;
};

describe('conductors together', () => {
  test('adjustment for conductors together: 4–6 80 %, 7–9 70 %, 10–20 50 % (310.15(C)(1), from memory)', () => {
    expect([3, 4, 6, 7, 9, 10, 20].map(bundleFactor)).toEqual([1, 0.8, 0.8, 0.7, 0.7, 0.5, 0.5]);
  });
});

describe('voltage drop', () => {
  test('20 A, 60 ft of 12 AWG one way, 16 A: 2 × 60/1000 × 1.93 × 16 = 3.71 V, 3.1 % (formula)', () => {
    expect(formulaDropV(12, 60, 16)).toBeCloseTo(3.71, 2);
    expect(formulaDropV(12, 60, 16) / 120).toBeCloseTo(0.031, 3);
  });
  test('the network agrees with the formula, contacts and source added', () => {
    const job = loaded(1440);
    const [drop] = voltageDrops(job, wiringOf(job));
    const amps = (1440 / 120 ** 2) * (120 - drop!.dropV);
    const plain = formulaDropV(12, 60, amps);
    expect(drop!.dropV).toBeGreaterThan(plain);
    expect(drop!.dropV - plain).toBeLessThan(0.05 * amps);
  });
  test('an outlet with nothing in use loses nothing', () => {
    expect(voltageDrops(loaded(0), wiringOf(loaded(0)))).toEqual([]);
  });
});

describe('what could still be plugged in (210.20(A), 210.23, Table 210.21(B)(2), from memory)', () => {
  const of = (job: Design, ratingA: 15 | 20 = 15) => headroom(job, job.circuits[0]!, { ratingA });
  test('an empty 20 A circuit: 12 A at a 15 A receptacle, 16 A at a 20 A one', () => {
    expect(of(loaded(0)).watts).toBe(1440);
    expect(of(loaded(0), 20).watts).toBe(1920);
  });
  test('what is there takes its share; three hours or more counts at 125 %', () => {
    const left = of(loaded(1500), 20);
    expect(left.watts).toBe(900);
    expect(left.continuousWatts).toBe(720);
    expect(left.limitedBy).toMatch(/left/);
  });
  test('never less than nothing', () => expect(of(loaded(3000)).watts).toBe(0));
});

describe('the breaker (UL 489, from memory)', () => {
  test('holds 100 %; 135 % within an hour; 200 % within two minutes', () => {
    expect(longestS(1)).toBe(Number.POSITIVE_INFINITY);
    expect(longestS(1.35)).toBeCloseTo(3600, 6);
    expect(longestS(2)).toBeCloseTo(120, 6);
    expect([breakerSays(15, 15), breakerSays(20.25, 15), breakerSays(30, 15)]).toEqual([
      'holds',
      'trips within 60 min',
      'trips within 2 min',
    ]);
  });
  test('the more current, the sooner', () => {
    BAND.forEach(({ seconds }, index) => {
      if (index > 0) expect(seconds).toBeLessThan(BAND[index - 1]!.seconds);
    });
  });
});

test('a day: what runs for three hours or more and is not known by its draw runs all day', () => {
  const base = loaded(333);
  const job = Design.parse({
    ...base,
    devices: base.devices.map((one) => ({
      ...one,
      wants: { ...one.wants, upper: { ...one.wants['upper'], continuous: true } },
    })),
  });
  const day = dayProfile(job, { ...job.circuits[0]!, existingLoadVA: 100 });
  expect(day).toHaveLength(24);
  expect(day.every(({ addedVA }) => addedVA === 333)).toBe(true);
  expect(day[20]!.existingVA).toBe(100);
  expect(day[3]!.existingVA).toBe(50);
});
