import { describe, expect, test } from '@jest/globals';
import { spawnSync } from 'node:child_process';
import { commands } from './commands';
import { demoHouse, demoJob, demoJobs, demoRecord, demoWhole } from '@core/handover/jobs/demo-house';
import { writeHouseFile } from '@core/job/model/house-file';
import { EMPTY_RECORD } from '@core/job/model/record';
import { makeUpSteps } from '@core/wiring/makeup/steps';
import { tickOf } from '@core/wiring/makeup/ticks';
import { planJob } from '@core/wiring/plan';
import { writeJobFile } from '@core/job/model/job-file';

const sunroom = writeJobFile(demoWhole('sunroom-plant-shelf')!);
const attic = writeJobFile(demoWhole('attic-hatch-switch')!);
const alder = writeHouseFile({
  house: demoHouse,
  jobs: demoJobs.map((design) => ({ design, record: demoRecord(design.id) })),
});
const run = (name: string, file = sunroom, state = '{}') => commands[name]!.run(file, state);

describe('the command line', () => {
  test('validate, plan, prove, fill and load are good on the sunroom job', () => {
    for (const name of ['validate', 'plan', 'prove', 'fill', 'load']) expect(run(name).exit).toBe(0);
  });
  test('stops: in the middle of the work a breaker stays off, with what to cap and cover; all done it may be on', () => {
    const half = run('stops');
    expect(half.exit).toBe(1);
    expect(half.output).toMatchObject({
      circuits: [
        { circuit: 'c14', on: false, first: expect.arrayContaining([{ do: 'cover', box: 'garden-door' }]) },
      ],
    });
    const plan = planJob(demoJob('sunroom-plant-shelf')!);
    const ticks = plan.ok
      ? plan.plan.job.boxes.flatMap(({ id }) =>
          makeUpSteps(plan.plan, id).map((step) => tickOf(id, step, new Date('2026-01-05T08:00:00Z'))),
        )
      : [];
    const { design, record } = demoWhole('sunroom-plant-shelf')!;
    const done = run('stops', writeJobFile({ design, record: { ...record, ticks } }));
    expect(done).toMatchObject({ exit: 0, output: { circuits: [{ on: true, why: [] }] } });
  });
  test('day: of a job and of the house, who does what when; a crew that is none is told', () => {
    const { exit, output } = run('day', sunroom, JSON.stringify({ crew: '2', from: '07:30' }));
    expect(exit).toBe(0);
    const { visits } = output as {
      visits: { minutes: number; atLeast: number; tasks: { does: string; from: string; who: string[] }[] }[];
    };
    expect(visits.length).toBeGreaterThan(0);
    expect(visits[0]!.tasks[0]!.from).toMatch(/^7:30/);
    for (const { minutes, atLeast, tasks } of visits) {
      expect(minutes).toBeGreaterThanOrEqual(atLeast);
      // The second of a crew works dead circuits.
      for (const { does, who } of tasks)
        if (does === 'live test' || does === 'on') expect(who).toEqual(['Person 1']);
    }
    for (const bad of [{ crew: '4' }, { crew: 'two' }, { from: '25:00' }])
      expect(run('day', sunroom, JSON.stringify(bad))).toMatchObject({
        exit: 2,
        errors: [expect.stringContaining(Object.keys(bad)[0]!)],
      });
    const house = run('day', alder, '{}');
    expect(house).toMatchObject({ exit: 1, errors: [expect.stringMatching(/^attic-hatch-switch: /)] });
    const jobs = (house.output as { visits: { tasks: { jobs: string[] }[] }[] }).visits.flatMap((visit) =>
      visit.tasks.map((task) => task.jobs),
    );
    expect(new Set(jobs.flat()).size).toBeGreaterThan(4);
    expect(jobs.some((own) => own.length > 1)).toBe(true);
  });
  test('a refused job exits 1 and says why', () => {
    const { exit, errors } = run('plan', attic);
    expect(exit).toBe(1);
    expect(errors).toEqual([expect.stringContaining('needs 3 insulated conductors')]);
  });
  test('bad input exits 2 with the path', () => {
    const { exit, errors } = run('fill', sunroom.replace('"gangs": 1', '"gangs": "one"'));
    expect(exit).toBe(2);
    expect(errors).toEqual([expect.stringContaining('design.boxes[0].gangs')]);
    expect(run('energize', sunroom, '{"meter": 3}')).toMatchObject({
      exit: 2,
      errors: [expect.stringContaining('meter')],
    });
    expect(run('energize', sunroom, '{').exit).toBe(2);
  });
  test('energize: with the switch on the lower half has 120 V', () => {
    const volts = (state: string) => {
      const output = run('energize', sunroom, state).output as { volts: Record<string, number | null> };
      return output.volts['shelf-outlet:hot-lower'];
    };
    expect(volts('{}')).toBeNull();
    expect(volts('{"positions":{"door-switch":1}}')).toBeCloseTo(-120, 6);
    expect(volts('{"positions":{"door-switch":1},"openBreakers":["c14"]}')).toBeNull();
  });
  test('a state that names what is not there is bad input, with its path', () => {
    const said = (state: object) => {
      const { exit, errors = [] } = run('energize', sunroom, JSON.stringify(state));
      expect(exit).toBe(2);
      return errors.join(' ');
    };
    expect(said({ openBreakers: ['c99'] })).toContain('openBreakers[0]: there is no breaker "c99"');
    expect(said({ positions: { 'no-switch': 1 } })).toContain('positions.no-switch: there is no switch');
    expect(said({ positions: { 'door-switch': 7 } })).toContain('has no position 7');
    expect(said({ loads: { 'shelf-outlet/middle': 60 } })).toContain(
      'loads.shelf-outlet/middle: there is no part',
    );
    expect(said({ testers: ['shelf'] })).toContain('testers[0]: there is no part');
    expect(
      said({ meter: { impedance: 'low', from: 'nowhere:hot', to: 'shelf-outlet:hot-upper' } }),
    ).toContain('meter.from: there is no terminal');
    expect(said({ test: ['shelf-outlet'] })).toContain('test[0]: there is no GFCI or AFCI device');
    expect(said({ faults: [{ open: 'nothing@nowhere' }] })).toContain(
      'faults[0].open: there is no conductor end',
    );
    expect(said({ breakers: [] })).toContain('"breakers"');
  });
  test('a breaker is named by its number in the directory too, a position by its word', () => {
    const volts = (state: object) =>
      (run('energize', sunroom, JSON.stringify(state)).output as { volts: Record<string, number | null> })
        .volts['shelf-outlet:hot-lower'];
    expect(volts({ positions: { 'door-switch': 'on' } })).toBeCloseTo(-120, 6);
    expect(volts({ positions: { 'door-switch': 'on' }, openBreakers: ['14'] })).toBeNull();
  });
  test('TEST trips, RESET resets, and a fault injected on LOAD trips it again at once', () => {
    const porch = writeJobFile(demoWhole('porch-soffit')!);
    const out = (state: object) =>
      run('energize', porch, JSON.stringify(state)).output as {
        tripped: string[];
        pressed: { does: string }[];
        groundFaults: { at: string }[];
      };
    expect(out({ test: ['bench-gfci'] })).toMatchObject({
      tripped: ['bench-gfci'],
      pressed: [{ does: 'trips' }],
    });
    expect(out({ test: ['bench-gfci'], reset: ['bench-gfci'] }).tripped).toEqual([]);
    const fault = { faults: [{ touch: ['soffit-outlet:neutral-upper', 'soffit-outlet:ground'] }] };
    const faulty = run('energize', porch, JSON.stringify(fault));
    expect(faulty.exit).toBe(1);
    expect(faulty.errors).toEqual([
      expect.stringMatching(/^The GFCI receptacle at .* trips: its LOAD neutral is grounded\.$/),
    ]);
    expect(out({ ...fault, tripped: ['bench-gfci'], reset: ['bench-gfci'] }).pressed[0]!.does).toBe(
      'trips again at once',
    );
  });
  test('prove prints what each TEST button covers, and whether the states are a sample', () => {
    const { output } = run('prove', writeJobFile(demoWhole('porch-soffit')!));
    const { coverage, sampled } = output as { coverage: Record<string, string[]>; sampled: boolean };
    expect(coverage['bench-gfci']).toContain('soffit-outlet/upper');
    expect(sampled).toBe(false);
  });
  test('odd input has words of its own', () => {
    const said = (file: string) => run('validate', file).errors?.join(' ') ?? '';
    expect(said(sunroom.replace('"breakerA": 20', '"breakerA": 25'))).toContain(
      'breakerA: must be 15, 20 or 30',
    );
    expect(said(sunroom.replace('"lengthFt": 18', '"lengthFt": NaN'))).toMatch(
      /the file has NaN \(line \d+, column \d+\), which is not a number/,
    );
    expect(run('validate', `\uFEFF${sunroom}`).exit).toBe(0);
    expect(said('')).toContain('the file is empty');
  });
  test('check: every rule, worst first; a finding against the code exits 1', () => {
    const hall = demoJob('hall-console')!;
    const unprotected = {
      ...hall,
      circuits: hall.circuits.map((one) => ({ ...one, protection: 'none' as const })),
    };
    const { exit, output, errors } = run(
      'check',
      writeJobFile({ design: unprotected, record: EMPTY_RECORD }),
    );
    const { findings } = output as { findings: { rule: string; severity: string }[] };
    expect(exit).toBe(1);
    expect(errors).toEqual([expect.stringContaining('P03: Circuit 9 feeds hallway')]);
    expect(findings[0]).toMatchObject({ rule: 'P03', severity: 'code' });
    expect(run('check', writeJobFile(demoWhole('stair')!)).exit).toBe(0);
  });
  test('find: what opened boxes can be, the next test, and a no that exits 1', () => {
    const hall = run('find', writeJobFile(demoWhole('hall-console')!));
    expect(hall.exit).toBe(0);
    expect(hall.output).toMatchObject([{ survey: 'hall', verdict: { tap: 'not known yet' } }]);
    const hatch = run('find', attic);
    expect(hatch.exit).toBe(1);
    expect(hatch.errors).toEqual([
      expect.stringContaining('hatch: No: an always-on outlet cannot be fed here'),
    ]);
  });
  test('netlist is a SPICE deck that ends', () => {
    const deck = String(run('netlist').output);
    expect(deck.startsWith('* Sunroom plant shelf\n')).toBe(true);
    expect(deck.trimEnd().endsWith('.end')).toBe(true);
  });
  test('runs as a program: output on one stream, errors on the other', () => {
    const program = (...words: string[]) =>
      spawnSync(process.execPath, ['--import', 'tsx', 'cli/main.ts', ...words], {
        encoding: 'utf8',
      });
    const good = program('validate', 'docs/examples/sunroom-plant-shelf.splittap.json');
    expect([good.status, good.stderr]).toEqual([0, '']);
    expect(JSON.parse(good.stdout)).toMatchObject({ ok: true });
    const none = program('plan', 'no-such-file.json');
    expect([none.status, none.stdout]).toEqual([2, '']);
    expect(none.stderr).toContain('no-such-file.json: cannot be read');
    const odd = program('constructor', 'x.json');
    expect(odd.status).toBe(2);
    expect(odd.stderr).toContain('split-tap <command>');
  });
});

describe('script and diagnose', () => {
  const read = (name: string, readings: string) => run(name, sunroom, readings);
  const script = () => read('script', '{}').output as { steps: { id: string; expected: { code: string } }[] };

  test('the script read as it must be is sound; a swapped tester names the swap and asks again', () => {
    const sound = script().steps.map(({ id, expected }) => ({ test: id, shows: expected.code }));
    expect(read('diagnose', JSON.stringify({ readings: sound }))).toMatchObject({
      exit: 0,
      output: { verdict: 'sound' },
    });
    const tester = script().steps.find(({ expected }) => expected.code === '110')!;
    const swapped = read('diagnose', JSON.stringify({ readings: [{ test: tester.id, shows: '101' }] }));
    const { suspects, retake } = swapped.output as {
      suspects: { ways: { faults: { id: string }[] }[] }[];
      retake: boolean;
    };
    expect(retake).toBe(true);
    const named = suspects.flatMap(({ ways }) => ways.flatMap(({ faults }) => faults.map(({ id }) => id)));
    expect(named.map((id) => id.slice(0, 3))).toContain('F04');
  });

  test('a test that the job does not have is a problem with its path and way out', () => {
    const { exit, errors } = read('diagnose', '{"readings":[{"test":"tester nowhere","shows":"110"}]}');
    expect(exit).toBe(2);
    expect(errors![0]).toMatch(/readings\[0\]\.test: there is no test "tester nowhere".*script/);
  });

  test.each(['{', '{"readings":"none"}', '{"readings":[{"test":""}]}', '{"other":[]}'])(
    'readings that are none: %s',
    (text) => expect(read('diagnose', text).exit).toBe(2),
  );
});

describe('drill', () => {
  const drill = (words: object) => run('drill', sunroom, JSON.stringify(words));

  test('the same seed is the same drill; the answer is given only where it is asked for', () => {
    const [first, again] = [drill({ seed: '7' }), drill({ seed: '7' })];
    expect(first).toEqual(again);
    expect(first).toMatchObject({
      exit: 0,
      output: { code: expect.stringMatching(/^fault-1-7-/), mistakes: 1 },
    });
    expect(first.output).not.toHaveProperty('answer');
    expect(drill({ seed: '7', reveal: true }).output).toHaveProperty('answer');
    expect(drill({ seed: '7', kind: 'make-up', level: '2' })).toMatchObject({
      exit: 0,
      output: { box: expect.any(String) },
    });
  });
  test.each([
    ['a kind', { kind: 'toaster' }, '--kind'],
    ['a level', { level: '9' }, '--level'],
    ['a seed', { seed: 'x' }, '--seed'],
    ['a seed', { seed: '99999999' }, '--seed'],
  ])('what is not %s is refused by its name', (_, words, path) => {
    const { exit, errors } = drill(words);
    expect(exit).toBe(2);
    expect(errors!.join()).toContain(path);
  });
});

describe('takeoff', () => {
  test('what to buy and the quote, by the example or a shop of one’s own', () => {
    expect(run('takeoff')).toMatchObject({ exit: 0, output: { totalCents: expect.any(Number) } });
    const free = run(
      'takeoff',
      sunroom,
      JSON.stringify({ laborPerHour: '0', markupPercent: '0', taxPercent: '0' }),
    );
    const { materialCents, totalCents } = free.output as { materialCents: number; totalCents: number };
    expect(totalCents).toBe(materialCents);
  });
  test.each([
    ['{"prices":{"staple":"much"}}', 'prices.staple'],
    ['{"laborPerHour":90}', 'laborPerHour'],
    ['{', 'shop'],
  ])('a shop that is none is refused with its path: %s', (text, path) => {
    const { exit, errors } = run('takeoff', sunroom, text);
    expect(exit).toBe(2);
    expect(errors!.join()).toContain(path);
  });
});

test('directory: a line a circuit, of a refused job too', () => {
  expect(run('directory')).toMatchObject({
    exit: 0,
    output: [{ number: '14', label: 'receptacles: Plant shelf' }],
  });
  expect(run('directory', attic).exit).toBe(0);
});

describe('a house file', () => {
  test('house: circuits with what each job adds, and the job that cannot be wired', () => {
    const { exit, output, errors } = run('house', alder);
    expect(exit).toBe(1);
    expect(errors).toEqual([expect.stringContaining('attic-hatch-switch')]);
    const { circuits } = output as { circuits: { circuit: { number: string }; shares: { VA: number }[] }[] };
    const nine = circuits.find(({ circuit }) => circuit.number === '9')!;
    expect(nine.shares.map(({ VA }) => VA).sort((a, b) => a - b)).toEqual([0, 60, 135, 180]);
    expect(run('house', sunroom).exit).toBe(2);
  });

  test.each(Object.keys(commands).filter((name) => ['house', 'takeoff', 'plan', 'check'].includes(name)))(
    '%s looks at the panel: a breaker there that is too large for the cable in the wall is found in each job',
    (name) => {
      const panel = demoHouse.panel.map((circuit) => ({ ...circuit, breakerA: 30 as const }));
      const whole = {
        house: { ...demoHouse, panel },
        jobs: demoJobs.map((design) => ({ design, record: demoRecord(design.id) })),
      };
      const { exit, errors = [] } = run(name, writeHouseFile(whole));
      expect(exit).toBe(1);
      for (const id of ['sunroom-plant-shelf', 'hall-console', 'laundry-counter'])
        expect(errors.find((error) => error.startsWith(id))).toMatch(/on a 30 A breaker/);
    },
  );

  test('a command of a job is carried out on each, with what the others add', () => {
    const { exit, output } = run('load', alder);
    expect(exit).toBe(0);
    const each = output as { job: string; output: { othersVA: number }[] }[];
    expect(each).toHaveLength(demoJobs.length);
    expect(each.find(({ job }) => job === 'hall-console')!.output[0]!.othersVA).toBe(315);
    expect(run('plan', alder)).toMatchObject({
      exit: 1,
      errors: [expect.stringMatching(/^attic-hatch-switch: /)],
    });
  });

  test('takeoff together is the sum of the jobs; the directory has all of the panel', () => {
    const { exit, output, errors } = run('takeoff', alder);
    expect(exit).toBe(1);
    expect(errors).toEqual([expect.stringMatching(/^attic-hatch-switch: /)]);
    const sum = demoJobs
      .filter(({ id }) => id !== 'attic-hatch-switch')
      .map(
        (design) =>
          run('takeoff', writeJobFile({ design, record: EMPTY_RECORD })).output as { materialCents: number },
      )
      .reduce((cents, one) => cents + one.materialCents, 0);
    // Each line is rounded once: together they differ by less than a cent a line.
    const { materialCents, lines } = output as { materialCents: number; lines: unknown[] };
    expect(Math.abs(materialCents - sum)).toBeLessThan(lines.length);
    expect((run('directory', alder).output as unknown[]).length).toBe(24);
  });

  test('packet: Markdown by default, JSON where asked, the owner’s sheet', () => {
    expect(run('packet').output).toMatch(/^# Sunroom plant shelf\n/);
    expect(run('packet', sunroom, '{"format":"json"}').output).toEqual(
      expect.arrayContaining([expect.objectContaining({ id: 'verification' })]),
    );
    expect(run('packet', sunroom, '{"owner":true}').output).toContain('What each switch does');
    expect(run('packet', alder).output).toContain('# Stair\n');
    expect(run('packet', sunroom, '{').exit).toBe(2);
  });
});
