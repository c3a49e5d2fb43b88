import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';

/** A dialog in the middle of the page, open as long as it stands; Escape, its button or a tap beside it close it. */
export function PlainDialog({
  title,
  close,
  onClose,
  children,
}: {
  title: string;
  /** The word on the button that closes it. */
  close: string;
  onClose: () => void;
  children: ReactNode;
}) {
  return (
    <Dialog.Root
      defaultOpen
      onOpenChange={(open) => {
        if (!open) onClose();
      }}
    >
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/50" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-50 grid max-h-[90dvh] w-[min(34rem,calc(100vw-2rem))] -translate-x-1/2 -translate-y-1/2 gap-4 overflow-auto rounded-2xl border-2 border-ink bg-paper p-5"
        >
          <Dialog.Title className="text-lg font-bold">{title}</Dialog.Title>
          {children}
          <Dialog.Close className="button justify-self-end">{close}</Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
