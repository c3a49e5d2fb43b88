import type { PanzoomObject } from '@panzoom/panzoom';
import { Maximize2, ZoomIn, ZoomOut } from 'lucide-react';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { say } from '~/words/ui';

/** What is in a pane that is dragged itself, and does not drag the pane. */
export const HOLDS_STILL = 'holds-still';

/** How much closer one press of a button, or a double tap, comes. */
const CLOSER = { press: 1.6, doubleTap: 2.2 } as const;

/** Pinch, buttons or double tap to come closer; at its own size the page scrolls as ever. */
export function ZoomPane({
  children,
  most = 5,
  taps = false,
  onScale,
}: {
  children: ReactNode;
  /** How much closer one may come. */
  most?: number;
  /** True where taps mean something: a double tap is two of them. */
  taps?: boolean;
  onScale?: (scale: number) => void;
}) {
  const content = useRef<HTMLDivElement>(null);
  const pan = useRef<PanzoomObject | null>(null);
  const [scale, setScale] = useState(1);
  const zoomed = scale > 1.01;
  useEffect(() => {
    const own = content.current;
    if (!own) return;
    let gone = false;
    const changed = (event: Event) => {
      const { scale: now } = (event as CustomEvent<{ scale: number }>).detail;
      const close = now > 1.01;
      pan.current?.setOptions({ disablePan: !close, touchAction: close ? 'none' : 'pan-y' });
      setScale(now);
    };
    // It lives in browsers alone.
    void import('@panzoom/panzoom').then(({ default: Panzoom }) => {
      if (gone) return;
      pan.current = Panzoom(own, {
        maxScale: most,
        minScale: 1,
        contain: 'outside',
        disablePan: true,
        touchAction: 'pan-y',
        cursor: '',
        excludeClass: HOLDS_STILL,
        // Whoever is beneath is told of the touch as well.
        handleStartEvent: () => {},
      });
      own.addEventListener('panzoomchange', changed);
    });
    return () => {
      gone = true;
      own.removeEventListener('panzoomchange', changed);
      pan.current?.destroy();
      pan.current = null;
    };
  }, [most]);
  useEffect(() => onScale?.(scale), [onScale, scale]);
  const to = (next: number) => {
    if (next <= 1.01) pan.current?.reset({ animate: true });
    else pan.current?.zoom(Math.min(next, most), { animate: true });
  };
  return (
    <div data-zoomed={zoomed}>
      <div className="overflow-hidden">
        <div
          ref={content}
          onDoubleClick={(event) => {
            if (taps) return;
            if (zoomed) to(1);
            else pan.current?.zoomToPoint(CLOSER.doubleTap, event, { animate: true });
          }}
        >
          {children}
        </div>
      </div>
      <div className="mt-1 flex justify-end gap-1">
        {(
          [
            [say('zoomPane.closer'), ZoomIn, () => to(scale * CLOSER.press)],
            [say('zoomPane.farther'), ZoomOut, () => to(scale / CLOSER.press)],
            [say('zoomPane.fit'), Maximize2, () => to(1)],
          ] as const
        ).map(([name, Icon, act]) => (
          <button key={name} type="button" className="button px-2.5" aria-label={name} onClick={act}>
            <Icon aria-hidden size={18} />
          </button>
        ))}
      </div>
    </div>
  );
}
