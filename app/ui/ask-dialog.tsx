import { AlertDialog } from 'radix-ui';
import type { ReactNode } from 'react';
import { useClosing } from './use-closing';

export interface Way {
  readonly name: string;
  readonly act: () => void;
  /** Something is to be said first. */
  readonly disabled?: boolean;
}

/** Asks once before something that others feel, with what it does; turning away changes nothing. */
export default function AskDialog({
  title,
  children,
  ways,
  cancel,
  onClose,
}: {
  title: string;
  children: ReactNode;
  ways: readonly Way[];
  cancel: string;
  onClose: () => void;
}) {
  const onOpenChange = useClosing(onClose);
  return (
    <AlertDialog.Root defaultOpen onOpenChange={onOpenChange}>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-40 bg-black/50" />
        <AlertDialog.Content className="fixed top-1/2 left-1/2 z-50 grid max-h-[90dvh] w-[min(34rem,calc(100vw-2rem))] -translate-x-1/2 -translate-y-1/2 gap-3 overflow-auto rounded-2xl bg-paper p-5">
          <AlertDialog.Title className="text-lg font-bold">{title}</AlertDialog.Title>
          <AlertDialog.Description asChild>
            <div className="grid gap-2">{children}</div>
          </AlertDialog.Description>
          <div className="flex flex-wrap justify-end gap-2">
            <AlertDialog.Cancel className="button">{cancel}</AlertDialog.Cancel>
            {ways.map(({ name, act, disabled = false }) => (
              <AlertDialog.Action
                key={name}
                className="button button-strong"
                disabled={disabled}
                onClick={act}
              >
                {name}
              </AlertDialog.Action>
            ))}
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
