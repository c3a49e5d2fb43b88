import { useEffect } from 'react';

const FOCUSABLE =
  'a[href], button:not(:disabled), input:not(:disabled), select:not(:disabled), textarea:not(:disabled), summary, [tabindex]';

/** Who had the focus, and all that holds it, from the inside out. */
interface Place {
  readonly element: Element;
  readonly holders: readonly Element[];
  /** Its place among what can have the focus in the innermost of them. */
  readonly index: number;
}

function placeOf(element: Element): Place {
  const holders: Element[] = [];
  for (let holder = element.parentElement; holder && holder !== document.body; holder = holder.parentElement)
    holders.push(holder);
  const [inner] = holders;
  return { element, holders, index: inner ? [...inner.querySelectorAll(FOCUSABLE)].indexOf(element) : 0 };
}

/** True of what stands over the page and is gone when it was answered. */
const isOver = (element: Element): boolean =>
  element.closest('[role="dialog"], [role="alertdialog"]') !== null;

/**
 * Keeps the focus near what was removed, repaired or read: where the thing that had it is gone, it goes to the next
 * thing of the part of the page that held it, not back to the top. Where that was a dialog, it goes to where it was before.
 */
export function useKeptFocus(): void {
  useEffect(() => {
    let last: (Place & { readonly over: boolean }) | null = null;
    let onPage: Place | null = null;
    const note = (event: FocusEvent) => {
      const element = event.target as Element;
      last = { ...placeOf(element), over: isOver(element) };
      if (!last.over) onPage = last;
    };
    const mend = () => {
      if (!last || last.element.isConnected) return;
      if (document.activeElement && document.activeElement !== document.body) return;
      const from = last.over ? onPage : last;
      last = null;
      if (!from) return;
      if (from.element.isConnected) return (from.element as HTMLElement).focus({ preventScroll: true });
      const holder = from.holders.find(({ isConnected }) => isConnected);
      const near = holder ? [...holder.querySelectorAll<HTMLElement>(FOCUSABLE)] : [];
      // In the same list the next one has its place; elsewhere the first will do.
      near[holder === from.holders[0] ? Math.min(Math.max(from.index, 0), near.length - 1) : 0]?.focus({
        preventScroll: true,
      });
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
