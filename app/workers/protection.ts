import { onFirstUse } from './on-first-use';
import type { ProtectionWorker } from './protection.worker';

/** The worker that tries ways to protect. */
export const protectionWorker = onFirstUse<ProtectionWorker>(
  () => new Worker(new URL('./protection.worker.ts', import.meta.url), { type: 'module' }),
);
