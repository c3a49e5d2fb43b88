import { expect, test } from '@jest/globals';
import { demoHouse, demoWhole } from '@core/handover/jobs/demo-house';
import { readAnyFile } from '@core/handover/files/workshop';
import { readHouseFile, writeHouseFile } from '@core/job/model/house-file';
import { readJobFile } from '@core/job/model/file';
import type { Job } from '@core/job/model/job';
import { writeJobFile } from '@core/job/model/job-file';
import { mergeReport } from './merge';

const base = demoWhole('hall-console')!;
const wished = (change: Partial<Job['record']['brief']>): Job => ({
  ...base,
  record: { ...base.record, brief: { ...base.record.brief, ...change } },
});
const file = (name: string, text: string) => ({ name, bytes: new TextEncoder().encode(text) });
const jobs = (...all: readonly Job[]) => all.map((job, at) => file(`${at}.json`, writeJobFile(job)));

test('three job files: what each changed is in the one that comes out', () => {
  const { exit, output } = mergeReport(jobs(base, wished({ wish: 'A lamp' }), wished({ facts: 'Brick' })));
  expect(exit).toBe(0);
  const read = readJobFile(String(output));
  expect(read.ok && read.value.record.brief).toMatchObject({ wish: 'A lamp', facts: 'Brick' });
});

test('what both changed is listed as JSON, exit 1; of two files without a base, whatever differs', () => {
  const conflicts = [{ of: 'job hall-console', ours: 'A lamp', theirs: 'A fan' }];
  const both = [wished({ wish: 'A lamp' }), wished({ wish: 'A fan' })];
  expect(mergeReport(jobs(base, ...both))).toMatchObject({ exit: 1, output: { conflicts } });
  expect(mergeReport(jobs(...both))).toMatchObject({ exit: 1, output: { conflicts } });
});

test('houses, and into a zip', () => {
  const house = (job: Job) => file('house.json', writeHouseFile({ house: demoHouse, jobs: [job] }));
  const all = [house(base), house(wished({ wish: 'A lamp' })), house(wished({ facts: 'Brick' }))];
  const read = readHouseFile(String(mergeReport(all).output));
  expect(read.ok && read.value.jobs[0]!.record.brief).toMatchObject({ wish: 'A lamp', facts: 'Brick' });
  let zip = new Uint8Array();
  expect(mergeReport(all, (bytes) => (zip = new Uint8Array(bytes)))).toMatchObject({
    exit: 0,
    output: { jobs: 1 },
  });
  expect(readAnyFile(zip).ok).toBe(true);
});

test('what is no file is named, exit 2', () => {
  const { exit, errors } = mergeReport([file('a.json', '{'), ...jobs(base)]);
  expect(exit).toBe(2);
  expect(errors?.[0]).toMatch(/^a\.json: /);
});
