import { describe, expect, test } from '@jest/globals';
import { energize } from '../energize/energize';
import { readMeter, readTester } from '../energize/instruments';
import { REST, type State } from '../energize/state';
import { demoJob } from '../../handover/jobs/demo-house';
import { Design } from '../../job/model/design';
import type { EndId, Wiring } from '../../job/model/wiring';
import {
  looseContact,
  openContact,
  touching,
  withChangedOver,
  withSwappedTerminals,
  withTab,
  type Disturbance,
} from '../network/disturbance';
import { buildNetwork } from '../network/network';
import { planJob, type Plan } from '../../wiring/plan';
import { byHand } from '../../testing/by-hand';
import { duplexIn, lightIn, sketch, switchIn, type Sketch } from '../../testing/jobs';
import { partOf, prove, type FindingKind } from './prove';

/*
 * The mistakes of the trade, put into sound wiring, and what each must show. What they show is common practice
 * unless a section or a formula is named.
 */

const planned = (job: Design): Plan => {
  const outcome = planJob(job);
  if (!outcome.ok) throw new Error(outcome.refusals[0]!.message);
  return outcome.plan;
};
const plan = (words: Sketch): Plan => planned(sketch(words));
const kinds = (made: Plan, wiring: Wiring, faults: readonly Disturbance[] = []): FindingKind[] =>
  [...new Set(prove(made.job, wiring, faults).findings.map(({ kind }) => kind))].sort();
/** A wiring with the ends of two conductors changed over in one box. */
const changedOver = (wiring: Wiring, a: string, b: string): Wiring =>
  withChangedOver(wiring, byHand<EndId>(a), byHand<EndId>(b));
const lamp = (key: string, watts = 60): Partial<State> => ({ loads: new Map([[key, watts]]) });
const on = (...devices: string[]): Partial<State> => ({
  positions: new Map(devices.map((device) => [device, 1])),
});
const point = (made: Plan, wiring: Wiring, faults: readonly Disturbance[], state: Partial<State>) => {
  const network = buildNetwork(wiring, made.job.circuits, faults);
  return { network, ...energize(network, { ...REST, ...state }) };
};
const voltsAcross = (
  made: Plan,
  wiring: Wiring,
  faults: readonly Disturbance[],
  state: Partial<State>,
  key: string,
) => {
  const { network, point: at } = point(made, wiring, faults, state);
  const part = network.parts.find((one) => one.key === key)!;
  return Math.abs(at.volts(part.hot) - at.volts(part.neutral));
};

const half = plan({
  boxes: ['door', 'shelf'],
  runs: ['panel-door:34', 'door-shelf:18'],
  groups: ['g'],
  devices: [switchIn('door', 'g'), duplexIn('shelf', null, 'g')],
});
const row = plan({
  boxes: ['one', 'two'],
  runs: ['panel-one:30', 'one-two:20'],
  devices: [duplexIn('one', null, null), duplexIn('two', null, null)],
});
const lit = plan({
  boxes: ['wall', 'lamp'],
  runs: ['panel-wall:30', 'wall-lamp:20'],
  groups: ['g'],
  devices: [switchIn('wall', 'g'), lightIn('lamp', 'g')],
});

test('sound wiring shows nothing', () => {
  for (const made of [half, row, lit]) expect(kinds(made, made.wiring)).toEqual([]);
});

describe('tabs', () => {
  test('hot tab left whole: both halves always on, the switch does nothing to them', () => {
    expect(kinds(half, withTab(half.wiring, 'shelf-outlet', 'hot-tab', 'whole'))).toContain('not as wished');
  });
  test('hot tab broken on an outlet fed on one side: one half dead', () => {
    const broken = withTab(row.wiring, 'two-outlet', 'hot-tab', 'broken');
    const found = prove(row.job, broken).findings.filter(({ kind }) => kind === 'not as wished');
    expect(found.map(partOf)).toEqual(['two-outlet/lower']);
  });
  test('neutral tab broken: that half has an open neutral, the tester says so', () => {
    const broken = withTab(row.wiring, 'two-outlet', 'neutral-tab', 'broken');
    const { network, point: at } = point(row, broken, [], { testers: new Set(['two-outlet/lower']) });
    const part = network.parts.find(({ key }) => key === 'two-outlet/lower')!;
    expect(readTester(at, part).legend).toBe('open neutral');
  });
});

describe('swapped', () => {
  test('hot and neutral at a device: it works, and the polarity is found', () => {
    const swapped = withSwappedTerminals(row.wiring, 'two-outlet', 'hot-upper', 'neutral-upper');
    expect(kinds(row, swapped)).toEqual(['polarity']);
  });
  test('black and red of the 3-wire run at one end: the wrong half is switched', () => {
    const crossed = changedOver(half.wiring, 'door-shelf:black@shelf', 'door-shelf:red@shelf');
    const wrong = prove(half.job, crossed).findings.filter(({ kind }) => kind === 'not as wished');
    expect(wrong.map(partOf).sort()).toEqual(['shelf-outlet/lower', 'shelf-outlet/upper']);
  });
  test('3-way with a traveler and the common changed over: one of the four positions lights', () => {
    const stair = planned(demoJob('stair')!);
    const wrong = withSwappedTerminals(stair.wiring, 'head-switch', 'common', 'traveler-1');
    const [part] = prove(stair.job, wrong).parts.filter(({ parts }) =>
      parts.some((key) => key === 'light/lamp'),
    );
    const lights = part!.rows.filter(({ cells }) => cells.find((cell) => cell.part === 'light/lamp')!.live);
    expect(lights).toHaveLength(1);
  });
  test('4-way with its pairs mixed: lights in two of the eight positions', () => {
    const landing = planned(demoJob('landing-three-switches')!);
    const wrong = withSwappedTerminals(landing.wiring, 'middle-switch', 'in-2', 'out-1');
    const [part] = prove(landing.job, wrong).parts;
    expect(part!.rows).toHaveLength(8);
    expect(part!.rows.filter(({ cells }) => cells.some(({ live }) => live)).length).toBeLessThan(4);
    expect(kinds(landing, wrong)).toContain('not as wished');
  });
  test('feed and light cable mistaken for one another in a switch box: it works only with the switch on', () => {
    const made = plan({
      boxes: ['wall', 'lamp'],
      runs: ['panel-wall:30', 'wall-lamp:20'],
      groups: ['g'],
      devices: [switchIn('wall', 'g'), duplexIn('wall', null, null, 1), lightIn('lamp', 'g')],
    });
    const wrong = changedOver(made.wiring, 'panel-wall:black@wall', 'wall-lamp:black@wall');
    expect(voltsAcross(made, wrong, [], lamp('wall-outlet/upper'), 'wall-outlet/upper')).not.toBeGreaterThan(
      1,
    );
    const state = { ...lamp('wall-outlet/upper'), ...on('wall-g-switch') };
    expect(voltsAcross(made, wrong, [], state, 'wall-outlet/upper')).toBeGreaterThan(119);
  });
});

describe('open', () => {
  test('neutral at a splice: everything after it dead, its neutral live through any load', () => {
    const faults = [openContact('one-two:white@one')];
    const { network, point: at } = point(row, row.wiring, faults, lamp('two-outlet/lower'));
    expect(Math.abs(at.volts(network.point('two-outlet:neutral-upper')!))).toBeCloseTo(120, 0);
    expect(voltsAcross(row, row.wiring, faults, lamp('two-outlet/lower'), 'two-outlet/upper')).toBeLessThan(
      1,
    );
  });
  test('hot at a splice: everything after it dead, nothing before it', () => {
    const found = prove(row.job, row.wiring, [openContact('one-two:black@one')]).findings;
    expect(found.filter(({ kind }) => kind === 'not as wished').map(partOf)).toEqual([
      'two-outlet/upper',
      'two-outlet/lower',
    ]);
  });
  test('ground at a splice: no ground after it', () => {
    const found = prove(row.job, row.wiring, [openContact('one-two:bare@one')]).findings;
    expect(found.map((one) => [one.kind, partOf(one)])).toEqual([
      ['no ground', 'two-outlet/upper'],
      ['no ground', 'two-outlet/lower'],
      // The cable's own ground floats in the box beyond, too.
      ['no ground', null],
    ]);
  });
  test('a loose contact of 2 Ω before a 10 Ω load: 100 V at the load, 200 W in the contact (Ohm, Joule)', () => {
    const faults = [looseContact('one-two:black@two', 2)];
    const load = lamp('two-outlet/upper', 1440);
    const { network, point: at } = point(row, row.wiring, faults, load);
    const wire = network.wires.find(({ id }) => id === 'one-two:black')!;
    // 120 V over 12 Ω is 10 A; 50 ft of wire both ways take about 2 % off.
    const amps = Math.abs(at.current(wire));
    expect(amps).toBeGreaterThan(9.7);
    expect(amps).toBeLessThan(10);
    expect(voltsAcross(row, row.wiring, faults, load, 'two-outlet/upper')).toBeCloseTo(amps * 10, 6);
    expect(amps ** 2 * 2).toBeGreaterThan(188);
    expect(voltsAcross(row, row.wiring, [], load, 'two-outlet/upper')).toBeGreaterThan(117);
  });
});

describe('switches', () => {
  test('a switch put into the neutral: the lamp goes out but stays live', () => {
    // Hot straight through, neutral by the switch: what was on the screws and in the splice changes places.
    const wrong = byHand<Wiring>({
      ...lit.wiring,
      splices: lit.wiring.splices.map((splice) =>
        splice.role === 'neutral' && splice.box === 'wall'
          ? { ...splice, ends: ['panel-wall:black@wall', 'wall-lamp:black@wall'] }
          : splice,
      ),
      terminations: lit.wiring.terminations.map((one) =>
        one.end === 'panel-wall:black@wall'
          ? { ...one, end: 'panel-wall:white@wall' }
          : one.end === 'wall-lamp:black@wall'
            ? { ...one, end: 'wall-lamp:white@wall' }
            : one,
      ),
    });
    expect(kinds(lit, wrong)).toContain('polarity');
  });
  test('both hots of a switch spliced together: always on', () => {
    const faults = [touching('wall-g-switch:upper', 'wall-g-switch:lower')];
    expect(kinds(lit, lit.wiring, faults)).toEqual(['never dead', 'not as wished']);
  });
});

describe('what touches', () => {
  test('neutral and ground behind a receptacle: the ground carries current', () => {
    const faults = [touching('one-outlet:neutral-upper', 'one-outlet:ground')];
    expect(kinds(row, row.wiring, faults)).toContain('ground carries current');
  });
  test('hot on a bonded box trips the breaker; on a box that is not bonded nothing trips and it is live', () => {
    const metal = plan({
      boxes: [{ id: 'one', family: 'metal device' }],
      runs: ['panel-one:30'],
      devices: [duplexIn('one', null, null)],
    });
    const touch = touching('one-outlet:hot-upper', 'one#ground');
    expect(kinds(metal, metal.wiring, [touch])).toContain('breaker trips');
    const loose = [touch, openContact('>one#ground@end')];
    const { network, point: at, trips } = point(metal, metal.wiring, loose, {});
    expect(trips).toEqual([]);
    expect(at.volts(network.point('one#ground')!)).toBeCloseTo(120, 3);
  });
  test('bare ground to a neutral behind an outlet on LOAD: the device trips at once, with nothing plugged in', () => {
    const porch = planned(demoJob('porch-soffit')!);
    const faults = [touching('soffit-outlet:neutral-upper', 'soffit-outlet:ground')];
    const { groundFaults } = point(porch, porch.wiring, faults, {});
    expect(groundFaults.map(({ at, reason }) => [at, reason])).toEqual([['bench-gfci', 'grounded neutral']]);
  });
  test('upstream load sends part of its current round the loop: it trips by imbalance too (parallel paths)', () => {
    const porch = planned(demoJob('porch-soffit')!);
    const faults = [
      { kind: 'bridge', a: 'soffit-outlet:neutral-upper', b: 'soffit-outlet:ground', ohms: 6 } as const,
    ];
    const { groundFaults } = point(porch, porch.wiring, faults, {
      ...lamp('soffit-outlet/upper', 300),
      ...on('door-switch'),
    });
    expect(groundFaults[0]).toMatchObject({ at: 'bench-gfci', reason: 'imbalance' });
  });
});

describe('two circuits', () => {
  const twin = (legs: readonly ['A' | 'B', 'A' | 'B']): Plan => {
    const drawn = sketch({
      boxes: ['a', 'b'],
      runs: [],
      devices: [duplexIn('a', null, null), duplexIn('b', null, null)],
    });
    const power = (circuit: string) => ({ does: 'power', circuit, control: null });
    return planned(
      Design.parse({
        ...drawn,
        circuits: [
          { id: 'c', number: '1', breakerA: 15, leg: legs[0] },
          { id: 'd', number: '2', breakerA: 15, leg: legs[1] },
        ],
        runs: [
          { id: 'one', from: 'panel', to: 'a', lengthFt: 30, circuits: ['c'] },
          { id: 'two', from: 'panel', to: 'b', lengthFt: 30, circuits: ['d'] },
        ],
        devices: drawn.devices.map((device, index) => ({
          ...device,
          wants: { upper: power(index === 0 ? 'c' : 'd'), lower: power(index === 0 ? 'c' : 'd') },
        })),
      }),
    );
  };
  /** The second circuit's neutral left off at the panel and joined to the first one's. */
  const borrowed = (made: Plan): { wiring: Wiring; faults: Disturbance[] } => ({
    wiring: made.wiring,
    faults: [touching('a-outlet:neutral-upper', 'b-outlet:neutral-upper'), openContact('two:white@panel')],
  });
  const twelveAmps = {
    loads: new Map([
      ['a-outlet/upper', 1440],
      ['b-outlet/upper', 1440],
    ]),
  };
  const neutralAmps = (made: Plan) => {
    const { wiring, faults } = borrowed(made);
    const { network, point: at } = point(made, wiring, faults, twelveAmps);
    return Math.abs(at.current(network.wires.find(({ id }) => id === 'one:white')!));
  };

  test('one neutral for two 12 A loads: 24 A on the same leg, about 0 on opposite legs (sum of phasors)', () => {
    expect(neutralAmps(twin(['A', 'A']))).toBeGreaterThan(22);
    expect(neutralAmps(twin(['A', 'A']))).toBeLessThan(24.1);
    expect(neutralAmps(twin(['A', 'B']))).toBeLessThan(0.2);
  });
  test('joined neutrals with equal loads hide; with unequal ones a cable no longer adds to zero', () => {
    const made = twin(['A', 'A']);
    const joined = [touching('a-outlet:neutral-upper', 'b-outlet:neutral-upper')];
    const sum = (watts: readonly [number, number]) => {
      const { network, point: at } = point(made, made.wiring, joined, {
        loads: new Map([
          ['a-outlet/upper', watts[0]],
          ['b-outlet/upper', watts[1]],
        ]),
      });
      const amps = (id: string) => at.current(network.wires.find((wire) => wire.id === id)!);
      return Math.abs(amps('one:black') + amps('one:white'));
    };
    expect(sum([600, 600])).toBeLessThan(1e-6);
    expect(sum([60, 600])).toBeGreaterThan(1);
  });
  test('multiwire hots on one leg: meter hot to hot reads 0 instead of 240, and no tester sees it', () => {
    const den = planned(demoJob('den-media-wall')!);
    const read = (circuits: Design['circuits']) => {
      const network = buildNetwork(den.wiring, circuits);
      const reading = readMeter(network, REST, {
        impedance: 'high',
        from: 'outlet:hot-upper',
        to: 'outlet:hot-lower',
      });
      return reading?.kind === 'volts' ? reading.volts : Number.NaN;
    };
    expect(read(den.job.circuits)).toBeCloseTo(240, 1);
    const sameLeg = den.job.circuits.map((circuit) => ({ ...circuit, leg: 'A' as const }));
    expect(read(sameLeg)).toBeCloseTo(0, 3);
  });
  test('shared neutral open: equal loads hide it and the tester says correct; 60 and 600 W read 111 and 011 (divider)', () => {
    const den = planned(demoJob('den-media-wall')!);
    const faults = [openContact('home:white@panel')];
    const lights = (watts: readonly [number, number], part: 'upper' | 'lower') => {
      const key = `outlet/${part}`;
      const { network, point: at } = point(den, den.wiring, faults, {
        loads: new Map([
          ['outlet/upper', watts[0]],
          ['outlet/lower', watts[1]],
        ]),
        testers: new Set([key]),
      });
      return readTester(
        at,
        network.parts.find((one) => one.key === key)!,
      )
        .lights.map(Number)
        .join('');
    };
    expect([lights([100, 100], 'upper'), lights([100, 100], 'lower')]).toEqual(['110', '110']);
    expect([lights([60, 600], 'upper'), lights([60, 600], 'lower')]).toEqual(['111', '011']);
  });
  test('a net with two paths is found as a loop even though its currents add to zero', () => {
    const twice = byHand<Wiring>({
      ...row.wiring,
      cables: [
        ...row.wiring.cables,
        {
          ...row.wiring.cables[1]!,
          id: 'again',
          conductors: row.wiring.cables[1]!.conductors.map((one) => ({
            ...one,
            id: one.id.replace('one-two', 'again'),
          })),
        },
      ],
      splices: row.wiring.splices.map((splice) => ({
        ...splice,
        ends: splice.ends.flatMap((end) =>
          end.startsWith('one-two:white') ? [end, end.replace('one-two', 'again')] : [end],
        ),
      })),
      terminations: row.wiring.terminations.flatMap((one) =>
        one.end === 'one-two:white@two' ? [one, { ...one, end: 'again:white@two' }] : [one],
      ),
    });
    expect(
      prove(row.job, twice)
        .findings.filter(({ kind }) => kind === 'loop')
        .map(({ at }) => at.kind === 'conductor' && at.conductor),
    ).toEqual(['again:white']);
  });
});

describe('combination device', () => {
  const combo = plan({
    boxes: ['wall', 'lamp'],
    runs: ['panel-wall:20', 'wall-lamp:10'],
    groups: ['g'],
    devices: [
      {
        id: 'combo',
        box: 'wall',
        gang: 0,
        kind: 'combination',
        wants: {
          outlet: { does: 'power', circuit: 'c', control: null },
          handle: { does: 'control', group: 'g' },
        },
      },
      lightIn('lamp', 'g'),
    ],
  });
  test('jumper taken out with one feed: the receptacle is dead', () => {
    const found = prove(combo.job, withTab(combo.wiring, 'combo', 'jumper', 'broken')).findings;
    expect(found.map(partOf)).toContain('combo/outlet');
  });
  test('feed on the switch screw: the outlet goes off with the switch', () => {
    const wrong = withSwappedTerminals(combo.wiring, 'combo', 'common-switch', 'switched');
    const found = prove(combo.job, wrong).findings.find(({ kind }) => kind === 'not as wished')!;
    expect(found.message).toContain('off');
  });
});
