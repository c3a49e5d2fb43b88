import { EMPTY_RECORD, type JobRecord } from './record';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import { applyCommand } from '../commands/command';
import { jobFileSchema } from '../../handover/interchange/json-schema';
import { demoJobs, demoWhole } from '../../handover/jobs/demo-house';
import { migrate, readJobFile } from './file';
import { VERSION, checkJob, writeJobFile } from './job-file';
import type { Design } from './design';

/** Files as version 1 wrote them. */
const OLD = 'core/testing/old-files';

const sunroom = demoJobs[0]!;
const whole = demoWhole(sunroom.id)!;
const text = writeJobFile(whole);
const changed = (change: (job: Record<string, never[]>) => void): string => {
  const file = JSON.parse(text);
  change(file.design);
  return JSON.stringify(file);
};
const problems = (input: string) => {
  const read = readJobFile(input);
  if (read.ok) throw new Error('read');
  return read.problems;
};

test('every demo job survives writing and reading', () => {
  for (const { id } of demoJobs) {
    const job = demoWhole(id)!;
    expect(readJobFile(writeJobFile(job))).toEqual({ ok: true, value: job });
  }
});

test('a file says what it grew from; one of version 2 says nothing of it', () => {
  const ancestry = { device: 'a1', by: 'Mara', at: '2026-05-04T10:00:00Z', count: 3, from: [] };
  const job = { ...demoWhole('stair')!, ancestry };
  expect(readJobFile(writeJobFile(job))).toEqual({ ok: true, value: job });
  const old = JSON.parse(writeJobFile(demoWhole('stair')!)) as object;
  const read = readJobFile(JSON.stringify({ ...old, version: 2 }));
  expect(read.ok && read.value).toEqual(demoWhole('stair'));
  expect(readJobFile(writeJobFile({ ...job, ancestry: { ...ancestry, count: -1 } }))).toMatchObject({
    ok: false,
    problems: [{ path: 'ancestry.count' }],
  });
});

describe('bad files are refused with the place and the way out', () => {
  test('cut short: line and column', () => {
    const [problem] = problems(text.slice(0, 400));
    expect(problem!.message).toMatch(/not complete JSON \(it breaks off at line \d+, column \d+\)/);
    expect(problem!.wayOut).toBeTruthy();
  });
  test('a file of another kind', () => {
    expect(problems('{"name":"x","version":1}')[0]).toMatchObject({ path: 'format' });
    expect(problems('[1,2,3]')[0]).toMatchObject({ path: 'format' });
    expect(problems('"just text"')[0]).toMatchObject({ path: 'format' });
  });
  test('a newer version', () => {
    const [problem] = problems(text.replace(`"version": ${VERSION}`, '"version": 7'));
    expect(problem).toMatchObject({ path: 'version', message: expect.stringContaining('version 7') });
    expect(problem!.wayOut).toContain('Update');
  });
  test('a version that is none', () => {
    expect(problems(text.replace(`"version": ${VERSION}`, '"version": "one"'))[0]!.path).toBe('version');
  });
  test('runs may form loops: a net may not, and that is seen when it is planned', () => {
    const loop = changed((job) => {
      job['runs']!.push({ id: 'back', from: 'plant-shelf', to: 'garden-door', lengthFt: 5 } as never);
    });
    expect(readJobFile(loop).ok).toBe(true);
  });
  test('a run from a box to itself', () => {
    const self = changed((job) => {
      job['runs']!.push({ id: 'self', from: 'plant-shelf', to: 'plant-shelf', lengthFt: 5 } as never);
    });
    expect(problems(self)).toEqual([
      expect.objectContaining({
        path: 'design.runs[2]',
        message: 'run "self" starts and ends in the same box',
      }),
    ]);
  });
  test('an unknown device: the path and the kinds there are', () => {
    const unknown = changed((job) => Object.assign(job['devices']![1]!, { kind: 'teleporter' }));
    const [problem] = problems(unknown);
    expect(problem!.path).toBe('design.devices[1].kind');
    expect(problem!.message).toContain('"duplex"');
  });
  test('a wish for a part that the device does not have', () => {
    const wrong = changed((job) =>
      Object.assign(job['devices']![0]!, { wants: { upper: { does: 'control', group: 'shelf' } } }),
    );
    expect(problems(wrong).map(({ path }) => path)).toEqual([
      'design.devices[0].wants',
      'design.devices[0].wants.upper',
    ]);
  });
  test('ids that name nothing, and ids used twice', () => {
    const wrong = changed((job) => {
      Object.assign(job['runs']![1]!, { to: 'attic' });
      Object.assign(job['boxes']![1]!, { id: 'garden-door' });
    });
    expect(problems(wrong).map(({ path }) => path)).toEqual(
      expect.arrayContaining(['design.boxes[1].id', 'design.runs[1].to', 'design.devices[1].box']),
    );
  });
  test('10 MB of junk is turned away by its size, before it is parsed', () => {
    const [problem] = problems('x'.repeat(10_000_000));
    expect(problem!.message).toContain('10,000,000 characters');
  });
  test('junk of any size never throws', () => {
    for (const junk of [
      '',
      '{',
      'null',
      '{"format":"split-tap-job"}',
      '\u0000\u0001',
      '{"format":"split-tap-job","version":1,"job":[]}',
    ]) {
      expect(readJobFile(junk).ok).toBe(false);
    }
  });
  test('fields that a job file does not know are named', () => {
    const extra = changed((job) => Object.assign(job, { script: 'alert(1)' }));
    expect(problems(extra)[0]).toMatchObject({
      path: 'design',
      message: expect.stringContaining('"script"'),
    });
  });
  test('__proto__ in a file changes nothing', () => {
    const evil = text.replace(
      '"wants": {',
      '"wants": { "__proto__": { "does": "control", "group": "shelf" },',
    );
    expect(evil).not.toBe(text);
    const read = readJobFile(evil);
    expect(({} as Record<string, unknown>)['does']).toBeUndefined();
    // Neither is it taken for a part of the device: the file is refused, or read as if it were not there.
    const wants = read.ok ? read.value.design.devices.flatMap((device) => [device.wants]) : [];
    for (const own of wants) {
      expect(Object.getPrototypeOf(own)).toBe(Object.prototype);
      expect(Object.keys(own)).not.toContain('__proto__');
    }
    if (read.ok) expect(read.value.design.devices).toEqual(whole.design.devices);
    else expect(read.problems[0]!.path).toContain('wants');
  });
});

test('a name with HTML in it is text like any other', () => {
  const name = '<img src=x onerror=alert(1)>';
  const read = readJobFile(changed((job) => Object.assign(job, { name })));
  expect(read).toMatchObject({ ok: true, value: { design: { name } } });
});

/** What a record held when there was one version. */
const ofVersion1 = ({ brief, ticks, surveys }: JobRecord) => ({ brief, ticks, surveys });

describe('files of version 1, one undivided job', () => {
  test.each(readdirSync(OLD))('%s is read as it was', (name) => {
    const text = readFileSync(join(OLD, name), 'utf8');
    const old = JSON.parse(text) as { job: Record<string, unknown> };
    const read = readJobFile(text);
    if (!read.ok) throw new Error(read.problems[0]!.message);
    const { brief, ticks, surveys, ...design } = old.job;
    expect(read.value.design).toMatchObject(design);
    expect(read.value.record).toMatchObject(
      Object.fromEntries(Object.entries({ brief, ticks, surveys }).filter(([, own]) => own !== undefined)),
    );
  });
  test.each(demoJobs.map(({ id }) => id))('%s: both halves come apart, ticks hold by their words', (id) => {
    const { design, record: all } = demoWhole(id)!;
    // There was no log then, no tests of the finished work, no photos.
    const record = { ...EMPTY_RECORD, ...ofVersion1(all) };
    const ticks = [{ box: design.boxes[0]!.id, step: 'mark', says: 'Mark', at: '2026-11-25T10:00:00.000Z' }];
    const old = { format: 'split-tap-job', version: 1, job: { ...design, ...ofVersion1(record), ticks } };
    expect(readJobFile(JSON.stringify(old))).toEqual({
      ok: true,
      value: { design, record: { ...record, ticks: [{ ...ticks[0], did: null }] } },
    });
  });
  test('what is wrong in it is named where it stands in that file', () => {
    const old = (job: object) => JSON.stringify({ format: 'split-tap-job', version: 1, job });
    const { design, record } = whole;
    expect(problems(old({ ...design, ...ofVersion1(record), boxes: 'none' }))[0]!.path).toBe('job.boxes');
    expect(problems(old({ ...design, ...ofVersion1(record), brief: { wish: 3 } }))[0]!.path).toBe(
      'job.brief.wish',
    );
    for (const junk of [null, [], 'x', 3])
      expect(problems(JSON.stringify({ format: 'split-tap-job', version: 1, job: junk }))[0]!.path).toBe(
        'job',
      );
  });
  test('length along a route is not stored: it is measured when the file is read', () => {
    const routed = applyCommand(sunroom, { do: 'set run', run: 'shelf-run', change: { route: 'along' } });
    if (!routed.ok) throw new Error(routed.problems[0]!.message);
    const { job } = routed.value;
    const run = job.runs.findIndex(({ id }) => id === 'shelf-run');
    const file = JSON.parse(writeJobFile({ ...whole, design: job }));
    expect(file.design.runs[run]).not.toHaveProperty('lengthFt');
    const read = readJobFile(JSON.stringify(file));
    expect(read.ok && read.value.design.runs[run]!.lengthFt).toBe(job.runs[run]!.lengthFt);
  });
});

describe('migrations', () => {
  const migrations = {
    1: (file: Record<string, unknown>) => ({ ...file, title: file['name'] }),
    2: (file: Record<string, unknown>) => ({ ...file, title: `${String(file['title'])}!` }),
  };
  test('run in order from the version of the file', () => {
    expect(migrate({ name: 'a', version: 1 }, 1, 3, migrations)).toEqual({
      ok: true,
      value: { name: 'a', title: 'a!', version: 3 },
    });
  });
  test('a version nobody knows is a problem, not a crash', () => {
    expect(migrate({}, 0, 3, migrations)).toMatchObject({ ok: false, problems: [{ path: 'version' }] });
  });
});

test('a stored record is checked like a file', () => {
  expect(checkJob(sunroom, whole.record)).toEqual({ ok: true, value: whole });
  expect(checkJob(undefined).ok).toBe(false);
  expect(checkJob({ ...sunroom, circuits: [] } satisfies Design).ok).toBe(false);
});

test('the published JSON Schema is the one the code gives', () => {
  expect(JSON.parse(readFileSync('docs/job-file.schema.json', 'utf8'))).toEqual(jobFileSchema());
});
