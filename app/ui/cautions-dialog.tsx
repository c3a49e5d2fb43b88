import { Dialog } from 'radix-ui';
import { X } from 'lucide-react';
import { say } from '~/words/ui';

const CAUTIONS = [
  say('cautionsDialog.workDeEnergizedCircuitLock'),
  say('cautionsDialog.proveTesterKnownLiveSource'),
  say('cautionsDialog.liveTestsQualifiedPersonsRight'),
  say('cautionsDialog.boxCanHoldTwoCircuits'),
  say('cautionsDialog.aluminumBranchWiringClothRubber'),
  say('cautionsDialog.nmBNeverGoesDamp'),
];

/** The usual cautions. Loaded when they are first asked for. */
export default function CautionsDialog({ onClose }: { onClose: () => void }) {
  return (
    <Dialog.Root
      defaultOpen
      onOpenChange={(open) => {
        if (!open) onClose();
      }}
    >
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/50" />
        <Dialog.Content className="fixed top-1/2 left-1/2 z-50 max-h-[90dvh] w-[min(34rem,calc(100vw-2rem))] -translate-x-1/2 -translate-y-1/2 overflow-auto rounded-2xl bg-paper p-5">
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
            {say('cautionsDialog.localCodeAuthorityHavingJurisdiction')}
          </Dialog.Description>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
