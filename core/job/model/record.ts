import { z } from 'zod';
import { BOX_FAMILIES } from '../../trade/standards/boxes';
import { CABLE_TYPES, INSULATIONS } from '../../trade/standards/cables';
import { Day, TaskDone } from './day';
import { Id, Line } from './fields';
import { MAX_PHOTO_BYTES, MAX_PHOTO_PX, PHOTO_TYPES } from './picture';
import { SheetPoint } from './sheet';
import { Survey } from './survey';

/** Symbols of switches and receptacles on a plan. */
export const PLAN_SYMBOLS = ['S', 'S3', 'S4', 'duplex', 'half-switched', 'receptacle'] as const;
export type PlanSymbol = (typeof PLAN_SYMBOLS)[number];

/** A line of the plan that the work is checked against. */
export const PlanLine = z.strictObject({
  id: Id,
  says: Line.min(1).max(200).describe('As it stands on the plan'),
  about: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('cable'), run: Id, type: z.enum(CABLE_TYPES) }),
    z.strictObject({
      kind: z.literal('box'),
      box: Id,
      family: z.enum(BOX_FAMILIES),
      volumeIn3: z.number().positive().max(200).nullable().default(null),
      ring: z
        .boolean()
        .nullable()
        .default(null)
        .describe('Whether it asks for a ring or an extension; null: it does not say'),
    }),
    z.strictObject({
      kind: z.literal('order'),
      box: Id,
      symbols: z.array(z.enum(PLAN_SYMBOLS)).min(1).max(4).describe('Left to right'),
    }),
    z.strictObject({ kind: z.literal('ground pin'), pin: z.enum(['up', 'down']) }),
    z.strictObject({ kind: z.literal('height'), box: Id, heightIn: z.number().positive().max(240) }),
    z.strictObject({
      kind: z.literal('all heights'),
      of: z.enum(['switches', 'receptacles']),
      heightIn: z.number().positive().max(240),
    }),
    z.strictObject({ kind: z.literal('note'), met: z.boolean().nullable().default(null) }),
  ]),
  pin: z
    .strictObject({ sheet: Id, ...SheetPoint.shape })
    .nullable()
    .default(null)
    .describe('Where it stands on a sheet'),
  stamped: z.iso
    .date()
    .nullable()
    .default(null)
    .describe('When the plan was stamped anew with the work as it is; null where it was not'),
});

/** The wish in words and what binds the work beside it. */
export const Brief = z.strictObject({
  wish: z.string().max(2000).default(''),
  facts: z.string().max(2000).default('').describe('What is known of the site'),
  amendments: z.string().max(2000).default('').describe('Local amendments, in words'),
  lines: z.array(PlanLine).max(300).default([]),
});

/** A step of the make-up that was done. */
export const Tick = z.strictObject({
  box: Id,
  step: z.string().min(1).max(200),
  did: z
    .string()
    .max(40)
    .nullable()
    .default(null)
    .describe('Fingerprint of what was joined with what; null where only the words are known'),
  says: z.string().max(500).describe('The step as it stood when it was ticked'),
  at: z.iso.datetime().describe('When, UTC'),
});

/** What a test of the finished work showed. */
export const FieldReading = z.strictObject({
  test: z.string().min(1).max(300).describe('Instrument, place and state, as the test script names them'),
  shows: z.string().min(1).max(2000).describe('What it showed, as a code'),
  symptom: z
    .string()
    .max(2000)
    .nullable()
    .default(null)
    .describe(
      'What was seen without an instrument and comes to this reading; null for a reading that was taken',
    ),
  says: z.string().max(2000).default('').describe('Test and reading as they stood on the screen'),
  at: z.iso.datetime().describe('When, UTC'),
});

/** What an entry of the log is about. */
export const LOG_KINDS = [
  'note',
  'check-off',
  'reading',
  'test',
  'option',
  'plan change',
  'waiver',
  'photo',
] as const;
export type LogKind = (typeof LOG_KINDS)[number];

/** One line of the log. It is never changed: what corrects it stands beside it. */
export const LogEntry = z.strictObject({
  id: Id,
  at: z.iso.datetime().describe('When, UTC'),
  by: Line.max(80).default('').describe('Who; empty where nobody was named'),
  kind: z.enum(LOG_KINDS),
  box: Id.nullable().default(null).describe('The place it is about, where it is one'),
  says: Line.min(1).max(2000).describe('As it stood'),
  corrects: Id.nullable().default(null).describe('The entry that it takes the place of'),
});

/** Something on a photo that is a cable or a conductor of the drawing. */
export const PhotoMark = z.strictObject({
  id: Id,
  x: z.number().min(0).max(1).describe('From the left edge, as a part of the width'),
  y: z.number().min(0).max(1).describe('From the top edge, as a part of the height'),
  run: Id.describe('The run of the cable'),
  insulation: z
    .enum(INSULATIONS)
    .nullable()
    .default(null)
    .describe('The conductor; null for the whole cable'),
});

/** What is said of a photo; its bytes are kept beside the record. */
export const Photo = z.strictObject({
  id: Id,
  at: z.iso.datetime().describe('When it was taken in, UTC'),
  by: Line.max(80).default(''),
  caption: Line.max(200).default(''),
  box: Id.nullable().default(null),
  type: z.enum(PHOTO_TYPES),
  bytes: z.int().min(1).max(MAX_PHOTO_BYTES),
  widthPx: z.int().min(1).max(MAX_PHOTO_PX),
  heightPx: z.int().min(1).max(MAX_PHOTO_PX),
  marks: z.array(PhotoMark).max(40).default([]),
  removed: z.iso.datetime().nullable().default(null).describe('When it was removed; kept for a day'),
});

/** What was asked, found and done. Planning does not read it: a change here recomputes nothing of the plan. */
export const JobRecord = z.strictObject({
  brief: Brief.prefault({}),
  ticks: z.array(Tick).max(5000).default([]),
  day: Day.prefault({}),
  tasks: z
    .array(TaskDone)
    .max(2000)
    .default([])
    .describe('Tasks of the day that are done and are no steps of the make-up'),
  tests: z
    .array(FieldReading)
    .max(2000)
    .default([])
    .describe('Readings of the test script, in the order taken'),
  surveys: z.array(Survey).max(20).default([]).describe('What was found in opened boxes'),
  log: z.array(LogEntry).max(20_000).default([]).describe('All that was done, in its order'),
  photos: z.array(Photo).max(400).default([]),
});

export const EMPTY_RECORD: JobRecord = JobRecord.parse({});

export type PlanLine = z.infer<typeof PlanLine>;
export type Brief = z.infer<typeof Brief>;
export type Tick = z.infer<typeof Tick>;
export type FieldReading = z.infer<typeof FieldReading>;
export type JobRecord = z.infer<typeof JobRecord>;
export type LogEntry = z.infer<typeof LogEntry>;
export type Photo = z.infer<typeof Photo>;
export type PhotoMark = z.infer<typeof PhotoMark>;
