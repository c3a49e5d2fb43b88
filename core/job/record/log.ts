import type { Command } from '../commands/command';
import { logId } from '../commands/record-table';
import { groupBy } from '../../base/group-by';
import { placeName } from '../model/called';
import type { Design } from '../model/design';
import type { Job } from '../model/job';
import type { JobRecord, LogEntry, LogKind } from '../model/record';
import { say } from '../../base/words/record';

/** When something was done, and by whom. */
export interface Stamp {
  /** UTC, ISO 8601. */
  readonly at: string;
  /** Empty where nobody was named. */
  readonly by: string;
}

/** Something to be written into the log. */
type Line = Pick<LogEntry, 'kind' | 'box' | 'says'> & {
  /** Where what was done has a time of its own. */
  readonly at?: string;
};

/** True once something was done on site: from then on a change of the plan is an event of its own. */
const workBegan = ({ ticks, tests }: JobRecord): boolean => ticks.length > 0 || tests.length > 0;

const line = (kind: LogKind, says: string, box: string | null = null, at?: string): Line => ({
  kind,
  box,
  says: says.slice(0, 2000),
  ...(at === undefined ? {} : { at }),
});

/** What a command on the record leaves in the log; null where it is no event. */
function lineOf(command: Command, { design, record }: Job): Line | null {
  const place = (box: string) => placeName(design, box);
  switch (command.do) {
    case 'tick':
      return line(
        'check-off',
        say('log.checked', { place: place(command.tick.box), step: command.tick.says }),
        command.tick.box,
        command.tick.at,
      );
    case 'untick': {
      const was = record.ticks.find(({ box, step }) => box === command.box && step === command.step);
      return was
        ? line('check-off', say('log.unchecked', { place: place(was.box), step: was.says }), was.box)
        : null;
    }
    case 'task done':
      return command.done.says === '' ? null : line('check-off', command.done.says, null, command.done.at);
    case 'task not done': {
      const was = record.tasks.find(({ task }) => task === command.task);
      return was && was.says !== '' ? line('check-off', say('log.taskNotDone', { says: was.says })) : null;
    }
    case 'read test':
      return command.reading.says === ''
        ? null
        : line('test', command.reading.says, null, command.reading.at);
    case 'remove test': {
      const was = record.tests.find(({ at, test }) => at === command.at && test === command.test);
      return was && was.says !== '' ? line('test', say('log.testRemoved', { says: was.says })) : null;
    }
    case 'add reading':
      return command.says === undefined || command.says === '' ? null : line('reading', command.says);
    case 'remove reading': {
      const survey = record.surveys.find(({ id }) => id === command.survey);
      return survey ? line('reading', say('log.readingRemoved', { name: survey.name })) : null;
    }
    case 'set amendment':
      return line(
        'waiver',
        command.reason === null
          ? say('log.reinstated', { rule: command.rule })
          : say('log.waived', { rule: command.rule, reason: command.reason }),
      );
    case 'add photo': {
      const { caption, box } = command.photo;
      const what = [caption, box === null ? '' : place(box)].filter(Boolean).join(', ');
      return line('photo', say('log.photo', { known: what !== '', what }), box);
    }
    case 'set photo':
      return typeof command.change.removed === 'string'
        ? line(
            'photo',
            say('log.photoRemoved', {
              caption: record.photos.find(({ id }) => id === command.photo)?.caption ?? '',
            }),
          )
        : null;
    default:
      return null;
  }
}

/** A record with lines written into its log. */
function written(record: JobRecord, lines: readonly Line[], { at, by }: Stamp): JobRecord {
  const log = [...record.log];
  for (const own of lines) log.push({ at, ...own, by, corrects: null, id: logId({ log }) });
  return lines.length === 0 ? record : { ...record, log };
}

/**
 * The record after commands, with what they leave in the log: each thing done, and one line for a change of the plan
 * after the work began. `label`: what the change of the plan is called, null where there is none.
 */
export function logged(
  commands: readonly Command[],
  before: Job,
  after: JobRecord,
  label: string | null,
  stamp: Stamp,
): JobRecord {
  const lines = commands.flatMap((command) => lineOf(command, before) ?? []);
  // Whoever says why the plan changes, or waives a rule, has said it already.
  const said = commands.some(({ do: name }) => name === 'log' || name === 'set amendment');
  if (label !== null && !said && workBegan(before.record))
    lines.push(line('plan change', say('log.planChanged', { label })));
  return written(after, lines, stamp);
}

/** The record after the plan went a step back or forth, once the work began. */
export const steppedBack = (record: JobRecord, label: string, back: boolean, stamp: Stamp): JobRecord =>
  workBegan(record)
    ? written(
        record,
        [line('plan change', back ? say('log.undone', { label }) : say('log.redone', { label }))],
        stamp,
      )
    : record;

/** A line of the log as it is shown: the last word on its matter, with what it was before, the newest last. */
export interface ShownEntry {
  readonly entry: LogEntry;
  /** What it said before it was corrected, the oldest first. */
  readonly before: readonly LogEntry[];
}

/**
 * The log as it is read: a correction stands where the entry stands that it corrects. Check-offs and readings of records
 * that had no log yet come first.
 */
export function shownLog(design: Design, record: JobRecord): ShownEntry[] {
  const known = new Set(record.log.map(({ at }) => at));
  const old = [
    ...record.ticks.map((tick) => ({
      at: tick.at,
      ...line(
        'check-off',
        say('log.checked', { place: placeName(design, tick.box), step: tick.says }),
        tick.box,
      ),
    })),
    ...record.tests.flatMap(({ at, says }) => (says === '' ? [] : [{ at, ...line('test', says) }])),
  ]
    .filter(({ at }) => !known.has(at))
    .map((one, index): LogEntry => ({ ...one, id: `old-${index + 1}`, by: '', corrects: null }));
  // An entry and all that corrects it, or a correction of it: one matter. Only what came before can be corrected.
  const root = new Map<string, string>();
  for (const { id, corrects } of record.log) root.set(id, (corrects !== null && root.get(corrects)) || id);
  return [...groupBy([...old, ...record.log], ({ id }) => [root.get(id) ?? id]).values()]
    .flatMap((matter): ShownEntry[] => {
      const entry = matter.at(-1);
      return entry ? [{ entry, before: matter.slice(0, -1) }] : [];
    })
    .sort((a, b) => (a.before[0] ?? a.entry).at.localeCompare((b.before[0] ?? b.entry).at));
}
