import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';
import { useClosing } from './use-closing';

/** The frame of a dialog in the middle of the page, open as long as it stands; Escape or a tap beside it close it. */
export function DialogFrame({
  onClose,
  className,
  described = false,
  children,
}: {
  onClose: () => void;
  className: string;
  /** True where it has a description besides its title. */
  described?: boolean;
  children: ReactNode;
}) {
  const onOpenChange = useClosing(onClose);
  return (
    <Dialog.Root defaultOpen onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/50" />
        <Dialog.Content
          {...(described ? {} : { 'aria-describedby': undefined })}
          className={`fixed top-1/2 left-1/2 z-50 max-h-[90dvh] w-[min(34rem,calc(100vw-2rem))] -translate-x-1/2 -translate-y-1/2 overflow-auto rounded-2xl bg-paper p-5 ${className}`}
        >
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

/** A dialog with its title and a button that closes it. */
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
    <DialogFrame onClose={onClose} className="grid gap-4 border-2 border-ink">
      <Dialog.Title className="text-lg font-bold">{title}</Dialog.Title>
      {children}
      <Dialog.Close className="button justify-self-end">{close}</Dialog.Close>
    </DialogFrame>
  );
}
