import { useSyncExternalStore } from 'react';

const never = () => () => undefined;

/** False on the server and at the first paint, true once the page is alive: for what only a browser can draw. */
export const useHydrated = (): boolean =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
