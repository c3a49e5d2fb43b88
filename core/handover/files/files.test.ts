import { deflateSync } from 'node:zlib';
import { describe, expect, test } from '@jest/globals';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import fc from 'fast-check';
import { demoHouse, demoJobs, demoRecord } from '../jobs/demo-house';
import type { Design } from '../../job/model/design';
import { writeHouseFile } from '../../job/model/house-file';
import { writeJobFile } from '../../job/model/job-file';
import { EMPTY_RECORD, JobRecord } from '../../job/model/record';
import { EXAMPLE_SHOP } from '../../choices/takeoff/shop';
import { anyJob } from '../../testing/random-jobs';
import { previewOf, printOfJob } from './preview';
import { ZIP_LIMITS } from './limits';
import { unzip } from './unzip';
import { readAnyFile, writeWorkshop, type Workshop } from './workshop';
import { draws } from '../../testing/draws';

/** A PNG of one pixel row, told apart by its last bytes. */
const png = (seed: number): Uint8Array => {
  const u32 = (value: number) => [value >>> 24, (value >> 16) & 255, (value >> 8) & 255, value & 255];
  const chunk = (name: string, body: readonly number[]) => [
    ...u32(body.length),
    ...Buffer.from(name, 'latin1'),
    ...body,
    ...u32(seed),
  ];
  return Uint8Array.from([
    ...[0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10],
    ...chunk('IHDR', [...u32(4), ...u32(3), 8, 0, 0, 0, 0]),
    ...chunk('IDAT', [...deflateSync(Buffer.from([0, seed & 255]))]),
    ...chunk('IEND', []),
  ]);
};
const photoOf = (id: string, bytes: Uint8Array): JobRecord =>
  JobRecord.parse({
    photos: [
      { id, at: '2026-05-04T08:00:00.000Z', type: 'image/png', bytes: bytes.length, widthPx: 4, heightPx: 3 },
    ],
  });

const demo: Workshop = {
  houses: [demoHouse],
  jobs: demoJobs.map((design, index) => ({
    house: demoHouse.id,
    job: { design, record: index === 0 ? photoOf('p-1', png(1)) : demoRecord(design.id) },
  })),
  photos: [{ id: 'p-1', job: demoJobs[0]!.id, type: 'image/png', bytes: png(1) }],
  shop: { ...EXAMPLE_SHOP, laborPerHour: '95.50' },
};
const read = (bytes: Uint8Array): Workshop => {
  const done = readAnyFile(bytes);
  if (!done.ok) throw new Error(JSON.stringify(done.problems.slice(0, 3)));
  return done.value;
};
const problems = (bytes: Uint8Array): string[] => {
  const done = readAnyFile(bytes);
  return done.ok ? [] : done.problems.map(({ path, message }) => `${path}: ${message}`);
};

describe('out, in and out again', () => {
  test('the demo house with its photo, its shop and what was found: the same, the photo byte for byte', () => {
    const out = writeWorkshop(demo);
    const back = read(out);
    expect(writeWorkshop(back)).toEqual(out);
    expect(back.photos[0]!.bytes).toEqual(png(1));
    expect(Object.keys(unzipSync(out))).toContain('photos/p-1.png');
    for (const { job } of demo.jobs) {
      const alone = strToU8(writeJobFile(job));
      expect(writeJobFile(read(alone).jobs[0]!.job)).toBe(strFromU8(alone));
    }
    const house = strToU8(writeHouseFile({ house: demoHouse, jobs: demo.jobs.map(({ job }) => job) }));
    const housed = read(house);
    expect(writeHouseFile({ house: housed.houses[0]!, jobs: housed.jobs.map(({ job }) => job) })).toBe(
      strFromU8(house),
    );
  });

  test('jobs with photos of any bytes behind their heads', () => {
    const jobs = fc
      .sample(anyJob, { numRuns: draws(120, 1000), seed: 5 })
      .map((job, index): Design => ({ ...job, id: `job-${index}` }));
    const photos = jobs
      .filter((_, index) => index % 10 === 0)
      .map(({ id }, index) => ({
        id: `photo-${index}`,
        job: id,
        type: 'image/png' as const,
        bytes: png(index * 7919),
      }));
    const whole: Workshop = {
      houses: [],
      jobs: jobs.map((design) => {
        const own = photos.find(({ job }) => job === design.id);
        return { house: null, job: { design, record: own ? photoOf(own.id, own.bytes) : EMPTY_RECORD } };
      }),
      photos,
      shop: null,
    };
    const out = writeWorkshop(whole);
    const back = read(out);
    expect(back.photos.map(({ bytes }) => bytes)).toEqual(photos.map(({ bytes }) => bytes));
    expect(writeWorkshop(back)).toEqual(out);
  }, 120_000);
});

test('the preview tells what is new, the same, strange to what is here, and what grew from what', () => {
  const [first, second] = demo.jobs;
  const known = {
    houses: new Map([[demoHouse.id, { house: demoHouse, from: [] }]]),
    jobs: new Map([
      [first!.job.design.id, { job: first!.job, from: [] as { print: string; at: string }[] }],
      [
        second!.job.design.id,
        {
          job: { ...second!.job, design: { ...second!.job.design, site: 'elsewhere', groups: [] } },
          from: [] as { print: string; at: string }[],
        },
      ],
    ]),
  };
  const rows = previewOf(demo, known);
  expect(rows.map(({ state }) => state)).toEqual([
    'same',
    'same',
    'strange',
    ...Array<string>(6).fill('new'),
  ]);
  // The one here grew from what comes: there is nothing to take.
  const [, own] = known.jobs.values();
  own!.from.push({ print: printOfJob(second!.job), at: '2026-05-01T10:00:00Z' });
  expect(previewOf(demo, known)[2]!.state).toBe('behind');
});

describe('hostile files', () => {
  const files = () => unzipSync(writeWorkshop(demo));
  const remade = (change: (index: Record<string, unknown[]>) => unknown) => {
    const all = files();
    const index = JSON.parse(strFromU8(all['workshop.json']!)) as Record<string, unknown[]>;
    return zipSync({ ...all, 'workshop.json': strToU8(JSON.stringify(change(index))) });
  };

  test.each<[string, () => Uint8Array, RegExp]>([
    [
      'a path out of the folder',
      () => zipSync({ ...files(), '../jobs/a.splittap.json': strToU8('{}') }),
      /^\.\.\/jobs/,
    ],
    ['a path from the root', () => zipSync({ ...files(), '/etc/passwd': strToU8('x') }), /^\/etc\/passwd/],
    ['a program', () => zipSync({ ...files(), 'photos/run.exe': strToU8('x') }), /^photos\/run\.exe/],
    ['a drawing for a photo', () => zipSync({ ...files(), 'photos/p-1.svg': strToU8('<svg/>') }), /p-1\.svg/],
    [
      'a page under the name of a photo',
      () => zipSync({ ...files(), 'photos/p-1.png': strToU8('<script>') }),
      /p-1\.png: not a JPEG/,
    ],
    ['no index', () => zipSync({ 'jobs/a.splittap.json': strToU8('{}') }), /workshop\.json: there is no/],
    ['an index of another program', () => remade((index) => ({ ...index, format: 'x' })), /format/],
    ['a newer one', () => remade((index) => ({ ...index, version: 7 })), /version/],
    [
      'a job that is named and not there',
      () =>
        remade((index) => ({
          ...index,
          jobs: [{ id: 'x', house: null, file: 'jobs/x.splittap.json' }],
          photos: [],
        })),
      /jobs\/x/,
    ],
    ['a job of no house', () => remade((index) => ({ ...index, houses: [] })), /not in it: alder-court-12/],
    [
      'a strange name in it',
      () => {
        const all = files();
        return zipSync({
          ...all,
          'workshop.json': strToU8(strFromU8(all['workshop.json']!).replace('{', '{"__proto__":{"a":1},')),
        });
      },
      /__proto__/,
    ],
    [
      'twice the same job',
      () =>
        remade((index) => ({
          ...index,
          jobs: [...index['jobs']!, index['jobs']![0]],
        })),
      /twice/,
    ],
    ['nothing', () => new Uint8Array(), /empty/],
    ['a zip and no more', () => Uint8Array.from([0x50, 0x4b, 3, 4]), /./],
  ])('%s is refused by its place', (_, make, says) => {
    expect(problems(make()).join('\n')).toMatch(says);
  });

  test('what unpacks to more than it may is stopped on the way, however small it is packed', () => {
    const bomb = zipSync({ 'jobs/a.splittap.json': new Uint8Array(60_000_000) }, { level: 9 });
    expect(bomb.length).toBeLessThan(100_000);
    let most = 0;
    const done = unzip(bomb, () => (most = 8_000_000));
    expect(done).toMatchObject({ ok: false, problems: [{ path: 'jobs/a.splittap.json' }] });
    expect(most).toBe(8_000_000);
    expect(problems(bomb).join()).toMatch(/larger than 8 MB/);
  });

  test('more files than it may have are not looked at', () => {
    const many = Object.fromEntries(
      Array.from({ length: ZIP_LIMITS.files + 1 }, (_, index) => [
        `jobs/a-${index}.splittap.json`,
        strToU8('{}'),
      ]),
    );
    expect(problems(zipSync(many, { level: 0 })).join()).toMatch(/more than 5000 files/);
  });

  test('text that nests a hundred thousand deep, or lists millions, is told by what is wrong', () => {
    expect(problems(strToU8('['.repeat(100_000))).join()).toMatch(/deeper than 40/);
    expect(
      problems(strToU8(`{"format":"split-tap-house","jobs":[${'0,'.repeat(3_000_000)}0]}`)).join(),
    ).toMatch(/jobs/);
  });

  test('script in names and notes stays text, out and in', () => {
    const says = '<img src=x onerror=alert(1)> =HYPERLINK("x")';
    const design = { ...demoJobs[0]!, name: says.slice(0, 70) };
    const back = read(
      writeWorkshop({
        houses: [],
        jobs: [{ house: null, job: { design, record: EMPTY_RECORD } }],
        photos: [],
        shop: null,
      }),
    );
    expect(back.jobs[0]!.job.design.name).toBe(says.slice(0, 70));
  });

  test('a file with any bytes changed, cut or added is read or refused, and nothing is thrown', () => {
    const small = writeWorkshop({ ...demo, jobs: demo.jobs.slice(0, 1) });
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat(small.length - 1), fc.nat(255)), { maxLength: 12 }),
        fc.nat(small.length),
        fc.uint8Array({ maxLength: 20 }),
        (changes, cut, more) => {
          const spoiled = Uint8Array.from([...small.subarray(0, cut), ...more]);
          for (const [at, value] of changes) if (at < spoiled.length) spoiled[at] = value;
          expect(() => readAnyFile(spoiled)).not.toThrow();
        },
      ),
    );
  });
});
