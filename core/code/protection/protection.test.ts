import { describe, expect, test } from '@jest/globals';
import { applyCommands } from '../../job/commands/command';
import { demoJob } from '../../handover/jobs/demo-house';
import { Design } from '../../job/model/design';
import { planJob } from '../../wiring/plan';
import { prove } from '../../power/proof/prove';
import { Site } from '../rules/site';
import { duplexIn, sketch } from '../../testing/jobs';
import { protectionNeeds } from './needs';
import { protectionStrategies } from './strategies';
import { say } from '../../base/words/protection';
import { REACH_NAME } from '../../job/model/place-names';

const siteOf = (job: Design): Site => {
  const outcome = planJob(job);
  if (!outcome.ok) throw new Error(outcome.refusals[0]!.message);
  return new Site(job, outcome.plan.wiring);
};
/** Three outlets in a row of a garage. */
const garage = (() => {
  const base = sketch({
    boxes: ['one', 'two', 'three'],
    runs: ['panel-one:20', 'one-two:10', 'two-three:10'],
    devices: ['one', 'two', 'three'].map((id) => duplexIn(id, null, null)),
  });
  return Design.parse({
    ...base,
    rooms: [{ id: 'garage', name: 'Garage', kind: 'garage', wallsFt: [20] }],
    boxes: base.boxes.map((box) => ({ ...box, room: 'garage' })),
  });
})();

describe('what is needed, with its reason', () => {
  test('every outlet of a garage needs GFCI (210.8(A)(2), from memory), and has none yet', () => {
    const needs = protectionNeeds(siteOf(garage));
    expect(needs).toHaveLength(6);
    for (const { gfci, hasGfci, afci, marks } of needs) {
      expect(gfci).toMatch(/210\.8\(A\)\(2\)/);
      expect(hasGfci).toBe(false);
      expect(afci).toBeNull();
      expect(marks).toEqual(['tamper-resistant, 406.12']);
    }
  });
  test('the porch soffit is covered from the bench, which can be reached', () => {
    const needs = protectionNeeds(siteOf(demoJob('porch-soffit')!));
    const soffit = needs.filter(({ user }) => user.device.box === 'soffit');
    expect(soffit.map(({ gfci, hasGfci }) => [gfci !== null, hasGfci])).toEqual([
      [true, true],
      [true, true],
    ]);
    expect(soffit[0]!.marks.join()).toMatch(/weather-resistant.*damp cover/);
  });
});

describe('ways to protect, each compiled and proved', () => {
  const ways = protectionStrategies(garage);
  test('a breaker, the first outlet with LOAD, each outlet', () => {
    expect(new Set(ways.map(({ way }) => way))).toEqual(new Set(['breaker', 'first outlet', 'each outlet']));
    for (const { covered, left } of ways) {
      expect(covered.length).toBeGreaterThanOrEqual(3);
      expect(left).toBe(0);
    }
  });
  test('one device at the first outlet is the cheapest that covers all (common practice)', () => {
    expect(ways[0]!.way).toBe('first outlet');
    expect(ways.find(({ way }) => way === 'each outlet')!.usd).toBeGreaterThan(ways[0]!.usd * 2);
  });
  test('what is said to be covered dies when the button is pressed', () => {
    const first = ways.find(({ way }) => way === 'first outlet')!;
    const done = applyCommands(garage, first.commands);
    if (!done.ok) throw new Error('not applied');
    const { wiring } = siteOf(done.value.job);
    const proof = prove(done.value.job, wiring);
    expect(proof.findings).toEqual([]);
    expect([...proof.coverage.values()].flat().sort()).toEqual([...first.covered].sort());
  });
  test('a place that cannot be reached is said', () => {
    const hidden = Design.parse({
      ...garage,
      boxes: garage.boxes.map((box) => (box.id === 'one' ? { ...box, reach: 'behind appliance' } : box)),
    });
    const first = protectionStrategies(hidden).find(({ way }) => way === 'first outlet')!;
    expect(first.reachable).toBe(false);
    expect(first.says).toContain(REACH_NAME['behind appliance']);
    expect(first.left).toBeGreaterThan(0);
  });
});

/** Boxes in a row or a fork, each with a plain outlet, in rooms by name; the last word of a room is its kind. */
const rooms = (
  runs: readonly string[],
  kinds: Record<string, string>,
  change: Partial<Design> = {},
): Design => {
  const ids = Object.keys(kinds);
  const base = sketch({ boxes: ids, runs, devices: ids.map((id) => duplexIn(id, null, null)) });
  return Design.parse({
    ...base,
    rooms: ids.map((id) => ({ id: `room-${id}`, name: id, kind: kinds[id], wallsFt: [20] })),
    boxes: base.boxes.map((box) => ({ ...box, room: `room-${box.id}` })),
    ...change,
  });
};
const ROW = ['panel-one:20', 'one-two:10', 'two-three:10'];

describe('which device where', () => {
  test('only the last outlet needs it: from the first, from the one before, or at its own place', () => {
    const ways = protectionStrategies(rooms(ROW, { one: 'other', two: 'other', three: 'garage' }));
    expect(ways.map(({ way, reset }) => [way, reset])).toEqual([
      ['first outlet', 'one'],
      ['upstream outlet', 'two'],
      ['upstream outlet', 'three'],
      ['breaker', null],
    ]);
    for (const { left, gfci } of ways)
      expect({ left, gfci }).toEqual({ left: 0, gfci: { needed: 1, covered: 1 } });
    expect(ways[2]!.covered).toEqual(['three-outlet/outlet']);
    const receptacle = (names: string, onLoad: string) =>
      say('strategies.receptacle', { kind: 'GFCI', names, onLoad });
    expect(ways[2]!.says).toBe(receptacle('three', ''));
    expect(ways[1]!.says).toBe(receptacle('two', say('strategies.onLoadSide', { namesCount: 1 })));
  });
  test('an extended circuit: an AFCI at the first receptacle will do, 210.12(D) (from memory); further along will not', () => {
    const ways = protectionStrategies(rooms(ROW, { one: 'bedroom', two: 'bedroom', three: 'bedroom' }));
    const first = ways.find(({ way }) => way === 'first outlet')!;
    expect(first).toMatchObject({
      left: 0,
      afci: { needed: 3, covered: 3 },
      gfci: { needed: 0, covered: 0 },
    });
    expect(first.says).toContain(say('strategies.receptacle', { kind: 'AFCI', names: 'one', onLoad: '' }));
    for (const { left } of ways.filter(({ way }) => way === 'upstream outlet'))
      expect(left).toBeGreaterThan(0);
  });
  test('a new circuit with an AFCI receptacle still asks for a listed way from the panel', () => {
    const job = rooms(ROW, { one: 'bedroom', two: 'bedroom', three: 'bedroom' });
    const ways = protectionStrategies({
      ...job,
      circuits: job.circuits.map((one) => ({ ...one, fresh: true })),
    });
    expect(ways[0]).toMatchObject({ way: 'breaker', left: 0 });
    expect(ways.find(({ way }) => way === 'first outlet')!.left).toBe(1);
  });
  test('a laundry needs both: dual-function, at the first outlet or in the breaker', () => {
    const ways = protectionStrategies(rooms(ROW, { one: 'laundry', two: 'laundry', three: 'laundry' }));
    expect(ways.filter(({ left }) => left === 0).map(({ says }) => says)).toEqual([
      'Dual-function receptacle at one, what follows on its LOAD side',
      'Dual-function breaker on circuit 14',
    ]);
    // One at each leaves the cable between them without AFCI protection: 210.12 wants it at the first.
    expect(ways.find(({ way }) => way === 'each outlet')!.left).toBeGreaterThan(0);
  });
  test('an AFCI breaker that is there becomes one with both; a GFCI receptacle that is there grows', () => {
    const job = rooms(ROW, { one: 'laundry', two: 'laundry', three: 'laundry' });
    const behind = { ...job, circuits: job.circuits.map((one) => ({ ...one, protection: 'afci' as const })) };
    const ways = protectionStrategies(behind);
    expect(ways.find(({ way }) => way === 'breaker')!.says).toBe(
      say('strategies.breakerCircuitTrueOther', {
        word: 'Dual-function',
        circuitsCount: false,
        numbers: '14',
      }),
    );
    expect(ways.find(({ way }) => way === 'first outlet')!.says).toContain(
      say('strategies.receptacle', { kind: 'GFCI', names: 'one', onLoad: '' }),
    );
    const done = applyCommands(job, [{ do: 'set kind', device: 'one-outlet', kind: 'gfci' }]);
    if (!done.ok) throw new Error('not applied');
    const grown = protectionStrategies(done.value.job).find(({ way }) => way === 'first outlet')!;
    expect(grown.says).toContain(
      say('strategies.receptacle', { kind: 'Dual-function', names: 'one', onLoad: '' }),
    );
  });
  test('a fork: one device a branch, or the breaker', () => {
    const ways = protectionStrategies(
      rooms(
        ['panel-hub:20', 'hub-one:10', 'hub-two:10'],
        { hub: 'other', one: 'garage', two: 'garage' },
        {
          devices: sketch({
            boxes: ['one', 'two'],
            runs: [],
            devices: ['one', 'two'].map((id) => duplexIn(id, null, null)),
          }).devices,
        },
      ),
    );
    expect(ways.map(({ says }) => says)).toEqual([
      'GFCI breaker on circuit 14',
      'GFCI receptacle at one and two',
      'GFCI receptacle at each of 2',
      'GFCI receptacle at one',
      'GFCI receptacle at two',
    ]);
    expect(ways.map(({ gfci }) => gfci.covered)).toEqual([2, 2, 2, 1, 1]);
  });
  test('what is covered asks for no way', () => {
    const job = rooms(ROW, { one: 'garage', two: 'garage', three: 'garage' });
    expect(
      protectionStrategies({
        ...job,
        circuits: job.circuits.map((one) => ({ ...one, protection: 'gfci' as const })),
      }),
    ).toEqual([]);
    expect(protectionStrategies(rooms(ROW, { one: 'other', two: 'other', three: 'other' }))).toEqual([]);
  });
  test('two circuits that share a neutral get one two-pole breaker (210.4(B), from memory)', () => {
    const [way] = protectionStrategies(demoJob('den-media-wall')!);
    expect(way).toMatchObject({
      way: 'breaker',
      left: 0,
      says: 'Two-pole AFCI breaker on circuits 16 and 18',
    });
  });
});

test('no AFCI receptacle is offered on a multiwire circuit: a two-pole breaker protects both (210.12, from memory)', () => {
  const base = sketch({
    boxes: ['one', 'two'],
    runs: ['panel-one:20', 'one-two:20'],
    devices: [duplexIn('one', null, null), duplexIn('two', null, null)],
  });
  const multiwire = (yes: boolean) =>
    Design.parse({
      ...base,
      circuits: [
        { ...base.circuits[0]!, multiwireWith: yes ? 'd' : null, tiedWith: yes ? 'd' : null },
        {
          ...base.circuits[0]!,
          id: 'd',
          number: '99',
          leg: 'B',
          multiwireWith: yes ? 'c' : null,
          tiedWith: yes ? 'c' : null,
        },
      ],
      runs: base.runs.map((run) =>
        run.from === 'panel' ? { ...run, circuits: yes ? ['c', 'd'] : ['c'] } : run,
      ),
      rooms: [{ id: 'den', name: 'Den', kind: 'den', wallsFt: [12] }],
      boxes: base.boxes.map((box) => ({ ...box, room: 'den' })),
    });
  const ways = (job: Design) => protectionStrategies(job).map(({ way }) => way);
  expect(new Set(ways(multiwire(true)))).toEqual(new Set(['breaker']));
  expect(ways(multiwire(false))).toContain('first outlet');
});
