import { z } from 'zod';
import { Line } from './fields';

/** Copies that a copy grew from, the last first: no more are remembered. */
export const MOST_ANCESTORS = 32;

/** What a copy of a job, a house or a shop's own grew from: it says so itself, wherever it goes. */
export const Ancestry = z.strictObject({
  device: z.string().max(40).default('').describe('The device that gave it'),
  by: Line.max(80).default('').describe('Who gave it; empty where nobody was named'),
  at: z.iso.datetime().nullable().default(null).describe('When it was given, UTC'),
  count: z.int().min(0).default(0).describe('Which hand-over of that device it was'),
  from: z
    .array(
      z.strictObject({
        print: z.string().min(1).max(80).describe('Fingerprint of a content'),
        at: z.iso.datetime().describe('When it was given or taken, UTC'),
      }),
    )
    .max(MOST_ANCESTORS)
    .default([])
    .describe('The copies that it grew from, the last first'),
});
export type Ancestry = z.infer<typeof Ancestry>;
export const NO_ANCESTRY: Ancestry = Ancestry.parse({});
