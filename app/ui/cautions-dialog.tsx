import { Dialog } from 'radix-ui';
import { X } from 'lucide-react';

const CAUTIONS = [
  'Work on a de-energized circuit. Lock or tag the breaker.',
  'Prove the tester on a known live source, test the conductors, prove the tester again.',
  'Live tests are for qualified persons with the right meter and gloves.',
  'A box can hold two circuits: test every conductor.',
  'Aluminum branch wiring, cloth or rubber insulation, knob-and-tube, scorched insulation: stop. This is outside what the tool plans.',
  'NM-B never goes in a damp, wet or outdoor place.',
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
            <Dialog.Title className="flex-1 text-lg font-bold">Before you touch a wire</Dialog.Title>
            <Dialog.Close className="button button-quiet px-3" aria-label="Close">
              <X aria-hidden size={20} />
            </Dialog.Close>
          </div>
          <ul className="mt-2 list-disc space-y-2 pl-5">
            {CAUTIONS.map((caution) => (
              <li key={caution}>{caution}</li>
            ))}
          </ul>
          <Dialog.Description className="mt-4 border-t border-line pt-3">
            Local code and the authority having jurisdiction come first, then the device&rsquo;s instructions,
            then this tool. Code values are from memory: check them against your adopted edition. The tool
            does not replace a licensed electrician, a permit or an inspection.
          </Dialog.Description>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
