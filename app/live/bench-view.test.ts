import { describe, expect, test } from '@jest/globals';
import { soundHouse } from '@core/power/faults';
import { demoJob } from '@core/handover/jobs/demo-house';
import { operate, type Act } from '@core/site/live/operate';
import { EMPTY_SCENE, Scene } from '@core/site/live/scene';
import type { Setting } from '@core/site/live/standing';
import { planJob } from '@core/wiring/plan';
import { viewBench, type BenchView } from './bench-view';

const settingOf = (id: string): Setting => {
  const outcome = planJob(demoJob(id)!);
  if (!outcome.ok) throw new Error('refused');
  return { job: outcome.plan.job, house: soundHouse(outcome.plan) };
};
const bench = (id: string, ...acts: readonly Act[]): BenchView => {
  const setting = settingOf(id);
  return viewBench(
    setting,
    acts.reduce((scene, act) => operate(setting, scene, act), EMPTY_SCENE),
  );
};

describe('what the bench shows', () => {
  test('a heater on a lamp circuit is said to be an overload only from its rating on', () => {
    const heaters: Act[] = ['upper', 'lower'].map((half) => ({
      do: 'plug',
      part: `shelf-outlet/${half}`,
      what: 'heater',
    }));
    const { notes } = bench('sunroom-plant-shelf', ...heaters, { do: 'handle', device: 'door-switch' });
    expect(notes).toEqual([expect.stringMatching(/^Breaker 14 carries 2\d\.\d A: over its rating/)]);
    expect(bench('sunroom-plant-shelf', heaters[0]!).notes).toEqual([]);
  });
  test('the tester says what its legend says, and where', () => {
    const { testers } = bench('sunroom-plant-shelf', {
      do: 'plug',
      part: 'shelf-outlet/upper',
      what: 'tester',
    });
    expect(testers[0]!.text).toContain('correct: Plant shelf, upper half');
  });
  test('lamps burn without being plugged in', () => {
    expect(bench('hall-console').live.part('light/lamp')).toMatchObject({ light: 'dark', plugged: null });
    const lit = bench('hall-console', { do: 'handle', device: 'switch' });
    expect(lit.live.part('light/lamp')).toMatchObject({ light: 'lit' });
    expect(lit.loads.map(({ part }) => part)).toEqual(['light/lamp']);
  });
  test('a floating conductor: the meter may show anything, the non-contact tester is inconclusive', () => {
    const probe = (point: string): Act => ({ do: 'probe', point, impedance: 'high' });
    const { meter } = bench(
      'sunroom-plant-shelf',
      probe('shelf-outlet:hot-lower'),
      probe('shelf-outlet:neutral-lower'),
    );
    expect(meter).toContain('Ghost voltage');
    const tip = (at: string) => bench('sunroom-plant-shelf', { do: 'tip', at }).tip;
    expect(tip('shelf-outlet:hot-lower')).toContain('inconclusive');
    expect(tip('shelf-outlet:hot-upper')).toBe('lights: hot');
    expect(tip('no-such-point')).toBe('no reading');
  });
  test('a low-impedance meter to ground trips the device at the bench, and the note names it', () => {
    const probe = (point: string): Act => ({ do: 'probe', point, impedance: 'low' });
    const { notes, live } = bench('porch-soffit', probe('bench-gfci:load-hot'), probe('bench-gfci:ground'));
    expect(notes).toEqual(['The GFCI receptacle at Hall bench trips: 40 mA of ground-fault current.']);
    expect(live.tripped('bench-gfci')).toBe(true);
  });
  test('both places of a GFCI receptacle take a plug, and their watts add up', () => {
    const both: Act[] = ['bench-gfci/outlet', 'bench-gfci/outlet+2'].map((part) => ({
      do: 'plug',
      part,
      what: 'lamp',
    }));
    const { loads, live } = bench('porch-soffit', ...both);
    expect(loads.find(({ part }) => part === 'bench-gfci/outlet')!.flow.amps).toBeCloseTo(1, 1);
    expect(live.part('bench-gfci/outlet+2')).toMatchObject({ live: true, plugged: 'lamp' });
  });
});

describe('a kept scene', () => {
  test('an old record reads with what it never had; a broken one does not read', () => {
    expect(Scene.parse({})).toEqual(EMPTY_SCENE);
    expect(Scene.parse({ meter: { impedance: 'low', from: 'a', to: null } }).rewired).toEqual(
      EMPTY_SCENE.rewired,
    );
    expect(Scene.safeParse({ plugged: { 'a/b': 'toaster-3000' } }).success).toBe(false);
    expect(Scene.safeParse({ rewired: { ends: { a: { at: 'moon' } } } }).success).toBe(false);
  });
});
