import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { energize } from '../power/energize/energize';
import { REST, type State } from '../power/energize/state';
import { openContact, touching } from '../power/network/disturbance';
import { buildNetwork } from '../power/network/network';
import { planJob, type Plan } from './plan';
import { judge } from '../testing/judge';
import { checkRules } from '../code/rules/check';
import { siteOf } from '../code/rules/site';
import { prove } from '../power/proof/prove';
import { Design } from '../job/model/design';
import { duplexIn, lightIn, sketch, switchIn, type Sketch } from '../testing/jobs';

/* How each device is landed is common practice, as its instructions have it; sections are from memory. */

type Extra = Partial<{ circuits: unknown[]; runs: unknown[] }>;
const job = (words: Sketch, extra: Extra = {}): Design => {
  const drawn = sketch(words);
  return Design.parse({ ...drawn, ...extra });
};
const plan = (made: Design): Plan => {
  const outcome = planJob(made);
  if (!outcome.ok) throw new Error(outcome.refusals.map(({ message }) => message).join(' '));
  expect(prove(made, outcome.plan.wiring).findings).toEqual([]);
  return outcome.plan;
};
/** Which net lands on each terminal of a device. */
function landed({ wiring, layout }: Plan, device: string): Record<string, string> {
  const wired = wiring.devices.find(({ id }) => id === device)!;
  const hasWire = (terminal: string) =>
    wiring.terminations.some((one) => one.terminal === terminal) ||
    wiring.tails.some(
      ({ to, from }) => to === terminal || (from.at === 'terminal' && from.terminal === terminal),
    );
  const entries = [...layout.netOfTerminal].filter(([id]) => id.startsWith(`${device}:`) && hasWire(id));
  const lands = Object.fromEntries(entries.map(([id, net]) => [id.split(':')[1]!, net]));
  return { ...lands, tabs: wired.brokenTabs.join() || 'whole' };
}
const on = (circuit: string, control: string | null, via: string | null = null) =>
  ({ does: 'power', circuit, control, via }) as const;
const splices = ({ wiring }: Plan, box: string, role: string) =>
  wiring.splices.filter((one) => one.box === box && one.role === role).length;

describe('combination device, its four ways', () => {
  const combo = (outlet: string | null) => ({
    id: 'combo',
    box: 'wall',
    gang: 0,
    kind: 'combination' as const,
    wants: { outlet: on('c', outlet), handle: { does: 'control' as const, group: 'g' } },
  });
  const wall = { boxes: ['wall', 'lamp'], runs: ['panel-wall:20', 'wall-lamp:10'], groups: ['g'] };

  test('light switched, outlet always on: feed on a common, light on the switch screw, jumper whole', () => {
    expect(landed(plan(job({ ...wall, devices: [combo(null), lightIn('lamp', 'g')] })), 'combo')).toEqual({
      'common-switch': 'hot/c',
      switched: 'switched/g',
      neutral: 'neutral/c',
      tabs: 'whole',
    });
  });
  test('switch controls the outlet: feed on the switch screw, jumper stays, nothing on the commons', () => {
    expect(landed(plan(job({ ...wall, devices: [combo('g')] })), 'combo')).toEqual({
      switched: 'hot/c',
      neutral: 'neutral/c',
      tabs: 'whole',
    });
  });
  test('switch controls outlet and light: feed on the switch screw, light on a common', () => {
    expect(landed(plan(job({ ...wall, devices: [combo('g'), lightIn('lamp', 'g')] })), 'combo')).toEqual({
      'common-switch': 'switched/g',
      switched: 'hot/c',
      neutral: 'neutral/c',
      tabs: 'whole',
    });
  });
  test('two feeds: jumper off, one hot on each common, the neutral of the outlet on silver', () => {
    const two = job(
      {
        ...wall,
        devices: [
          { ...combo(null), wants: { ...combo(null).wants, outlet: on('d', null) } },
          lightIn('lamp', 'g'),
        ],
      },
      {
        circuits: [
          { id: 'c', number: '1', breakerA: 20, leg: 'A', tiedWith: 'd' },
          { id: 'd', number: '2', breakerA: 20, leg: 'B', tiedWith: 'c' },
        ],
        runs: [
          { id: 'one', from: 'panel', to: 'wall', lengthFt: 20, circuits: ['c'] },
          { id: 'two', from: 'panel', to: 'wall', lengthFt: 20, circuits: ['d'] },
          { id: 'on', from: 'wall', to: 'lamp', lengthFt: 10, circuits: ['c'] },
        ],
      },
    );
    expect(landed(plan(two), 'combo')).toEqual({
      'common-switch': 'hot/c',
      'common-outlet': 'hot/d',
      switched: 'switched/g',
      neutral: 'neutral/d',
      tabs: 'jumper',
    });
  });
  test('it is single-pole: sharing a light with another switch is refused at its box', () => {
    const outcome = planJob(
      job({ ...wall, devices: [combo(null), switchIn('lamp', 'g', 1), lightIn('lamp', 'g')] }),
    );
    expect(outcome).toMatchObject({
      ok: false,
      refusals: [{ code: 'wrong switch', at: [{ id: 'wall' }, { id: 'g' }] }],
    });
  });
});

describe('protecting devices', () => {
  const gfci = (control: string | null = null) => ({
    id: 'gfci',
    box: 'first',
    gang: 0,
    kind: 'gfci' as const,
    wants: { outlet: on('c', control) },
  });
  const chain = (via: string | null, devices: Sketch['devices'] = []): Sketch => ({
    boxes: ['first', 'next'],
    runs: ['panel-first:20', 'first-next:10'],
    groups: ['g'],
    devices: [
      gfci(),
      { ...duplexIn('next', null, null), wants: { upper: on('c', null, via), lower: on('c', null, via) } },
      ...devices,
    ],
  });
  const state = (change: Partial<State>): State => ({ ...REST, ...change });

  test('feed on LINE, protected outlet on LOAD; its test button kills both and nothing else', () => {
    const made = plan(job(chain('gfci')));
    expect(landed(made, 'gfci')).toMatchObject({
      'line-hot': 'hot/c',
      'line-neutral': 'neutral/c',
      'load-hot': 'hot/c>gfci',
      'load-neutral': 'neutral/c>gfci',
    });
    expect(prove(made.job, made.wiring).coverage.get('gfci')).toEqual([
      'gfci/outlet',
      'next-outlet/upper',
      'next-outlet/lower',
    ]);
  });

  test('an outlet that must not be protected joins the feed: LOAD stays empty, a splice with tails', () => {
    const made = plan(job(chain(null)));
    expect(landed(made, 'gfci')).not.toHaveProperty('load-hot');
    expect(splices(made, 'first', 'hot')).toBe(1);
    expect(prove(made.job, made.wiring).coverage.get('gfci')).toEqual(['gfci/outlet']);
  });

  test('a protected and an unprotected outlet in one box beyond: four conductors in pairs, neutrals never meet', () => {
    const made = plan(job(chain('gfci', [{ ...duplexIn('next', null, null, 1), id: 'plain' }])));
    const run = made.wiring.cables.find((cable) => cable.run === 'first-next')!;
    expect(run.type).toBe('12-2-2');
    const pair = (insulation: string) => run.conductors.find((one) => one.insulation === insulation)!.domain;
    expect([pair('black'), pair('red')]).toEqual([pair('white'), pair('white-red')]);
    expect(splices(made, 'next', 'neutral')).toBe(0);
  });

  test('switch after GFCI: the light returns on the LOAD neutral; switch before: all of it goes dead', () => {
    const light = { ...lightIn('next', 'g'), wants: { lamp: on('c', 'g', 'gfci') } };
    const after = plan(job({ ...chain('gfci', [switchIn('next', 'g', 2), light]) }));
    expect(landed(after, 'next-light').neutral).toBe('neutral/c>gfci');
    const before = plan(
      job({
        ...chain('gfci'),
        devices: [gfci('g'), switchIn('first', 'g', 1), ...chain('gfci').devices.slice(1)],
      }),
    );
    expect(landed(before, 'gfci')['line-hot']).toBe('switched/g');
  });

  test('a group with loads on both sides of a device is refused', () => {
    const made = job(chain('gfci', [switchIn('first', 'g', 1), { ...lightIn('next', 'g') }]));
    made.devices[1]!.wants['upper'] = on('c', 'g', 'gfci');
    expect(planJob(made)).toMatchObject({ ok: false, refusals: [{ code: 'two circuits' }] });
  });

  test('a device fed from its own LOAD side is refused', () => {
    const made = job(chain(null));
    made.devices[0]!.wants['outlet'] = on('c', null, 'gfci');
    expect(planJob(made)).toMatchObject({ ok: false, refusals: [{ at: [{ id: 'gfci' }, { id: 'first' }] }] });
  });

  test('5 mA from hot to ground trips it; the same behind nothing does not (UL 943: trips at 6 mA, from memory)', () => {
    const made = plan(job(chain('gfci')));
    const leak = (ohms: number) => [
      { kind: 'bridge', a: 'next-outlet:hot-upper', b: 'next-outlet:ground', ohms } as const,
    ];
    const faults = (ohms: number) =>
      energize(buildNetwork(made.wiring, made.job.circuits, leak(ohms)), REST).groundFaults.map(
        ({ reason }) => reason,
      );
    expect(faults(120 / 0.006)).toEqual(['imbalance']);
    expect(faults(120 / 0.004)).toEqual([]);
  });

  test('a ground that touches a LOAD neutral trips with nothing plugged in (UL 943 grounded neutral, from memory)', () => {
    const made = plan(job(chain('gfci')));
    const network = buildNetwork(made.wiring, made.job.circuits, [
      touching('next-outlet:neutral-upper', 'next-outlet:ground'),
    ]);
    expect(energize(network, REST).groundFaults).toEqual([
      { at: 'gfci', by: 'device', reason: 'grounded neutral', amps: 0 },
    ]);
  });

  test('a low-impedance meter to ground trips it: about 3 kΩ draws 40 mA (Ohm)', () => {
    const made = plan(job(chain('gfci')));
    const network = buildNetwork(made.wiring, made.job.circuits);
    const meter = { impedance: 'low', from: 'next-outlet:hot-upper', to: 'next-outlet:ground' } as const;
    const [fault] = energize(network, state({ meter })).groundFaults;
    expect(fault!.amps).toBeCloseTo(0.04, 3);
  });

  test('without line neutral it neither trips nor protects: LOAD hot stays live', () => {
    const made = plan(job(chain('gfci')));
    const end = '>gfci:line-neutral@end';
    const only = made.wiring.tails.some(({ id }) => id === '>gfci:line-neutral')
      ? end
      : 'panel-first:white@first';
    const network = buildNetwork(made.wiring, made.job.circuits, [
      openContact(only),
      { kind: 'bridge', a: 'next-outlet:hot-upper', b: 'next-outlet:ground', ohms: 12_000 },
    ]);
    const { groundFaults, point } = energize(network, REST);
    expect(groundFaults).toEqual([]);
    expect(point.volts(network.point('next-outlet:hot-upper')!)).toBeCloseTo(120, 0);
  });

  test('a GFCI breaker takes the neutral on its own screw and sees a leak anywhere on the circuit', () => {
    const made = plan(
      job(chain(null), { circuits: [{ id: 'c', number: '1', breakerA: 20, leg: 'A', protection: 'gfci' }] }),
    );
    const network = buildNetwork(made.wiring, made.job.circuits, [
      { kind: 'bridge', a: 'next-outlet:hot-upper', b: 'next-outlet:ground', ohms: 10_000 },
    ]);
    const { groundFaults, point } = energize(network, REST);
    expect(groundFaults[0]).toMatchObject({ at: 'c', by: 'breaker', reason: 'imbalance' });
    expect(Math.abs(point.volts(network.point('next-outlet:hot-upper')!))).toBeLessThan(1);
  });

  test('combination device with GFCI: one switch lead joins the line hot; tripping leaves the light on', () => {
    const combo = {
      id: 'combo',
      box: 'first',
      gang: 0,
      kind: 'combination-gfci' as const,
      wants: { outlet: on('c', null), handle: { does: 'control' as const, group: 'g' } },
    };
    const made = plan(
      job({
        boxes: ['first', 'lamp'],
        runs: ['panel-first:20', 'first-lamp:10'],
        groups: ['g'],
        devices: [combo, lightIn('lamp', 'g')],
      }),
    );
    expect(landed(made, 'combo')).toMatchObject({
      'lead-1': 'hot/c',
      'lead-2': 'switched/g',
      'line-hot': 'hot/c',
    });
    expect(prove(made.job, made.wiring).coverage.get('combo')).toEqual(['combo/outlet']);
  });
});

describe('two circuits', () => {
  const pair = (multiwire: boolean) => [
    {
      id: 'c',
      number: '16',
      breakerA: 20,
      leg: 'A',
      tiedWith: 'd',
      ...(multiwire ? { multiwireWith: 'd' } : {}),
    },
    {
      id: 'd',
      number: '18',
      breakerA: 20,
      leg: 'B',
      tiedWith: 'c',
      ...(multiwire ? { multiwireWith: 'c' } : {}),
    },
  ];
  const halves = {
    ...duplexIn('wall', null, null),
    wants: { upper: on('c', null), lower: on('d', null) },
  };

  test('one multiwire circuit on one yoke: hot tab only, one neutral tail from one splice (300.13(B), from memory)', () => {
    const made = plan(
      job(
        { boxes: ['wall', 'far'], runs: [], devices: [halves, duplexIn('far', null, null)] },
        {
          circuits: pair(true),
          runs: [
            { id: 'home', from: 'panel', to: 'wall', lengthFt: 30, circuits: ['c', 'd'] },
            { id: 'on', from: 'wall', to: 'far', lengthFt: 10 },
          ],
        },
      ),
    );
    expect(made.wiring.cables[0]!.type).toBe('12-3');
    expect(made.wiring.devices[0]!.brokenTabs).toEqual(['hot-tab']);
    expect(splices(made, 'wall', 'neutral')).toBe(1);
    expect(made.wiring.tails.filter(({ role }) => role === 'neutral')).toHaveLength(1);
    const network = buildNetwork(made.wiring, made.job.circuits);
    const { point } = energize(network, REST);
    const volts = (id: string) => point.volts(network.point(id)!);
    expect(volts('wall-outlet:hot-upper') - volts('wall-outlet:hot-lower')).toBeCloseTo(240, 3);
  });

  test('a shared neutral is never fed through a device, whatever the habit (300.13(B), from memory)', () => {
    const made = plan(
      job(
        {
          boxes: ['wall', 'far'],
          runs: [],
          habits: { midRun: 'feed-through' },
          devices: [duplexIn('wall', null, null), duplexIn('far', null, null)],
        },
        {
          circuits: pair(true),
          runs: [
            { id: 'home', from: 'panel', to: 'wall', lengthFt: 30, circuits: ['c', 'd'] },
            { id: 'on', from: 'wall', to: 'far', lengthFt: 10 },
          ],
        },
      ),
    );
    expect([splices(made, 'wall', 'neutral'), splices(made, 'wall', 'hot')]).toEqual([1, 0]);
  });

  test('both hots of a multiwire circuit on one leg are refused (Art. 100, 210.4, from memory)', () => {
    const circuits = pair(true).map((circuit) => ({ ...circuit, leg: 'A' }));
    const outcome = planJob(
      job(
        { boxes: ['wall'], runs: [], devices: [halves] },
        { circuits, runs: [{ id: 'home', from: 'panel', to: 'wall', lengthFt: 30, circuits: ['c', 'd'] }] },
      ),
    );
    expect(outcome).toMatchObject({ ok: false, refusals: [{ code: 'same leg' }] });
  });

  test('half-switched ceiling outlet from two circuits: three x-2, both tabs broken, one ground group, two neutrals (210.7, from memory)', () => {
    const made = plan(
      job(
        {
          boxes: ['ceiling', 'wall', 'porch'],
          runs: [],
          groups: ['g'],
          devices: [
            { ...duplexIn('ceiling', null, null), wants: { upper: on('c', null), lower: on('d', 'g') } },
            switchIn('wall', 'g'),
            { ...lightIn('porch', null), wants: { lamp: on('d', 'g') } },
          ],
        },
        {
          circuits: pair(false),
          runs: [
            { id: 'constant', from: 'panel', to: 'ceiling', lengthFt: 30, existing: '12-2', circuits: ['c'] },
            { id: 'feed', from: 'panel', to: 'wall', lengthFt: 30, existing: '12-2', circuits: ['d'] },
            { id: 'in', from: 'wall', to: 'ceiling', lengthFt: 10, existing: '12-2', circuits: ['d'] },
            { id: 'out', from: 'ceiling', to: 'porch', lengthFt: 10, existing: '12-2', circuits: ['d'] },
          ],
        },
      ),
    );
    expect(made.wiring.devices[0]!.brokenTabs).toEqual(['hot-tab', 'neutral-tab']);
    const ground = made.wiring.splices.find(({ id }) => id === 'ceiling~ground')!;
    expect(ground.ends).toHaveLength(3);
    expect(
      made.wiring.splices
        .filter(({ box, role }) => box === 'ceiling' && role === 'neutral')
        .map(({ net }) => net),
    ).toEqual(['neutral/d']);
    const neutralC = made.wiring.terminations.find(({ end }) => end === 'constant:white@ceiling');
    expect(neutralC?.terminal).toBe('ceiling-outlet:neutral-upper');
  });
});

describe('other devices', () => {
  const base = { boxes: ['wall', 'lamp'], runs: ['panel-wall:20', 'wall-lamp:10'], groups: ['g', 'h'] };

  test('an electronic switch gets the neutral of the circuit it controls', () => {
    const made = plan(
      job({
        ...base,
        devices: [{ ...switchIn('wall', 'g'), kind: 'electronic-switch' }, lightIn('lamp', 'g')],
      }),
    );
    expect(landed(made, 'wall-g-switch')).toMatchObject({ neutral: 'neutral/c' });
  });
  test('at a switch loop an electronic switch is refused: there is no neutral', () => {
    const outcome = planJob(
      job({
        ...base,
        runs: ['panel-lamp:20', 'wall-lamp:10=12-2'],
        devices: [{ ...switchIn('wall', 'g'), kind: 'electronic-switch' }, lightIn('lamp', 'g')],
      }),
    );
    expect(outcome).toMatchObject({ ok: false, refusals: [{ code: 'too few conductors' }] });
  });
  test('fan and light on separate controls: x-3 to the ceiling, each on its own lead', () => {
    const fan = {
      id: 'fan',
      box: 'lamp',
      gang: 0,
      kind: 'fan-light' as const,
      wants: { fan: on('c', 'g'), light: on('c', 'h') },
    };
    const made = plan(job({ ...base, devices: [switchIn('wall', 'g'), switchIn('wall', 'h', 1), fan] }));
    expect(made.wiring.cables.find(({ run }) => run === 'wall-lamp')!.type).toBe('12-3');
    expect(landed(made, 'fan')).toMatchObject({ 'hot-fan': 'switched/g', 'hot-light': 'switched/h' });
  });
});

describe('boxes that stay closed', () => {
  const through = (first: string, second: string): Design =>
    job({
      boxes: [{ id: 'wall' }, { id: 'attic', closed: true }, { id: 'lamp' }],
      runs: ['panel-wall:20', `wall-attic:10=${first}`, `attic-lamp:10=${second}`],
      groups: ['g'],
      devices: [switchIn('wall', 'g'), lightIn('lamp', 'g')],
    });
  test('each net keeps its color through them', () => {
    const made = plan(through('12-2', '12-3'));
    const black = made.wiring.cables.slice(1).map(({ conductors }) => conductors[0]!.net);
    expect(black).toEqual(['switched/g', 'switched/g']);
  });
  test('a new cable cannot enter one', () => {
    const made = through('12-2', '12-2');
    made.runs[2]!.existing = null;
    expect(planJob(made)).toMatchObject({
      ok: false,
      refusals: [{ code: 'closed box', at: [{ id: 'attic' }] }],
    });
  });
});

describe('habits change the wiring', () => {
  const row = (habits: Sketch['habits']) =>
    plan(
      job({
        boxes: ['one', 'two'],
        runs: ['panel-one:20', 'one-two:10'],
        devices: [duplexIn('one', null, null), duplexIn('two', null, null)],
        ...(habits ? { habits } : {}),
      }),
    );
  test('pigtails, or through the second screw; grounds always by tails (250.148(B), from memory)', () => {
    const kinds = (made: Plan) => ['ground', 'neutral', 'hot'].map((role) => splices(made, 'one', role));
    expect(kinds(row({ midRun: 'pigtail' }))).toEqual([1, 1, 1]);
    const through = row({ midRun: 'feed-through' });
    expect(kinds(through)).toEqual([1, 0, 0]);
    expect(landed(through, 'one-outlet')).toMatchObject({
      'hot-upper': 'hot/c',
      'hot-lower': 'hot/c',
      tabs: 'whole',
    });
  });
  test('the longest ground left whole is its own tail', () => {
    const uncut = (made: Plan) => made.wiring.tails.filter((tail) => tail.uncut !== null).map(({ to }) => to);
    expect(uncut(row({ grounds: 'tails' }))).toEqual([]);
    expect(uncut(row({ grounds: 'folded' }))).toEqual(['one-outlet:ground']);
  });
});

describe('kept from the random search', () => {
  test('a dimmer among three places ends the chain: a 4-way must stand between', () => {
    const made = plan(
      job({
        boxes: ['one', 'two', 'three'],
        runs: ['panel-three:10', 'one-three:3', 'one-two:3'],
        groups: ['g'],
        devices: [
          switchIn('one', 'g'),
          { ...switchIn('two', 'g'), kind: 'dimmer' },
          switchIn('three', 'g', 1),
          lightIn('three', 'g'),
        ],
      }),
    );
    const kinds = made.wiring.devices.map(({ kind }) => kind).sort();
    expect(kinds).toEqual(['dimmer-three-way', 'four-way', 'luminaire', 'three-way']);
  });
});

describe('an exhaust fan over a bath', () => {
  const bath = (kind: 'exhaust-fan' | 'fan-light'): Design => {
    const made = job({
      boxes: ['door', 'ceiling', 'sink'],
      runs: ['panel-sink:30', 'sink-door:8', 'door-ceiling:9'],
      groups: ['fan'],
      devices: [
        switchIn('door', 'fan'),
        duplexIn('sink', null, null),
        {
          id: 'blower',
          box: 'ceiling',
          gang: 0,
          kind,
          wants:
            kind === 'exhaust-fan' ? { fan: on('c', 'fan') } : { fan: on('c', 'fan'), light: on('c', 'fan') },
        },
      ],
    });
    return Design.parse({
      ...made,
      circuits: made.circuits.map((one) => ({ ...one, serves: 'bathroom', protection: 'gfci' })),
      rooms: [{ id: 'bath', name: 'Bath', kind: 'bathroom', wallsFt: [8, 5, 8, 5] }],
      boxes: made.boxes.map((box) => ({ ...box, room: 'bath' })),
    });
  };
  const rules = (made: Design) => new Set(checkRules(siteOf(plan(made))).map(({ rule }) => rule));
  test('hangs on its switch, black to black and white to white, and carries its own ground', () => {
    const made = plan(bath('exhaust-fan'));
    const lands = landed(made, 'blower');
    expect(Object.keys(lands).sort()).toEqual(['hot', 'neutral', 'tabs']);
    expect(new Set(Object.values(lands)).size).toBe(3);
  });
  test('may share the 20 A circuit of the bath that it is in (210.11(C)(3) Exception), and needs no box listed for a fan', () => {
    const own = rules(bath('exhaust-fan'));
    expect(own).not.toContain('L10');
    expect(own).not.toContain('B07');
    // A ceiling fan hangs from its box (314.27(C)).
    expect(rules(bath('fan-light'))).toContain('B07');
  });
});

test('two duplexes in a box, by jumpers where that is the habit: as sound as by pigtails, to judge and verification', () => {
  const quad = fc.record({
    second: fc.boolean(),
    breaker: fc.constantFrom(15 as const, 20 as const),
    midRun: fc.constantFrom('pigtail' as const, 'feed-through' as const),
    split: fc.boolean(),
    onward: fc.boolean(),
    three: fc.boolean(),
  });
  let jumpers = 0;
  fc.assert(
    fc.property(quad, ({ second, breaker, midRun, split, onward, three }) => {
      const own = (index: number, switched: boolean) => ({
        ...duplexIn('wall', null, switched ? 'g' : null, index),
        id: `wall-${index}`,
      });
      const made = job({
        breakerA: breaker,
        habits: { quad: 'jumpers', midRun },
        boxes: ['wall', 'door', ...(onward ? ['next'] : [])],
        runs: ['panel-wall:20', 'wall-door:9', ...(onward ? ['wall-next:9'] : [])],
        groups: ['g'],
        devices: [
          own(0, split),
          own(1, split && second),
          ...(three ? [own(2, false)] : []),
          switchIn('door', 'g'),
          ...(onward ? [duplexIn('next', null, null)] : []),
          ...(split ? [] : [lightIn('door', 'g')].map((one) => ({ ...one, gang: 1 }))),
        ],
      });
      const { wiring } = plan(made);
      expect(judge(made, wiring)).toEqual([]);
      const own_ = wiring.tails.filter(({ from }) => from.at === 'terminal');
      jumpers += own_.length;
      // A jumper runs from one device to the next; no ground goes by one (250.148(B)).
      for (const { from, to, role } of own_) {
        if (from.at !== 'terminal') continue;
        expect(from.terminal.split(':')[0]).not.toBe(to.split(':')[0]);
        expect(role).not.toBe('ground');
      }
    }),
    { numRuns: 60 },
  );
  expect(jumpers).toBeGreaterThan(40);
});
