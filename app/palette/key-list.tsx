import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { say } from '~/words/palette';
import { keyName, useOffered } from './offered';
import { setSingleKeys, singleKeys } from './single-keys';

/** Every key that does something on this page. */
export default function KeyList({ onClose }: { onClose: () => void }) {
  const here = useOffered().filter(({ keys }) => keys !== undefined);
  const [on, setOn] = useState(singleKeys);
  return (
    <Dialog.Root
      defaultOpen
      onOpenChange={(open) => {
        if (!open) onClose();
      }}
    >
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-50 grid max-h-[90dvh] w-[min(34rem,calc(100vw-2rem))] -translate-x-1/2 -translate-y-1/2 gap-3 overflow-auto rounded-2xl border-2 border-ink bg-paper p-5"
        >
          <Dialog.Title className="text-lg font-bold">{say('keyList.keys')}</Dialog.Title>
          <dl className="grid gap-x-6 gap-y-1 sm:grid-cols-2">
            {here.map(({ id, name, keys }) => (
              <div key={id} className="flex items-center justify-between gap-3">
                <dt>{name}</dt>
                <dd>
                  <kbd className="num rounded-md border-2 border-line px-2 py-0.5">{keyName(keys)}</kbd>
                </dd>
              </div>
            ))}
          </dl>
          <label className="flex min-h-11 items-center gap-3">
            <input
              type="checkbox"
              className="size-6 accent-(--plum)"
              checked={on}
              onChange={(event) => {
                setSingleKeys(event.currentTarget.checked);
                setOn(event.currentTarget.checked);
              }}
            />
            {say('keyList.singleKeys')}
          </label>
          <Dialog.Close className="button justify-self-end">{say('keyList.close')}</Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
