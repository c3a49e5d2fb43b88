import { useEffect, useRef, useState, type ReactNode } from 'react';
import { AS_IT_STANDS, isAwake } from './standing';

/** The first sign that somebody is there. */
const SIGNS = ['pointerdown', 'pointermove', 'keydown', 'focusin', 'wheel', 'touchstart', 'scroll'] as const;
/** What can be tapped in a part that stands. */
const TAPPED = 'button, a, [role="button"], [role="switch"]';

/**
 * A part of a page that stands as the build has drawn it until somebody is there: what it takes to be alive is loaded with
 * the first sign of a hand, not for a page that nobody looks at. What was tapped before is tapped again once it is alive.
 * @param drawn what the build draws; null in the browser
 * @param wake loads what is alive, whole
 */
export function Asleep({ drawn, wake }: { drawn: ReactNode; wake: () => Promise<ReactNode> }) {
  const [asleep] = useState(() => !isAwake());
  const [alive, setAlive] = useState<ReactNode>(null);
  const place = useRef<HTMLDivElement>(null);
  const tapped = useRef<number | null>(null);
  useEffect(() => {
    let left = false;
    const start = () => {
      stop();
      // Where it does not load the part stays as it stands.
      wake().then(
        (part) => {
          own?.removeEventListener('click', tap);
          if (!left) setAlive(part);
        },
        () => undefined,
      );
    };
    const stop = () => {
      for (const sign of SIGNS) window.removeEventListener(sign, start);
    };
    const own = place.current;
    const tap = (event: Event) => {
      const on = (event.target as Element).closest(TAPPED);
      tapped.current = on && own ? [...own.querySelectorAll(TAPPED)].indexOf(on) : null;
    };
    own?.addEventListener('click', tap);
    if (asleep) for (const sign of SIGNS) window.addEventListener(sign, start, { passive: true });
    else start();
    return () => {
      left = true;
      stop();
      own?.removeEventListener('click', tap);
    };
    // It wakes once.
    // oxlint-disable-next-line react/exhaustive-deps
  }, []);
  useEffect(() => {
    const at = tapped.current;
    if (alive === null || at === null) return;
    tapped.current = null;
    place.current?.querySelectorAll(TAPPED)[at]?.dispatchEvent(new MouseEvent('click', { bubbles: true }));
  }, [alive]);
  if (alive !== null)
    return (
      <div ref={place} className="contents">
        {alive}
      </div>
    );
  if (import.meta.env.SSR) return <div className="contents">{drawn}</div>;
  return <div ref={place} className="contents" dangerouslySetInnerHTML={AS_IT_STANDS} />;
}
