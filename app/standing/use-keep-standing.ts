import { useEffect, useRef, useState } from 'react';
import type { Shown } from '~/storage/standing';
import type { keepAsItStands } from './keep';
import { useStable } from '~/ui/use-stable';

/**
 * Keeps what is drawn in an element whenever it has come to rest; `shown` says what that is of, null while it is not known.
 * Gives the `ref` of the element.
 */
export function useKeepStanding(shown: () => Shown | null): (page: Element | null) => void {
  const [page, setPage] = useState<Element | null>(null);
  const now = useStable(shown);
  const keeping = useRef<ReturnType<typeof keepAsItStands> | null>(null);
  useEffect(() => {
    let left = false;
    if (page)
      void import('./keep').then(({ keepAsItStands }) => {
        if (!left) keeping.current = keepAsItStands(page, now);
      });
    return () => {
      left = true;
      keeping.current?.stop();
      keeping.current = null;
    };
  }, [page, now]);
  // What it hangs on can change and leave the drawing as it is.
  useEffect(() => keeping.current?.again());
  return setPage;
}
