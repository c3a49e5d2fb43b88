import type { z } from 'zod';
import { keep, kept } from '~/ui/kept-here';

/*
 * What other jobs feel waits for a yes. It is kept from the tap on, in the browser's own text store, which takes it
 * before anything else happens: a page that was closed with a question open asks it again.
 */

const keyOf = (on: string): string => `asked ${on}`;

/** What waits for an answer on a job or a house, the first asked first. What is no such change any more is left out. */
export function asked<T>(on: string, schema: z.ZodType<T>): readonly T[] {
  try {
    const waiting: unknown = JSON.parse(kept(keyOf(on)) ?? '[]');
    return (Array.isArray(waiting) ? waiting : []).flatMap((one) => {
      const read = schema.safeParse(one);
      return read.success ? [read.data] : [];
    });
  } catch {
    return [];
  }
}

/** Keeps what waits for an answer, the first first. */
export const keepAsked = (on: string, waiting: readonly unknown[]): void =>
  keep(keyOf(on), waiting.length === 0 ? null : JSON.stringify(waiting));
