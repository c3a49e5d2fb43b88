import { z } from 'zod';
import { readCode, writeCode, type DrillCode } from '@core/handover/drills/code';
import { keep, kept } from '~/ui/kept-here';

/* The drill that was left last goes on where it was: its code, and what was done in it. One is kept, on this device. */

const NAME = 'drill left';
const Left = z.object({ code: z.string(), done: z.unknown() });

function read(): z.infer<typeof Left> | null {
  try {
    const left = Left.safeParse(JSON.parse(kept(NAME) ?? 'null'));
    return left.success ? left.data : null;
  } catch {
    return null;
  }
}

/** The code of the drill that was left; null where none was. */
export function leftDrill(): DrillCode | null {
  const code = readCode(read()?.code ?? '');
  return code.ok ? code.value : null;
}

/** What was done in a drill that was left; null where it was another one, or what is kept cannot be read. */
export function doneIn<T>(code: DrillCode, as: z.ZodType<T>): T | null {
  const left = read();
  if (left?.code !== writeCode(code)) return null;
  const done = as.safeParse(left.done);
  return done.success ? done.data : null;
}

/** Keeps what was done in a drill; null once it is ended. */
export const keepDone = (code: DrillCode, done: unknown): void =>
  keep(NAME, done === null ? null : JSON.stringify({ code: writeCode(code), done }));
