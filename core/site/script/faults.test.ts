import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { FAULT_IDS, type Fault, type FaultId } from '../../power/faults';
import { demoJob, demoJobs } from '../../handover/jobs/demo-house';
import { planJob, type Plan } from '../../wiring/plan';
import { duplexIn, lightIn, sketch, switchIn } from '../../testing/jobs';
import { anyJob } from '../../testing/random-jobs';
import { Design } from '../../job/model/design';
import { openedIn, type FieldTest, type Outcome } from './field-test';
import { studyFaults, type Study } from './script';

/*
 * Every mistake of the catalog, put into jobs, shows what the trade knows of it (common practice), and is hidden from
 * what cannot show it.
 */

const planned = (job: Design): Plan | null => {
  const outcome = planJob(job);
  return outcome.ok ? outcome.plan : null;
};

const combination = (more: boolean) =>
  sketch({
    boxes: ['wall', 'lamp', ...(more ? ['end'] : [])],
    runs: ['panel-wall:20', 'wall-lamp:10', ...(more ? ['wall-end:12'] : [])],
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
      ...(more ? [duplexIn('end', null, null)] : []),
    ],
  });
/** A light, its switch at the end of an old 2-wire loop: the white goes down hot. */
const loop = (lights: number) =>
  sketch({
    edition: '2017',
    habits: { neutralAtSwitches: 'where asked' },
    boxes: ['wall', 'lamp', ...(lights > 1 ? ['second'] : [])],
    runs: ['panel-lamp:30', 'lamp-wall:20=12-2', ...(lights > 1 ? ['lamp-second:8'] : [])],
    groups: ['g'],
    devices: [switchIn('wall', 'g'), lightIn('lamp', 'g'), ...(lights > 1 ? [lightIn('second', 'g')] : [])],
  });
const pairOfLights = sketch({
  boxes: ['wall', 'lamp', 'far'],
  runs: ['panel-wall:30', 'wall-lamp:20', 'lamp-far:9'],
  groups: ['g'],
  devices: [switchIn('wall', 'g'), lightIn('lamp', 'g'), lightIn('far', 'g')],
});
const threePlaces = sketch({
  boxes: ['a', 'b', 'c', 'lamp'],
  runs: ['panel-a:30', 'a-b:20', 'b-c:20', 'c-lamp:9'],
  groups: ['g'],
  devices: [switchIn('a', 'g'), switchIn('b', 'g'), switchIn('c', 'g'), lightIn('lamp', 'g')],
});
/** Two circuits that meet in a box, each with its own cable and neutral. */
const twoCircuits = (more: boolean): Design => {
  const drawn = sketch({
    boxes: ['both', ...(more ? ['end'] : [])],
    runs: more ? ['both-end:10'] : [],
    devices: [
      duplexIn('both', null, null),
      { ...duplexIn('both', null, null, 1), id: 'second' },
      ...(more ? [duplexIn('end', null, null)] : []),
    ],
  });
  const on = (circuit: string) => ({ does: 'power' as const, circuit, control: null });
  return Design.parse({
    ...drawn,
    circuits: [
      { id: 'c', number: '1', breakerA: 20, leg: 'A' },
      { id: 'd', number: '2', breakerA: 20, leg: 'B' },
    ],
    runs: [
      ...drawn.runs,
      { id: 'one', from: 'panel', to: 'both', lengthFt: 30, circuits: ['c'] },
      { id: 'two', from: 'panel', to: 'both', lengthFt: 40, circuits: ['d'] },
    ],
    devices: drawn.devices.map((device) =>
      device.id === 'second' ? { ...device, wants: { upper: on('d'), lower: on('d') } } : device,
    ),
  });
};
const beside = sketch({
  boxes: ['wall', 'lamp'],
  runs: ['panel-wall:30', 'wall-lamp:20'],
  groups: ['g'],
  devices: [switchIn('wall', 'g'), duplexIn('wall', null, null, 1), lightIn('lamp', 'g')],
});
const lit = sketch({
  boxes: ['wall', 'lamp'],
  runs: ['panel-wall:30', 'wall-lamp:20'],
  groups: ['g'],
  devices: [switchIn('wall', 'g'), lightIn('lamp', 'g')],
});
const metal = sketch({
  boxes: [{ id: 'one', family: 'metal device' }],
  runs: ['panel-one:30'],
  devices: [duplexIn('one', null, null)],
});

const pool: readonly { readonly plan: Plan; readonly study: Study }[] = [
  ...demoJobs.map(({ id }) => demoJob(id)!),
  combination(false),
  combination(true),
  loop(1),
  loop(2),
  pairOfLights,
  threePlaces,
  twoCircuits(false),
  twoCircuits(true),
  beside,
  lit,
  metal,
  ...fc.sample(anyJob, { numRuns: 60, seed: 7 }),
].flatMap((job) => {
  const plan = planned(job);
  return plan ? [{ plan, study: studyFaults(plan) }] : [];
});

/** One fault in one job: what each test shows there, beside what it shows in the sound house. */
interface Case {
  readonly job: number;
  readonly fault: Fault;
  readonly shown: readonly { readonly test: FieldTest; readonly sound: Outcome; readonly shows: Outcome }[];
}

const cases = (id: FaultId): readonly Case[] =>
  pool.flatMap(({ study }, job) =>
    study.faults.flatMap((fault, index) =>
      fault.row.id !== id
        ? []
        : [
            {
              job,
              fault,
              shown: study.tests.map((own, at) => ({
                test: own,
                sound: study.sound[at]!,
                shows: study.shows[index]![at]!,
              })),
            },
          ],
    ),
  );

type Row = Case['shown'][number];
const changed = ({ sound, shows }: Row): boolean => sound !== shows;
const reads = (read: FieldTest['probe']['read']) => (row: Row) => row.test.probe.read === read;
const atRest = (row: Row): boolean => row.test.stimulus.is === 'handles';
const becomes =
  (read: FieldTest['probe']['read'], ...to: readonly Outcome[]) =>
  (one: Case) =>
    one.shown.filter(reads(read)).some((row) => changed(row) && to.includes(row.shows));
const trips = (one: Case): boolean =>
  one.shown.filter(reads('trips')).some((row) => changed(row) && openedIn(row.shows) !== null);
/** How many of the states that light a lamp in the sound house still do. */
const litStates = (one: Case, of: 'sound' | 'shows'): number =>
  one.shown.filter((row) => reads('lit')(row) && row[of] === 'lit').length;

const dead = (one: Case): boolean => becomes('lights', '000')(one) || becomes('lit', 'dark')(one);

/** What each fault shows somewhere, by number. */
const SHOWS: Readonly<Record<FaultId, (one: Case) => boolean>> = {
  F01: becomes('lights', '110'),
  F02: becomes('lights', '000'),
  F03: becomes('lights', '010'),
  F04: becomes('lights', '101'),
  F05: (one) => trips(one) || becomes('lights', '011')(one),
  F06: (one) => becomes('lights', '010')(one) || becomes('lit', 'dark')(one),
  F07: dead,
  F08: (one) => becomes('lights', '100')(one) || becomes('joined', 'open')(one),
  F09: becomes('joined', 'joined'),
  F10: becomes('joined', 'joined'),
  F11: (one) =>
    one.shown.some((row) => row.test.id.includes(' hot handles') && changed(row) && row.shows === '120 V'),
  F12: (one) => litStates(one, 'shows') > litStates(one, 'sound') || becomes('lights', '110')(one),
  F13: (one) => becomes('lights', '000')(one) || becomes('lights', '110')(one),
  F14: becomes('net amps', 'current'),
  F15: (one) => one.shown.some((row) => (reads('lit')(row) || reads('lights')(row)) && changed(row)),
  F16: (one) =>
    one.shown.filter(reads('lights')).some(changed) || one.shown.filter(reads('lit')).some(changed),
  F17: (one) => one.shown.some((row) => row.sound === '240 V' && row.shows === '0 V'),
  F18: (one) =>
    dead(one) || one.shown.some((row) => row.test.stimulus.is === 'breaker off' && row.shows === '110'),
  F19: (one) => one.shown.some((row) => row.test.stimulus.is === 'load' && changed(row)),
  F20: (one) => becomes('lights', '000')(one) || becomes('lights', '110')(one),
  F21: (one) => one.shown.some((row) => row.test.stimulus.is === 'buttons' && changed(row)),
  F22: (one) => becomes('lights', '000')(one) || trips(one),
  F23: becomes('lights', '000'),
  F24: () => true,
  F25: () => true,
  F26: becomes('net amps', 'current'),
  F27: (one) =>
    one.shown.some((row) => row.test.stimulus.is === 'load' && reads('volts')(row) && changed(row)),
  F28: (one) => trips(one) || becomes('glow', 'lights')(one),
  F29: becomes('glow', 'lights'),
  F30: becomes('opens', 'does nothing'),
  F31: becomes('volts', '240 V'),
  F32: (one) => one.shown.some((row) => (reads('lit')(row) || reads('lights')(row)) && changed(row)),
  F33: becomes('joined', 'joined'),
  F34: trips,
  F35: (one) => trips(one) || becomes('net amps', 'current')(one),
  F36: (one) => becomes('lights', '110')(one) && becomes('lights', '000')(one),
};

/** What each fault never shows, wherever it is: a plug-in tester at rest that still says what it said. */
const TESTER_SEES_NOTHING: readonly FaultId[] = ['F17', 'F21', 'F24', 'F25', 'F26', 'F27'];
/** The same, where nothing trips. */
const TESTER_SEES_NOTHING_UNTRIPPED: readonly FaultId[] = ['F09', 'F10', 'F14', 'F33', 'F35'];

describe('the catalog', () => {
  test.each(FAULT_IDS)('%s is in two jobs at least, and shows what it should', (id) => {
    const own = cases(id);
    const showing = own.filter(SHOWS[id]);
    expect(new Set(showing.map(({ job }) => job)).size).toBeGreaterThanOrEqual(2);
  });

  test.each(TESTER_SEES_NOTHING)('%s: the plug-in tester sees nothing', (id) => {
    for (const one of cases(id))
      expect(one.shown.filter((row) => reads('lights')(row) && atRest(row) && changed(row))).toEqual([]);
  });

  test.each(TESTER_SEES_NOTHING_UNTRIPPED)(
    '%s: the plug-in tester sees nothing where nothing trips',
    (id) => {
      const quiet = cases(id).filter((one) => !trips(one));
      expect(quiet.length).toBeGreaterThan(0);
      for (const one of quiet)
        expect(one.shown.filter((row) => reads('lights')(row) && atRest(row) && changed(row))).toEqual([]);
    },
  );

  test('F29: a tester in that receptacle says correct, and its frame is live', () => {
    const own = cases('F29').filter((one) => !trips(one));
    expect(own.length).toBeGreaterThan(0);
    for (const one of own) {
      const there = one.shown.filter(
        (row) => reads('lights')(row) && atRest(row) && row.test.id.includes(` ${one.fault.key}/`),
      );
      expect(there.filter(changed)).toEqual([]);
      expect(one.shown.some((row) => reads('glow')(row) && row.shows === 'lights')).toBe(true);
    }
  });

  test('a 3-way with traveler and common changed over lights in one of four positions', () => {
    const stair = cases('F15').filter(({ fault }) => /switch/.test(fault.key));
    expect(stair.some((one) => litStates(one, 'sound') === 2 && litStates(one, 'shows') === 1)).toBe(true);
  });

  test('every place has words of its own, and no id in them', () => {
    for (const { study } of pool)
      for (const { place, id } of study.faults) {
        expect({ id, place }).toEqual({ id, place: expect.stringMatching(/^[^@~#>|]+$/) });
      }
  });

  test('a fault in one place is one fault: ids are unique in a job', () => {
    for (const { study } of pool) {
      const ids = study.faults.map(({ id }) => id);
      expect(new Set(ids).size).toBe(ids.length);
    }
  });
});
