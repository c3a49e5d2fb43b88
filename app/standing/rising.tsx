import { Suspense, useLayoutEffect, useRef, useState, type ReactNode } from 'react';
import { stood } from './standing';

/*
 * A page that stands rises in parts. What draws it cannot stop half way, so each part is drawn in a turn of its own, and
 * the hand is heard between two; what stood stays in sight until the last of them is there. Once a page is alive its parts are
 * drawn as ever.
 */

/** Whether a page is being put together. */
let rising = false;
/** How many of its parts are not there yet. */
let open = 0;
let whole: (() => void) | null = null;
const turns: (() => void)[] = [];

const next = (): void => {
  turns.shift()?.();
  if (turns.length > 0) setTimeout(next);
};
const inTurn = (part: () => void): void => {
  if (turns.push(part) === 1) setTimeout(next);
};

/** A part that the page waits for; gives what tells that it is there. */
function awaited(): () => void {
  open++;
  return () => {
    open--;
    // A part that is there may have opened others, which say so as they are drawn.
    setTimeout(() => {
      if (open === 0) whole?.();
    });
  };
}

/** The page that takes the place of what stood. */
export function Rising({ children }: { children: ReactNode }) {
  const [before] = useState(stood);
  const [there, setThere] = useState(before === null);
  const place = useRef<HTMLDivElement>(null);
  rising = !there;
  useLayoutEffect(() => {
    if (before === null) return;
    place.current?.append(before);
    const end = () => {
      rising = false;
      whole = null;
      before.remove();
    };
    whole = () => {
      end();
      setThere(true);
    };
    awaited()();
    return end;
  }, [before]);
  return (
    <>
      <div ref={place} className="contents" />
      <div className={there ? 'contents' : 'invisible absolute inset-x-0 h-0 overflow-hidden'}>
        {children}
      </div>
    </>
  );
}

/** A part of a page that rises, drawn in its turn. */
export function Later({ children }: { children: ReactNode }) {
  const [drawn, setDrawn] = useState(() => import.meta.env.SSR || !rising);
  useLayoutEffect(() => {
    if (drawn) return;
    const there = awaited();
    let left = false;
    inTurn(() => {
      if (!left) setDrawn(true);
    });
    return () => {
      left = true;
      there();
    };
  }, [drawn]);
  return drawn ? children : null;
}

/** A part of a page whose script is loaded after what stands before it: until then `fallback` is in its place. */
export function Soon({ fallback, children }: { fallback?: ReactNode; children: ReactNode }) {
  return <Suspense fallback={<Awaited>{fallback}</Awaited>}>{children}</Suspense>;
}

function Awaited({ children }: { children: ReactNode }) {
  useLayoutEffect(() => (rising ? awaited() : undefined), []);
  return children;
}
