import { useCallback, useLayoutEffect, useRef } from 'react';

/** A handler that is the same function on every drawing, and always does what the last one would. */
export function useStable<A extends readonly unknown[], R>(handler: (...args: A) => R): (...args: A) => R {
  const last = useRef(handler);
  useLayoutEffect(() => {
    last.current = handler;
  });
  return useCallback((...args: A) => last.current(...args), []);
}
