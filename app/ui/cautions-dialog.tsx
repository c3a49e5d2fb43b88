import { Dialog } from 'radix-ui';
import { X } from 'lucide-react';
import { DialogFrame } from './plain-dialog';
import { say } from '~/words/ui';

const CAUTIONS = [
  say('cautionsDialog.deEnergized'),
  say('cautionsDialog.proveTester'),
  say('cautionsDialog.qualified'),
  say('cautionsDialog.twoCircuits'),
  say('cautionsDialog.oldWiring'),
  say('cautionsDialog.damp'),
];

/** The usual cautions. Loaded when they are first asked for. */
export default function CautionsDialog({ onClose }: { onClose: () => void }) {
  return (
    <DialogFrame onClose={onClose} className="" described>
      <div className="flex items-start gap-2">
        <Dialog.Title className="flex-1 text-lg font-bold">
          {say('cautionsDialog.beforeYouTouchWire')}
        </Dialog.Title>
        <Dialog.Close className="button button-quiet px-3" aria-label={say('cautionsDialog.close')}>
          <X aria-hidden size={20} />
        </Dialog.Close>
      </div>
      <ul className="mt-2 list-disc space-y-2 pl-5">
        {CAUTIONS.map((caution) => (
          <li key={caution}>{caution}</li>
        ))}
      </ul>
      <Dialog.Description className="mt-4 border-t border-line pt-3">
        {say('cautionsDialog.localCode')}
      </Dialog.Description>
    </DialogFrame>
  );
}
