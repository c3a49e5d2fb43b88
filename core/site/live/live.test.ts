import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { groundFaultLongestS } from '../../power/energize/ground-fault';
import { readTester } from '../../power/energize/instruments';
import { soundHouse } from '../../power/faults';
import { drawBox } from '../../wiring/geometry/box-drawing';
import { demoJob, demoJobs } from '../../handover/jobs/demo-house';
import { PANEL, type Design } from '../../job/model/design';
import {
  boxGroundId,
  endId,
  loadWire,
  PANEL_GROUND,
  PANEL_NEUTRAL,
  panelHotId,
  tailEnd,
  tailId,
  terminalId,
} from '../../job/model/wiring';
import { planJob, type Plan } from '../../wiring/plan';
import { duplexIn, sketch } from '../../testing/jobs';
import { anyPlan } from '../../testing/random-jobs';
import { arcLongestS } from './arc';
import { flowOf } from './flow';
import { clampShows, hotSpots, metalVolts, meterShows, tipShows } from './instruments';
import { operate, type Act } from './operate';
import { withPlaced } from './rewire';
import { AS_PLANNED, EMPTY_SCENE, type Rewiring, type Scene } from './scene';
import { standing, type Setting } from './standing';

const planned = (job: Design): Plan => {
  const outcome = planJob(job);
  if (!outcome.ok) throw new Error('refused');
  return outcome.plan;
};
const settingOf = (plan: Plan): Setting => ({ job: plan.job, house: soundHouse(plan) });
const acts = (setting: Setting, ...list: readonly Act[]): Scene =>
  list.reduce((scene, act) => operate(setting, scene, act), EMPTY_SCENE);
const volts = (setting: Setting, scene: Scene, part: string): number => {
  const { network, energized } = standing(setting, scene);
  const own = network.parts.find(({ key }) => key === part)!;
  const across = Math.abs(energized.point.volts(own.hot) - energized.point.volts(own.neutral));
  return Number.isNaN(across) ? 0 : across;
};

/** A GFCI receptacle with an outlet on its LOAD. */
const onLoad = (
  protection: Design['circuits'][number]['protection'] = 'none',
  kind: 'gfci' | 'dual-function' = 'gfci',
): Plan => {
  const job = sketch({
    boxes: ['one', 'two'],
    runs: ['panel-one:30', 'one-two:15'],
    devices: [
      {
        id: 'g',
        box: 'one',
        gang: 0,
        kind,
        wants: { outlet: { does: 'power', circuit: 'c', control: null } },
      },
      duplexIn('two', null, null),
    ],
  });
  return planned({
    ...job,
    circuits: job.circuits.map((circuit) => ({ ...circuit, protection })),
    devices: job.devices.map((device) => ({
      ...device,
      wants: Object.fromEntries(
        Object.entries(device.wants).map(([part, want]) => [
          part,
          want.does === 'power' && device.box === 'two' ? { ...want, via: 'g' } : want,
        ]),
      ),
    })),
  });
};
/** LINE and LOAD changed over by hand. */
const reversed = (plan: Plan): Rewiring => {
  const at = (screw: string) => terminalId('g', screw);
  const other: Record<string, string> = {
    [at('line-hot')]: at('load-hot'),
    [at('load-hot')]: at('line-hot'),
    [at('line-neutral')]: at('load-neutral'),
    [at('load-neutral')]: at('line-neutral'),
  };
  return plan.wiring.terminations.reduce(
    (by, { end, terminal }) =>
      other[terminal] ? withPlaced(plan.wiring, by, end, { at: 'terminal', terminal: other[terminal] }) : by,
    AS_PLANNED,
  );
};

describe('GFCI with line and load swapped (check of both generations; common practice)', () => {
  const plan = onLoad();
  const setting = settingOf(plan);
  const swap: Act = { do: 'rewire', rewired: reversed(plan) };

  test('the current generation will not reset and its face is dead', () => {
    const scene = acts(setting, swap, { do: 'reset', device: 'g' });
    expect(scene.happened).toEqual([{ what: 'no reset', at: 'g' }]);
    expect(volts(setting, scene, 'g/outlet')).toBe(0);
  });
  test('an older one works, trips on TEST, and its face stays live', () => {
    const before = acts(setting, { do: 'generation', device: 'g' }, swap);
    expect(volts(setting, before, 'g/outlet')).toBeGreaterThan(118);
    expect(volts(setting, before, 'two-outlet/upper')).toBeGreaterThan(118);
    const tripped = operate(setting, before, { do: 'test', device: 'g' });
    expect(tripped.tripped).toEqual(['g']);
    expect(volts(setting, tripped, 'g/outlet')).toBeGreaterThan(118);
    expect(volts(setting, tripped, 'two-outlet/upper')).toBe(0);
    expect(operate(setting, tripped, { do: 'reset', device: 'g' }).tripped).toEqual([]);
  });
  test('as planned: TEST kills face and LOAD, RESET brings them back', () => {
    const tripped = acts(setting, { do: 'test', device: 'g' });
    expect([volts(setting, tripped, 'g/outlet'), volts(setting, tripped, 'two-outlet/upper')]).toEqual([
      0, 0,
    ]);
    const back = operate(setting, tripped, { do: 'reset', device: 'g' });
    expect(volts(setting, back, 'two-outlet/upper')).toBeGreaterThan(118);
  });
  test('without line power neither TEST nor RESET does anything', () => {
    const off = acts(setting, { do: 'test', device: 'g' }, { do: 'breaker', circuit: 'c' });
    expect(operate(setting, off, { do: 'reset', device: 'g' })).toMatchObject({
      tripped: ['g'],
      happened: [{ what: 'no reset', at: 'g' }],
    });
    const dead = acts(setting, { do: 'breaker', circuit: 'c' }, { do: 'test', device: 'g' });
    expect(dead).toMatchObject({ tripped: [], happened: [{ what: 'no test', at: 'g' }] });
  });
});

describe('a person with a hand on two points (1 kΩ; UL 943 class A, from memory)', () => {
  test('the longest times of the curve: 6 mA 5.6 s, 20 mA 1 s, 264 mA 25 ms', () => {
    expect(groundFaultLongestS(0.006)).toBeCloseTo((20 / 6) ** 1.43, 6);
    expect(groundFaultLongestS(0.006)).toBeCloseTo(5.59, 1);
    expect(groundFaultLongestS(0.02)).toBeCloseTo(1, 9);
    expect(groundFaultLongestS(0.264)).toBeCloseTo(0.025, 3);
    expect(groundFaultLongestS(2)).toBe(0.025);
    expect(groundFaultLongestS(0.004)).toBe(Number.POSITIVE_INFINITY);
  });
  const touch = (plan: Plan, from: string, to: string): Scene =>
    acts(settingOf(plan), { do: 'touch', point: from }, { do: 'touch', point: to });

  test('hot and ground on LOAD: 120 mA, the GFCI opens within 0.08 s and stays open', () => {
    const scene = touch(onLoad(), 'two-outlet:hot-upper', 'two-outlet:ground');
    const [shock] = scene.happened;
    if (shock?.what !== 'touched') throw new Error('nobody was touched');
    expect(shock.amps).toBeCloseTo(0.12, 3);
    expect(shock.opened).toMatchObject({ at: 'g', by: 'device' });
    expect(shock.opened!.withinS).toBeCloseTo((20 / 120) ** 1.43, 3);
    expect(scene.tripped).toEqual(['g']);
  });
  test('hot and neutral behind it: the same current, and nothing opens', () => {
    const scene = touch(onLoad(), 'two-outlet:hot-upper', 'two-outlet:neutral-upper');
    expect(scene.happened).toMatchObject([{ what: 'touched', opened: null }]);
    expect(scene.happened[0]).toHaveProperty('amps', expect.closeTo(0.12, 3));
    expect(scene.tripped).toEqual([]);
  });
  test('hot and ground on LINE, ahead of it: nothing opens', () =>
    expect(touch(onLoad(), 'g:line-hot', 'g:ground').happened).toMatchObject([{ opened: null }]));
  test('an AFCI breaker opens only if it has a ground-fault element, and promises no time', () => {
    const plan = onLoad('afci');
    const bare = touch(plan, 'g:line-hot', 'g:ground');
    expect(bare.happened).toMatchObject([{ opened: null }]);
    const shared = acts(
      settingOf(plan),
      { do: 'ground-fault share', at: 'c' },
      { do: 'touch', point: 'g:line-hot' },
      { do: 'touch', point: 'g:ground' },
    );
    expect(shared.happened).toMatchObject([{ opened: { at: 'c', by: 'breaker', withinS: null } }]);
    expect(shared.trippedBreakers).toEqual(['c']);
  });
  test('a dead circuit harms nobody', () => {
    const scene = acts(
      settingOf(onLoad()),
      { do: 'breaker', circuit: 'c' },
      { do: 'touch', point: 'two-outlet:hot-upper' },
      { do: 'touch', point: 'two-outlet:ground' },
    );
    expect(scene.happened).toEqual([{ what: 'touched', amps: 0, opened: null }]);
  });
});

describe('arcs (UL 1699, from memory: from 5 A; 1 s at 5 A, 0.4 s at 10 A, 0.28 s at 15 A)', () => {
  test('its times', () => {
    expect([4.9, 5, 10, 15, 100].map(arcLongestS)).toEqual(
      [null, 1, 0.4, 0.28, 0.14].map((s) => s && expect.closeTo(s, 9)),
    );
    expect(arcLongestS(7)!).toBeGreaterThan(0.4);
    expect(arcLongestS(7)!).toBeLessThan(1);
  });
  const struck = (plan: Plan, plug: string, wire: string) =>
    acts(
      settingOf(plan),
      { do: 'plug', part: 'two-outlet/upper', what: plug as 'heater' },
      { do: 'strike an arc', wire },
    );

  test('12 A through the loose wire: the AFCI breaker opens and stays open', () => {
    const scene = struck(onLoad('afci'), 'heater', 'one-two:black');
    expect(scene.happened).toMatchObject([{ what: 'arc', opened: { at: 'c', by: 'breaker' }, why: null }]);
    expect(scene.trippedBreakers).toEqual(['c']);
  });
  test('a lamp is too little, an idle wire nothing, a plain breaker or a GFCI none', () => {
    expect(struck(onLoad('afci'), 'lamp', 'one-two:black').happened).toMatchObject([
      { opened: null, why: 'too small' },
    ]);
    expect(struck(onLoad('afci'), 'heater', 'one-two:bare').happened).toMatchObject([
      { opened: null, why: 'no current' },
    ]);
    expect(struck(onLoad(), 'heater', 'one-two:black').happened).toMatchObject([
      { opened: null, why: 'none there' },
    ]);
  });
  test('a receptacle that sees arcs opens for what runs through it', () =>
    expect(struck(onLoad('none', 'dual-function'), 'heater', 'one-two:white').tripped).toEqual(['g']));
});

describe('time (UL 489, from memory: 200 % within 2 min, 135 % within 1 h, 100 % for ever)', () => {
  const outlets = planned(
    sketch({
      breakerA: 15,
      boxes: ['a', 'b'],
      runs: ['panel-a:20', 'a-b:5'],
      devices: [duplexIn('a', null, null), duplexIn('b', null, null)],
    }),
  );
  const setting = settingOf(outlets);
  const heaters = (count: number): Act[] =>
    ['a-outlet/upper', 'a-outlet/lower', 'b-outlet/upper', 'b-outlet/lower']
      .slice(0, count)
      .map((part) => ({ do: 'plug', part, what: 'heater' }));

  test('one heater holds for a day', () => {
    const day = acts(setting, ...heaters(1), { do: 'wait', seconds: 86_400 });
    expect(day.trippedBreakers).toEqual([]);
    expect(day.clock.seconds).toBe(86_400);
  });
  test('two at about 1.6 times open within the time the band gives, in one wait or in many', () => {
    const plugged = acts(setting, ...heaters(2));
    const once = operate(setting, plugged, { do: 'wait', seconds: 3600 });
    const [trip] = once.happened;
    if (trip?.what !== 'overload') throw new Error('it holds');
    const times = trip.amps / 15;
    const share = Math.log(times / 1.35) / Math.log(2 / 1.35);
    expect(trip.afterS).toBeCloseTo(Math.exp(Math.log(3600) + share * (Math.log(120) - Math.log(3600))), 3);
    expect(once.trippedBreakers).toEqual(['c']);
    expect(once.clock.seconds).toBe(3600);
    let scene = plugged;
    while (scene.trippedBreakers.length === 0) scene = operate(setting, scene, { do: 'wait', seconds: 10 });
    expect(scene.clock.seconds).toBeGreaterThanOrEqual(trip.afterS);
    expect(scene.clock.seconds).toBeLessThan(trip.afterS + 10);
    expect(scene.happened).toMatchObject([{ what: 'overload', afterS: expect.closeTo(trip.afterS, 3) }]);
  });
  test('it stays tripped when the load is gone; one tap puts it off and on', () => {
    const hot = acts(setting, ...heaters(3), { do: 'wait', seconds: 3600 }, ...heaters(3));
    expect(hot.plugged).toEqual({});
    expect(hot.trippedBreakers).toEqual(['c']);
    expect(operate(setting, hot, { do: 'breaker', circuit: 'c' })).toMatchObject({
      trippedBreakers: [],
      openBreakers: [],
    });
  });
});

describe('contacts and metal', () => {
  const plan = planned(
    sketch({
      boxes: [{ id: 'a', family: 'metal square' }, { id: 'b' }],
      runs: ['panel-a:20', 'a-b:5'],
      devices: [duplexIn('a', null, null), duplexIn('b', null, null)],
    }),
  );
  const setting = settingOf(plan);

  test('a loose contact of 1 Ω under 1500 W: I²R (Ohm, with the loop as it is)', () => {
    const end = endId('a-b:black', 'b');
    const scene = acts(
      setting,
      { do: 'rewire', rewired: { ...AS_PLANNED, loose: { [end]: 1 } } },
      { do: 'plug', part: 'b-outlet/upper', what: 'heater' },
    );
    const [spot] = hotSpots(setting, standing(setting, scene), scene);
    // 120 V over 9.6 Ω of heater, 1 Ω of contact, and some 0.15 Ω of copper and source.
    expect(spot!.amps).toBeGreaterThan(120 / (9.6 + 1 + 0.25));
    expect(spot!.amps).toBeLessThan(120 / (9.6 + 1 + 0.08));
    expect(spot!.watts).toBeCloseTo(spot!.amps ** 2, 6);
  });
  test('a hot against a bonded metal box opens the breaker; with the box off its ground it is live and nothing opens', () => {
    const hot = tailEnd(tailId(terminalId('a-outlet', 'hot-upper')));
    const against = withPlaced(plan.wiring, AS_PLANNED, hot, { at: 'metal' });
    const bonded = acts(setting, { do: 'rewire', rewired: against });
    expect(bonded).toMatchObject({ trippedBreakers: ['c'], happened: [{ what: 'short', circuit: 'c' }] });
    const tail = tailEnd(tailId(boxGroundId('a')));
    const floating = acts(setting, {
      do: 'rewire',
      rewired: withPlaced(plan.wiring, against, tail, { at: 'bare' }),
    });
    expect(floating.trippedBreakers).toEqual([]);
    const now = standing(setting, floating);
    expect(metalVolts(setting, now).get('a')).toBeCloseTo(120, 1);
    expect(tipShows(now, boxGroundId('a'))).toBe('glows');
    expect(metalVolts(setting, standing(setting, EMPTY_SCENE)).get('a')).toBeCloseTo(0, 6);
  });
  test('a capped and a lifted conductor: what lies beyond is dead; the end is as live as what feeds it', () => {
    const end = endId('a-b:black', 'a');
    for (const at of ['cap', 'bare'] as const) {
      const scene = acts(setting, {
        do: 'rewire',
        rewired: withPlaced(plan.wiring, AS_PLANNED, end, { at }),
      });
      expect(volts(setting, scene, 'b-outlet/upper')).toBe(0);
      expect(volts(setting, scene, 'a-outlet/upper')).toBeGreaterThan(119);
      expect(tipShows(standing(setting, scene), end)).toBe('unsure');
    }
  });
  test('ohms: live is refused, dead reads the loop, open reads nothing', () => {
    const ohms = (from: string, to: string, ...first: readonly Act[]) => {
      const scene = acts(
        setting,
        ...first,
        { do: 'probe', point: from, impedance: 'ohms' },
        { do: 'probe', point: to, impedance: 'ohms' },
      );
      return meterShows(standing(setting, scene), scene);
    };
    const off: Act = { do: 'breaker', circuit: 'c' };
    expect(ohms('b-outlet:hot-upper', 'b-outlet:ground')).toEqual({ kind: 'live' });
    expect(ohms('b-outlet:hot-upper', 'b-outlet:ground', off)).toEqual({
      kind: 'ohms',
      ohms: Number.POSITIVE_INFINITY,
    });
    const ground = ohms('b-outlet:ground', PANEL_GROUND, off);
    if (ground?.kind !== 'ohms') throw new Error('no ohms');
    // 25 ft of 14 or 12 AWG ground and a few contacts (Chapter 9 Table 8, from memory).
    expect(ground.ohms).toBeGreaterThan((25 / 1000) * 1.93);
    expect(ground.ohms).toBeLessThan((25 / 1000) * 3.07 + 0.02);
  });
  test('a clamp: one conductor its load, a cable nothing (Kirchhoff)', () => {
    const scene = acts(setting, { do: 'plug', part: 'b-outlet/upper', what: 'heater' });
    const now = standing(setting, scene);
    expect(clampShows(now, 'a-b:black')).toBeGreaterThan(12);
    expect(clampShows(now, 'a-b')).toBeLessThan(1e-6);
  });
});

describe('the way of a current', () => {
  test('in every sound house what runs in a wire is the sum of the loads whose way it is', () => {
    fc.assert(
      fc.property(anyPlan, fc.nat(), (plan, seed) => {
        const setting = settingOf(plan);
        let scene = plan.wiring.devices.reduce(
          (so: Scene, { id }, index) =>
            (seed >> (index % 16)) & 1 ? operate(setting, so, { do: 'handle', device: id }) : so,
          EMPTY_SCENE,
        );
        const things = ['heater', 'lamp', 'vacuum'] as const;
        standing(setting, scene)
          .network.parts.filter(({ part }) => part.plug)
          .forEach(({ key }, index) => {
            scene = { ...scene, plugged: { ...scene.plugged, [key]: things[(seed + index) % 3]! } };
          });
        const { network, state, energized } = standing(setting, scene);
        if (energized.trips.length + energized.groundFaults.length > 0) return;
        const { point } = energized;
        const flows = [...state.loads.keys()].flatMap(
          (part) => flowOf(network, state, point, part as never) ?? [],
        );
        const conductors = plan.wiring.cables.flatMap((cable) => cable.conductors);
        for (const { id, role } of conductors) {
          const amps = point.wireCurrent(id);
          const sum = flows.reduce((so, flow) => {
            const forward = flow.to.get(id) ?? flow.back.get(id);
            const sign = Math.sign(point.wireCurrent(loadWire(flow.part)));
            return forward === undefined ? so : so + flow.amps * sign * (forward ? 1 : -1);
          }, 0);
          if (role === 'ground') expect(Math.abs(amps)).toBeLessThan(1e-6);
          else expect(Math.abs(sum - amps)).toBeLessThan(0.05 * Math.max(1, Math.abs(amps)));
        }
        for (const { to, back } of flows) {
          const roles = new Map(conductors.map(({ id, role }) => [id, role]));
          for (const id of to.keys())
            expect([undefined, 'hot', 'switched', 'traveler']).toContain(roles.get(id as never));
          for (const id of back.keys()) expect([undefined, 'neutral']).toContain(roles.get(id as never));
        }
      }),
      { numRuns: 50 },
    );
  });
  test('as it is drawn, what runs into every splice runs out of it again (Kirchhoff)', () => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const { job } = plan;
        const setting = settingOf(plan);
        const parts = standing(setting, EMPTY_SCENE).network.parts.filter(({ part }) => part.plug);
        const scene: Scene = {
          ...EMPTY_SCENE,
          plugged: Object.fromEntries(parts.map(({ key }) => [key, 'lamp'])),
        };
        const { point } = standing(setting, scene).energized;
        for (const { id } of job.boxes) {
          const drawing = drawBox(plan, id);
          const into = new Map<string, number>();
          for (const { id: end, wire, along, point: at } of drawing.wires) {
            const amps = point.wireCurrent(wire) * (along ? 1 : -1);
            const tail = plan.wiring.tails.find((one) => one.id === end);
            into.set(at, (into.get(at) ?? 0) + amps);
            if (tail?.from.at === 'splice')
              into.set(tail.from.splice, (into.get(tail.from.splice) ?? 0) - amps);
          }
          for (const { id: splice } of drawing.splices)
            expect(Math.abs(into.get(splice) ?? 0)).toBeLessThan(1e-6);
        }
      }),
      { numRuns: 30 },
    );
  });

  test('an open shared neutral: the way of one load leads through the other (240 V in series)', () => {
    const den = planned(demoJob('den-media-wall')!);
    const setting = settingOf(den);
    const white = den.wiring.cables.find(({ from }) => from === 'panel')!;
    const neutral = white.conductors.find(({ role }) => role === 'neutral')!;
    const scene = acts(
      setting,
      {
        do: 'rewire',
        rewired: withPlaced(den.wiring, AS_PLANNED, endId(neutral.id, white.to), { at: 'bare' }),
      },
      { do: 'plug', part: 'outlet/upper', what: 'lamp' },
      { do: 'plug', part: 'outlet/lower', what: 'heater' },
    );
    const { network, state, energized } = standing(setting, scene);
    const flow = flowOf(network, state, energized.point, 'outlet/upper' as never)!;
    expect([...flow.back.keys()]).toContain(loadWire('outlet/lower'));
    // 240 V over 240 Ω and 9.6 Ω (series divider).
    expect(flow.amps).toBeCloseTo(240 / 249.6, 2);
    expect(volts(setting, scene, 'outlet/upper')).toBeCloseTo((240 * 240) / 249.6, 0);
  });
});

test('whatever is done on the bench of any demo job, nothing throws and a scene reads back as it was written', () => {
  const jobs = demoJobs.flatMap((job) => {
    const outcome = planJob(job);
    return outcome.ok ? [outcome.plan] : [];
  });
  expect(jobs.length).toBeGreaterThan(5);
  fc.assert(
    fc.property(
      fc.nat(),
      fc.array(fc.tuple(fc.nat(9), fc.nat(), fc.nat()), { maxLength: 8 }),
      (which, draws) => {
        const plan = jobs[which % jobs.length]!;
        const setting = settingOf(plan);
        const { network } = standing(setting, EMPTY_SCENE);
        const of = <T>(list: readonly T[], at: number): T | undefined => list[at % Math.max(list.length, 1)];
        const scene = draws.reduce((so: Scene, [kind, first]) => {
          const device = of(plan.wiring.devices, first)?.id ?? '';
          const point = of(network.points, first) ?? '';
          const circuit = of(plan.job.circuits, first)?.id ?? '';
          const part = of(network.parts, first)?.key ?? '';
          const list: Act[] = [
            { do: 'breaker', circuit },
            { do: 'breaker test', circuit },
            { do: 'handle', device },
            { do: 'plug', part, what: of(['heater', 'lamp', 'tester'] as const, first) ?? null },
            { do: 'test', device },
            { do: 'reset', device },
            { do: 'probe', point, impedance: of(['high', 'low', 'ohms'] as const, first) ?? 'high' },
            { do: 'touch', point },
            { do: 'strike an arc', wire: of(network.wires, first)?.id ?? '' },
            { do: 'wait', seconds: of([10, 60, 3600], first) ?? 10 },
          ];
          return operate(setting, so, list[kind]!);
        }, EMPTY_SCENE);
        expect(JSON.parse(JSON.stringify(scene))).toEqual(scene);
      },
    ),
    { numRuns: 150 },
  );
});

describe('the panel rewired by hand (facts of the trade, common practice)', () => {
  const plan = onLoad();
  const setting = settingOf(plan);
  const home = plan.wiring.cables.find(({ from, to }) => from === PANEL || to === PANEL)!;
  const atPanel = (role: 'hot' | 'neutral' | 'ground') =>
    endId(home.conductors.find((one) => one.role === role)!.id, PANEL);
  const put = (by: Rewiring, role: 'hot' | 'neutral' | 'ground', terminal: string) =>
    withPlaced(plan.wiring, by, atPanel(role), { at: 'terminal', terminal });
  const [circuit] = plan.job.circuits;
  const breaker = panelHotId(circuit!.id);

  test('hot and neutral changed over: the tester reads reversed at every outlet, the lamp burns', () => {
    const rewired = put(put(AS_PLANNED, 'hot', PANEL_NEUTRAL), 'neutral', breaker);
    const scene = acts(
      setting,
      { do: 'rewire', rewired },
      { do: 'plug', part: 'two-outlet/upper', what: 'tester' },
    );
    expect(volts(setting, scene, 'two-outlet/upper')).toBeGreaterThan(118);
    const { network, energized } = standing(setting, scene);
    const part = network.parts.find(({ key }) => key === 'two-outlet/upper')!;
    expect(readTester(energized.point, part).lights).toEqual([true, false, true]);
  });
  test('the neutral off its bar: nothing works', () => {
    const rewired = withPlaced(plan.wiring, AS_PLANNED, atPanel('neutral'), { at: 'bare' });
    expect(volts(setting, acts(setting, { do: 'rewire', rewired }), 'two-outlet/upper')).toBeLessThan(1);
  });
  test('the ground on the breaker: metal is live; the hot on the ground bar as well: a dead circuit, no trip', () => {
    const live = acts(setting, { do: 'rewire', rewired: put(AS_PLANNED, 'ground', breaker) });
    const { network, energized } = standing(setting, live);
    expect(
      Math.abs(energized.point.volts(network.point(terminalId('two-outlet', 'ground'))!)),
    ).toBeGreaterThan(118);
    const dead = acts(setting, { do: 'rewire', rewired: put(AS_PLANNED, 'hot', PANEL_GROUND) });
    expect(dead.trippedBreakers).toEqual([]);
    expect(volts(setting, dead, 'two-outlet/upper')).toBeLessThan(1);
  });
  test('hot and neutral both on the breaker: nothing works, nothing trips', () => {
    const scene = acts(setting, { do: 'rewire', rewired: put(AS_PLANNED, 'neutral', breaker) });
    expect(scene.trippedBreakers).toEqual([]);
    expect(volts(setting, scene, 'two-outlet/upper')).toBeLessThan(1);
  });
  test('a breaker that nothing is on is still drawn, to be put back on', () => {
    const rewired = withPlaced(plan.wiring, AS_PLANNED, atPanel('hot'), { at: 'cap' });
    const { wiring } = standing(setting, acts(setting, { do: 'rewire', rewired })).house;
    const drawn = drawBox({ ...plan, wiring }, PANEL, { wholePanel: true }).screws;
    expect(drawn.map(({ point }) => point)).toContain(breaker);
  });
  test('a hand in the panel is told of what stays live there, breaker off or on', () => {
    const end = atPanel('neutral');
    const rewired = withPlaced(plan.wiring, AS_PLANNED, end, { at: 'bare' });
    for (const before of [[], [{ do: 'breaker', circuit: circuit!.id }]] as const)
      expect(acts(setting, ...before, { do: 'rewire', rewired, end }).happened).toContainEqual({
        what: 'worked in panel',
        end,
      });
  });
});

describe('covers', () => {
  const plan = onLoad();
  const setting = settingOf(plan);
  const all = [PANEL, ...plan.job.boxes.map(({ id }) => id)];
  const off: Act = { do: 'breaker', circuit: plan.job.circuits[0]!.id };
  const cover = (boxes: readonly string[], on: boolean): Act => ({ do: 'cover', boxes, on });

  test('a cover changes nothing that is energized, and takes every probe away', () => {
    const point = terminalId('two-outlet', 'ground');
    const measured = acts(
      setting,
      { do: 'probe', point, impedance: 'low' },
      { do: 'tip', at: point },
      { do: 'plug', part: 'two-outlet/upper', what: 'lamp' },
    );
    const shut = operate(setting, measured, cover(all, true));
    expect([shut.covered, shut.meter, shut.tip]).toEqual([
      all,
      { impedance: 'low', from: null, to: null },
      null,
    ]);
    expect(shut.plugged).toEqual(measured.plugged);
    expect(volts(setting, shut, 'two-outlet/upper')).toBeCloseTo(
      volts(setting, measured, 'two-outlet/upper'),
      9,
    );
    expect(operate(setting, shut, { do: 'clear' }).covered).toEqual(all);
  });
  test('opened with the power on it says so; a panel always; a box that is off says nothing', () => {
    const shut = acts(setting, cover(all, true));
    expect(operate(setting, shut, cover(['two'], false)).happened).toEqual([
      { what: 'opened live', box: 'two' },
    ]);
    const dead = operate(setting, shut, off);
    expect(operate(setting, dead, cover(all, false)).happened).toEqual([{ what: 'opened live', box: PANEL }]);
  });
  test('an end that hangs bare behind a cover is said', () => {
    const [first] = plan.wiring.terminations.filter(({ box }) => box === 'two');
    const rewired = withPlaced(plan.wiring, AS_PLANNED, first!.end, { at: 'bare' });
    const scene = acts(setting, off, { do: 'rewire', rewired }, cover(['one', 'two'], true));
    expect(scene.happened).toEqual([{ what: 'covered bare', box: 'two' }]);
  });
});
