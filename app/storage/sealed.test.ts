import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { demoJobs, demoRecord } from '@core/handover/jobs/demo-house';
import { checkJob } from '@core/job/model/job-file';
import { EMPTY_RECORD } from '@core/job/model/record';
import { anyJob } from '@core/testing/random-jobs';
import { readJob, sealOf, storedDesign, storedJob, storedOwn, storedRecord } from './sealed';

/** What a store gives back of what was put into it. */
const kept = <T>(value: T): T => structuredClone(value);

test('a sealed job is read as the whole check would read it', () => {
  const jobs = [
    ...demoJobs.map((design) => ({ design, record: demoRecord(design.id) })),
    ...fc.sample(anyJob, { numRuns: 100, seed: 9 }).map((design) => ({ design, record: EMPTY_RECORD })),
  ];
  for (const { design, record } of jobs) {
    const [row, noted] = [kept(storedDesign(design)), kept(storedRecord(record))];
    // To the letter: marks and comparisons of files are made of the text.
    expect(JSON.stringify(readJob(row, noted))).toBe(JSON.stringify(checkJob(row.design, noted.record)));
    expect(readJob(row, noted)).toMatchObject({ ok: true, value: { design, record } });
  }
});

test('a job that the program brings along is stored to the letter as if it were read a second time', () => {
  for (const design of demoJobs) {
    const job = { design, record: demoRecord(design.id) };
    expect(JSON.stringify(storedOwn(job))).toBe(JSON.stringify(storedJob(job)));
    expect(storedJob(job)).toMatchObject({
      design: { seal: expect.any(String) as unknown },
      record: { seal: expect.any(String) as unknown },
    });
  }
});

test('whatever letter of it is changed after it was stored, it is checked whole again', () => {
  const design = demoJobs[0]!;
  const { design: sound, seal } = storedDesign(design);
  const text = JSON.stringify(sound);
  const noted = storedRecord(EMPTY_RECORD);
  fc.assert(
    fc.property(fc.nat(text.length - 1), fc.constantFrom('0', '9', 'x', '-'), (at, letter) => {
      const other = `${text.slice(0, at)}${letter}${text.slice(at + 1)}`;
      if (other === text) return;
      let changed: unknown;
      try {
        changed = JSON.parse(other);
      } catch {
        return;
      }
      if (JSON.stringify(changed) === text) return;
      expect(sealOf(changed)).not.toBe(seal);
      expect(readJob({ design: changed, ...(seal ? { seal } : {}) }, noted)).toEqual(
        checkJob(changed, EMPTY_RECORD),
      );
    }),
    { numRuns: 150 },
  );
});

test('what has no seal, or one of another shape of the data, is checked whole', () => {
  const stored = storedDesign(demoJobs[0]!);
  const seal = stored.seal!;
  const broken = { ...(stored.design as object), boxes: 'none' };
  const noted = storedRecord(EMPTY_RECORD);
  expect(seal).toMatch(/^source /);
  expect(readJob({ design: broken }, noted).ok).toBe(false);
  expect(readJob({ design: broken, seal: seal.replace('source', 'older') }, noted).ok).toBe(false);
  expect(readJob({ design: broken, seal }, noted).ok).toBe(false);
  expect(readJob({ ...stored }, { record: { ticks: 'none' }, seal: noted.seal! }).ok).toBe(false);
  expect(readJob(undefined, undefined).ok).toBe(false);
});
