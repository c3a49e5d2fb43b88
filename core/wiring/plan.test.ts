import { describe, expect, test } from '@jest/globals';
import type { Plan } from './plan';
import { planJob } from './plan';
import { prove } from '../power/proof/prove';
import { duplexIn, lightIn, sketch, switchIn, type Sketch } from '../testing/jobs';
import { say } from '../base/words/layout';

/*
 * The counts below are common practice: they follow from the make-up order (grounds, neutrals, hots) with one
 * tail for each device and one for each metal box.
 */

const plan = (words: Sketch): Plan => {
  const outcome = planJob(sketch(words));
  if (!outcome.ok) throw new Error(outcome.refusals.map(({ message }) => message).join(' '));
  const proof = prove(outcome.plan.job, outcome.plan.wiring);
  expect(proof.findings).toEqual([]);
  return outcome.plan;
};
const refusal = (words: Sketch) => {
  const outcome = planJob(sketch(words));
  if (outcome.ok) throw new Error('planned');
  return outcome.refusals[0]!;
};
const cable = ({ wiring }: Plan, run: string) => wiring.cables.find((one) => one.run === run)!;
/** Conductors in a splice, its tails counted. */
const splice = ({ wiring }: Plan, id: string) => {
  const ends = wiring.splices.find((one) => one.id === id)?.ends.length ?? 0;
  return ends + wiring.tails.filter(({ from }) => from.at === 'splice' && from.splice === id).length;
};
const tails = ({ wiring }: Plan, box: string, role: string) =>
  wiring.tails.filter((tail) => tail.box === box && tail.role === role).length;
const lands = ({ wiring }: Plan, end: string) =>
  wiring.terminations.find((one) => one.end === end)?.terminal ??
  wiring.splices.find((one) => one.ends.some((own) => own === end))?.id ??
  'capped';
const broken = ({ wiring }: Plan, device: string) =>
  wiring.devices.find(({ id }) => id === device)!.brokenTabs;

describe('two-gang box with the feed, an always-on receptacle and a switch for a light', () => {
  test('tails 2 ground, 1 neutral, 2 hot; splices 4, 3 and 3; the switch leg unspliced (common practice)', () => {
    const made = plan({
      boxes: ['wall', 'ceiling'],
      runs: ['panel-wall:30', 'wall-ceiling:15'],
      groups: ['light'],
      devices: [switchIn('wall', 'light'), duplexIn('wall', null, null, 1), lightIn('ceiling', 'light')],
    });
    expect(['ground', 'neutral', 'hot'].map((role) => tails(made, 'wall', role))).toEqual([2, 1, 2]);
    expect(['ground', 'neutral/c', 'hot/c'].map((net) => splice(made, `wall~${net}`))).toEqual([4, 3, 3]);
    expect(cable(made, 'wall-ceiling').type).toBe('12-2');
    expect(lands(made, 'wall-ceiling:black@wall')).toBe('wall-light-switch:upper');
  });
});

describe('half-switched outlet, feed at the outlet', () => {
  const words: Sketch = {
    boxes: ['shelf', 'door'],
    runs: ['panel-shelf:34=12-2', 'shelf-door:18'],
    groups: ['shelf'],
    devices: [duplexIn('shelf', null, 'shelf'), switchIn('door', 'shelf')],
  };

  test('x-3 to the switch; hot splice 3, hot tab broken, neutral tab whole; neutral capped (common practice)', () => {
    const made = plan(words);
    expect(cable(made, 'shelf-door').type).toBe('12-3');
    expect(splice(made, 'shelf~hot/c')).toBe(3);
    expect(splice(made, 'shelf~neutral/c')).toBe(3);
    expect(broken(made, 'shelf-outlet')).toEqual(['hot-tab']);
    expect(lands(made, 'shelf-door:white@door')).toBe('capped');
    expect(lands(made, 'shelf-door:black@door')).toBe('door-shelf-switch:lower');
    expect(lands(made, 'shelf-door:red@door')).toBe('door-shelf-switch:upper');
    expect(lands(made, 'shelf-door:red@shelf')).toBe('shelf-outlet:hot-lower');
  });

  test('neutral only where asked: x-2 with the white taped as the supply (404.2(C), 200.7(C)(1), from memory)', () => {
    const made = plan({ ...words, habits: { neutralAtSwitches: 'where asked' } });
    const run = cable(made, 'shelf-door');
    expect(run.type).toBe('12-2');
    const white = run.conductors.find(({ insulation }) => insulation === 'white')!;
    expect([white.role, white.reidentified]).toEqual(['hot', true]);
    expect(run.conductors.find(({ insulation }) => insulation === 'black')!.role).toBe('switched');
  });

  test('red constant to the switch, where that is the habit (common practice)', () => {
    const made = plan({ ...words, habits: { runColors: 'red constant' } });
    expect(lands(made, 'shelf-door:red@door')).toBe('door-shelf-switch:lower');
    expect(lands(made, 'shelf-door:black@shelf')).toBe('shelf-outlet:hot-lower');
  });

  test('line on the upper screw, where that is the habit (common practice)', () => {
    const made = plan({ ...words, habits: { lineScrew: 'upper' } });
    expect(lands(made, 'shelf-door:black@door')).toBe('door-shelf-switch:upper');
  });
});

test('half-switched outlet, feed at the switch: x-3, hot splice 3, red straight to the run (common practice)', () => {
  const made = plan({
    boxes: ['door', 'shelf'],
    runs: ['panel-door:34', 'door-shelf:18'],
    groups: ['shelf'],
    devices: [switchIn('door', 'shelf'), duplexIn('shelf', null, 'shelf')],
  });
  expect(cable(made, 'door-shelf').type).toBe('12-3');
  expect(splice(made, 'door~hot/c')).toBe(3);
  expect(lands(made, 'door-shelf:red@door')).toBe('door-shelf-switch:upper');
  expect(lands(made, 'door-shelf:black@shelf')).toBe('shelf-outlet:hot-upper');
});

test('whole outlet switched, feed at a metal receptacle box: 4 grounds, neutral 3, hot 2 (common practice)', () => {
  const made = plan({
    boxes: [{ id: 'shelf', family: 'metal square' }, { id: 'door' }],
    runs: ['panel-shelf:34', 'shelf-door:18'],
    groups: ['shelf'],
    devices: [duplexIn('shelf', 'shelf', 'shelf'), switchIn('door', 'shelf')],
  });
  expect(cable(made, 'shelf-door').type).toBe('12-3');
  expect(['ground', 'neutral/c', 'hot/c'].map((net) => splice(made, `shelf~${net}`))).toEqual([4, 3, 2]);
  expect(broken(made, 'shelf-outlet')).toEqual([]);
});

test('two 3-ways, the first beside a receptacle with the feed, light from the second: 5, 3, 3 and 4, 2 (common practice)', () => {
  const made = plan({
    boxes: [{ id: 'bottom', family: 'metal square' }, { id: 'top', family: 'metal device' }, { id: 'lamp' }],
    runs: ['panel-bottom:30', 'bottom-top:20', 'top-lamp:10'],
    groups: ['stair'],
    devices: [
      switchIn('bottom', 'stair'),
      duplexIn('bottom', null, null, 1),
      switchIn('top', 'stair'),
      lightIn('lamp', 'stair'),
    ],
  });
  expect(cable(made, 'bottom-top').type).toBe('12-3');
  expect(['ground', 'neutral/c', 'hot/c'].map((net) => splice(made, `bottom~${net}`))).toEqual([5, 3, 3]);
  expect(['ground', 'neutral/c'].map((net) => splice(made, `top~${net}`))).toEqual([4, 2]);
  expect(lands(made, 'top-lamp:black@top')).toBe('top-stair-switch:common');
});

test('switch loop, both wires of one x-2 on the switch: no always-on outlet there (common practice)', () => {
  const refused = refusal({
    boxes: ['lamp', 'hatch'],
    runs: ['panel-lamp:30=14-2', 'lamp-hatch:12=14-2'],
    breakerA: 15,
    groups: ['light'],
    devices: [lightIn('lamp', 'light'), switchIn('hatch', 'light'), duplexIn('hatch', null, null, 1)],
  });
  expect(refused.code).toBe('too few conductors');
  expect(refused.at).toEqual([{ kind: 'run', id: 'lamp-hatch' }]);
  expect(refused.says).toMatchObject({
    code: 'fitRun.existingTooFew',
    with: { netsCount: 3, type: '14-2', count: 2 },
  });
  expect(refused.ways).toContain(say('fitRun.replaceNew', { type: '14-3' }));
});

test('the same loop without the outlet is wired: white taped as the supply (200.7(C)(1), from memory)', () => {
  const made = plan({
    boxes: ['lamp', 'hatch'],
    runs: ['panel-lamp:30=14-2', 'lamp-hatch:12=14-2'],
    breakerA: 15,
    groups: ['light'],
    devices: [lightIn('lamp', 'light'), switchIn('hatch', 'light')],
  });
  // The lead of the light is spliced, never put under a screw.
  expect(lands(made, 'lamp-hatch:black@lamp')).toBe('lamp~switched/light');
  expect(made.wiring.tails.find(({ to }) => to === 'lamp-light:hot')).toMatchObject({ lead: true });
  expect(cable(made, 'lamp-hatch').conductors[1]).toMatchObject({ role: 'hot', reidentified: true });
});

test('switch orders are chosen together: 8 conductors in two runs, where one group alone takes 10 (enumerated by hand)', () => {
  const made = plan({
    boxes: ['zero', 'one', 'two'],
    runs: ['panel-zero:10', 'zero-one:10', 'one-two:10'],
    groups: ['p', 'q'],
    devices: [
      switchIn('zero', 'p', 1),
      switchIn('one', 'p', 1),
      switchIn('two', 'p', 1),
      { ...lightIn('zero', 'p') },
      switchIn('two', 'q', 2),
      lightIn('two', 'q'),
    ],
    habits: { neutralAtSwitches: 'where asked' },
  });
  const carried = made.layout.runs
    .filter(({ run }) => run.from !== 'panel')
    .reduce((sum, { nets }) => sum + nets.length, 0);
  expect(carried).toBe(8);
});

test('a 14 AWG cable is refused on a 20 A breaker (240.4(D), from memory)', () => {
  const refused = refusal({
    boxes: ['shelf'],
    runs: ['panel-shelf:34=14-2'],
    devices: [duplexIn('shelf', null, null)],
  });
  expect(refused.code).toBe('conductor too small');
  expect(refused.ways[0]).toContain('12-2');
});

test('a switch that controls nothing gets its ground and nothing else', () => {
  const made = plan({
    boxes: ['shelf', 'door'],
    runs: ['panel-shelf:34', 'shelf-door:18'],
    groups: ['shelf'],
    devices: [duplexIn('shelf', null, null), switchIn('door', 'shelf')],
  });
  expect(
    made.wiring.terminations.filter(({ box }) => box === 'door').map(({ terminal }) => terminal),
  ).toEqual(['door-shelf-switch:ground']);
});
