import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { z } from 'zod';
import type { Effect } from '@core/choices/house/effects';
import { asked, keepAsked } from '~/storage/asked';

/** A change that waits for a yes, with what it does to other jobs. */
export interface Asking {
  readonly effects: readonly Effect[];
  readonly yes: () => void;
  readonly no: () => void;
}

/**
 * Changes that other jobs may feel, one after the other: what one does is looked at first; where that is nothing it is
 * carried out at once. `on`: the job or house, under which they are kept until they are answered.
 */
export function useAsked<T>(
  on: string,
  schema: z.ZodType<T>,
  effectsOf: (change: T) => Promise<readonly Effect[]>,
  carryOut: (change: T) => void,
): { readonly asking: Asking | null; readonly ask: (change: T) => void } {
  const [waiting, setWaiting] = useState<readonly T[]>([]);
  const [effects, setEffects] = useState<readonly Effect[] | null>(null);
  /** What waits now, whatever is drawn yet. */
  const now = useRef<readonly T[]>([]);
  const [first] = waiting;
  const show = useCallback((next: readonly T[]) => {
    now.current = next;
    setWaiting(next);
  }, []);
  // What an earlier page asked and nobody answered is asked again.
  useEffect(() => show(asked(on, schema)), [on, schema, show]);
  const ask = useCallback(
    (change: T) => {
      keepAsked(on, [...now.current, change]);
      show([...now.current, change]);
    },
    [on, show],
  );
  const answer = useCallback(
    (change: T, yes: boolean) => {
      // A dialog that does something closes too: the second answer to one question counts for nothing.
      if (!now.current.includes(change)) return;
      if (yes) carryOut(change);
      setEffects(null);
      show(now.current.filter((one) => one !== change));
      keepAsked(on, now.current);
    },
    [carryOut, on, show],
  );
  useEffect(() => {
    if (first === undefined) return undefined;
    let gone = false;
    const found = (effects: readonly Effect[]) => {
      if (gone) return;
      if (effects.length === 0) answer(first, true);
      else setEffects(effects);
    };
    // Where it cannot be looked at, the tap counts all the same: it can be taken back.
    effectsOf(first).then(found, () => found([]));
    return () => {
      gone = true;
    };
  }, [first, effectsOf, answer]);
  const asking = useMemo(
    () =>
      first === undefined || effects === null
        ? null
        : { effects, yes: () => answer(first, true), no: () => answer(first, false) },
    [first, effects, answer],
  );
  return { asking, ask };
}
