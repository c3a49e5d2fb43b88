import { useEffect, useState } from 'react';
import { keepOffline } from './keep-offline';
import { say } from '~/words/ui';

/** Registers the service worker, and asks before a new version takes over. */
export function Offline() {
  const [waiting, setWaiting] = useState<ServiceWorker | null>(null);
  useEffect(() => {
    if (!('serviceWorker' in navigator) || !import.meta.env.PROD) return;
    let reloading = false;
    const hadOne = navigator.serviceWorker.controller !== null;
    const changed = () => {
      // The first worker only starts to serve; a later one was asked for, so the page starts anew with it.
      if (!hadOne || reloading) return;
      reloading = true;
      window.location.reload();
    };
    navigator.serviceWorker.addEventListener('controllerchange', changed);
    keepOffline((registration) => {
      if (registration.waiting) setWaiting(registration.waiting);
      registration.addEventListener('updatefound', () => {
        const next = registration.installing;
        next?.addEventListener('statechange', () => {
          if (next.state === 'installed' && navigator.serviceWorker.controller) setWaiting(next);
        });
      });
    }).catch(() => {
      // Without a worker the app needs its network, as any page does.
    });
    return () => navigator.serviceWorker.removeEventListener('controllerchange', changed);
  }, []);
  if (!waiting) return null;
  return (
    <div
      role="status"
      className="fixed top-2 left-1/2 z-50 flex -translate-x-1/2 items-center gap-3 rounded-xl bg-ink px-4 py-2 text-sand print:hidden"
    >
      {say('offline.newVersionReady')}
      <button
        type="button"
        className="min-h-11 font-bold underline"
        onClick={() => waiting.postMessage({ type: 'SKIP_WAITING' })}
      >
        {say('offline.useNow')}
      </button>
    </div>
  );
}
