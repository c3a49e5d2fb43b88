import { describe, expect, test } from '@jest/globals';
import { demoJob } from '@core/jobs/demo-house';
import type { Design } from '@core/model/design';
import { buildNetwork } from '@core/network/network';
import { planJob } from '@core/plan';
import { EMPTY_SCENE, Scene, stateOf } from '~/storage/scene';
import { runBench } from './bench';

/** The network of a job that is wired. */
const networkOf = (job: Design) => {
  const outcome = planJob(job);
  if (!outcome.ok) throw new Error('refused');
  return buildNetwork(outcome.plan.wiring, job.circuits);
};

const bench = (id: string, scene: Partial<Scene> = {}) => {
  const job = demoJob(id)!;
  return runBench(job, networkOf(job), { ...EMPTY_SCENE, ...scene });
};

describe('the bench', () => {
  test('a heater on a lamp circuit is said to be an overload only from its rating on', () => {
    const heaters = { 'shelf-outlet/upper': 'heater', 'shelf-outlet/lower': 'heater' } as const;
    const { notes } = bench('sunroom-plant-shelf', { plugged: heaters, positions: { 'door-switch': 1 } });
    expect(notes).toEqual([expect.stringMatching(/^Breaker 14 carries 2\d\.\d A: over its rating/)]);
    expect(bench('sunroom-plant-shelf', { plugged: { 'shelf-outlet/upper': 'heater' } }).notes).toEqual([]);
  });
  test('the tester says what its legend says, and where', () => {
    const { testers } = bench('sunroom-plant-shelf', { plugged: { 'shelf-outlet/upper': 'tester' } });
    expect(testers[0]!.text).toContain('correct: Plant shelf, upper half');
  });
  test('lamps burn without being plugged in', () => {
    const dark = bench('hall-console');
    expect(dark.live.part('light/lamp')).toMatchObject({ live: false, plugged: null });
    expect(bench('hall-console', { positions: { switch: 1 } }).volts('light/lamp')).toBeGreaterThan(118);
  });
  test('a floating conductor: the meter may show anything, the non-contact tester is inconclusive', () => {
    const meter = {
      impedance: 'high',
      from: 'shelf-outlet:hot-lower',
      to: 'shelf-outlet:neutral-lower',
    } as const;
    expect(bench('sunroom-plant-shelf', { meter }).meter).toContain('ghost voltage');
    const { sniff } = bench('sunroom-plant-shelf');
    expect(sniff('shelf-outlet:hot-lower')).toContain('inconclusive');
    expect(sniff('shelf-outlet:hot-upper')).toBe('lights: hot');
    expect(sniff('no-such-point')).toBe('no reading');
  });
  test('a low-impedance meter to ground trips the device at the bench, and the note names it', () => {
    const meter = { impedance: 'low', from: 'bench-gfci:load-hot', to: 'bench-gfci:ground' } as const;
    const { notes, live } = bench('porch-soffit', { meter });
    expect(notes).toEqual(['The GFCI receptacle at Hall bench trips: 40 mA of ground-fault current.']);
    expect(live.tripped('bench-gfci')).toBe(true);
  });
});

describe('a kept scene', () => {
  test('an old or broken record reads as an empty bench', () => {
    expect(Scene.parse({})).toEqual(EMPTY_SCENE);
    expect(Scene.safeParse({ plugged: { 'a/b': 'toaster-3000' } }).success).toBe(false);
  });
  test('what is plugged in replaces what is built in', () => {
    const { loads, testers } = stateOf(
      { ...EMPTY_SCENE, plugged: { 'a/upper': 'heater', 'b/upper': 'tester' } },
      new Map([['a/upper', 60]]),
    );
    expect([...loads]).toEqual([['a/upper', 1500]]);
    expect([...testers]).toEqual(['b/upper']);
  });
});
