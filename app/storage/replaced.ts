import type { Patch } from 'immer';

/**
 * The old values of what a change replaces, by place: `boxes/shelf/heightIn`. Things in lists are named by their id, so
 * that the place is the same though the list has grown meanwhile.
 */
export function replacedBy(base: unknown, inverse: readonly Patch[]): Record<string, unknown> {
  return Object.fromEntries(
    inverse
      .filter(({ op, value }) => op === 'replace' && (typeof value !== 'object' || value === null))
      .map(({ path, value }) => [placeOf(base, path), value]),
  );
}

function placeOf(base: unknown, path: readonly (string | number)[]): string {
  let at = base;
  return path
    .map((step) => {
      at = (at as Record<string | number, unknown> | undefined)?.[step];
      const id = typeof step === 'number' ? (at as { id?: unknown } | undefined)?.id : undefined;
      return typeof id === 'string' ? id : String(step);
    })
    .join('/');
}

/** A place where what is stored is not what the page showed. */
export interface Conflict {
  readonly place: string;
  readonly shown: unknown;
  readonly stored: unknown;
}

/** Where another change replaced what this one was to replace. */
export const conflictsOf = (
  shown: Readonly<Record<string, unknown>>,
  stored: Readonly<Record<string, unknown>>,
): Conflict[] =>
  Object.keys(shown).flatMap((place) =>
    place in stored && stored[place] !== shown[place]
      ? [{ place, shown: shown[place], stored: stored[place] }]
      : [],
  );
