import { Maximize2, ZoomIn, ZoomOut } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { TransformComponent, TransformWrapper } from 'react-zoom-pan-pinch';
import { say } from '~/words/make-up';

/** Pinch, buttons or double tap to come closer; at its own size the page scrolls as ever. */
export function ZoomPane({ children }: { children: ReactNode }) {
  const [zoomed, setZoomed] = useState(false);
  return (
    <TransformWrapper
      minScale={1}
      maxScale={5}
      wheel={{ disabled: true }}
      panning={{ disabled: !zoomed }}
      doubleClick={{ mode: zoomed ? 'reset' : 'zoomIn' }}
      onTransform={(_, { scale }) => setZoomed(scale > 1.01)}
    >
      {({ zoomIn, zoomOut, resetTransform }) => (
        <div data-zoomed={zoomed}>
          <TransformComponent
            wrapperStyle={{ width: '100%', touchAction: zoomed ? 'none' : 'pan-y' }}
            contentStyle={{ width: '100%' }}
          >
            {children}
          </TransformComponent>
          <div className="mt-1 flex justify-end gap-1">
            {(
              [
                [say('zoomPane.closer'), ZoomIn, () => void zoomIn(0.6)],
                [say('zoomPane.farther'), ZoomOut, () => void zoomOut(0.6)],
                [say('zoomPane.fit'), Maximize2, () => void resetTransform()],
              ] as const
            ).map(([name, Icon, act]) => (
              <button key={name} type="button" className="button px-2.5" aria-label={name} onClick={act}>
                <Icon aria-hidden size={18} />
              </button>
            ))}
          </div>
        </div>
      )}
    </TransformWrapper>
  );
}
