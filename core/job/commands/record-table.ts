import { z } from 'zod';
import { freshId } from '../model/fresh-id';
import { Day, TaskDone } from '../model/day';
import { Id } from '../model/fields';
import {
  Brief,
  FieldReading,
  LogEntry,
  Photo,
  PhotoMark,
  PlanLine,
  Tick,
  type JobRecord,
} from '../model/record';
import { Reading, Survey } from '../model/survey';
import { changeSeen, SeenChange } from '../seen/seen-box';
import { takeReading } from '../seen/take-reading';
import { entryOn } from './entry';
import { someOf } from './some-of';
import { find } from './upkeep';
import { say } from '../../base/words/commands';

const on = entryOn<JobRecord>();

/** A line of the plan as it is written down or read; `pin`: where it stands on a sheet. */
const NewLine = PlanLine.pick({ says: true, about: true }).extend({
  pin: PlanLine.shape.pin.unwrap().optional(),
});
export type NewLine = z.output<typeof NewLine>;

/** What a user can note: each with its fields, its name, and its change. None of it is undone; each is corrected in its place. */
export const RECORD_COMMANDS = [
  on('set brief', { change: someOf(Brief.omit({ lines: true })) }, 'brief', (record, { change }) => {
    Object.assign(record.brief, change);
  }),
  /** Lines of the plan; each gets an id of its own. */
  on(
    'add plan lines',
    {
      lines: z.array(NewLine).min(1).max(300),
    },
    ({ lines }) =>
      lines.length === 1
        ? say('recordTable.planLine')
        : say('recordTable.planLines', { linesCount: lines.length }),
    (record, { lines }) => {
      for (const line of lines)
        record.brief.lines.push({
          ...line,
          id: freshId(record.brief.lines, line.says),
          pin: line.pin ?? null,
          stamped: null,
        });
    },
  ),
  on('remove plan line', { line: Id }, say('recordTable.planLineRemoved'), (record, { line }) => {
    record.brief.lines = record.brief.lines.filter(({ id }) => id !== line);
  }),
  on(
    'mark note',
    { line: Id, met: z.boolean().nullable() },
    say('recordTable.notePlan'),
    (record, { line, met }) => {
      const { about } = find(record.brief.lines, line);
      if (about.kind === 'note') about.met = met;
    },
  ),
  /** Where a line of the plan stands on a sheet; null where it is on none. */
  on(
    'pin plan line',
    { line: Id, pin: PlanLine.shape.pin.unwrap() },
    say('recordTable.pinned'),
    (record, { line, pin }) => {
      find(record.brief.lines, line).pin = pin;
    },
  ),
  /** The plan was stamped anew with the work as it is, or was not after all. */
  on(
    'stamp plan line',
    { line: Id, stamped: PlanLine.shape.stamped.unwrap() },
    say('recordTable.stamped'),
    (record, { line, stamped }) => {
      find(record.brief.lines, line).stamped = stamped;
    },
  ),
  /** A step of the make-up done, or not done after all. */
  on('tick', { tick: Tick }, 'tick', (record, { tick }) => {
    record.ticks = record.ticks.filter(({ box, step }) => box !== tick.box || step !== tick.step);
    record.ticks.push(tick);
  }),
  on('set day', { change: someOf(Day) }, say('recordTable.day'), (record, { change }) => {
    Object.assign(record.day, change);
  }),
  /** A task of the day done; done again, it is done then. */
  on('task done', { done: TaskDone }, say('recordTable.taskDone'), (record, { done }) => {
    record.tasks = record.tasks.filter(({ task }) => task !== done.task);
    record.tasks.push(done);
  }),
  on('task not done', { task: TaskDone.shape.task }, say('recordTable.taskNotDone'), (record, { task }) => {
    record.tasks = record.tasks.filter((one) => one.task !== task);
  }),
  /** A test of the finished work is read; read again, it is kept beside what it showed before. */
  on('read test', { reading: FieldReading }, say('recordTable.testRead'), (record, { reading }) => {
    record.tests.push(reading);
  }),
  on(
    'remove test',
    { at: z.iso.datetime(), test: z.string() },
    say('recordTable.testRemoved'),
    (record, { at, test }) => {
      record.tests = record.tests.filter((one) => one.at !== at || one.test !== test);
    },
  ),
  on('untick', { box: Id, step: z.string() }, say('recordTable.tickTakenOff'), (record, { box, step }) => {
    record.ticks = record.ticks.filter((one) => one.box !== box || one.step !== step);
  }),
  /** A wall that is opened. */
  on(
    'add survey',
    { survey: Survey },
    ({ survey }) => say('recordTable.whatFound', { survey: survey.name }),
    (record, { survey }) => {
      record.surveys.push(survey);
    },
  ),
  /** One thing seen in an opened box: a cable, a device, where a conductor sits. */
  on(
    'note seen',
    { survey: Id, change: SeenChange },
    ({ survey }, { surveys }) =>
      say('recordTable.foundAt', { surveys: surveys.find(({ id }) => id === survey)?.name ?? survey }),
    (record, { survey, change }) => changeSeen(find(record.surveys, survey), change),
  ),
  /** An opened box is taken as the layout: what its readings left open is owed. */
  on(
    'lay out survey',
    { survey: Id, laidOut: Survey.shape.laidOut.unwrap() },
    say('recordTable.whatFoundLaidOut'),
    (record, { survey, laidOut }) => {
      find(record.surveys, survey).laidOut = laidOut;
    },
  ),
  on(
    'prove survey',
    { survey: Id, all: z.boolean() },
    say('recordTable.whatIsProven'),
    (record, { survey, all }) => {
      find(record.surveys, survey).proveAll = all;
    },
  ),
  on('remove survey', { survey: Id }, say('recordTable.whatFoundRemoved'), (record, { survey }) => {
    record.surveys = record.surveys.filter(({ id }) => id !== survey);
  }),
  /** A reading taken, or taken again. */
  on(
    'add reading',
    {
      survey: Id,
      reading: Reading.omit({ id: true, times: true }),
      says: z.string().max(2000).optional().describe('As it stands on the screen, for the log'),
    },
    'reading',
    (record, { survey, reading }) => takeReading(find(record.surveys, survey).readings, reading),
  ),
  on(
    'remove reading',
    { survey: Id, reading: Id },
    say('recordTable.readingTakenOff'),
    (record, { survey: id, reading }) => {
      const survey = find(record.surveys, id);
      survey.readings = survey.readings.filter((one) => one.id !== reading);
    },
  ),
  /** A line of the log, by hand; or one that takes the place of another, which stays. */
  on('log', { entry: LogEntry.omit({ id: true }) }, say('recordTable.logEntry'), (record, { entry }) => {
    record.log.push({ ...entry, id: logId(record) });
  }),
  on('add photo', { photo: Photo }, say('recordTable.photo'), (record, { photo }) => {
    record.photos.push(photo);
  }),
  on(
    'set photo',
    {
      photo: Id,
      change: someOf(
        Photo.pick({
          caption: true,
          box: true,
          bytes: true,
          type: true,
          widthPx: true,
          heightPx: true,
          removed: true,
        }),
      ),
    },
    say('recordTable.photo'),
    (record, { photo, change }) => {
      Object.assign(find(record.photos, photo), change);
    },
  ),
  on(
    'mark photo',
    { photo: Id, mark: PhotoMark.omit({ id: true }) },
    say('recordTable.photoMarked'),
    (record, { photo, mark }) => {
      const { marks } = find(record.photos, photo);
      marks.push({ ...mark, id: freshId(marks, 'mark') });
    },
  ),
  on(
    'unmark photo',
    { photo: Id, mark: Id },
    say('recordTable.photoMarkRemoved'),
    (record, { photo: id, mark }) => {
      const photo = find(record.photos, id);
      photo.marks = photo.marks.filter((one) => one.id !== mark);
    },
  ),
  /** What was removed and whose day is over goes for good. */
  on(
    'drop photos',
    { photos: z.array(Id).min(1).max(400) },
    say('recordTable.photo'),
    (record, { photos }) => {
      record.photos = record.photos.filter(({ id, removed }) => removed === null || !photos.includes(id));
    },
  ),
] as const;

/** The log only grows: its length names the next entry. */
export const logId = ({ log }: Pick<JobRecord, 'log'>): string => `entry-${log.length + 1}`;
