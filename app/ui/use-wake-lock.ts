import { useEffect, useState } from 'react';

/** Keeps the screen on while the page is looked at, where the browser can. Says whether it does. */
export function useWakeLock(): boolean {
  const [held, setHeld] = useState(false);
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    let gone = false;
    const ask = async () => {
      if (!('wakeLock' in navigator) || document.visibilityState !== 'visible') return;
      try {
        const next = await navigator.wakeLock.request('screen');
        if (gone) {
          void next.release();
          return;
        }
        lock = next;
        setHeld(true);
        next.addEventListener('release', () => setHeld(false));
      } catch {
        // A low battery or a browser setting may forbid it; the page works all the same.
        setHeld(false);
      }
    };
    const again = () => void ask();
    again();
    document.addEventListener('visibilitychange', again);
    return () => {
      gone = true;
      document.removeEventListener('visibilitychange', again);
      void lock?.release();
    };
  }, []);
  return held;
}
