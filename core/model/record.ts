import { z } from 'zod';
import { BOX_FAMILIES } from '../standards/boxes';
import { CABLE_TYPES } from '../standards/cables';
import { Id } from './fields';
import { Survey } from './survey';

/** Symbols of switches and receptacles on a plan. */
export const PLAN_SYMBOLS = ['S', 'S3', 'S4', 'duplex', 'half-switched', 'receptacle'] as const;
export type PlanSymbol = (typeof PLAN_SYMBOLS)[number];

/** A line of the plan that the work is checked against. */
export const PlanLine = z.strictObject({
  id: Id,
  says: z.string().trim().min(1).max(200).describe('As it stands on the plan'),
  about: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('cable'), run: Id, type: z.enum(CABLE_TYPES) }),
    z.strictObject({
      kind: z.literal('box'),
      box: Id,
      family: z.enum(BOX_FAMILIES),
      volumeIn3: z.number().positive().max(200).nullable().default(null),
    }),
    z.strictObject({
      kind: z.literal('order'),
      box: Id,
      symbols: z.array(z.enum(PLAN_SYMBOLS)).min(1).max(4).describe('Left to right'),
    }),
    z.strictObject({ kind: z.literal('ground pin'), pin: z.enum(['up', 'down']) }),
    z.strictObject({ kind: z.literal('height'), box: Id, heightIn: z.number().positive().max(240) }),
    z.strictObject({ kind: z.literal('note'), met: z.boolean().nullable().default(null) }),
  ]),
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
  at: z.iso.datetime().describe('When, UTC'),
});

/** What was asked, found and done. Planning does not read it: a change here recomputes nothing of the plan. */
export const JobRecord = z.strictObject({
  brief: Brief.prefault({}),
  ticks: z.array(Tick).max(5000).default([]),
  tests: z
    .array(FieldReading)
    .max(2000)
    .default([])
    .describe('Readings of the test script, in the order taken'),
  surveys: z.array(Survey).max(20).default([]).describe('What was found in opened boxes'),
});

export const EMPTY_RECORD: JobRecord = JobRecord.parse({});

export type PlanLine = z.infer<typeof PlanLine>;
export type Brief = z.infer<typeof Brief>;
export type Tick = z.infer<typeof Tick>;
export type FieldReading = z.infer<typeof FieldReading>;
export type JobRecord = z.infer<typeof JobRecord>;
