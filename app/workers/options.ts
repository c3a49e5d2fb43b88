import { wrap, type Remote } from 'comlink';
import type { OptionsWorker } from './options.worker';

let remote: Remote<OptionsWorker> | null = null;

/** The worker that searches options, started when first asked. */
export function optionsWorker(): Remote<OptionsWorker> {
  remote ??= wrap<OptionsWorker>(
    new Worker(new URL('./options.worker.ts', import.meta.url), { type: 'module' }),
  );
  return remote;
}
