import { z } from 'zod';
import { Bought } from '../../job/model/bought';

/** What is bought of several lists, by the job or the house whose list it is. */
export const BoughtOf = z.record(z.string().max(40), Bought);
export type BoughtOf = Readonly<Record<string, readonly string[]>>;

/** What is bought of one list by two who bought apart. */
export interface BothBought {
  readonly bought: readonly string[];
  /** What both bought, each for himself: it is there twice. */
  readonly twice: readonly string[];
}

/**
 * Two lists of what is bought come together, a line each: what either bought is bought, what either put back is not. `base`: what
 * both knew of before; null where nothing is known of it, and nobody can tell who bought what.
 */
export function mergeBought(
  base: readonly string[] | null,
  ours: readonly string[],
  theirs: readonly string[],
): BothBought {
  const [own, coming, before] = [new Set(ours), new Set(theirs), new Set(base ?? [])];
  const all = [...new Set([...ours, ...theirs])].sort();
  return {
    bought: all.filter((key) => !before.has(key) || (own.has(key) && coming.has(key))),
    twice: base === null ? [] : all.filter((key) => own.has(key) && coming.has(key) && !before.has(key)),
  };
}
