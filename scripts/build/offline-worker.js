/* The worker that keeps the app for use without a network. The build puts before it what it keeps:
   KEPT = { at, language, others, fallback, files: [{ at, mark }] }. */

const SHELF = 'shared-files';
const NAME = `kept ${KEPT.at}`;
/** So many files are taken in at a time: the page asks for more when it has nothing to do. */
const BATCH = 40;

const keyOf = ({ at, mark }) => (mark === '' ? at : `${at}?kept=${mark}`);
const byAddress = new Map(KEPT.files.map((file) => [file.at, file]));
const keys = new Set(KEPT.files.map(keyOf));
const addressOf = (request) => {
  const { pathname, search } = new URL(request.url);
  return pathname + search;
};

/** The files that are not here yet; those whose content has not changed are, from the version before. */
async function missing(cache) {
  const here = new Set((await cache.keys()).map(addressOf));
  return KEPT.files.filter((file) => !here.has(keyOf(file)));
}

async function take(cache, files) {
  await Promise.all(
    files.map(async (file) => {
      const response = await fetch(file.at, { cache: file.mark === '' ? 'default' : 'no-cache' });
      if (!response.ok) throw new Error(`${file.at}: status ${response.status}`);
      await cache.put(keyOf(file), response);
    }),
  );
}

async function takeAll(cache) {
  for (let left = await missing(cache); left.length > 0; left = left.slice(BATCH))
    await take(cache, left.slice(0, BATCH));
}

/** All is here, so that a page can answer without its network. */
let whole = false;
async function isWhole(cache) {
  whole ||= (await missing(cache)).length === 0;
  return whole;
}

self.addEventListener('install', (event) => {
  event.waitUntil(
    caches.open(NAME).then((cache) =>
      // A new version is whole before it offers itself; the first one only has its pages, and is filled while it serves.
      self.registration.active
        ? takeAll(cache)
        : take(
            cache,
            KEPT.files.filter(({ mark }) => mark !== ''),
          ),
    ),
  );
});

self.addEventListener('activate', (event) => {
  event.waitUntil(
    (async () => {
      await self.clients.claim();
      const cache = await caches.open(NAME);
      for (const request of await cache.keys())
        if (!keys.has(addressOf(request))) await cache.delete(request);
      // What an earlier kind of worker kept for this address.
      for (const name of await caches.keys())
        if (name.startsWith('workbox-') && name.endsWith(self.registration.scope)) await caches.delete(name);
    })(),
  );
});

self.addEventListener('message', (event) => {
  if (event.data?.type === 'SKIP_WAITING') void self.skipWaiting();
  if (event.data?.type === 'KEEP')
    event.waitUntil(
      (async () => {
        const cache = await caches.open(NAME);
        const left = await missing(cache);
        await take(cache, left.slice(0, BATCH));
        event.ports[0]?.postMessage({ left: Math.max(0, left.length - BATCH) });
      })().catch(() => event.ports[0]?.postMessage({ left: null })),
    );
});

/** What is shared to the installed app is put on a shelf, and the page that takes it in is opened. */
async function shelve(request) {
  const form = await request.formData();
  const shelf = await caches.open(SHELF);
  for (const file of form.getAll('file'))
    if (file instanceof File)
      await shelf.put(`/shared/${encodeURIComponent(file.name || 'file')}`, new Response(file));
  return Response.redirect(`${KEPT.at}?shared`, 303);
}

/** Pages answer from here at once when all is here, so that a stalled network hangs nothing. */
async function page(request, pathname) {
  const cache = await caches.open(NAME);
  const file = byAddress.get(pathname) ?? byAddress.get(`${pathname}/`) ?? byAddress.get(KEPT.fallback);
  const kept = file && (await cache.match(keyOf(file)));
  if (kept && (await isWhole(cache))) return kept;
  return fetch(request).catch(() => kept ?? Response.error());
}

/** Longest wait for a page that is not kept, where one in this language is, ms. */
const PATIENCE = 8000;

/** A page of another language by the network; the same page in this language, to stay in it, where none comes. */
async function elsewhere(request, rest) {
  const cache = await caches.open(NAME);
  if (!(await isWhole(cache))) return fetch(request);
  const patience = new AbortController();
  const waited = setTimeout(() => patience.abort(), PATIENCE);
  return fetch(request, { signal: patience.signal })
    .catch(() => Response.redirect(`${KEPT.at}${rest}?in=${KEPT.language}`, 302))
    .finally(() => clearTimeout(waited));
}

async function asset(request, file) {
  const cache = await caches.open(NAME);
  const kept = await cache.match(keyOf(file));
  if (kept) return kept;
  const response = await fetch(request);
  if (response.ok) await cache.put(keyOf(file), response.clone());
  return response;
}

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const { origin, pathname } = new URL(request.url);
  if (origin !== self.location.origin || !pathname.startsWith(KEPT.at)) return;
  const other = KEPT.others.find((one) => pathname.startsWith(one));
  if (other !== undefined) {
    // A language that was never here: without a network the page stands in this one, and nothing waits for a server that is silent.
    if (request.mode === 'navigate') event.respondWith(elsewhere(request, pathname.slice(other.length)));
    return;
  }
  if (request.method === 'POST' && pathname === `${KEPT.at}share`) {
    event.respondWith(shelve(request));
    return;
  }
  if (request.method !== 'GET') return;
  if (request.mode === 'navigate') event.respondWith(page(request, pathname));
  else if (byAddress.has(pathname)) event.respondWith(asset(request, byAddress.get(pathname)));
});
