import { Check, Volume2, X } from 'lucide-react';
import { useEffect, useRef } from 'react';
import type { BoxDrawing } from '@core/wiring/geometry/drawing';
import type { TickedStep } from '@core/wiring/makeup/ticks';
import { BoxFigure } from '~/drawing/box-figure';
import { Explained } from '~/glossary/explained';
import { canSpeak, speakAloud, stopSpeaking } from '~/ui/speak-aloud';
import { readsAloud } from '~/ui/theme';
import { say } from '~/words/make-up';

/**
 * One step over the whole screen, read from the ladder: the open box with what this step handles, the rest faded; its words
 * beneath, one large button; read aloud where that is set.
 */
export function OneStep({
  place,
  next,
  drawing,
  done,
  of,
  onDone,
  onClose,
}: {
  place: string;
  next: TickedStep | undefined;
  drawing: BoxDrawing;
  done: number;
  of: number;
  onDone: () => void;
  onClose: () => void;
}) {
  const dialog = useRef<HTMLDialogElement>(null);
  const text = next ? `${next.step.title}. ${next.step.detail}` : say('oneStep.allDone', { place });
  useEffect(() => {
    dialog.current?.showModal();
    return stopSpeaking;
  }, []);
  useEffect(() => {
    if (readsAloud()) speakAloud(text);
  }, [text]);
  return (
    <dialog
      ref={dialog}
      aria-label={say('oneStep.title')}
      onClose={onClose}
      className="m-0 h-dvh max-h-none w-screen max-w-none bg-sand text-ink"
    >
      <div className="grid h-full grid-rows-[auto_minmax(0,1fr)_auto] gap-3 p-4">
        <div className="hand-row flex items-center gap-2">
          <p className="num flex-1">{say('oneStep.count', { place, done, of })}</p>
          {canSpeak() ? (
            <button type="button" className="button px-4" onClick={() => speakAloud(text)}>
              <Volume2 aria-hidden size={24} /> {say('oneStep.read')}
            </button>
          ) : null}
          <button
            type="button"
            className="button px-4"
            aria-label={say('oneStep.close')}
            onClick={() => dialog.current?.close()}
          >
            <X aria-hidden size={24} />
          </button>
        </div>
        {next ? (
          <div className="grid min-h-0 grid-rows-[minmax(0,1fr)_auto] gap-3 lg:grid-cols-2 lg:grid-rows-1">
            <BoxFigure
              drawing={drawing}
              title={say('openBox.openBox', { placeName: place })}
              lit={next.step.touches.length > 0 ? new Set(next.step.touches) : undefined}
              className="h-full min-h-0 w-full"
            />
            <div
              className="grid max-h-[40dvh] content-center gap-2 overflow-auto lg:max-h-none lg:gap-4"
              aria-live="polite"
            >
              <p className="text-2xl leading-tight font-bold sm:text-4xl">{next.step.title}</p>
              <p className="text-lg leading-snug lg:text-xl">
                <Explained>{next.step.detail}</Explained>
              </p>
              <p className="text-ink-soft">
                <Explained>{next.step.why}</Explained>
              </p>
            </div>
          </div>
        ) : (
          <div className="grid content-center" aria-live="polite">
            <p className="text-3xl font-bold">{text}</p>
          </div>
        )}
        <button
          type="button"
          className="button button-strong min-h-20 text-2xl lg:min-h-28"
          onClick={() => (next ? onDone() : dialog.current?.close())}
        >
          <Check aria-hidden size={36} /> {next ? say('oneStep.doneNext') : say('oneStep.close')}
        </button>
      </div>
    </dialog>
  );
}
