import type { FindWorker } from './find.worker';
import { onFirstUse } from './on-first-use';

/** The worker that studies opened boxes. */
export const findWorker = onFirstUse<FindWorker>(
  () => new Worker(new URL('./find.worker.ts', import.meta.url), { type: 'module' }),
);
