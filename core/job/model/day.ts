import { z } from 'zod';
import { Line } from './fields';

/** Somebody at work, and whether they may work at the panel and test live: a qualified person (NFPA 70E, from memory). */
export const CrewMember = z.strictObject({
  name: Line.max(80).default(''),
  qualified: z.boolean().default(true),
});
export type CrewMember = z.infer<typeof CrewMember>;

/** Most people that a day is put in order for. */
export const MOST_CREW = 3;

/** How much a figure counts beside the others. */
const weight = (usual: number) => z.int().min(0).max(10).default(usual);

/** How a day is to be: who works, from when, what is to be short. */
export const Day = z.strictObject({
  crew: z.array(CrewMember).min(1).max(MOST_CREW).prefault([{}]),
  date: z.iso.date().nullable().default(null).describe('Of the first visit; null where it is not set'),
  from: z
    .string()
    .regex(/^([01]\d|2[0-3]):[0-5]\d$/)
    .default('08:00'),
  hours: z.number().min(0.5).max(24).default(8).describe('That are given for a visit'),
  weights: z
    .strictObject({ time: weight(5), off: weight(1), trips: weight(2) })
    .prefault({})
    .describe('What a minute until done, a minute of a circuit off, a way to the panel count'),
  walls: z
    .enum(['as planned', 'open', 'finished'])
    .default('as planned')
    .describe('as planned: open where a new box is one for open walls'),
  inspectionDays: z.int().min(0).max(120).default(3).describe('From rough-in to the make-up'),
  closingDays: z.int().min(0).max(120).default(10).describe('Until the wall is closed and painted'),
});
export type Day = z.infer<typeof Day>;

/** A task of the day that was checked off and is no step of the make-up. */
export const TaskDone = z.strictObject({
  task: z.string().min(1).max(200).describe('As the day names it: what is done, and to what'),
  says: z.string().max(500).default('').describe('As it stood'),
  at: z.iso.datetime().describe('When, UTC'),
  by: Line.max(80).default('').describe('Who; empty where nobody was named'),
});
export type TaskDone = z.infer<typeof TaskDone>;
