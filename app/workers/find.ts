import { wrap, type Remote } from 'comlink';
import type { FindWorker } from './find.worker';

let remote: Remote<FindWorker> | null = null;

/** The worker that studies opened boxes, started when first asked. */
export function findWorker(): Remote<FindWorker> {
  remote ??= wrap<FindWorker>(new Worker(new URL('./find.worker.ts', import.meta.url), { type: 'module' }));
  return remote;
}
