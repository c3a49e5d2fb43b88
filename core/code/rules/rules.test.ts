import { describe, expect, test } from '@jest/globals';
import { demoJob, demoRecord } from '../../handover/jobs/demo-house';
import { EMPTY_RECORD } from '../../job/model/record';
import type { Survey } from '../../job/model/survey';
import { Design } from '../../job/model/design';
import {
  boxGroundId,
  cableId,
  conductorId,
  endId,
  feedNet,
  PANEL_NEUTRAL,
  spliceId,
  terminalId,
  type EndId,
  type WiredConductor,
  type Wiring,
} from '../../job/model/wiring';
import { byHand } from '../../testing/by-hand';
import {
  openContact,
  touching,
  withSwappedTerminals,
  withTab,
  type Disturbance,
} from '../../power/network/disturbance';
import { planJob } from '../../wiring/plan';
import { duplexIn, lightIn, sketch, switchIn, type Sketch } from '../../testing/jobs';
import { RULES } from '.';
import { checkRules } from './check';
import { Site } from './site';
import { applyCommands } from '../../job/commands/command';

/*
 * A failing and a passing job for every rule. Sections are NEC 2017, 2020 and 2023, from memory; the jobs are
 * invented for these tests.
 */

type Input = Parameters<typeof Design.parse>[0];
const planned = (job: Design) => {
  const outcome = planJob(job);
  if (!outcome.ok) throw new Error(outcome.refusals[0]!.message);
  return outcome.plan;
};
/** A sketch with more said of it, compiled. */
const site = (
  words: Sketch,
  change: (job: Design) => Partial<Design> = () => ({}),
  break_: (wiring: Wiring) => Wiring = (w) => w,
  faults: readonly Disturbance[] = [],
): Site => {
  const base = sketch(words);
  const job = Design.parse({ ...base, ...change(base) } satisfies Input);
  return new Site(job, break_(planned(job).wiring), faults);
};
const box = (job: Design, id: string, change: object) =>
  ({ boxes: job.boxes.map((one) => (one.id === id ? { ...one, ...change } : one)) }) as Partial<Design>;
const run = (change: object) => (job: Design) => ({
  runs: job.runs.map((one) => ({ ...one, rough: { ...one.rough, ...change } })),
});
const rough = (change: object) => (job: Design) =>
  box(job, 'one', { rough: { ...job.boxes[0]!.rough, ...change } });
const room =
  (kind: string, change: object = {}, more: object = {}) =>
  (job: Design) =>
    ({
      rooms: [{ id: 'room', name: 'Room', kind, ceilingFt: 8, wallsFt: [10, 10, 10, 10], ...more }],
      ...box(job, 'one', { room: 'room', ...change }),
    }) as Partial<Design>;
const circuit = (change: object) => (job: Design) =>
  ({ circuits: job.circuits.map((one) => ({ ...one, ...change })) }) as Partial<Design>;
const both =
  (...changes: ((job: Design) => Partial<Design>)[]) =>
  (job: Design): Partial<Design> =>
    changes.reduce<Partial<Design>>((sum, change) => ({ ...sum, ...change({ ...job, ...sum }) }), {});
const device = (id: string, change: object) => (job: Design) =>
  ({ devices: job.devices.map((one) => (one.id === id ? { ...one, ...change } : one)) }) as Partial<Design>;
const conductors = (wiring: Wiring, change: (one: WiredConductor) => Partial<WiredConductor>): Wiring => ({
  ...wiring,
  cables: wiring.cables.map((cable) => ({
    ...cable,
    conductors: cable.conductors.map((one) => ({ ...one, ...change(one) })),
  })),
});

const ONE: Sketch = { boxes: ['one'], runs: ['panel-one:20'], devices: [duplexIn('one', null, null)] };
const ROW: Sketch = {
  boxes: ['one', 'two'],
  runs: ['panel-one:20', 'one-two:20'],
  devices: [duplexIn('one', null, null), duplexIn('two', null, null)],
};
const HALF: Sketch = {
  boxes: ['one', 'two'],
  runs: ['panel-one:20', 'one-two:20'],
  groups: ['g'],
  devices: [switchIn('one', 'g'), duplexIn('two', null, 'g')],
};
const LIT: Sketch = {
  boxes: ['one', 'two'],
  runs: ['panel-one:20', 'one-two:20'],
  groups: ['g'],
  devices: [switchIn('one', 'g'), lightIn('two', 'g')],
};
const TWO_HOMES: Sketch = { ...LIT, runs: ['panel-one:20', 'panel-two:20'] };
/** A light, then a receptacle further along. */
const LIT_FIRST: Sketch = {
  boxes: ['lamp', 'one'],
  runs: ['panel-lamp:20', 'lamp-one:20'],
  devices: [lightIn('lamp', null), duplexIn('one', null, null)],
};
const LOOP: Sketch = {
  breakerA: 15,
  habits: { neutralAtSwitches: 'where asked' },
  boxes: ['one', 'two'],
  runs: ['panel-two:20', 'two-one:20=14-2'],
  groups: ['g'],
  devices: [switchIn('one', 'g'), lightIn('two', 'g')],
};
/** A light that only a radio switch turns on. */
const BY_RADIO: Sketch = {
  edition: '2023',
  boxes: ['one', 'two'],
  runs: ['panel-one:20', 'one-two:20'],
  groups: ['g'],
  devices: [
    lightIn('one', 'g'),
    {
      id: 'rx',
      box: 'one',
      gang: 0,
      kind: 'radio-receiver',
      wants: { handle: { does: 'control', group: 'g' } },
    },
    {
      id: 'remote',
      box: 'two',
      gang: 0,
      kind: 'radio-switch',
      wants: { handle: { does: 'control', group: 'g' } },
    },
  ],
};
const METAL: Sketch = { ...ONE, boxes: [{ id: 'one', family: 'metal square', volumeIn3: 30.3, gangs: 2 }] };
const gfciRow = (via: string | null): Sketch => ({
  ...ROW,
  devices: [
    {
      id: 'g',
      box: 'one',
      gang: 0,
      kind: 'gfci',
      wants: { outlet: { does: 'power', circuit: 'c', control: null } },
    },
    {
      ...duplexIn('two', null, null),
      wants: {
        upper: { does: 'power', circuit: 'c', control: null, via },
        lower: { does: 'power', circuit: 'c', control: null, via },
      },
    },
  ],
});
const kinds = (
  sketch_: Sketch,
  kind: 'dimmer' | 'electronic-switch' | 'gfci' | 'afci' | 'single' | 'fan-light',
): Sketch => ({
  ...sketch_,
  devices: sketch_.devices.map((one) =>
    one.kind === 'switch' && (kind === 'dimmer' || kind === 'electronic-switch')
      ? { ...one, kind }
      : one.kind === 'duplex' && (kind === 'gfci' || kind === 'afci' || kind === 'single')
        ? { ...one, kind, wants: { outlet: one.wants['upper']! } }
        : one,
  ),
});
const watts =
  (watts_: number, more: object = {}) =>
  (job: Design) =>
    ({
      devices: job.devices.map((one) => ({
        ...one,
        wants: Object.fromEntries(
          Object.entries(one.wants).map(([part, want]) => [
            part,
            want.does === 'power' && part !== 'lower' ? { ...want, watts: watts_, ...more } : want,
          ]),
        ),
      })),
    }) as Partial<Design>;
/** Two circuits on one duplex. */
const twoCircuits = (change: object = {}): Site => {
  const job = Design.parse({ ...demoJob('den-media-wall')!, ...change });
  return new Site(job, planned(job).wiring);
};
const den = demoJob('den-media-wall')!;
const denCircuits = (change: (one: Design['circuits'][number]) => object) => ({
  circuits: den.circuits.map((one) => ({ ...one, ...change(one) })),
});
const duplexBox = (wiring: Wiring) => wiring.devices.find(({ kind }) => kind === 'duplex')!.box;
const duplexOf = (wiring: Wiring) => wiring.devices.find(({ kind }) => kind === 'duplex')!.id;
const opened = (outside: Survey['outside']) =>
  site(ONE).withRecord({
    ...EMPTY_RECORD,
    surveys: [{ ...demoRecord('hall-console').surveys[0]!, outside }],
  });

/** Rule, what fails it, what passes it. */
const CASES: readonly (readonly [string, () => Site, () => Site])[] = [
  ['W01', () => site(HALF, undefined, (w) => withTab(w, 'two-outlet', 'hot-tab', 'whole')), () => site(HALF)],
  [
    'W02',
    () =>
      site(ROW, undefined, (w) =>
        withSwappedTerminals(
          withSwappedTerminals(w, 'two-outlet', 'hot-upper', 'neutral-upper'),
          'two-outlet',
          'hot-lower',
          'neutral-lower',
        ),
      ),
    () => site(ROW),
  ],
  [
    'W03',
    () =>
      site(LIT, undefined, (w) => withSwappedTerminals(swappedPair(w, 'one'), 'two-light', 'hot', 'neutral')),
    () => site(LIT),
  ],
  [
    'W04',
    () => site(ROW, undefined, undefined, [touching('two-outlet:neutral-lower', PANEL_NEUTRAL)]),
    () => site(ROW),
  ],
  [
    'W05',
    () => {
      const { job, wiring } = twoCircuits({
        circuits: den.circuits.map((one) => ({ ...one, multiwireWith: null })),
      });
      const where = duplexBox(wiring);
      const ends = wiring.cables.flatMap((cable) =>
        cable.conductors.filter(({ role }) => role === 'neutral').map(({ id }) => endId(id, where)),
      );
      const net = feedNet('neutral', 'joined');
      const joined = {
        id: spliceId(where, net),
        box: where,
        net,
        role: 'neutral' as const,
        connector: 1,
        ends,
      };
      return new Site(job, { ...wiring, splices: [...wiring.splices, joined] });
    },
    () => twoCircuits(),
  ],
  ['W06', () => site(ROW, undefined, withSecondCable), () => site(ROW)],
  [
    'W07',
    () => site(ROW, undefined, undefined, [touching('two-outlet:neutral-lower', 'two-outlet:ground')]),
    () => site(ROW),
  ],
  [
    'W08',
    () =>
      site(ROW, undefined, (w) => ({
        ...w,
        splices: w.splices.map((s) =>
          s.role === 'ground' && s.box === 'one' ? { ...s, ends: s.ends.slice(1) } : s,
        ),
      })),
    () => site(ROW),
  ],
  [
    'W09',
    () =>
      site(METAL, undefined, (w) => ({
        ...w,
        tails: w.tails.filter(({ to }) => to !== boxGroundId('one')),
      })),
    () => site(METAL),
  ],
  ['W10', () => site(ROW, undefined, undefined, [openContact('panel-one:bare@panel')]), () => site(ROW)],
  [
    'W11',
    () => site(LOOP, undefined, (w) => conductors(w, () => ({ reidentified: false }))),
    () => site(LOOP),
  ],
  [
    'W12',
    () =>
      site(LOOP, undefined, (w) =>
        conductors(w, ({ insulation, role }) =>
          role === 'switched'
            ? { role: 'hot' }
            : insulation === 'white' && role === 'hot'
              ? { role: 'switched' }
              : {},
        ),
      ),
    () => site(LOOP),
  ],
  ['W13', () => feedThroughMultiwire(), () => twoCircuits()],
  ['W14', () => twoCircuits(denCircuits(() => ({ tiedWith: null }))), () => twoCircuits()],
  [
    'W15',
    () => {
      const s = twoCircuits();
      return new Site(s.job, withTab(s.wiring, duplexOf(s.wiring), 'hot-tab', 'whole'));
    },
    () => twoCircuits(),
  ],
  [
    'W16',
    () => {
      const { job, wiring } = twoCircuits();
      return new Site(
        { ...job, circuits: job.circuits.map((one) => ({ ...one, leg: 'A' as const })) },
        wiring,
      );
    },
    () => twoCircuits(),
  ],
  [
    'W17',
    () =>
      site(ROW, undefined, (w) =>
        byHand<Wiring>({
          ...w,
          tails: w.tails.map((t) =>
            t.to === 'one-outlet:neutral-upper' ? { ...t, to: 'one-outlet:hot-upper' } : t,
          ),
        }),
      ),
    () => site(ROW),
  ],
  ['W18', () => site(kinds(HALF, 'dimmer')), () => site(kinds(LIT, 'dimmer'))],
  ['W19', () => site(LOOP, room('hallway')), () => site(LIT, room('hallway'))],
  [
    'W20',
    () => {
      const s = twoCircuits();
      return new Site(s.job, splitFeed(s.wiring));
    },
    () => twoCircuits(),
  ],
  ['W21', () => site(ONE, run({ spliceOutside: true })), () => site(ONE)],
  ['W22', () => twoCircuits(denCircuits(() => ({ tiedWith: null }))), () => site(ONE)],
  [
    'W23',
    () =>
      site(kinds(LIT, 'electronic-switch'), undefined, (w) => ({
        ...w,
        tails: w.tails.filter(({ to }) => to !== 'one-g-switch:neutral'),
        terminations: w.terminations.filter(({ terminal }) => terminal !== 'one-g-switch:neutral'),
      })),
    () => site(kinds(LIT, 'electronic-switch')),
  ],
  [
    'W24',
    () =>
      site(ROW, undefined, (w) => ({
        ...w,
        splices: w.splices.map((one) => (one.role === 'neutral' ? { ...one, ends: one.ends.slice(1) } : one)),
      })),
    () => site(ROW),
  ],
  // Switch on one home run, light on the other: they meet in the panel only.
  // A cord goes on where a cable comes in; on its own, in a metal box, it may (NEC 400.12, 314.23(H), from memory).
  [
    'W26',
    () => site(ROW, (job) => ({ runs: job.runs.map((one, at) => ({ ...one, cord: at === 1 })) })),
    () =>
      site(ONE, (job) => ({
        ...box(job, 'one', { family: 'metal square' }),
        runs: job.runs.map((one) => ({ ...one, cord: true })),
      })),
  ],
  ['W25', () => site(TWO_HOMES, () => ({ panelSplices: true })), () => site(LIT)],
  ['X01', () => opened(['aluminum']), () => opened([])],
  ['S01', () => largerBreaker(), () => site({ ...ONE, breakerA: 15, runs: ['panel-one:20=14-2'] })],
  [
    'S02',
    () => site(ROW, undefined, (w) => ({ ...w, tails: w.tails.map((t) => ({ ...t, gauge: 14 })) })),
    () => site(ROW),
  ],
  [
    'S03',
    () => site({ ...ONE, breakerA: 15 }, device('one-outlet', { ratingA: 20 })),
    () => site(ONE, device('one-outlet', { ratingA: 20 })),
  ],
  [
    'S04',
    () => site(kinds(ONE, 'single')),
    () => site(kinds(ONE, 'single'), device('one-outlet', { ratingA: 20 })),
  ],
  [
    'S05',
    () => site({ ...ONE, habits: { pushIn: 'allowed' } }),
    () => site({ ...ONE, breakerA: 15, habits: { pushIn: 'allowed' } }),
  ],
  ['S06', () => site(ONE, run({ bundled: 6 })), () => site(ONE, run({ bundled: 2 }))],
  ['B01', () => site(ROW, (job) => box(job, 'one', { volumeIn3: 14, gangs: 1 })), () => site(ROW)],
  ['B02', () => site(ONE, rough({ freeIn: 5 })), () => site(ONE, rough({ freeIn: 6, pastFrontIn: 3 }))],
  ['B03', () => site(ONE, rough({ sheathIn: 0.1 })), () => site(ONE, rough({ sheathIn: 0.25 }))],
  ['B04', () => site(ONE, run({ supportFt: 6 })), () => site(ONE, run({ supportFt: 6, fished: true }))],
  ['B05', () => site(ONE, run({ holeEdgeIn: 1 })), () => site(ONE, run({ holeEdgeIn: 1, plate: true }))],
  [
    'B06',
    () => site(ONE, rough({ setBackIn: 0.2, combustible: true })),
    () => site(ONE, rough({ setBackIn: 0.2 })),
  ],
  ['B07', () => fan(false), () => fan(true)],
  [
    'B08',
    () =>
      site({
        ...kinds(ROW, 'gfci'),
        boxes: ['one', 'two', 'three'],
        runs: ['panel-one:20', 'one-two:20', 'one-three:20'],
        devices: [...kinds(ROW, 'gfci').devices, duplexIn('three', null, null)],
      }),
    () => site(kinds(ONE, 'gfci')),
  ],
  ['B09', () => site(METAL, rough({ ring: false })), () => site(METAL)],
  ['B11', () => site(ONE, run({ besideIn: 1 })), () => site(ONE, run({ besideIn: 1, plate: true }))],
  [
    'B12',
    () => site(ONE, (job) => box(job, 'one', { concealed: true })),
    () => site(ONE, (job) => box(job, 'one', { concealed: false })),
  ],
  ['B13', () => ceilingLight(null), () => ceilingLight(true)],
  ['B10', () => site(ONE, run({ exposure: 'wet' })), () => site(ONE)],
  [
    'L01',
    () => site(ROW, both(circuit({ existingLoadVA: 1000 }), watts(600, { continuous: true }))),
    () => site(ROW, watts(500, { continuous: true })),
  ],
  ['L02', () => site(ROW, both(circuit({ existingLoadVA: 2000 }), watts(400))), () => site(ROW, watts(400))],
  [
    'L03',
    () => site(ONE, watts(1500)),
    () => site(ONE, both(watts(1500), device('one-outlet', { ratingA: 20 }))),
  ],
  ['L04', () => site(ROW, watts(700, { fixed: true })), () => site(ROW, watts(500, { fixed: true }))],
  ['L05', () => site({ ...ONE, runs: ['panel-one:150'] }, watts(1400)), () => site(ONE, watts(1400))],
  [
    'L06',
    () => site(ONE, room('laundry')),
    () => site(ONE, both(room('laundry'), circuit({ serves: 'laundry' }))),
  ],
  ['L07', () => site(LIT, watts(1500, { motor: true })), () => site(LIT, watts(1500))],
  ['L08', () => site(many(14)), () => site(many(9))],
  [
    'L09',
    () =>
      site({
        ...HALF,
        boxes: ['one', 'two', 'three'],
        runs: [...HALF.runs, 'two-three:10'],
        devices: [...HALF.devices, duplexIn('three', null, 'g')],
      }),
    () => site(HALF),
  ],
  [
    'L10',
    () => site(ROW, both(twoRooms('laundry', 'hallway'), circuit({ serves: 'laundry' }))),
    () => site(ROW, both(twoRooms('laundry', 'laundry'), circuit({ serves: 'laundry' }))),
  ],
  [
    'L11',
    () =>
      site(
        ONE,
        both(uses('dishwasher'), (job) => box(job, 'one', { reach: 'behind appliance' })),
      ),
    () =>
      site(
        ONE,
        both(uses('dishwasher'), (job) => box(job, 'one', { reach: 'in cabinet' })),
      ),
  ],
  [
    'P13',
    () => site(ONE, uses('dishwasher')),
    () => site(ONE, both(uses('dishwasher'), circuit({ protection: 'gfci' }))),
  ],
  ['P14', () => site(kinds(ONE, 'gfci'), uses('freezer')), () => site(ONE, uses('freezer'))],
  ['P01', () => site(ONE, room('bathroom')), () => site(kinds(ONE, 'gfci'), room('bathroom'))],
  [
    'P02',
    () => site(kinds(ONE, 'gfci'), (job) => box(job, 'one', { reach: 'ceiling' })),
    () => site(kinds(ONE, 'gfci')),
  ],
  [
    'P03',
    () => site(ONE, room('bedroom')),
    () => site(ONE, both(room('bedroom'), circuit({ protection: 'afci' }))),
  ],
  ['P04', () => site(ONE, device('one-outlet', { marks: [] })), () => site(ONE)],
  [
    'P05',
    () => site(ONE, (job) => box(job, 'one', { exposure: 'wet' })),
    () =>
      site(
        ONE,
        both(
          (job) => box(job, 'one', { exposure: 'wet' }),
          device('one-outlet', { marks: ['tamper-resistant', 'weather-resistant', 'in-use cover'] }),
        ),
      ),
  ],
  [
    'P06',
    () =>
      site(gfciRow('g'), undefined, (w) =>
        withSwappedTerminals(
          withSwappedTerminals(w, 'g', 'line-hot', 'load-hot'),
          'g',
          'line-neutral',
          'load-neutral',
        ),
      ),
    () => site(gfciRow('g')),
  ],
  [
    'P07',
    () => noGround({ replaces: true }),
    () => noGround({ replaces: true, kind: 'gfci', marks: ['tamper-resistant', 'no equipment ground'] }),
  ],
  [
    'P08',
    () => site({ ...ROW, devices: [duplexIn('one', null, null), kinds(ROW, 'afci').devices[1]!] }),
    () => site(kinds(ONE, 'afci')),
  ],
  [
    'P09',
    () =>
      site(gfciRow('g'), undefined, undefined, [touching('two-outlet:neutral-lower', 'two-outlet:ground')]),
    () => site(gfciRow('g')),
  ],
  [
    'P10',
    () =>
      site(gfciRow('g'), undefined, (w) =>
        byHand<Wiring>({
          ...w,
          terminations: w.terminations.map((one) => ({
            ...one,
            terminal: one.terminal.replace('g:load-', 'g:line-'),
          })),
        }),
      ),
    () => site(gfciRow('g')),
  ],
  [
    'P11',
    () => site(ONE, both(room('bedroom'), device('one-outlet', { replaces: true }))),
    () =>
      site(
        ONE,
        both(room('bedroom'), device('one-outlet', { replaces: true }), circuit({ protection: 'dual' })),
      ),
  ],
  ['P12', () => site(kinds(ONE, 'gfci')), () => site(ONE)],
  [
    'R01',
    () => site(ONE, room('bedroom', { spot: { room: 'room', wall: 0, alongFt: 5 } }, { spacing: 'judge' })),
    () =>
      site(ONE, room('bedroom', { spot: { room: 'room', wall: 0, alongFt: 2 } }, { wallsFt: [4, 1, 4, 1] })),
  ],
  [
    'R02',
    () =>
      site(
        { ...HALF, devices: [switchIn('two', 'g'), duplexIn('one', 'g', 'g')] },
        room('bedroom', { spot: { room: 'room', wall: 0, alongFt: 5 } }),
      ),
    () => site(HALF, room('bedroom')),
  ],
  [
    'R03',
    () => site({ ...HALF, devices: [switchIn('two', 'g'), duplexIn('one', null, 'g')] }, room('kitchen')),
    () => site({ ...HALF, devices: [switchIn('two', 'g'), duplexIn('one', null, 'g')] }, room('bedroom')),
  ],
  [
    'R04',
    () => site({ ...LIT, devices: [switchIn('two', 'g'), lightIn('one', 'g')] }, room('stairway')),
    () =>
      site(
        {
          ...LIT,
          boxes: ['one', 'two', 'three'],
          runs: [...LIT.runs, 'two-three:10'],
          devices: [switchIn('two', 'g'), switchIn('three', 'g'), lightIn('one', 'g')],
        },
        room('stairway'),
      ),
  ],
  [
    'R05',
    () => site(ONE, (job) => box(job, 'one', { faces: 'up in a counter' })),
    () => site(ONE, (job) => box(job, 'one', { faces: 'listed floor or counter box' })),
  ],
  ['R07', () => site(ONE, kitchen(8)), () => site(ONE, kitchen(4))],
  [
    'R08',
    () => site(ONE, both(room('bathroom', { waterFt: 5 }), circuit({ fresh: true }))),
    () => site(ONE, both(room('bathroom', { waterFt: 2 }), circuit({ fresh: true }))),
  ],
  [
    'R09',
    () => site(ONE, both(room('outdoors', { heightIn: 100 }), circuit({ fresh: true }))),
    () => site(ONE, both(room('outdoors', { heightIn: 40 }), circuit({ fresh: true }))),
  ],
  [
    'R10',
    () => site(ONE, both(room('bedroom'), circuit({ fresh: true }))),
    () =>
      site(
        { ...HALF, devices: [switchIn('two', 'g'), duplexIn('one', null, 'g')] },
        both(room('bedroom'), circuit({ fresh: true })),
      ),
  ],
  [
    'R11',
    () => site(HALF, (job) => box(job, 'one', { heightIn: 80 })),
    () => site(HALF, (job) => box(job, 'one', { heightIn: 79 })),
  ],
  ['R12', () => site(HALF, (job) => box(job, 'one', { inTubSpace: true })), () => site(HALF)],
  [
    'R13',
    () =>
      site(
        { ...LIT, devices: [switchIn('two', 'g'), lightIn('one', 'g')] },
        room('closet', { storageIn: 5 }),
      ),
    () =>
      site(
        { ...LIT, devices: [switchIn('two', 'g'), lightIn('one', 'g')] },
        room('closet', { storageIn: 12 }),
      ),
  ],
  ['R14', () => site(BY_RADIO), () => site(LIT)],
  ['R06', () => planLine('up'), () => planLine('down')],
  ['R15', () => atDoor('right'), () => atDoor('left')],
];

/*
 * What a rule says of cases that were once judged wrong: the rule, what it must find, a job that has it, and its like that
 * has not. Sections from memory.
 */
const FINE_CASES: readonly (readonly [
  why: string,
  rule: string,
  severity: string,
  failing: () => Site,
  passing: () => Site,
])[] = [
  ['210.7: a combination device on two circuits', 'W14', 'stop', () => combined(false), () => combined(true)],
  [
    '406.12: a GFCI marked "no equipment ground" has a ground slot',
    'P04',
    'code',
    () => noGround({ replaces: true, kind: 'gfci', marks: ['no equipment ground'] }),
    () => noGround({ replaces: true, kind: 'gfci', marks: ['tamper-resistant', 'no equipment ground'] }),
  ],
  [
    '406.12(A) of 2017 names the areas of 210.52: an attic is none; from 2020 all of a dwelling',
    'P04',
    'ask',
    () => site({ ...ONE, edition: '2017' }, both(room('attic'), device('one-outlet', { marks: [] }))),
    () => site({ ...ONE, edition: '2017' }, room('attic')),
  ],
  [
    '406.12 of 2020, in an attic',
    'P04',
    'code',
    () => site({ ...ONE, edition: '2020' }, both(room('attic'), device('one-outlet', { marks: [] }))),
    () => site({ ...ONE, edition: '2020' }, room('attic')),
  ],
  [
    '210.70: a radio switch takes over a light that was there',
    'R14',
    'ask',
    () =>
      site(BY_RADIO, (job) => ({ devices: job.devices.map(wasThere(({ kind }) => kind === 'luminaire')) })),
    () => site(BY_RADIO, (job) => ({ devices: job.devices.map(wasThere(() => true)) })),
  ],
  [
    '210.52(F): one laundry receptacle is on the laundry circuit, a second is free',
    'L06',
    'code',
    () => laundry('general'),
    () => laundry('laundry'),
  ],
  [
    '210.52(G)(1): a garage with one receptacle and two bays',
    'R01',
    'code',
    () => site(ONE, both(room('garage', {}, { bays: 2, spacing: 'judge' }))),
    () => site(ONE, both(room('garage', {}, { bays: 1, spacing: 'judge' }))),
  ],
  [
    '210.52(G)(1): a receptacle of a garage over 5½ ft up',
    'R01',
    'code',
    () => site(ONE, both(room('garage', { heightIn: 67 }, { bays: 1, spacing: 'judge' }))),
    () => site(ONE, both(room('garage', { heightIn: 66 }, { bays: 1, spacing: 'judge' }))),
  ],
  [
    '210.52(G)(1): a garage whose bays are not said',
    'R01',
    'ask',
    () => site(ONE, room('garage', {}, { spacing: 'judge' })),
    () => site(ONE, room('garage', {}, { spacing: 'ask' })),
  ],
  ...(['2017', '2020', '2023'] as const).map(
    (edition) =>
      [
        `406.9(C): inside the space of a tub, ${edition}`,
        'R05',
        'stop',
        () => site({ ...ONE, edition }, room('bathroom', { inTubSpace: true, waterFt: 20 })),
        () => site({ ...ONE, edition }, room('bathroom', { waterFt: 20 })),
      ] as const,
  ),
  [
    '210.52(B)(2): a dishwasher on a small-appliance circuit',
    'L10',
    'code',
    () => site(ONE, both(room('kitchen'), uses('dishwasher'), circuit({ serves: 'small appliance' }))),
    () => site(ONE, both(room('kitchen'), uses('toaster'), circuit({ serves: 'small appliance' }))),
  ],
  [
    '210.52(B): the dishwasher of a kitchen is on another circuit, a kettle is not',
    'L06',
    'code',
    () => site(ONE, both(room('kitchen'), uses('kettle'))),
    () => site(kinds(ONE, 'single'), both(room('kitchen'), uses('dishwasher'))),
  ],
  [
    '210.11(C)(1), 210.52(B)(3): counters of a judged kitchen on one small-appliance circuit',
    'L06',
    'code',
    () => counters(1),
    () => counters(2),
  ],
  [
    '210.70(A)(1) of 2023: a laundry area wired anew without a light',
    'R10',
    'code',
    () => site({ ...ONE, edition: '2023' }, both(room('laundry'), circuit({ fresh: true }))),
    () => site({ ...ONE, edition: '2020' }, both(room('laundry'), circuit({ fresh: true }))),
  ],
  [
    '210.52(C)(1): an outlet inside a cabinet does not serve the counter',
    'R07',
    'code',
    () =>
      site(
        ONE,
        both(kitchen(4), (job) => box(job, 'one', { reach: 'in cabinet' })),
      ),
    () => site(ONE, kitchen(4)),
  ],
  [
    '210.52(A)(2)(1): walls under 2 ft are part of the wall line',
    'R01',
    'code',
    () => site(ONE, room('bedroom', onWall, { spacing: 'judge', wallsFt: [6.5, 1.9, 1.9, 1.9, 1.9] })),
    () => site(ONE, room('bedroom', onWall, { spacing: 'judge', wallsFt: [6.5, 1.9, 1.9, 1] })),
  ],
  [
    '210.12(D): a replaced receptacle extends nothing; an added one does',
    'P03',
    'code',
    () => inBedroom({ was: false }),
    () => inBedroom({ was: false, replaces: true }),
  ],
  [
    '334.12(B)(4): NM-B from inside to the back of a wet flush box is asked about',
    'B10',
    'ask',
    () => site(ONE, (job) => box(job, 'one', { exposure: 'wet' })),
    () => site(ONE),
  ],
  [
    '334.12(B)(4): NM-B that is itself in a wet place stops',
    'B10',
    'stop',
    () =>
      site(
        ONE,
        both(run({ exposure: 'wet' }), (job) => box(job, 'one', { exposure: 'wet' })),
      ),
    () => site(ONE),
  ],
];
const onWall = { spot: { room: 'room', wall: 0, alongFt: 0 } };
const wasThere =
  (those: (device: Design['devices'][number]) => boolean) => (one: Design['devices'][number]) =>
    those(one) ? { ...one, was: true } : one;
/** A switch with a light and one with an outlet in one box; the door at one side of it. */
function atDoor(doorSide: 'left' | 'right'): Site {
  const words: Sketch = {
    boxes: ['one', 'two'],
    runs: ['panel-one:20', 'one-two:20'],
    groups: ['g', 'h'],
    devices: [
      switchIn('one', 'g', 0),
      switchIn('one', 'h', 1),
      lightIn('two', 'g'),
      duplexIn('two', null, 'h', 1),
    ],
  };
  return site(words, (job) => box(job, 'one', { doorSide }));
}
/** A combination device whose outlet is on one circuit, and whose switch has a light on another. */
function combined(tied: boolean): Site {
  const power = (of: string, control: string | null) => ({ does: 'power' as const, circuit: of, control });
  const job = Design.parse({
    ...sketch({
      boxes: ['one', 'two'],
      runs: ['panel-one:20', 'one-two:20'],
      groups: ['g'],
      devices: [
        {
          id: 'combo',
          box: 'one',
          gang: 0,
          kind: 'combination',
          wants: { handle: { does: 'control', group: 'g' }, outlet: power('c', null) },
        },
        { id: 'lamp', box: 'two', gang: 0, kind: 'luminaire', wants: { lamp: power('d', 'g') } },
      ],
    }),
    circuits: [
      { id: 'c', number: '1', breakerA: 15, leg: 'A', multiwireWith: 'd', tiedWith: tied ? 'd' : null },
      { id: 'd', number: '2', breakerA: 15, leg: 'B', multiwireWith: 'c', tiedWith: tied ? 'c' : null },
    ],
  });
  const whole = {
    ...job,
    runs: job.runs.map((r) => (r.from === 'panel' ? { ...r, circuits: ['c', 'd'] } : r)),
  };
  return new Site(whole, planned(whole).wiring);
}
/** Two receptacles of a laundry wired anew: the first on a circuit of this kind, the second on a general one. */
function laundry(serves: string): Site {
  const base = sketch({
    ...ROW,
    runs: ['panel-one:20', 'panel-two:20'],
  });
  const job = Design.parse({
    ...base,
    circuits: [
      { ...base.circuits[0], serves, fresh: true },
      { id: 'd', number: '2', breakerA: 20, leg: 'B', fresh: true },
    ],
    runs: base.runs.map((one) => (one.to === 'two' ? { ...one, circuits: ['d'] } : one)),
    rooms: [{ id: 'room', name: 'Room', kind: 'laundry', wallsFt: [9] }],
    boxes: base.boxes.map((one) => ({ ...one, room: 'room' })),
    devices: base.devices.map((one) =>
      one.box === 'two' ? { ...one, wants: { upper: of('d'), lower: of('d') } } : one,
    ),
  });
  return new Site(job, planned(job).wiring);
}
const of = (id: string) => ({ does: 'power' as const, circuit: id, control: null });
/** Two counter receptacles of a judged kitchen on so many small-appliance circuits. */
function counters(circuits: 1 | 2): Site {
  const base = sketch({ ...ROW, runs: ['panel-one:20', 'panel-two:20'] });
  const second = circuits === 1 ? 'c' : 'd';
  const job = Design.parse({
    ...base,
    circuits: [
      { ...base.circuits[0], serves: 'small appliance' },
      ...(circuits === 2
        ? [{ id: 'd', number: '2', breakerA: 20, leg: 'B', serves: 'small appliance' }]
        : []),
    ],
    runs: base.runs
      .filter(({ to }) => circuits === 2 || to === 'one')
      .map((one) => (one.to === 'two' ? { ...one, circuits: ['d'] } : one))
      .concat(
        circuits === 2
          ? []
          : [{ ...base.runs[0]!, id: 'one-two', from: 'one', to: 'two', circuits: undefined }],
      ),
    rooms: [{ id: 'room', name: 'Room', kind: 'kitchen', wallsFt: [9], spacing: 'judge' }],
    boxes: base.boxes.map((one) => ({ ...one, room: 'room', counter: true })),
    devices: base.devices.map((one) =>
      one.box === 'two' ? { ...one, wants: { upper: of(second), lower: of(second) } } : one,
    ),
  });
  return new Site(job, planned(job).wiring);
}
function inBedroom(change: object): Site {
  return site(
    ONE,
    both(room('bedroom'), device('one-outlet', change), (job) => ({
      runs: job.runs.map((one) => ({ ...one, existing: '12-2' as const })),
    })),
  );
}

function twoRooms(one: string, two: string) {
  return (job: Design): Partial<Design> =>
    Design.parse({
      ...job,
      rooms: [
        { id: 'one', name: 'One', kind: one, wallsFt: [9] },
        { id: 'two', name: 'Two', kind: two, wallsFt: [9] },
      ],
      boxes: job.boxes.map((box) => ({ ...box, room: box.id })),
    });
}
function uses(appliance: string) {
  return (job: Design): Partial<Design> =>
    Design.parse({
      ...job,
      devices: job.devices.map((one) => ({
        ...one,
        wants: Object.fromEntries(
          Object.entries(one.wants).map(([part, want], index) => [
            part,
            want.does === 'power' && index === 0 ? { ...want, appliance } : want,
          ]),
        ),
      })),
    });
}
/** A counter along a wall with one receptacle 2 ft from its left end. */
function kitchen(toFt: number) {
  return room(
    'kitchen',
    { counter: true, spot: { room: 'room', wall: 0, alongFt: 2 } },
    { counters: [{ kind: 'wall', wall: 0, fromFt: 0, toFt }] },
  );
}
function ceilingLight(fanListed: boolean | null): Site {
  return site(
    { ...LIT, edition: '2023', devices: [switchIn('two', 'g'), lightIn('one', 'g')] },
    room('bedroom', { reach: 'ceiling', fanListed }),
  );
}

/** 14 AWG that was planned for 15 A, with the breaker changed afterwards. */
function largerBreaker(): Site {
  const { job, wiring } = site({ ...ONE, breakerA: 15 });
  return new Site(
    { ...job, circuits: job.circuits.map((one) => ({ ...one, breakerA: 20 as const })) },
    wiring,
  );
}
function planLine(pin: 'up' | 'down'): Site {
  const { brief, ...rest } = EMPTY_RECORD;
  const about = { kind: 'ground pin' as const, pin };
  const line = { id: 'l', says: `Ground pin ${pin}`, about, pin: null, stamped: null };
  return site(ONE).withRecord({ ...rest, brief: { ...brief, lines: [line] } });
}
/** The conductors on the two screws of the switch's cable go over: hot straight through, neutral by the switch. */
function swappedPair(wiring: Wiring, at: string): Wiring {
  const feed = wiring.cables.find(({ from }) => from === 'panel')!;
  const [black, white] = [
    feed.conductors.find((c) => c.insulation === 'black')!.id,
    feed.conductors.find((c) => c.insulation === 'white')!.id,
  ];
  const on = wiring.cables.find(({ from, to }) => from !== 'panel' && (from === at || to === at))!;
  const [outBlack, outWhite] = [
    on.conductors.find((c) => c.insulation === 'black')!.id,
    on.conductors.find((c) => c.insulation === 'white')!.id,
  ];
  const swap = new Map([
    [black, white],
    [white, black],
    [outBlack, outWhite],
    [outWhite, outBlack],
  ]);
  const moved = (end: EndId) => {
    const own = [...swap].find(([id]) => endId(id, at) === end);
    return own ? endId(own[1], at) : end;
  };
  return {
    ...wiring,
    splices: wiring.splices.map((s) => ({ ...s, ends: s.ends.map(moved) })),
    terminations: wiring.terminations.map((t) => ({ ...t, end: moved(t.end) })),
  };
}
/** A second cable beside the first between the same boxes, joined at both ends. */
function withSecondCable(wiring: Wiring): Wiring {
  const cable = wiring.cables.find(({ from }) => from !== 'panel')!;
  const again = {
    ...cable,
    id: cableId('again'),
    conductors: cable.conductors.map((one) => ({ ...one, id: conductorId('again', one.insulation) })),
  };
  const twin = (end: EndId) =>
    cable.conductors.flatMap((one) =>
      [cable.from, cable.to].flatMap((box) =>
        endId(one.id, box) === end ? [endId(conductorId('again', one.insulation), box)] : [],
      ),
    );
  return {
    ...wiring,
    cables: [...wiring.cables, again],
    splices: wiring.splices.map((s) => ({ ...s, ends: [...s.ends, ...s.ends.flatMap(twin)] })),
    terminations: [
      ...wiring.terminations,
      ...wiring.terminations.flatMap((t) => twin(t.end).map((end) => ({ ...t, end }))),
    ],
  };
}
function splitFeed(wiring: Wiring): Wiring {
  const feed = wiring.cables.find(({ from, to }) => from === 'panel' || to === 'panel')!;
  const red = feed.conductors.find(({ insulation }) => insulation === 'red')!;
  return {
    ...wiring,
    cables: [
      ...wiring.cables.map((one) =>
        one === feed ? { ...feed, conductors: feed.conductors.filter((c) => c !== red) } : one,
      ),
      { ...feed, id: cableId('second'), conductors: [red] },
    ],
  };
}
function feedThroughMultiwire(): Site {
  const { job, wiring } = twoCircuits();
  const feed = wiring.cables.find(({ from, to }) => from === 'panel' || to === 'panel')!;
  const white = feed.conductors.find(({ role }) => role === 'neutral')!;
  const id = duplexOf(wiring);
  const where = wiring.devices.find((one) => one.id === id)!.box;
  const onward = {
    ...feed,
    id: cableId('onward'),
    from: where,
    to: 'nowhere',
    conductors: [{ ...white, id: conductorId('onward', 'white') }],
  };
  return new Site(job, {
    ...wiring,
    cables: [...wiring.cables, onward],
    terminations: [
      ...wiring.terminations.filter(({ end }) => end !== endId(white.id, where)),
      { box: where, end: endId(white.id, where), terminal: terminalId(id, 'neutral-upper') },
      { box: where, end: endId('onward:white', where), terminal: terminalId(id, 'neutral-lower') },
    ],
  });
}
function fan(listed: boolean): Site {
  const power = { does: 'power' as const, circuit: 'c', control: null };
  return site(
    {
      ...ONE,
      devices: [{ id: 'fan', box: 'one', gang: 0, kind: 'fan-light', wants: { fan: power, light: power } }],
    },
    (job) => box(job, 'one', { fanListed: listed }),
  );
}
function many(count: number): Sketch {
  const boxes = Array.from({ length: count }, (_, index) => `b${index}`);
  return {
    boxes,
    runs: boxes.map((id, index) => `${index === 0 ? 'panel' : boxes[index - 1]}-${id}:5`),
    devices: boxes.map((id) => duplexIn(id, null, null)),
  };
}
function noGround(change: { replaces: boolean; kind?: 'gfci'; marks?: string[] }): Site {
  const { kind, ...rest } = change;
  return site(kind ? kinds(ONE, kind) : ONE, device('one-outlet', rest), undefined, [
    openContact('panel-one:bare@panel'),
  ]);
}

const hits = (id: string, of: Site) => checkRules(of).filter(({ rule }) => rule === id);

describe('every rule has a job that fails it and one that passes it', () => {
  test('all rules of the catalog are here, once', () => {
    expect(CASES.map(([id]) => id)).toEqual([...new Set(CASES.map(([id]) => id))]);
    expect([...RULES.map(({ id }) => id)].sort()).toEqual(CASES.map(([id]) => id).sort());
  });
  test.each(CASES)('%s', (id, failing, passing) => {
    const found = hits(id, failing());
    expect(found.length).toBeGreaterThan(0);
    for (const { message, section } of found) {
      expect(message).toMatch(/\S/);
      expect(typeof section).toBe('string');
    }
    expect(hits(id, passing()).map(({ message }) => message)).toEqual([]);
  });
});

describe('cases that were once judged wrong', () => {
  test.each(FINE_CASES)('%s (%s: %s)', (_, rule, severity, failing, passing) => {
    const found = hits(rule, failing());
    expect([...new Set(found.map((one) => one.severity))]).toEqual([severity]);
    expect(hits(rule, passing()).filter((one) => one.severity === severity)).toEqual([]);
  });
});

describe('findings', () => {
  test('a fix that is offered settles what it was offered for', () => {
    let fixed = 0;
    for (const [id, failing] of CASES) {
      const before = failing();
      // Only faults of the job can be settled by a change to the job.
      if (!planJob(before.job).ok) continue;
      for (const { fix, at } of hits(id, new Site(before.job, planned(before.job).wiring))) {
        if (!fix) continue;
        const after = applyCommands(before.job, fix.commands);
        if (!after.ok) throw new Error(`${id}: ${after.problems[0]!.message}`);
        const again = hits(id, new Site(after.value.job, planned(after.value.job).wiring));
        expect({
          id,
          left: again.filter((one) => one.at.id === at.id).map(({ message }) => message),
        }).toEqual({ id, left: [] });
        fixed++;
      }
    }
    expect(fixed).toBeGreaterThan(8);
  });
  test('a rule that is set aside with a reason finds nothing; the reason is kept in the job', () => {
    const of = site(
      ONE,
      both(room('bathroom'), () => ({
        amendments: [{ rule: 'P01', reason: 'Protected upstream, permit 12' }],
      })),
    );
    expect(hits('P01', of)).toEqual([]);
    expect(of.job.amendments[0]!.reason).toMatch(/permit/);
  });
  test('W13 is of the shared neutral: what one LOAD side feeds is of one circuit and may pass its device', () => {
    const power = (via: string | null) => ({ does: 'power' as const, circuit: 'c', control: null, via });
    const job = Design.parse({
      ...sketch({
        boxes: ['one', 'two'],
        runs: ['panel-one:20', 'one-two:20'],
        devices: [
          { id: 'near', box: 'one', gang: 0, kind: 'gfci', wants: { outlet: power('far') } },
          { id: 'far', box: 'two', gang: 0, kind: 'dual-function', wants: { outlet: power(null) } },
        ],
      }),
      circuits: [
        { id: 'c', number: '1', breakerA: 15, leg: 'A', multiwireWith: 'd', tiedWith: 'd' },
        { id: 'd', number: '2', breakerA: 15, leg: 'B', multiwireWith: 'c', tiedWith: 'c' },
      ],
      groups: [],
    });
    const both_ = {
      ...job,
      runs: job.runs.map((r) => (r.from === 'panel' ? { ...r, circuits: ['c', 'd'] } : r)),
    };
    const of = new Site(both_, planned(both_).wiring);
    expect(of.contents('two').terminations.filter(({ terminal }) => /neutral/.test(terminal))).toHaveLength(
      2,
    );
    expect(hits('W13', of)).toEqual([]);
  });
  test.each([
    ['extended, an AFCI at its first receptacle', false, 'afci', 'none', []],
    ['extended, a light ahead of that receptacle is let be', false, 'light', 'none', []],
    ['new, an AFCI at its first receptacle: by a listed means?', true, 'afci', 'none', ['ask']],
    ['new, an AFCI breaker', true, 'duplex', 'afci', []],
    ['new, both: breaker and receptacle', true, 'afci', 'dual', []],
    ['new, a GFCI breaker', true, 'duplex', 'gfci', ['code']],
  ] as const)('P03 (210.12, from memory): %s', (_, fresh, kind, protection, severities) => {
    const words = kind === 'light' ? kinds(LIT_FIRST, 'afci') : kind === 'afci' ? kinds(ONE, 'afci') : ONE;
    const of = site(words, both(room('bedroom'), circuit({ fresh, protection })));
    expect(hits('P03', of).map(({ severity }) => severity)).toEqual(severities);
  });
  test('P03: one of two circuits that share a neutral is not protected alone; as a change, both are', () => {
    const den = demoJob('den-media-wall')!;
    const alone = {
      ...den,
      circuits: den.circuits.map((one, index) =>
        index === 0 ? { ...one, protection: 'dual' as const } : one,
      ),
    };
    const of = new Site(alone, planned(alone).wiring);
    expect(hits('P03', of).map(({ says }) => says.code)).toContain('p03.oneBreaker');
    expect(of.proof.findings.map(({ kind }) => kind)).toContain('protection trips');
    const done = applyCommands(den, [{ do: 'set circuit', circuit: 'c16', change: { protection: 'dual' } }]);
    if (!done.ok) throw new Error('not applied');
    expect(done.value.job.circuits.map(({ protection }) => protection)).toEqual(['dual', 'dual']);
    const together = new Site(done.value.job, planned(done.value.job).wiring);
    expect(hits('P03', together)).toEqual([]);
    expect(together.proof.findings).toEqual([]);
  });
  test('R01 asks one question of a room that was there; judged, or wired anew, it is one finding for the room', () => {
    const spot = { spot: { room: 'room', wall: 0, alongFt: 5 } };
    const of = (fresh: boolean, spacing: string) =>
      hits('R01', site(ONE, both(room('bedroom', spot, { spacing }), circuit({ fresh })))).map(
        ({ severity }) => severity,
      );
    expect(of(true, 'ask')).toEqual(['code']);
    expect(of(false, 'ask')).toEqual(['ask']);
    expect(of(false, 'judge')).toEqual(['code']);
    expect(of(true, 'leave')).toEqual([]);
  });
  test('what was there is judged by the rules of its time; once replaced by those of today', () => {
    const old = (change: object) =>
      checkRules(
        site(ONE, both(room('bathroom'), device('one-outlet', { marks: [], was: true, ...change }))),
      );
    const rules = (found: ReturnType<typeof old>) => found.map(({ rule }) => rule);
    for (const rule of ['P01', 'P04', 'L06']) {
      expect(rules(old({}))).not.toContain(rule);
      expect(rules(old({ was: false }))).toContain(rule);
    }
    expect(rules(old({ replaces: true }))).toContain('P11');
  });
  test.each([
    ['kitchen', 'small appliance', []],
    ['bedroom', 'small appliance', ['two']],
    ['bathroom', 'bathroom', []],
    ['hallway', 'bathroom', ['two']],
    ['outdoors', 'garage', []],
    ['bedroom', 'garage', ['two']],
    ['kitchen', 'individual', ['two']],
    ['bedroom', 'general', []],
  ] as const)(
    'L10 (210.52(B)(2), 210.11(C), from memory): a second outlet in %s on a %s circuit',
    (kind, serves, at) => {
      const home = {
        'small appliance': 'kitchen',
        bathroom: 'bathroom',
        garage: 'garage',
        individual: 'kitchen',
        general: 'bedroom',
      }[serves];
      const of = site(ROW, both(twoRooms(home, kind), circuit({ serves })));
      expect([...new Set(hits('L10', of).map((one) => of.device(one.at.id)?.box))]).toEqual(at);
    },
  );
  test.each(['small appliance', 'laundry', 'garage'] as const)('L10: a light on a %s circuit', (serves) => {
    const home = { 'small appliance': 'kitchen', laundry: 'laundry', garage: 'garage' }[serves];
    const of = site(LIT_FIRST, both(room(home), circuit({ serves })));
    expect(hits('L10', of).map(({ at }) => of.device(at.id)?.kind)).toEqual(['luminaire']);
  });
  test('an individual circuit does not excuse a countertop outlet (210.52(B)(1), from memory)', () => {
    const of = (counter: boolean) =>
      hits('L06', site(ONE, both(room('kitchen', { counter }), circuit({ serves: 'individual' })))).length >
      0;
    expect([of(true), of(false)]).toEqual([true, false]);
  });
  test('L03: the share of 80 % is of circuits with two or more outlets (210.23(A)(1), from memory)', () => {
    const of = (serves: string) =>
      hits(
        'L03',
        site(
          kinds(ONE, 'single'),
          both(watts(2300), circuit({ serves }), device('one-outlet', { ratingA: 20 })),
        ),
      ).length;
    expect([of('general'), of('individual')]).toEqual([1, 0]);
  });
  test('P03: a switch in the room counts, wherever its light is; up to 6 ft with nothing added does not', () => {
    const lit = (kind: string, more: (job: Design) => Partial<Design> = () => ({})) =>
      hits(
        'P03',
        site({ ...LIT, devices: [switchIn('one', 'g'), lightIn('two', 'g')] }, both(room(kind), more)),
      );
    expect(lit('bedroom')).toHaveLength(1);
    expect(lit('bathroom')).toEqual([]);
    const old = (change: object) => (job: Design) => ({
      devices: job.devices.map((one) => ({ ...one, was: true, ...change })),
      runs: job.runs.map((one) => ({ ...one, lengthFt: 2.5 })),
    });
    expect(lit('bedroom', old({}))).toEqual([]);
    expect(lit('bedroom', old({ was: false }))).toHaveLength(1);
  });
  test('an outdoor place left dry is asked about; NM-B to a wet box is found whatever the run says', () => {
    expect(hits('P05', site(ONE, room('outdoors'))).map(({ severity }) => severity)).toEqual(['ask']);
    expect(hits('B10', site(ONE, room('outdoors', { exposure: 'wet' })))).toHaveLength(1);
  });
  test('R04 asks for the risers where they are not said; R07 counts islands by edition', () => {
    const stairs = (risers: number | null) =>
      hits(
        'R04',
        site(
          { ...LIT, devices: [switchIn('two', 'g'), lightIn('one', 'g')] },
          room('stairway', {}, { risers }),
        ),
      ).map(({ severity }) => severity);
    expect([stairs(null), stairs(5), stairs(6)]).toEqual([['ask'], [], ['code']]);
    const island = (edition: '2017' | '2020' | '2023') =>
      hits(
        'R07',
        site(
          { ...ONE, edition },
          room('kitchen', { counter: true }, { counters: [{ kind: 'island', longFt: 9, shortFt: 3 }] }),
        ),
      ).length;
    // 27 ft²: one in 2017, two in 2020 (9 and 18 ft²), provisions only in 2023.
    expect([island('2017'), island('2020'), island('2023')]).toEqual([0, 1, 0]);
  });
  test.each([
    ['R07', '210.52(C)(1), (2), (3)', '210.52(C)(1), (2)', '210.52(C)(1), (2)'],
    ['R08', '210.52(D)', '210.52(D)', '210.52(D)'],
    ['R09', '210.52(E)(1), (3)', '210.52(E)(1), (3)', '210.52(E)(1), (3)'],
    ['R10', '210.70(A)', '210.70(A)', '210.70(A)'],
    ['R11', '404.8(A)', '404.8(A)', '404.8(A)'],
    ['R12', '404.4(C)', '404.4(C)', '404.4(C)'],
    ['R13', '410.16(C)', '410.16(C)', '410.16(C)'],
    ['B11', '300.4(D)', '300.4(D)', '300.4(D)'],
    ['B12', '314.29', '314.29(A)', '314.29(A)'],
    ['B13', '314.27(C)', '314.27(C)', '314.27(C)'],
    ['L11', '422.16(B), 422.33(A)', '422.16(B), 422.33(A)', '422.16(B), 422.33(A)'],
    ['P13', '210.8(D)', '210.8(D), 422.5(A)', '210.8(D), 422.5(A)'],
  ])('%s stands at its section in 2017, 2020 and 2023 (from memory)', (id, a, b, c) => {
    const rule = RULES.find((one) => one.id === id)!;
    expect([rule.section['2017'], rule.section['2020'], rule.section['2023']]).toEqual([a, b, c]);
  });
  test('P01 asks for the room where none is said, once a box, and not where the outlet is protected anyway', () => {
    const asked = (of: Site) =>
      hits('P01', of).map(({ at, severity, message }) => [at.id, severity, message]);
    expect(asked(site(ROW)).map(([id, severity]) => [id, severity])).toEqual([
      ['one', 'ask'],
      ['two', 'ask'],
    ]);
    expect(asked(site(ROW))[0]![2]).toMatch(/In which room/);
    expect(asked(site(gfciRow('g')))).toEqual([]);
    expect(asked(site(ONE, room('other')))).toEqual([]);
  });
  test('the worst stand first', () => {
    const order = checkRules(site(ONE, both(room('bathroom'), device('one-outlet', { marks: [] })))).map(
      ({ severity }) => severity,
    );
    expect(order.indexOf('stop')).toBeLessThan(order.indexOf('code'));
  });
  test('sections follow the edition', () => {
    const of = (edition: '2017' | '2023') => hits('L03', site({ ...ONE, edition }, watts(1500)))[0]!.section;
    expect([of('2017'), of('2023')]).toEqual(['210.23(A)(1)', '210.23(B)(1)']);
  });
  test('the demo house: every job that compiles is checked without a stop but those it is there to show', () => {
    for (const id of [
      'sunroom-plant-shelf',
      'hall-console',
      'stair',
      'den-media-wall',
      'landing-three-switches',
    ]) {
      const job = demoJob(id)!;
      const stops = checkRules(new Site(job, planned(job).wiring)).filter(
        ({ severity }) => severity === 'stop',
      );
      expect({ id, stops: stops.map(({ message }) => message) }).toEqual({ id, stops: [] });
    }
  });
});
