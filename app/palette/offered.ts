import { useLayoutEffect, useMemo, useSyncExternalStore } from 'react';

/** Something that can be done from the keyboard and by its name. */
export interface Offer {
  readonly id: string;
  readonly name: string;
  /** Under which heading it is listed. */
  readonly group: 'do' | 'stage' | 'box' | 'page' | 'start' | 'job' | 'rule' | 'table';
  /** The single key that does it, as the keyboard calls it; "Ctrl+Z" where it needs one held. */
  readonly keys?: string;
  readonly act: () => void;
}

/** A key as it is printed on a keyboard. */
export const keyName = (keys: string | undefined): string =>
  keys === 'ArrowRight' ? '→' : keys === 'ArrowLeft' ? '←' : (keys ?? '');

const offers = new Map<object, readonly Offer[]>();
const listeners = new Set<() => void>();
let all: readonly Offer[] = [];

function changed(): void {
  all = [...offers.values()].flat();
  for (const listener of listeners) listener();
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};
const NONE: readonly Offer[] = [];

/** What the pages on screen offer at this moment. */
export const offered = (): readonly Offer[] => all;
export const useOffered = (): readonly Offer[] => useSyncExternalStore(subscribe, offered, () => NONE);

/** Offers something for as long as the page stands: what is seen can be asked for by its key. */
export function useOffer(own: readonly Offer[]): void {
  const key = useMemo(() => ({}), []);
  useLayoutEffect(() => {
    offers.set(key, own);
    changed();
    return () => {
      offers.delete(key);
      changed();
    };
  }, [key, own]);
}
