import { expect, test } from '@jest/globals';
import { demoJob } from '../jobs/demo-house';
import { applyCommand } from '../commands/command';
import { planJob, type Plan } from '../plan';
import { connectorsFor } from '../standards/connectors';
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
    'Mark both jackets',
    'Strip the sheath',
    'Grounds: join 2, add 1 tail',
    'Neutrals: join 2, add 1 tail',
    'Hots: join 2, add 1 tail',
    'Break the tab between the brass screws only',
    'Ground tail → green',
    'White tail → silver, upper',
    'Black tail → brass, upper',
    'Red (Garden door) → brass, lower',
    'Fold and mount',
  ]);
});

test('the switch at the end caps its neutral for a later switch, and says why (404.2(C), from memory)', () => {
  const cap = makeUpSteps(fedAtShelf, 'garden-door').find(({ stage }) => stage === 'cap')!;
  expect(cap.title).toBe('Cap white (feed)');
  expect(cap.why).toContain('404.2(C)');
});

test('a metal box has its own ground tail, joined before the devices (250.148(C), from memory)', () => {
  const steps = makeUpSteps(plan('stair'), 'stair-foot');
  const at = (find: string) => steps.findIndex(({ title }) => title.includes(find));
  expect(steps.find(({ title }) => title.startsWith('Grounds'))!.title).toBe('Grounds: join 2, add 3 tails');
  expect(at('box screw')).toBeGreaterThan(at('Hots'));
  expect(at('box screw')).toBeLessThan(at('3-way switch: Ground'));
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

test('connectors: smallest that fits, and a splice too large for one is split over two with a jumper (common practice)', () => {
  const names = (count: number, school: 'lever' | 'twist-on') =>
    connectorsFor(count, 12, school).map(({ name }) => name);
  expect(names(2, 'lever')).toEqual(['2-port lever connector']);
  expect(names(4, 'lever')).toEqual(['5-port lever connector']);
  expect(names(6, 'lever')).toEqual(['5-port lever connector', '3-port lever connector']);
  expect(names(3, 'twist-on')).toEqual(['medium twist-on']);
  expect(names(5, 'twist-on')).toEqual(['large twist-on']);
});
