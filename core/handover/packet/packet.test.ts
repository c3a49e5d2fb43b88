import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import ICAL from 'ical.js';
import { demoHouse, demoJob, demoJobs, demoRecord } from '../jobs/demo-house';
import { EMPTY_RECORD, JobRecord } from '../../job/model/record';
import { planJob } from '../../wiring/plan';
import { anyJob } from '../../testing/random-jobs';
import { monthlyTests, ownerSheet } from './owner';
import { packetOf } from './packet';
import { reminders } from './reminders';
import { markdownOf, type Section } from './section';

const AT = '2026-05-04T08:30:00.000Z';
const words = (sections: readonly Section[]): string =>
  sections
    .flatMap(({ title, blocks }) => [
      title,
      ...blocks.flatMap((block) => {
        switch (block.kind) {
          case 'text':
            return [block.text];
          case 'list':
            return block.items;
          case 'table':
            return [...block.head, ...block.rows.flat()];
          case 'drawing':
            return [block.title];
          case 'photo':
            return block.says;
        }
      }),
    ])
    .join('\n');

describe('the packet', () => {
  test('of the stair: cover to log, with what is on record', () => {
    const record = JobRecord.parse({
      ...demoRecord('stair'),
      log: [
        {
          id: 'entry-1',
          at: AT,
          by: 'Mara',
          kind: 'test',
          says: 'Stair foot: hot to ground. Shows 120 V, as it must.',
        },
        { id: 'entry-2', at: AT, by: 'Theo', kind: 'note', says: '14-2 to the light' },
        { id: 'entry-3', at: AT, by: 'Theo', kind: 'note', says: '14-3 to the light', corrects: 'entry-2' },
      ],
      photos: [
        {
          id: 'p',
          at: AT,
          by: 'Mara',
          caption: 'Foot, open',
          box: 'stair-foot',
          type: 'image/png',
          bytes: 9,
          widthPx: 1,
          heightPx: 1,
          marks: [{ id: 'm', x: 0.5, y: 0.5, run: 'feed', insulation: 'black' }],
        },
      ],
    });
    const sections = packetOf({
      design: demoJob('stair')!,
      record,
      house: { house: demoHouse, designs: demoJobs },
      at: AT,
    });
    expect(sections.filter(({ id }) => id.startsWith('box-'))).toHaveLength(demoJob('stair')!.boxes.length);
    expect(sections.map(({ id }) => id)).toEqual(
      expect.arrayContaining([
        'cover',
        'request',
        'fill',
        'load',
        'rules',
        'verification',
        'tests',
        'photos',
        'directory',
        'log',
      ]),
    );
    const all = words(sections);
    expect(all).toContain('Verified: works as intended');
    expect(all).toContain('Shows 120 V, as it must.');
    expect(all).toContain('14-2 to the light (corrected below)');
    expect(all).toContain('Foot, open');
    expect(all).toMatch(/1: the run from panel .*, black/i);
    expect(all).toContain('Kitchen counter, left of the sink');
    expect(markdownOf('Stair', sections)).toMatch(/^# Stair\n\n## Stair\n\n\*\*Verified/);
  });

  test('once its first day is set: the crew’s sheet of each visit and the notice of when the power is off', () => {
    const set = JobRecord.parse({
      ...demoRecord('stair'),
      day: { date: '2026-05-29', crew: [{ name: 'Mara' }] },
    });
    const asked = { design: demoJob('stair')!, house: { house: demoHouse, designs: demoJobs }, at: AT };
    const ids = packetOf({ ...asked, record: set }).map(({ id }) => id);
    expect(ids).toEqual(expect.arrayContaining(['visit-1', 'visit-2', 'visit-3', 'notice']));
    const all = words(packetOf({ ...asked, record: set }));
    expect(all).toContain('Mara');
    expect(all).toContain('Friday, May 29, 2026');
    expect(packetOf({ ...asked, record: demoRecord('stair') }).map(({ id }) => id)).not.toContain('notice');
  });

  test('of a job that cannot be wired: why, and nothing said to be verified', () => {
    const all = words(packetOf({ design: demoJob('attic-hatch-switch')!, record: EMPTY_RECORD, at: AT }));
    expect(all).toContain('Not wired as asked:');
    expect(all).not.toMatch(/Verified|Works as intended/);
  });

  test('of any job: a drawing of every box that is wired, every circuit and box in its tables, no id in any word', () => {
    fc.assert(
      fc.property(anyJob, (job) => {
        const sections = packetOf({ design: job, record: EMPTY_RECORD, at: AT });
        const drawn = sections.flatMap(({ blocks }) =>
          blocks.flatMap((block) => (block.kind === 'drawing' ? [block.box] : [])),
        );
        const outcome = planJob(job);
        if (outcome.ok) expect(drawn).toEqual(expect.arrayContaining(job.boxes.map(({ id }) => id)));
        else expect(drawn).toEqual([]);
        for (const { blocks } of sections)
          for (const block of blocks)
            if (block.kind === 'table')
              for (const row of block.rows) expect(row).toHaveLength(block.head.length);
        const load = sections.find(({ id }) => id === 'load')!.blocks[0]!;
        expect(load.kind === 'table' && load.rows).toHaveLength(job.circuits.length);
        const owner = words(ownerSheet(job));
        for (const text of [words(sections), owner]) expect(text).not.toMatch(/\bb\d+-\d|undefined|\[object/);
      }),
      { numRuns: 60 },
    );
  }, 120_000);

  test('as Markdown a table stays a table, whatever is written in it', () => {
    fc.assert(
      fc.property(fc.array(fc.array(fc.string(), { minLength: 2, maxLength: 2 })), (rows) => {
        const text = markdownOf('x', [
          { id: 'a', title: 'b', blocks: [{ kind: 'table', head: ['one', 'two'], rows }] },
        ]);
        const lines = text
          .trimEnd()
          .split('\n')
          .filter((line) => line.startsWith('|'));
        expect(lines).toHaveLength(rows.length + 2);
        for (const line of lines) expect(line.replace(/\\[\s\S]/g, '').split('|')).toHaveLength(4);
      }),
    );
  });
});

describe('the owner’s sheet', () => {
  test('of the porch: which switch does which half, where to reset, what to test', () => {
    const all = words(ownerSheet(demoJob('porch-soffit')!));
    expect(all).toContain('The switch at Hall door: Porch soffit, upper half; Porch soffit, lower half');
    expect(all).toContain('RESET on the GFCI receptacle at Hall bench');
    expect(all).toContain('Press TEST on breaker 9');
  });

  test('of the attic, which cannot be wired, it promises nothing', () => {
    expect(words(ownerSheet(demoJob('attic-hatch-switch')!))).toContain('nothing to hand over');
    expect(monthlyTests(demoJob('attic-hatch-switch')!)).toEqual([]);
  });
});

describe('the calendar, read by another parser', () => {
  const events = (text: string) =>
    new ICAL.Component(ICAL.parse(text) as never)
      .getAllSubcomponents('vevent')
      .map((one) => new ICAL.Event(one));

  test('the monthly test comes on the first of every month, whole days, the inspection on its day', () => {
    const text = reminders(
      demoJob('porch-soffit')!,
      { ...demoHouse, inspection: '2026-12-31' },
      new Date(2026, 10, 26),
    )!;
    const [monthly, inspection] = events(text);
    expect(monthly!.startDate.toString()).toBe('2026-12-01');
    expect(monthly!.isRecurring()).toBe(true);
    const next = monthly!.iterator();
    expect([next.next(), next.next(), next.next()].map((date) => date.toString())).toEqual([
      '2026-12-01',
      '2027-01-01',
      '2027-02-01',
    ]);
    expect(monthly!.description).toContain('Press TEST on the GFCI receptacle at Hall bench');
    expect(monthly!.description).toContain('breaker 9');
    expect([inspection!.startDate.toString(), inspection!.endDate.toString()]).toEqual([
      '2026-12-31',
      '2027-01-01',
    ]);
    for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
  });

  test('any names and dates are read back as they were', () => {
    fc.assert(
      fc.property(
        fc.string({ minLength: 1, maxLength: 60 }).filter((name) => name.trim() !== ''),
        fc.date({ min: new Date('2026-01-01'), max: new Date('2060-12-31'), noInvalidDate: true }),
        (name, date) => {
          const day = date.toISOString().slice(0, 10);
          const own = name.trim();
          const text = reminders(
            demoJob('stair')!,
            { ...demoHouse, name: own, inspection: day },
            new Date(2026, 0, 31),
          )!;
          const last = events(text).at(-1)!;
          expect(last.startDate.toString()).toBe(day);
          expect(last.summary.replace(/\s+/g, ' ')).toBe(`Inspection: ${own}`.replace(/\s+/g, ' '));
        },
      ),
      { numRuns: 60 },
    );
  }, 60_000);

  test('where nothing has a TEST button and nobody comes, there is no calendar', () => {
    const plain = { ...demoJob('landing-three-switches')! };
    expect(reminders(plain, null, new Date())).toBeNull();
  });
});
