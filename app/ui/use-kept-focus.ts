import { useEffect } from 'react';

const FOCUSABLE =
  'a[href], button:not(:disabled), input:not(:disabled), select:not(:disabled), textarea:not(:disabled), summary, [tabindex]';

/**
 * Keeps the focus near what was removed, repaired or read: where the thing that had it is gone, it goes to the next
 * thing of the part of the page that held it, not back to the top.
 */
export function useKeptFocus(): void {
  useEffect(() => {
    /** Who had the focus last, and all that holds it, from the inside out. */
    let last: { element: Element; holders: Element[]; index: number } | null = null;
    const note = (event: FocusEvent) => {
      const element = event.target as Element;
      const holders: Element[] = [];
      for (
        let holder = element.parentElement;
        holder && holder !== document.body;
        holder = holder.parentElement
      )
        holders.push(holder);
      const [inner] = holders;
      last = {
        element,
        holders,
        index: inner ? [...inner.querySelectorAll(FOCUSABLE)].indexOf(element) : 0,
      };
    };
    const mend = () => {
      if (!last || last.element.isConnected) return;
      if (document.activeElement && document.activeElement !== document.body) return;
      const holder = last.holders.find(({ isConnected }) => isConnected);
      const near = holder ? [...holder.querySelectorAll<HTMLElement>(FOCUSABLE)] : [];
      // In the same list the next one has its place; elsewhere the first will do.
      const next = near[holder === last.holders[0] ? Math.min(Math.max(last.index, 0), near.length - 1) : 0];
      last = null;
      next?.focus({ preventScroll: true });
    };
    const watcher = new MutationObserver(() => queueMicrotask(mend));
    watcher.observe(document.body, { childList: true, subtree: true });
    document.addEventListener('focusin', note);
    return () => {
      watcher.disconnect();
      document.removeEventListener('focusin', note);
    };
  }, []);
}
