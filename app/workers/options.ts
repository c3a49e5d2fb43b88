import { onFirstUse } from './on-first-use';
import type { OptionsWorker } from './options.worker';

/** The worker that searches options. */
export const optionsWorker = onFirstUse<OptionsWorker>(
  () => new Worker(new URL('./options.worker.ts', import.meta.url), { type: 'module' }),
);
