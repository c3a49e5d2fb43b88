import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { jobFileSchema } from '../interchange/json-schema';
import { demoJobs } from '../jobs/demo-house';
import { checkJob, migrate, readJobFile, writeJobFile } from './file';
import type { Job } from './job';

const sunroom = demoJobs[0]!;
const text = writeJobFile(sunroom);
const changed = (change: (job: Record<string, never[]>) => void): string => {
  const file = JSON.parse(text);
  change(file.job);
  return JSON.stringify(file);
};
const problems = (input: string) => {
  const read = readJobFile(input);
  if (read.ok) throw new Error('read');
  return read.problems;
};

test('every demo job survives writing and reading', () => {
  for (const job of demoJobs) expect(readJobFile(writeJobFile(job))).toEqual({ ok: true, value: job });
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
    const [problem] = problems(text.replace('"version": 1', '"version": 7'));
    expect(problem).toMatchObject({ path: 'version', message: expect.stringContaining('version 7') });
    expect(problem!.wayOut).toContain('Update');
  });
  test('a version that is none', () => {
    expect(problems(text.replace('"version": 1', '"version": "one"'))[0]!.path).toBe('version');
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
      expect.objectContaining({ path: 'job.runs[2]', message: 'run "self" starts and ends in the same box' }),
    ]);
  });
  test('an unknown device: the path and the kinds there are', () => {
    const unknown = changed((job) => Object.assign(job['devices']![1]!, { kind: 'teleporter' }));
    const [problem] = problems(unknown);
    expect(problem!.path).toBe('job.devices[1].kind');
    expect(problem!.message).toContain('"duplex"');
  });
  test('a wish for a part that the device does not have', () => {
    const wrong = changed((job) =>
      Object.assign(job['devices']![0]!, { wants: { upper: { does: 'control', group: 'shelf' } } }),
    );
    expect(problems(wrong).map(({ path }) => path)).toEqual([
      'job.devices[0].wants',
      'job.devices[0].wants.upper',
    ]);
  });
  test('ids that name nothing, and ids used twice', () => {
    const wrong = changed((job) => {
      Object.assign(job['runs']![1]!, { to: 'attic' });
      Object.assign(job['boxes']![1]!, { id: 'garden-door' });
    });
    expect(problems(wrong).map(({ path }) => path)).toEqual(
      expect.arrayContaining(['job.boxes[1].id', 'job.runs[1].to', 'job.devices[1].box']),
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
    expect(problems(extra)[0]).toMatchObject({ path: 'job', message: expect.stringContaining('"script"') });
  });
  test('__proto__ in a file changes nothing', () => {
    const evil = text.replace(
      '"wants": {',
      '"wants": { "__proto__": { "does": "control", "group": "shelf" },',
    );
    readJobFile(evil);
    expect(({} as Record<string, unknown>)['does']).toBeUndefined();
  });
});

test('a name with HTML in it is text like any other', () => {
  const name = '<img src=x onerror=alert(1)>';
  const read = readJobFile(changed((job) => Object.assign(job, { name })));
  expect(read).toMatchObject({ ok: true, value: { name } });
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
  expect(checkJob(sunroom)).toEqual({ ok: true, value: sunroom });
  expect(checkJob(undefined).ok).toBe(false);
  expect(checkJob({ ...sunroom, circuits: [] } satisfies Job).ok).toBe(false);
});

test('the published JSON Schema is the one the code gives', () => {
  expect(JSON.parse(readFileSync('docs/job-file.schema.json', 'utf8'))).toEqual(jobFileSchema());
});
