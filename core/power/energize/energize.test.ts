import { describe, expect, test } from '@jest/globals';
import { planJob, type Plan } from '../../wiring/plan';
import { prove } from '../proof/prove';
import { buildNetwork, type Network } from '../network/network';
import { panelHotId, partKey, tailEnd, tailId, terminalId } from '../../job/model/wiring';
import {
  openContact,
  touching,
  withSwappedTerminals,
  withTab,
  type Disturbance,
} from '../network/disturbance';
import type { Wiring } from '../../job/model/wiring';
import { duplexIn, sketch, switchIn } from '../../testing/jobs';
import { energize } from './energize';
import { readMeter, readNonContact, readTester } from './instruments';
import { REST, type State } from './state';

const plan = (job: Parameters<typeof sketch>[0]): Plan => {
  const outcome = planJob(sketch(job));
  if (!outcome.ok) throw new Error('refused');
  return outcome.plan;
};

/** Panel, then outlets `one` and `two` in a row on a 15 A circuit. */
const row = plan({
  breakerA: 15,
  boxes: ['one', 'two'],
  runs: ['panel-one:30', 'one-two:20'],
  devices: [duplexIn('one', null, null), duplexIn('two', null, null)],
});
const half = plan({
  boxes: ['door', 'shelf'],
  runs: ['panel-door:34', 'door-shelf:18'],
  groups: ['shelf'],
  devices: [switchIn('door', 'shelf'), duplexIn('shelf', null, 'shelf')],
});

const network = (wiring: Wiring, from: Plan, faults: readonly Disturbance[] = []): Network =>
  buildNetwork(wiring, from.job.circuits, faults);
const part = (net: Network, key: string) => net.parts.find((one) => one.key === key)!;

/** Lights of a tester in `one`'s (or another's) upper half, as "110". */
function lights(net: Network, key = 'one-outlet/upper', state: Partial<State> = {}): string {
  const { point } = energize(net, { ...REST, ...state, testers: new Set([key]) });
  return readTester(point, part(net, key)).lights.map(Number).join('');
}
const end = (tail: string) => openContact(tailEnd(tail));
const oneTail = (terminal: string) => tailId(terminalId('one-outlet', terminal));

describe('plug-in tester lights: hot–neutral, hot–ground, neutral–ground (common practice: the tester legend)', () => {
  test('correct 110', () => expect(lights(network(row.wiring, row))).toBe('110'));
  test('open ground 100', () =>
    expect(lights(network(row.wiring, row, [end(oneTail('ground'))]))).toBe('100'));
  test('open neutral 010', () =>
    expect(lights(network(row.wiring, row, [end(oneTail('neutral-upper'))]))).toBe('010'));
  test('open hot 000', () =>
    expect(lights(network(row.wiring, row, [end(oneTail('hot-upper'))]))).toBe('000'));
  test('hot and ground swapped 011', () =>
    expect(lights(network(withSwappedTerminals(row.wiring, 'one-outlet', 'hot-upper', 'ground'), row))).toBe(
      '011',
    ));
  test('hot and neutral swapped 101', () => {
    const swapped = withSwappedTerminals(row.wiring, 'one-outlet', 'hot-upper', 'neutral-upper');
    expect(lights(network(swapped, row))).toBe('101');
  });
  test('load after an open neutral 011, load only before it 010', () => {
    const net = network(row.wiring, row, [openContact('one-two:white@two')]);
    expect(lights(net, 'two-outlet/upper', { loads: new Map([['two-outlet/lower', 60]]) })).toBe('011');
    expect(lights(net, 'two-outlet/upper', { loads: new Map([['one-outlet/lower', 60]]) })).toBe('010');
  });
  test('reversed polarity with open ground 100', () => {
    const swapped = withSwappedTerminals(row.wiring, 'one-outlet', 'hot-upper', 'neutral-upper');
    expect(lights(network(swapped, row, [end(oneTail('ground'))]))).toBe('100');
  });
  test('open neutral with open ground 000, the ground hole at 120 V through the tester', () => {
    const net = network(row.wiring, row, [end(oneTail('neutral-upper')), end(oneTail('ground'))]);
    expect(lights(net)).toBe('000');
    const { point } = energize(net, { ...REST, testers: new Set(['one-outlet/upper']) });
    expect(point.volts(part(net, 'one-outlet/upper').ground)).toBeCloseTo(120, 3);
  });
  test('neutral and ground swapped, or joined, 110', () => {
    const swapped = withSwappedTerminals(row.wiring, 'one-outlet', 'neutral-upper', 'ground');
    expect(lights(network(swapped, row))).toBe('110');
    const joined = [touching('one-outlet:neutral-upper', 'one-outlet:ground')];
    expect(lights(network(row.wiring, row, joined))).toBe('110');
  });
  test('reversed-polarity bootleg 110 with the ground pin at 120 V: the worst wiring reads "correct"', () => {
    const swapped = withSwappedTerminals(row.wiring, 'one-outlet', 'hot-upper', 'neutral-upper');
    const net = network(swapped, row, [
      end(oneTail('ground')),
      touching('one-outlet:ground', 'one-outlet:neutral-upper'),
    ]);
    expect(lights(net)).toBe('110');
    const { point } = energize(net, REST);
    expect(point.volts(part(net, 'one-outlet/upper').ground)).toBeCloseTo(120, 3);
  });
});

describe('an open neutral behind an outlet with a lamp in its other half (analytic)', () => {
  const net = network(row.wiring, row, [end(oneTail('neutral-upper'))]);
  const lamp = { loads: new Map([['one-outlet/lower', 60]]) };

  test('nothing plugged in: open neutral; lamp on: the legend says hot/ground swapped and is wrong', () => {
    expect(lights(net)).toBe('010');
    expect(lights(net, 'one-outlet/upper', lamp)).toBe('011');
  });
  test('the meter tells: neutral slot to ground about 120 V, hot to neutral about 0', () => {
    const read = (from: string, to: string) => {
      const reading = readMeter(net, { ...REST, ...lamp }, { impedance: 'high', from, to });
      return reading?.kind === 'volts' ? reading.volts : Number.NaN;
    };
    expect(read('one-outlet:neutral-upper', 'one-outlet:ground')).toBeCloseTo(120, 1);
    expect(read('one-outlet:hot-upper', 'one-outlet:neutral-upper')).toBeLessThan(0.1);
  });
});

test('half-switched with its hot tab left whole: both halves live with the switch either way', () => {
  const whole = withTab(half.wiring, 'shelf-outlet', 'hot-tab', 'whole');
  const proof = prove(half.job, whole);
  expect(proof.parts[0]!.rows.flatMap(({ cells }) => cells.map(({ live }) => live))).toEqual([
    true,
    true,
    true,
    true,
  ]);
  expect(proof.findings.map(({ kind }) => kind)).toContain('not as wished');
});

test('multiwire circuit with an open neutral: 60 W and 600 W divide 240 V into 218.2 V and 21.8 V (series divider)', () => {
  const plain = sketch({ boxes: ['one'], runs: ['panel-one:1'], devices: [duplexIn('one', null, null)] });
  const base = plain.circuits[0]!;
  const job = {
    ...plain,
    circuits: [
      { ...base, id: 'c', number: '16', leg: 'A' as const },
      { ...base, id: 'd', number: '18', leg: 'B' as const },
    ],
  };
  const outcome = planJob(job);
  if (!outcome.ok) throw new Error('refused');
  // A second hot from the other leg straight onto the lower half, sharing the neutral tail, which is open.
  const wiring = withTab(outcome.plan.wiring, 'one-outlet', 'hot-tab', 'broken');
  const faults = [touching(panelHotId('d'), 'one-outlet:hot-lower'), openContact('panel-one:white@panel')];
  const net = buildNetwork(wiring, job.circuits, faults);
  const { point } = energize(net, {
    ...REST,
    loads: new Map([
      [partKey('one-outlet', 'upper'), 60],
      [partKey('one-outlet', 'lower'), 600],
    ]),
  });
  const across = (key: string) => {
    const own = part(net, key);
    return Math.abs(point.volts(own.hot) - point.volts(own.neutral));
  };
  expect(across('one-outlet/upper')).toBeCloseTo(218.2, 1);
  expect(across('one-outlet/lower')).toBeCloseTo(21.8, 1);
});

describe('shorts and overloads', () => {
  test('hot touching a bonded metal box opens the breaker, and says so', () => {
    const net = network(row.wiring, row, [touching('one-outlet:hot-upper', 'one-outlet:ground')]);
    const { trips, point } = energize(net, REST);
    expect(trips.map(({ circuit }) => circuit)).toEqual(['c']);
    expect(trips[0]!.times).toBeGreaterThan(6);
    expect(Math.abs(point.volts(part(net, 'two-outlet/upper').hot))).toBeLessThan(1e-6);
  });
  test('at 200 % a breaker trips within 2 minutes, at 135 % within an hour (UL 489, from memory)', () => {
    const net = network(row.wiring, row);
    const bands = (watts: number) =>
      energize(net, { ...REST, loads: new Map([['one-outlet/upper', watts]]) }).overloads.map(
        ({ band }) => band,
      );
    expect(bands(1700)).toEqual([]);
    // 2600 W are 1.44 times the rating, 3900 W 2.2 times.
    const minutes = Number(/^trips within (\d+) min$/.exec(bands(2600)[0]!)![1]);
    expect(minutes).toBeLessThan(60);
    expect(minutes).toBeGreaterThan(2);
    expect(Number(/^trips within (\d+) s$/.exec(bands(3900)[0]!)![1])).toBeLessThan(120);
  });
});

describe('a conductor that leads to no source', () => {
  const net = network(half.wiring, half);
  const red = 'shelf-outlet:hot-lower';

  test('a high-impedance meter may show anything, a low-impedance one decides', () => {
    const meter = { from: red, to: 'shelf-outlet:neutral-upper' } as const;
    expect(readMeter(net, REST, { ...meter, impedance: 'high' })).toEqual({ kind: 'ghost' });
    const low = readMeter(net, REST, { ...meter, impedance: 'low' });
    expect(low?.kind === 'volts' && low.volts).toBe(0);
  });
  test('a non-contact tester is unsure there, glows on the hot, no light on the neutral', () => {
    const energized = energize(net, REST);
    expect(readNonContact(energized, net.point(red)!)).toBe('unsure');
    expect(readNonContact(energized, net.point('shelf-outlet:hot-upper')!)).toBe('glows');
    expect(readNonContact(energized, net.point('shelf-outlet:neutral-upper')!)).toBe('dark');
  });
});
