import { useEffect, useMemo, useState } from 'react';
import type { Problem } from '@core/job/model/problem';
import { notStored } from '~/storage/not-stored';

interface Kept<T, C> {
  /** What it is, for what is said where it cannot be stored. */
  readonly path: string;
  /** What is stored when the page opens. */
  readonly first: T;
  readonly read: () => Promise<T>;
  /** Told whenever what is stored changes, in whichever tab. Gives a way to stop. */
  readonly watch: (tell: (stored: T) => void) => () => void;
  /** What a change makes of what is shown, before it is stored. */
  readonly apply: (shown: T, change: C) => T;
}

/**
 * What is stored, with what was tapped on this page laid over it until it is stored or refused: what was refused is
 * never shown as kept. `during` keeps a change on screen for as long as it is being stored.
 */
export function useKept<T, C>({
  path,
  first,
  read,
  watch,
  apply,
}: Kept<T, C>): {
  readonly shown: T;
  readonly during: (change: C, stored: Promise<readonly Problem[]>) => Promise<readonly Problem[]>;
} {
  const [stored, setStored] = useState(first);
  const [waiting, setWaiting] = useState<readonly { readonly change: C }[]>([]);
  useEffect(() => watch(setStored), [watch]);
  return {
    shown: useMemo(
      () => waiting.reduce((shown, { change }) => apply(shown, change), stored),
      [stored, waiting, apply],
    ),
    during: async (change, storing) => {
      const own = { change };
      setWaiting((before) => [...before, own]);
      const problems = await storing.catch((error: unknown) => [notStored(path, error)]);
      const now = await read().catch(() => null);
      if (now !== null) setStored(now);
      setWaiting((before) => before.filter((one) => one !== own));
      return problems;
    },
  };
}
