import { describe, expect, test } from '@jest/globals';
import { demoJob } from '../../handover/jobs/demo-house';
import { say } from '../../base/words/makeup';
import { applyCommand } from '../../job/commands/command';
import { DEVICE_COLOR_NAME } from '../../job/model/place-names';
import { deviceKind } from '../../trade/devices';
import { planJob, type Plan } from '../plan';
import { prove } from '../../power/proof/prove';
import { connectorFor, CONNECTORS } from '../../trade/standards/connectors';
import { duplexIn, lightIn, sketch, switchIn, type Sketch } from '../../testing/jobs';
import { spliceCount } from './splice-steps';
import { makeUpSteps } from './steps';

const plan = (id: string, change?: Parameters<typeof applyCommand>[1]): Plan => {
  const changed = change ? applyCommand(demoJob(id)!, change) : null;
  const outcome = planJob(changed?.ok ? changed.value.job : demoJob(id)!);
  if (!outcome.ok) throw new Error('refused');
  return outcome.plan;
};
const fedAtShelf = plan('sunroom-plant-shelf', { do: 'move feed', run: 'feed', box: 'plant-shelf' });

test('half-switched outlet with the feed: grounds, neutrals, hots, tab, then ground, neutral, hot screws (common practice)', () => {
  expect(makeUpSteps(fedAtShelf, 'plant-shelf').map(({ title }) => title)).toEqual([
    // The feed is old: it is made up already, and is not stripped again.
    'Mark the new jacket',
    'Strip the sheath: 12-3 to Garden door',
    'Splice the 2 grounds, add 1 pigtail',
    'Splice the 2 neutrals, add 1 pigtail',
    'Splice the 2 hots, add 1 pigtail',
    'Break the tab between the brass screws only',
    'Ground pigtail → green screw',
    'White pigtail → upper silver screw',
    'Black pigtail → upper brass screw',
    'Red of the 12-3 to Garden door → lower brass screw',
    'Fold and mount',
  ]);
});

test('a new device of another color than the house is named with its plate where it is mounted; one that stays is not', () => {
  const shelf = demoJob('sunroom-plant-shelf')!;
  const folded = (was: boolean) => {
    const devices = shelf.devices.map((one) => ({ ...one, color: 'gray' as const, was }));
    const outcome = planJob({ ...shelf, devices });
    if (!outcome.ok) throw new Error('refused');
    return makeUpSteps(outcome.plan, 'plant-shelf').find(({ id }) => id === 'fold')!.detail;
  };
  const gray = say('steps.inColor', {
    device: deviceKind('duplex').name,
    color: DEVICE_COLOR_NAME.gray,
  });
  expect(folded(false)).toContain(gray);
  expect(folded(true)).not.toContain(gray);
});

test('the switch at the end caps its neutral for a later switch, and says why (404.2(C), from memory)', () => {
  const cap = makeUpSteps(fedAtShelf, 'garden-door').find(({ stage }) => stage === 'cap')!;
  expect(cap.title).toBe('Cap the white');
  expect(cap.why).toContain('404.2(C)');
});

test('a metal box has its own ground tail, joined before the devices (250.148(C), from memory)', () => {
  const steps = makeUpSteps(plan('stair'), 'stair-foot');
  const at = (find: string) => steps.findIndex(({ title }) => title.includes(find));
  expect(steps.find(({ stage }) => stage === 'ground')!.title).toBe('Splice the 2 grounds, add 3 pigtails');
  expect(at('screw of the box')).toBeGreaterThan(at('hots'));
  expect(at('screw of the box')).toBeLessThan(at('3-way switch, gang 1: Ground'));
});

test('a taped white is a step of its own, in both boxes (200.7(C)(1), from memory)', () => {
  const job = demoJob('attic-hatch-switch')!;
  const outcome = planJob({ ...job, devices: job.devices.filter(({ kind }) => kind !== 'duplex') });
  if (!outcome.ok) throw new Error('refused');
  for (const box of ['attic-light', 'hatch']) {
    expect(makeUpSteps(outcome.plan, box).some(({ stage }) => stage === 'tape')).toBe(true);
  }
});

test('every part that a box holds is handled by some step', () => {
  for (const id of ['sunroom-plant-shelf', 'hall-console', 'stair', 'landing-three-switches']) {
    const made = plan(id);
    for (const box of made.job.boxes) {
      const touched = new Set(makeUpSteps(made, box.id).flatMap(({ touches }) => touches));
      const { splices, tails, terminations, caps } = made.wiring;
      const parts = [
        ...splices.filter((one) => one.box === box.id).map((one) => one.id),
        ...tails.filter((one) => one.box === box.id).map((one) => one.id),
        ...terminations.filter((one) => one.box === box.id).flatMap(({ end, terminal }) => [end, terminal]),
        ...caps.filter((one) => one.box === box.id).map(({ end }) => end),
      ];
      expect(parts.filter((part) => !touched.has(part))).toEqual([]);
    }
  }
});

test('connectors: the smallest of the catalog that fits (common practice)', () => {
  const name = (count: number, school: 'lever' | 'twist-on') =>
    connectorFor(CONNECTORS, school, count, 12)?.name;
  expect([2, 4, 6].map((count) => name(count, 'lever'))).toEqual([
    '2-port lever connector',
    '5-port lever connector',
    undefined,
  ]);
  expect([3, 5].map((count) => name(count, 'twist-on'))).toEqual(['medium twist-on', 'large twist-on']);
});

test('a splice too large for any connector is split over two with a jumper, and says so', () => {
  const job = sketch({
    boxes: ['hub', 'a', 'b', 'c', 'd'],
    runs: ['panel-hub:20', 'hub-a:5', 'hub-b:5', 'hub-c:5', 'hub-d:5'],
    devices: ['hub', 'a', 'b', 'c', 'd'].map((box) => duplexIn(box, null, null)),
  });
  const outcome = planJob(job);
  if (!outcome.ok) throw new Error('refused');
  const { plan: made } = outcome;
  expect(prove(job, made.wiring).findings).toEqual([]);
  const hots = made.wiring.splices.filter(({ box, role }) => box === 'hub' && role === 'hot');
  expect(hots).toHaveLength(2);
  const tails = made.wiring.tails.filter(({ box }) => box === 'hub');
  // Five ends and a tail are six conductors: a 5-port holds four and the jumper, the other one the rest.
  expect(hots.map((splice) => spliceCount(splice, tails))).toEqual([5, 3]);
  const steps = makeUpSteps(made, 'hub').filter(({ stage }) => stage === 'hot');
  expect(steps.map(({ title }) => title)).toEqual([
    expect.stringMatching(/^Cut a jumper for the black of .* \(second connector\): 12 AWG black, 7 in$/),
    expect.stringMatching(/^Splice the black of .*, the black of .* and the black of/),
    expect.stringMatching(/^Put 1 pigtail on the black of .* \(second connector\)$/),
  ]);
  expect(steps.every(({ title, detail }) => `${title} ${detail}`.includes('jumper'))).toBe(true);
});

test('a larger connector in the catalog holds it whole', () => {
  const job = sketch({
    boxes: ['hub', 'a', 'b', 'c', 'd'],
    runs: ['panel-hub:20', 'hub-a:5', 'hub-b:5', 'hub-c:5', 'hub-d:5'],
    devices: ['hub', 'a', 'b', 'c', 'd'].map((box) => duplexIn(box, null, null)),
  });
  const changed = applyCommand(job, {
    do: 'set connector',
    connector: 'lever-5',
    change: { holds: { 14: 8, 12: 8, 10: 8 } },
  });
  const outcome = changed.ok ? planJob(changed.value.job) : null;
  expect(
    outcome?.ok && outcome.plan.wiring.splices.filter(({ box, role }) => box === 'hub' && role === 'hot'),
  ).toHaveLength(1);
});

test('second 3-way box: the neutral of two passes a switch, so three ports with one spare (common practice)', () => {
  const neutral = makeUpSteps(plan('stair'), 'stair-head').find(({ stage }) => stage === 'neutral')!;
  expect(neutral.detail).toContain('3-port lever connector, 1 spare');
});

describe('steps are said as one would on site', () => {
  const steps = (words: Sketch, box: string) => {
    const outcome = planJob(sketch(words));
    if (!outcome.ok) throw new Error('refused');
    return makeUpSteps(outcome.plan, box);
  };
  const titles = (words: Sketch, box: string) => steps(words, box).map(({ title }) => title);
  const details = (words: Sketch, box: string) => steps(words, box).map(({ detail }) => detail);
  const HALVES: Sketch = {
    boxes: ['one'],
    runs: ['panel-one:20'],
    devices: [duplexIn('one', null, null)],
  };

  test('a duplex that is not split is on or off as a whole', () => {
    expect(details(HALVES, 'one')).toContain('both halves always on');
    expect(details(HALVES, 'one').join()).not.toMatch(/upper half|lower half/);
  });
  test('a ground that was left long is no pigtail', () => {
    const folded: Sketch = {
      ...HALVES,
      boxes: ['one', 'two'],
      runs: ['panel-one:20', 'one-two:20'],
      devices: [duplexIn('one', null, null), duplexIn('two', null, null)],
      habits: { grounds: 'folded' },
    };
    const all = titles(folded, 'one');
    expect(all).toContainEqual(expect.stringMatching(/left long → green screw$/));
    expect(all.join()).not.toContain('Ground pigtail');
  });
  test('in a box of several gangs every device is found by its gang', () => {
    const two: Sketch = {
      boxes: ['one', 'two'],
      runs: ['panel-one:20', 'one-two:20'],
      groups: ['g'],
      devices: [switchIn('one', 'g', 0), duplexIn('one', null, null, 1), lightIn('two', 'g')],
    };
    const landed = titles(two, 'one').filter((title) => title.includes('→ '));
    expect(landed.length).toBeGreaterThan(4);
    for (const title of landed) expect(title).toMatch(/, gang [12]: /);
  });
});
