/** Where the service worker puts what is shared to the app; named alike in `public/share.js`. */
const SHELF = 'shared-files';

/** The files that were shared, taken off the shelf. */
export async function sharedFiles(): Promise<File[]> {
  const shelf = await caches.open(SHELF);
  const files: File[] = [];
  for (const request of await shelf.keys()) {
    const kept = await shelf.match(request);
    if (kept)
      files.push(new File([await kept.blob()], decodeURIComponent(request.url.split('/').at(-1) ?? '')));
    await shelf.delete(request);
  }
  history.replaceState(null, '', location.pathname);
  return files;
}
