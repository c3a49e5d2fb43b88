import { wrap, type Remote } from 'comlink';
import type { CoreWorker } from './core.worker';
import { NoAnswer } from './no-answer';

/** How long an answer may take before it is given up: far longer than any that is known, s. */
const STALLED_S = 120;

/**
 * A worker that is started when first asked, and started anew after it failed: one that cannot be loaded, that throws
 * outside of an answer, or that stalls gives an error and not silence.
 */
export class CoreAsk {
  private worker: Worker | null = null;
  private remote: Remote<CoreWorker> | null = null;
  private broken: Promise<never> = new Promise(() => undefined);

  constructor(
    private readonly start: () => Worker = () =>
      new Worker(new URL('./core.worker.ts', import.meta.url), {
        type: 'module',
        // The worker speaks as the page does, from its first word.
        name: String(Reflect.get(globalThis, 'splitTapWords') ?? ''),
      }),
    private readonly stalledS = STALLED_S,
  ) {}

  private running(): Remote<CoreWorker> {
    if (this.remote) return this.remote;
    const worker = this.start();
    this.worker = worker;
    this.broken = new Promise((_, reject) => {
      worker.addEventListener('error', (event) => {
        event.preventDefault();
        reject(event.message ? new Error(event.message) : new NoAnswer('not loaded'));
      });
    });
    this.broken.catch(() => undefined);
    return (this.remote = wrap<CoreWorker>(worker));
  }

  /** Has it loaded before it is asked. */
  warm(): void {
    this.running();
  }

  /** Asks it something. Rejects where it cannot be loaded, throws, or gives no answer in time. */
  async ask<T>(question: (worker: Remote<CoreWorker>) => Promise<T>): Promise<T> {
    const remote = this.running();
    let waiting: ReturnType<typeof setTimeout> | undefined;
    const stalled = new Promise<never>((_, reject) => {
      waiting = setTimeout(() => reject(new NoAnswer('silent')), this.stalledS * 1000);
    });
    try {
      return await Promise.race([question(remote), this.broken, stalled]);
    } catch (error) {
      this.worker?.terminate();
      [this.worker, this.remote] = [null, null];
      throw error;
    } finally {
      clearTimeout(waiting);
    }
  }

  /** Tells it something that needs no answer; nothing where it was never started. */
  tell(what: (worker: Remote<CoreWorker>) => Promise<unknown>): void {
    if (this.remote) void what(this.remote).catch(() => undefined);
  }
}

/** The plan of the job on screen, its verification and rules. */
export const answerWorker = new CoreAsk();
export const findWorker = new CoreAsk();
export const protectionWorker = new CoreAsk();
/** The test script and the fault finder: as long as it takes. */
export const fieldWorker = new CoreAsk(undefined, 24 * 3600);
/** Drills: made, answered and judged beside the page. */
export const drillWorker = new CoreAsk(undefined, 24 * 3600);
/** What jobs of a house do to each other, and take together. */
export const houseWorker = new CoreAsk();
/** Files read and written: large ones take their time. */
export const fileWorker = new CoreAsk(undefined, 3600);
/** Jobs at a glance, for lists of them. */
export const glanceWorker = new CoreAsk();
/** A search tells its progress and may take as long as it takes. */
export const optionsWorker = new CoreAsk(undefined, 24 * 3600);
/** A day that is put in order. */
export const dayWorker = new CoreAsk();
