// What is shared to the installed app is put on a shelf, and the page that takes it in is opened.
const SHELF = 'shared-files';

self.addEventListener('fetch', (event) => {
  const { pathname } = new URL(event.request.url);
  // Below the address of the language in which the app was installed.
  const at = new URL(self.registration.scope).pathname;
  if (event.request.method !== 'POST' || pathname !== `${at}share`) return;
  event.respondWith(
    (async () => {
      const form = await event.request.formData();
      const shelf = await caches.open(SHELF);
      for (const file of form.getAll('file'))
        if (file instanceof File)
          await shelf.put(`/shared/${encodeURIComponent(file.name || 'file')}`, new Response(file));
      return Response.redirect(`${at}?shared`, 303);
    })(),
  );
});
