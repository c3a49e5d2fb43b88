import { describe, expect, test } from '@jest/globals';
import { applyCommands } from '../commands/command';
import { demoJob } from '../jobs/demo-house';
import { Job } from '../model/job';
import { planJob } from '../plan';
import { prove } from '../proof/prove';
import { Site } from '../rules/site';
import { duplexIn, sketch } from '../testing/jobs';
import { protectionNeeds } from './needs';
import { protectionStrategies } from './strategies';

const siteOf = (job: Job): Site => {
  const outcome = planJob(job);
  if (!outcome.ok) throw new Error(outcome.refusals[0]!.message);
  return new Site(job, outcome.plan.wiring);
};
/** Three outlets in a row of a garage. */
const garage = (() => {
  const base = sketch({
    boxes: ['one', 'two', 'three'],
    runs: ['panel-one:20', 'one-two:10', 'two-three:10'],
    devices: ['one', 'two', 'three'].map((id) => duplexIn(id, null, null)),
  });
  return Job.parse({
    ...base,
    rooms: [{ id: 'garage', name: 'Garage', kind: 'garage', wallsFt: [20] }],
    boxes: base.boxes.map((box) => ({ ...box, room: 'garage' })),
  });
})();

describe('what is needed, with its reason', () => {
  test('every outlet of a garage needs GFCI (210.8(A)(2), from memory), and has none yet', () => {
    const needs = protectionNeeds(siteOf(garage));
    expect(needs).toHaveLength(6);
    for (const { gfci, hasGfci, afci, marks } of needs) {
      expect(gfci).toMatch(/210\.8\(A\)\(2\)/);
      expect(hasGfci).toBe(false);
      expect(afci).toBeNull();
      expect(marks).toEqual(['tamper-resistant, 406.12']);
    }
  });
  test('the porch soffit is covered from the bench, which can be reached', () => {
    const needs = protectionNeeds(siteOf(demoJob('porch-soffit')!));
    const soffit = needs.filter(({ user }) => user.device.box === 'soffit');
    expect(soffit.map(({ gfci, hasGfci }) => [gfci !== null, hasGfci])).toEqual([
      [true, true],
      [true, true],
    ]);
    expect(soffit[0]!.marks.join()).toMatch(/weather-resistant.*damp cover/);
  });
});

describe('ways to protect, each compiled and proved', () => {
  const ways = protectionStrategies(garage);
  test('a breaker, the first outlet with LOAD, each outlet', () => {
    expect(new Set(ways.map(({ way }) => way))).toEqual(new Set(['breaker', 'first outlet', 'each outlet']));
    for (const { covered, left } of ways) {
      expect(covered.length).toBeGreaterThanOrEqual(3);
      expect(left).toBe(0);
    }
  });
  test('one device at the first outlet is the cheapest that covers all (common practice)', () => {
    expect(ways[0]!.way).toBe('first outlet');
    expect(ways.find(({ way }) => way === 'each outlet')!.usd).toBeGreaterThan(ways[0]!.usd * 2);
  });
  test('what is said to be covered dies when the button is pressed', () => {
    const first = ways.find(({ way }) => way === 'first outlet')!;
    const done = applyCommands(garage, first.commands);
    if (!done.ok) throw new Error('not applied');
    const { wiring } = siteOf(done.value.job);
    const proof = prove(done.value.job, wiring);
    expect(proof.findings).toEqual([]);
    expect([...proof.coverage.values()].flat().sort()).toEqual([...first.covered].sort());
  });
  test('a place that cannot be reached is said', () => {
    const hidden = Job.parse({
      ...garage,
      boxes: garage.boxes.map((box) => (box.id === 'one' ? { ...box, reach: 'behind appliance' } : box)),
    });
    const first = protectionStrategies(hidden).find(({ way }) => way === 'first outlet')!;
    expect(first.reachable).toBe(false);
    expect(first.says).toMatch(/behind an appliance/);
    expect(first.left).toBeGreaterThan(0);
  });
});
