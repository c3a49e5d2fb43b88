import { describe, expect, test } from '@jest/globals';
import { Want, type PowerWant } from '../../job/model/design';
import { partKey, type PartKey } from '../../job/model/wiring';
import { planJob } from '../../wiring/plan';
import { duplexIn, sketch, switchIn } from '../../testing/jobs';
import { prove } from './prove';
import { Wishes, type Seen } from './wishes';

/* Which way up is on is free where two or more places switch one thing (common practice): it is seen, not wished. */

const want = (control: string | null, via: string | null = null) =>
  Want.parse({ does: 'power', circuit: 'c', control, via }) as PowerWant;
const both = new Map([
  ['pair', ['one', 'two']],
  ['single', ['three']],
]);
const at = (one: number, two: number, three = 0) =>
  new Map([
    ['one', one],
    ['two', two],
    ['three', three],
  ]);
const lamp = partKey('lamp', 'lamp');
const seen = (key: string, positions: ReadonlyMap<string, number>, live: boolean): Seen => ({
  key: key as PartKey,
  positions,
  live,
});

describe('which way up is on', () => {
  const wants = new Map([
    [lamp, want('pair')],
    [partKey('gfci', 'outlet'), want('pair')],
    [partKey('shelf', 'lower'), want('single', 'gfci')],
  ]);
  test.each([true, false])('a lamp of two 3-ways that is live at rest: %s', (live) => {
    const wishes = new Wishes(wants, both);
    wishes.learn([seen('lamp/lamp', at(0, 0), live)]);
    expect([at(0, 0), at(1, 0), at(0, 1), at(1, 1)].map((state) => wishes.isOn(lamp, state))).toEqual([
      live,
      !live,
      !live,
      live,
    ]);
  });
  test('a handle that is up when it is seen counts', () => {
    const wishes = new Wishes(wants, both);
    wishes.learn([seen('lamp/lamp', at(1, 0), true)]);
    expect(wishes.isOn(lamp, at(0, 0))).toBe(false);
  });
  test('dead behind a second switch that is off tells nothing of the first', () => {
    const wishes = new Wishes(wants, both);
    wishes.learn([seen('shelf/lower', at(0, 0, 0), false), seen('gfci/outlet', at(0, 0, 0), true)]);
    expect(wishes.isOn(partKey('gfci', 'outlet'), at(0, 0, 0))).toBe(true);
    expect(wishes.isOn(partKey('shelf', 'lower'), at(0, 0, 1))).toBe(true);
  });
  test('dead behind a second switch that is on tells that the first is off', () => {
    const wishes = new Wishes(wants, both);
    wishes.learn([seen('shelf/lower', at(0, 0, 1), false)]);
    expect(wishes.isOn(partKey('gfci', 'outlet'), at(1, 0))).toBe(true);
  });
  test('live tells of every switch ahead; nothing seen is off at rest', () => {
    const wishes = new Wishes(wants, both);
    expect(wishes.isOn(lamp, at(0, 0))).toBe(false);
    wishes.learn([seen('shelf/lower', at(0, 0, 1), true)]);
    expect(wishes.isOn(lamp, at(0, 0))).toBe(true);
  });
});

test('what hangs on LOAD is behind its device, through any number of them, and a ring of them does not hang', () => {
  const wishes = new Wishes(
    new Map([
      [partKey('a', 'outlet'), want(null)],
      [partKey('b', 'outlet'), want(null, 'a')],
      [partKey('c', 'lower'), want(null, 'b')],
      [partKey('x', 'outlet'), want(null, 'y')],
      [partKey('y', 'outlet'), want(null, 'x')],
    ]),
    new Map(),
  );
  expect(
    [partKey('a', 'outlet'), partKey('b', 'outlet'), partKey('c', 'lower')].map((key) =>
      wishes.isBehind(key, 'a'),
    ),
  ).toEqual([true, true, true]);
  expect(wishes.isBehind(partKey('a', 'outlet'), 'b')).toBe(false);
  expect(wishes.isOn(partKey('x', 'outlet'), new Map())).toBe(true);
});

test('two 3-ways ahead of a GFCI, and a switch after its LOAD, are proved right in every state', () => {
  const base = sketch({
    breakerA: 15,
    boxes: ['hub', 'shelf', 'guard'],
    runs: ['panel-hub:10', 'hub-shelf:10', 'hub-guard:10'],
    groups: ['pair', 'single'],
    devices: [
      switchIn('hub', 'pair'),
      switchIn('shelf', 'single', 1),
      duplexIn('shelf', null, 'single'),
      { id: 'guard', box: 'guard', gang: 0, kind: 'gfci', wants: { outlet: want('pair') } },
      switchIn('guard', 'pair', 1),
    ],
  });
  const job = {
    ...base,
    devices: base.devices.map((device) =>
      device.id === 'shelf-outlet'
        ? { ...device, wants: { ...device.wants, lower: want('single', 'guard') } }
        : device,
    ),
  };
  const outcome = planJob(job);
  if (!outcome.ok) throw new Error(outcome.refusals[0]!.message);
  const { findings, parts } = prove(job, outcome.plan.wiring);
  expect(findings).toEqual([]);
  const live = parts
    .flatMap(({ rows }) => rows)
    .filter(({ cells }) => cells.some(({ part, live: on }) => part === 'shelf-outlet/lower' && on));
  // Of the eight states of three handles it is live in two: one switch on, and the two 3-ways alike or unlike.
  expect(live).toHaveLength(2);
});
