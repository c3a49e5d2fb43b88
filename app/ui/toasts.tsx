import { Toast } from 'radix-ui';
import type { Notice } from './notice';
import { say } from '~/words/ui';

/** Notices in a corner, until they are closed or read. Loaded with the first one. */
export default function Toasts({
  notices,
  onClosed,
}: {
  notices: readonly Notice[];
  onClosed: (id: number) => void;
}) {
  return (
    <Toast.Provider duration={12_000} swipeDirection="down">
      {notices.map(({ id, title, lines, way }) => (
        <Toast.Root
          key={id}
          onOpenChange={(open) => {
            if (!open) onClosed(id);
          }}
          data-notice
          className="rounded-xl bg-ink p-4 text-sand shadow-lg"
        >
          <Toast.Title className="font-bold">{title}</Toast.Title>
          <Toast.Description asChild>
            <div className="mt-1 space-y-1 text-sm">
              {lines.map((line) => (
                <p key={line} className="break-words">
                  {line}
                </p>
              ))}
            </div>
          </Toast.Description>
          {way ? (
            <Toast.Action asChild altText={way.name}>
              <button
                type="button"
                className="mt-2 mr-4 min-h-11 rounded-lg border-2 border-sand px-3 font-bold"
                onClick={way.act}
              >
                {way.name}
              </button>
            </Toast.Action>
          ) : null}
          <Toast.Close className="mt-2 min-h-11 font-bold underline">{say('toasts.close')}</Toast.Close>
        </Toast.Root>
      ))}
      <Toast.Viewport className="fixed right-3 bottom-3 z-50 flex w-[min(28rem,calc(100vw-1.5rem))] flex-col gap-2" />
    </Toast.Provider>
  );
}
