/* The copy for use without a network is taken in while nobody waits for anything: registered once the page rests, then a
   few files at a time. A page that is closed before leaves the rest to the next one. */

/** Long enough after the page is there that its answer is, too. */
const REST_MS = 3000;

/** Waits until the page has nothing to do; where a browser cannot tell, a moment. */
const idle = (): Promise<void> =>
  new Promise((resolve) => {
    if ('requestIdleCallback' in window) requestIdleCallback(() => resolve());
    else setTimeout(resolve, 200);
  });

/** Asks the worker to take in some more files; gives how many are left, or null when the network let it down. */
const keepMore = (worker: ServiceWorker): Promise<number | null> =>
  new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = ({ data }: MessageEvent<{ left: number | null }>) => {
      port1.close();
      resolve(data.left);
    };
    worker.postMessage({ type: 'KEEP' }, [port2]);
  });

/**
 * Registers the service worker and fills its store; `data-offline` of the page says when all of the app is here.
 * @param known is told of the registration, to offer a later version of it
 */
export async function keepOffline(known: (registration: ServiceWorkerRegistration) => void): Promise<void> {
  await new Promise((resolve) => setTimeout(resolve, REST_MS));
  await idle();
  known(await navigator.serviceWorker.register(`${import.meta.env.BASE_URL}sw.js`));
  const { active } = await navigator.serviceWorker.ready;
  if (!active) return;
  let left: number | null;
  do {
    await idle();
    left = await keepMore(active);
  } while (left);
  if (left === 0) document.documentElement.dataset['offline'] = 'ready';
}
