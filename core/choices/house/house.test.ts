import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { applyCommand } from '../../job/commands/command';
import { changeHouse } from '../../job/commands/house';
import { demoHouse, demoJob, demoJobs } from '../../handover/jobs/demo-house';
import { circuitLoad } from '../../power/load/load';
import { Circuit, type Design } from '../../job/model/design';
import { checkHouse, House, PanelCircuit } from '../../job/model/house';
import { readHouseFile, writeHouseFile } from '../../job/model/house-file';
import { EMPTY_RECORD } from '../../job/model/record';
import { checkReferences } from '../../job/model/references';
import { anyJob } from '../../testing/random-jobs';
import { houseCircuits, houseJob } from './circuits';
import { effectsOf } from './effects';
import { addsOf, panelAfter, withPanel } from './panel';

const empty = House.parse({ id: 'house', name: 'House', edition: '2020' });

/** Jobs of one house whose circuits have numbers of a small set, told apart within each job. */
const housed = fc
  .array(
    fc.tuple(anyJob, fc.array(fc.nat({ max: 1800 }), { minLength: 8, maxLength: 8 }), fc.nat({ max: 5 })),
    {
      minLength: 2,
      maxLength: 4,
    },
  )
  .map((drawn) =>
    drawn.map(([job, watts, first], index): Design => ({
      ...job,
      id: `job-${index}`,
      circuits: job.circuits.map((circuit, at) => ({ ...circuit, number: String(first + at + 1) })),
      devices: job.devices.map((device, at) => ({
        ...device,
        was: at % 3 === 2,
        wants: Object.fromEntries(
          Object.entries(device.wants).map(([part, want]) => [
            part,
            want.does === 'power' ? { ...want, watts: watts[at % 8]!, continuous: at % 2 === 0 } : want,
          ]),
        ),
      })),
    })),
  );

/** What all devices of a number's circuits take, from the plain lists: those that are new, in all jobs but one. */
const byHand = (jobs: readonly Design[], number: string, except: string): number => {
  let sum = 0;
  for (const job of jobs) {
    if (job.id === except) continue;
    for (const device of job.devices)
      for (const want of Object.values(device.wants))
        if (
          want.does === 'power' &&
          !device.was &&
          job.circuits.find(({ id }) => id === want.circuit)?.number === number
        )
          sum += want.watts ?? 0;
  }
  return sum;
};

const movedIn = (jobs: readonly Design[]) =>
  jobs.reduce<House>((house, job) => panelAfter(house, null, job), empty);
const seen = (house: House, jobs: readonly Design[]) =>
  jobs.map((job) => withPanel(job, house, jobs.filter((one) => one !== job).map(addsOf)));

describe('a house and its jobs', () => {
  test('jobs of a house agree on every circuit, are sound, and each knows what all the others add', () => {
    fc.assert(
      fc.property(housed, (jobs) => {
        const house = movedIn(jobs);
        expect(checkHouse(house)).toEqual([]);
        const known = new Map<string, string>();
        for (const job of seen(house, jobs)) {
          expect(checkReferences(job)).toEqual([]);
          for (const circuit of job.circuits) {
            const { number, breakerA, leg, existingLoadVA, protection, serves } = circuit;
            const says = JSON.stringify([breakerA, leg, existingLoadVA, protection, serves]);
            expect(known.get(number) ?? says).toBe(says);
            known.set(number, says);
            expect(circuit.others.VA).toBe(byHand(jobs, number, job.id));
            const load = circuitLoad(job, circuit);
            expect(load.countedVA).toBeGreaterThanOrEqual(existingLoadVA + circuit.others.VA + load.addedVA);
          }
          // Seen again it is the very same: nothing of a page is drawn anew for it.
          const others = jobs.filter(({ id }) => id !== job.id).map(addsOf);
          expect(withPanel(job, house, others)).toBe(job);
        }
      }),
    );
  });

  test('what one job changes on a circuit holds in all jobs of that circuit, and nothing else does', () => {
    fc.assert(
      fc.property(
        housed,
        fc.nat(),
        fc.constantFrom(
          { breakerA: 30 as const },
          { protection: 'dual' as const },
          { existingLoadVA: 777 },
          { serves: 'garage' as const },
        ),
        (jobs, pick, change) => {
          const before = movedIn(jobs);
          const shown = seen(before, jobs);
          const own = shown[pick % shown.length]!;
          const circuit = own.circuits[pick % own.circuits.length]!;
          const done = applyCommand(own, { do: 'set circuit', circuit: circuit.id, change });
          fc.pre(done.ok);
          const after = panelAfter(before, own, done.value.job);
          const changed = new Set(
            own.circuits
              .filter((one, index) => JSON.stringify(one) !== JSON.stringify(done.value.job.circuits[index]))
              .map(({ number }) => number),
          );
          for (const [index, job] of seen(after, jobs).entries())
            for (const [at, one] of job.circuits.entries()) {
              const was = shown[index]!.circuits[at]!;
              if (one.number === circuit.number) expect(one).toMatchObject(change);
              else if (!changed.has(one.number)) expect(one).toEqual(was);
            }
        },
      ),
    );
  });

  test('partners on the panel always name each other, whatever commands make of them', () => {
    const number = fc.constantFrom('1', '2', '3', '4');
    const partner = fc.option(number, { nil: null });
    fc.assert(
      fc.property(
        fc.array(fc.tuple(number, fc.constantFrom('neutralWith', 'tiedWith'), partner, fc.nat(9)), {
          maxLength: 20,
        }),
        (steps) => {
          let house = House.parse({
            ...empty,
            panel: ['1', '2', '3', '4'].map((one) => ({ number: one, breakerA: 20, leg: 'A' })),
          });
          for (const [own, field, other, roll] of steps) {
            if (own === other) continue;
            const done = changeHouse(
              house,
              roll === 0
                ? { do: 'remove panel circuit', number: own }
                : { do: 'set panel circuit', number: own, change: { [field]: other } },
            );
            if (done.ok) ({ house } = done.value);
            for (const circuit of house.panel)
              for (const name of ['neutralWith', 'tiedWith'] as const) {
                const back = house.panel.find((one) => one.number === circuit[name]);
                expect(circuit[name] === null || back?.[name] === circuit.number).toBe(true);
              }
          }
        },
      ),
    );
  });
});

describe('the demo house', () => {
  test('circuit 9 is one breaker; each of its jobs knows what the others add', () => {
    const nine = demoJobs.filter(({ circuits }) => circuits.some(({ number }) => number === '9'));
    expect(nine.map(({ id }) => id)).toEqual(['hall-console', 'attic-hatch-switch', 'porch-soffit', 'stair']);
    const circuit = houseCircuits(demoHouse, demoJobs.map(houseJob)).find(
      ({ circuit: { number } }) => number === '9',
    )!;
    const each = nine.map((job) => byHand([job], '9', ''));
    expect(circuit.shares.map(({ VA }) => VA)).toEqual(each);
    expect(circuit.capacityVA).toBe(15 * 120);
    expect(circuit.findings).toEqual([]);
    const hall = withPanel(
      demoJob('hall-console')!,
      demoHouse,
      demoJobs.filter(({ id }) => id !== 'hall-console').map(addsOf),
    );
    expect(circuitLoad(hall, hall.circuits[0]!).othersVA).toBe(byHand(nine, '9', 'hall-console'));
  });

  test('a plain breaker on circuit 9 is said to take the protection from the jobs that need it', () => {
    const changed = changeHouse(demoHouse, {
      do: 'set panel circuit',
      number: '9',
      change: { protection: 'none' },
    });
    if (!changed.ok) throw new Error('refused');
    const effects = effectsOf(demoHouse, changed.value.house, demoJobs);
    expect(effects.map(({ job }) => job)).toEqual([
      'hall-console',
      'attic-hatch-switch',
      'porch-soffit',
      'stair',
    ]);
    expect(effects.find(({ job }) => job === 'hall-console')!.comes.join()).toContain('AFCI');
    expect(effects.find(({ job }) => job === 'attic-hatch-switch')).toMatchObject({
      comes: [],
      mended: false,
    });
  });
});

describe('what a house says against itself', () => {
  const circuit = (number: string, change: object = {}) =>
    PanelCircuit.parse({ number, breakerA: 15, leg: 'A', ...change });
  const job = { id: 'a', name: 'Den', circuits: ['1'], adds: { 1: { VA: 900, continuousVA: 900 } } };

  test('jobs that are each within the breaker and together over it', () => {
    const house = { ...empty, panel: [circuit('1')] };
    const two = [job, { ...job, id: 'b', name: 'Attic' }];
    expect(houseCircuits(house, [job])[0]!.findings).toEqual([]);
    // 1800 VA is all that 15 A at 120 V carries; at 125 % the continuous load counts 2250 (NEC 210.20(A), from memory).
    expect(houseCircuits(house, two)[0]).toMatchObject({
      countedVA: 2250,
      findings: [expect.stringContaining('125 %')],
    });
    const plain = two.map((one) => ({ ...one, adds: { 1: { VA: 901, continuousVA: 0 } } }));
    expect(houseCircuits(house, plain)[0]!.findings).toEqual([expect.stringContaining('1802 VA')]);
  });

  test('a job with one of two circuits on a shared neutral', () => {
    const house = {
      ...empty,
      panel: [circuit('1', { neutralWith: '2' }), circuit('2', { neutralWith: '1', leg: 'B' })],
    };
    expect(houseCircuits(house, [job])[0]!.findings).toEqual([expect.stringContaining('circuit 2')]);
  });
});

describe('the house file', () => {
  const whole = {
    house: demoHouse,
    jobs: demoJobs.map((design) => ({ design, record: EMPTY_RECORD })),
  };

  test('out, in and out again it is the same, for the demo house and for random ones', () => {
    const text = writeHouseFile(whole);
    const read = readHouseFile(text);
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    expect(writeHouseFile(read.value)).toBe(text);
    fc.assert(
      fc.property(housed, (jobs) => {
        const house = movedIn(jobs);
        const out = writeHouseFile({
          house,
          jobs: seen(house, jobs).map((design) => ({ design, record: EMPTY_RECORD })),
        });
        const back = readHouseFile(out);
        expect(back.ok && writeHouseFile(back.value)).toBe(out);
      }),
    );
  });

  test.each<[string, (file: Record<string, readonly unknown[]>) => unknown, string]>([
    ['another kind', (file) => ({ ...file, format: 'x' }), 'format'],
    ['a newer version', (file) => ({ ...file, version: 9 }), 'version'],
    [
      'two jobs alike',
      (file) => ({ ...file, jobs: [file['jobs']![0], file['jobs']![0]] }),
      'jobs[1].design.id',
    ],
    ['a job that is none', (file) => ({ ...file, jobs: [7] }), 'jobs[0].format'],
    [
      'a circuit twice',
      (file) => ({ ...file, house: { ...empty, panel: [PANEL_ONE, PANEL_ONE] } }),
      'house.panel[1]',
    ],
    [
      'a partner that is not there',
      (file) => ({ ...file, house: { ...empty, panel: [{ ...PANEL_ONE, tiedWith: '5' }] } }),
      'house.panel[0].tiedWith',
    ],
    ['too many jobs', (file) => ({ ...file, jobs: Array.from({ length: 500 }, () => 0) }), 'jobs'],
  ])('%s is refused by its place', (_, spoil, path) => {
    const file = JSON.parse(writeHouseFile(whole)) as Record<string, readonly unknown[]>;
    const read = readHouseFile(JSON.stringify(spoil(file)));
    expect(!read.ok && read.problems.map((one) => one.path)).toContain(path);
  });

  test('text that is no file is told and never thrown', () => {
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.json()), (text) => {
        expect(readHouseFile(text).ok).toBe(false);
      }),
    );
  });
});

const PANEL_ONE = { number: '1', breakerA: 15, leg: 'A' };

test('a circuit that a job takes a new number for is the one that the panel has under it', () => {
  const house = House.parse({
    ...empty,
    panel: [
      { ...PANEL_ONE, breakerA: 30 },
      { ...PANEL_ONE, number: '2' },
    ],
  });
  const job: Design = {
    ...demoJob('hall-console')!,
    circuits: [Circuit.parse({ id: 'c9', number: '2', breakerA: 15, leg: 'A' })],
  };
  const renumbered = { ...job, circuits: [{ ...job.circuits[0]!, number: '1' }] };
  const after = panelAfter(house, job, renumbered);
  expect(after).toBe(house);
  expect(withPanel(renumbered, after, []).circuits[0]).toMatchObject({ number: '1', breakerA: 30 });
});
