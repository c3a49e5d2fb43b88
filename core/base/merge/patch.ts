import { isFields, isSame } from './same';

/*
 * What has to be said of a value to whoever has another one of it: a change of a long list is short. Plain data, to be sent.
 */

/** `v`: another value; `o`: by field what changed of it, `d`: fields that are gone; `s`: in a list from where how many give way to what, after what changed in place (`a`). */
export type Patch =
  | { readonly v: unknown }
  | { readonly o: Readonly<Record<string, Patch>>; readonly d: readonly string[] }
  | {
      readonly s: readonly [from: number, gone: number, put: readonly unknown[]];
      readonly a: readonly (readonly [at: number, patch: Patch])[];
    };

const idOf = (value: unknown): unknown => (isFields(value) ? value['id'] : undefined);

/** True of two that are likely the same thing, changed. */
const isKin = (a: unknown, b: unknown): boolean =>
  isSame(a, b) || (idOf(a) !== undefined && idOf(a) === idOf(b));

/** What makes `to` of `from`; null where they are the same. */
export function patchOf(from: unknown, to: unknown): Patch | null {
  if (isSame(from, to)) return null;
  if (isFields(from) && isFields(to)) {
    const o = Object.fromEntries(
      Object.keys(to).flatMap((name): [string, Patch][] => {
        if (!Object.hasOwn(from, name)) return [[name, { v: to[name] }]];
        const patch = patchOf(from[name], to[name]);
        return patch ? [[name, patch]] : [];
      }),
    );
    return { o, d: Object.keys(from).filter((name) => !Object.hasOwn(to, name)) };
  }
  if (!Array.isArray(from) || !Array.isArray(to)) return { v: to };
  const shorter = Math.min(from.length, to.length);
  let head = 0;
  while (head < shorter && isKin(from[head], to[head])) head++;
  let tail = 0;
  while (tail < shorter - head && isKin(from[from.length - 1 - tail], to[to.length - 1 - tail])) tail++;
  const kept = [
    ...Array.from({ length: head }, (_, at) => [at, at] as const),
    ...Array.from({ length: tail }, (_, at) => [from.length - tail + at, to.length - tail + at] as const),
  ];
  const a = kept.flatMap(([was, is]): (readonly [number, Patch])[] => {
    const patch = patchOf(from[was], to[is]);
    return patch ? [[was, patch]] : [];
  });
  return { s: [head, from.length - head - tail, to.slice(head, to.length - tail)], a };
}

/** The value after a patch. Throws where the patch is of another value. */
export function patched(from: unknown, patch: Patch): unknown {
  if ('v' in patch) return patch.v;
  if ('o' in patch) {
    if (!isFields(from)) throw new Error('a patch of something else');
    const gone = new Set(patch.d);
    const next = Object.entries(from).flatMap(([name, own]): [string, unknown][] =>
      gone.has(name)
        ? []
        : [[name, Object.hasOwn(patch.o, name) ? patched(own, patch.o[name] as Patch) : own]],
    );
    const put = Object.entries(patch.o).flatMap(([name, own]): [string, unknown][] =>
      Object.hasOwn(from, name) ? [] : [[name, patched(undefined, own)]],
    );
    return Object.fromEntries([...next, ...put]);
  }
  if (!Array.isArray(from)) throw new Error('a patch of something else');
  const next: unknown[] = [...(from as unknown[])];
  for (const [at, own] of patch.a) next[at] = patched(next[at], own);
  const [at, gone, put] = patch.s;
  next.splice(at, gone, ...put);
  return next;
}
