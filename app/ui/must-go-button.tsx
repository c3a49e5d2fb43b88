import { DoorOpen } from 'lucide-react';
import { say } from '~/words/ui';

/** The one big button for whoever has to leave. */
export function MustGoButton({ onClick }: { onClick: () => void }) {
  return (
    <button type="button" className="button justify-self-start text-lg" onClick={onClick}>
      <DoorOpen aria-hidden size={22} /> {say('mustGo.button')}
    </button>
  );
}
