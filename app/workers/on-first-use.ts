import { wrap, type Remote } from 'comlink';

/** A worker that is started when first asked for, and asked like a set of functions. */
export function onFirstUse<T>(start: () => Worker): () => Remote<T> {
  let remote: Remote<T> | null = null;
  return () => (remote ??= wrap<T>(start()));
}
