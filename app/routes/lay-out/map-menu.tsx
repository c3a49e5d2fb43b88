import { OnTheSpot } from '~/ui/on-the-spot';
import { useJob } from '../job/context';
import { AddThings } from './add-things';
import { Circuits } from './circuits';
import type { MapMenuAt } from './map-menu-at';
import type { Chosen } from './run-map-parts';
import RunPanel from './run-panel';

/** What can be done on the map where the finger is: a run's cable and length, a box in it; the circuits
 * of the panel; or what grows out of a box. */
export default function MapMenu({
  at,
  onChoose,
  onClose,
}: {
  at: MapMenuAt;
  onChoose: (chosen: Chosen) => void;
  onClose: () => void;
}) {
  const selector =
    at.kind === 'run'
      ? `[data-run="${at.id}"]`
      : at.kind === 'panel'
        ? '#map-panel'
        : `#grow-${CSS.escape(at.id)}`;
  return (
    <OnTheSpot anchor={selector} onClose={onClose}>
      {at.kind === 'run' ? (
        <RunHere id={at.id} onClose={onClose} />
      ) : at.kind === 'panel' ? (
        <Circuits />
      ) : (
        <div className="grid gap-3">
          <AddThings
            box={at.id}
            order={['further', 'beside']}
            onAdded={(added) => {
              if (added !== null) onChoose({ kind: 'box', id: added });
              onClose();
            }}
          />
        </div>
      )}
    </OnTheSpot>
  );
}

function RunHere({ id, onClose }: { id: string; onClose: () => void }) {
  const { job } = useJob();
  const own = job.runs.find((one) => one.id === id);
  return own ? <RunPanel run={own} onGone={onClose} /> : null;
}
