import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { note, type Command } from '../commands/command';
import { demoJob } from '../../handover/jobs/demo-house';
import { EMPTY_RECORD, type JobRecord } from '../model/record';
import { logged, shownLog, steppedBack, type Stamp } from './log';

const design = demoJob('hall-console')!;
const at = (minute: number): string => new Date(Date.UTC(2026, 4, 4, 8, minute)).toISOString();
const stamp = (minute: number, by = 'Mara'): Stamp => ({ at: at(minute), by });

/** What the store does with a command on the record. */
function done(record: JobRecord, command: Command, when: Stamp, label: string | null = null): JobRecord {
  const noted = command.do.startsWith('set amendment') ? null : note(record, command as never);
  if (noted && !noted.ok) throw new Error(noted.problems[0]!.message);
  const after = noted?.ok ? noted.value.record : record;
  return logged([command], { design, record }, after, label, when);
}
const tick = (step: string, minute: number): Command => ({
  do: 'tick',
  tick: { box: 'console', step, did: null, says: `Splice ${step}`, at: at(minute) },
});

describe('the log writes itself', () => {
  test('a check-off, its taking back, a reading, a waiver: each with time and person', () => {
    let record = done(EMPTY_RECORD, tick('grounds', 0), stamp(0));
    record = done(record, { do: 'untick', box: 'console', step: 'grounds' }, stamp(1, 'Theo'));
    record = done(
      record,
      {
        do: 'read test',
        reading: {
          test: 't',
          shows: '1',
          symptom: null,
          says: 'Console: hot to ground. Shows 120 V.',
          at: at(2),
        },
      },
      stamp(2),
    );
    record = done(record, { do: 'set amendment', rule: 'R08', reason: 'inspector agreed' }, stamp(3));
    expect(record.log.map(({ kind, by, says }) => [kind, by, says])).toEqual([
      ['check-off', 'Mara', 'Console: Splice grounds'],
      ['check-off', 'Theo', 'Console: unchecked. Splice grounds'],
      ['test', 'Mara', 'Console: hot to ground. Shows 120 V.'],
      ['waiver', 'Mara', 'Rule R08 waived: inspector agreed'],
    ]);
  });

  test('a check-off stands once in the log, though it was stamped a moment after it was made', () => {
    const record = done(EMPTY_RECORD, tick('grounds', 0), { at: '2026-05-04T08:00:00.009Z', by: 'Mara' });
    expect(shownLog(design, record)).toHaveLength(1);
    // A record of before there was a log shows it as well.
    expect(shownLog(design, { ...record, log: [] })).toHaveLength(1);
  });

  test('a change of the plan is an event once the work began, and not before', () => {
    const change: Command = { do: 'set site', site: 'x' } as never;
    const before = logged([change], { design, record: EMPTY_RECORD }, EMPTY_RECORD, 'site', stamp(0));
    expect(before.log).toEqual([]);
    expect(steppedBack(EMPTY_RECORD, 'site', true, stamp(0)).log).toEqual([]);
    const begun = done(EMPTY_RECORD, tick('grounds', 0), stamp(0));
    const after = logged([change], { design, record: begun }, begun, 'switched', stamp(1));
    expect(after.log.at(-1)).toMatchObject({ kind: 'plan change', says: 'Plan changed: switched' });
    expect(steppedBack(after, 'switched', true, stamp(2)).log.at(-1)!.says).toBe(
      'Plan changed: undone, switched',
    );
  });

  test('a correction keeps what it corrects, however often', () => {
    const entry = (says: string, corrects: string | null, minute: number): Command => ({
      do: 'log',
      entry: { at: at(minute), by: 'Mara', kind: 'note', box: null, says, corrects },
    });
    let record = done(EMPTY_RECORD, entry('12-2 in the loop', null, 0), stamp(0));
    record = done(record, entry('another', null, 1), stamp(1));
    record = done(record, entry('14-2 in the loop', 'entry-1', 2), stamp(2));
    record = done(record, entry('14-2 with ground', 'entry-3', 3), stamp(3));
    expect(
      shownLog(design, record).map(({ entry: { says }, before }) => [says, before.map((one) => one.says)]),
    ).toEqual([
      ['14-2 with ground', ['12-2 in the loop', '14-2 in the loop']],
      ['another', []],
    ]);
  });

  test('whatever is done, nothing that the log said is lost, and every entry is shown once', () => {
    const command = fc.oneof(
      fc.integer({ min: 0, max: 4 }).map((step) => (minute: number) => tick(`s${step}`, minute)),
      fc
        .integer({ min: 0, max: 4 })
        .map((step) => (): Command => ({ do: 'untick', box: 'console', step: `s${step}` })),
      fc
        .tuple(fc.string({ minLength: 1, maxLength: 20 }), fc.option(fc.nat(12), { nil: null }))
        .map(([says, corrects]) => (minute: number): Command => ({
          do: 'log',
          entry: {
            at: at(minute),
            by: '',
            kind: 'note',
            box: null,
            says: `note ${says}`,
            corrects: corrects === null ? null : `entry-${corrects + 1}`,
          },
        })),
    );
    fc.assert(
      fc.property(fc.array(command, { maxLength: 25 }), (steps) => {
        let record = EMPTY_RECORD;
        steps.forEach((make, minute) => {
          const before = record.log;
          record = done(record, make(minute), stamp(minute));
          expect(record.log.slice(0, before.length)).toEqual(before);
        });
        const shown = shownLog(design, record).flatMap(({ entry, before }) => [...before, entry]);
        expect(shown.map(({ id }) => id).sort()).toEqual(record.log.map(({ id }) => id).sort());
      }),
    );
  });
});
