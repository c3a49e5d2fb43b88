import { freshId } from '@core/commands/command';
import { placeName } from '@core/layout/names';
import { OnTheSpot } from '~/ui/on-the-spot';
import { Select } from '~/ui/select';
import { useJob } from '../job/context';
import { FIRST_LENGTH_FT, type MapMenuAt } from './map-menu-at';
import type { Chosen } from './run-map';
import RunPanel from './run-panel';
import { THINGS } from './things';
import { say } from '~/words/lay-out';

/** What can be done on the map where the finger is: a run's cable and length, a box in it; or what grows out of a box. */
export default function MapMenu({
  at,
  onChoose,
  onClose,
}: {
  at: MapMenuAt;
  onChoose: (chosen: Chosen) => void;
  onClose: () => void;
}) {
  const selector = at.kind === 'run' ? `[data-run="${at.id}"]` : `#grow-${CSS.escape(at.id)}`;
  return (
    <OnTheSpot anchor={selector} onClose={onClose}>
      {at.kind === 'run' ? (
        <RunHere id={at.id} onClose={onClose} />
      ) : (
        <GrowMenu box={at.id} onChoose={onChoose} onClose={onClose} />
      )}
    </OnTheSpot>
  );
}

function RunHere({ id, onClose }: { id: string; onClose: () => void }) {
  const { job } = useJob();
  const own = job.runs.find((one) => one.id === id);
  return own ? <RunPanel run={own} onGone={onClose} /> : null;
}

function GrowMenu({
  box,
  onChoose,
  onClose,
}: {
  box: string;
  onChoose: (chosen: Chosen) => void;
  onClose: () => void;
}) {
  const { job, run } = useJob();
  const circuit = job.circuits[0]?.id ?? '';
  const group = job.groups[0]?.id ?? null;
  const others = job.boxes.filter(({ id }) => id !== box);
  return (
    <div className="grid gap-3">
      {(['further', 'beside'] as const).map((where) => (
        <div key={where} className="grid gap-1">
          <p className="font-bold">
            {where === 'further'
              ? say('mapMenu.newBoxFedFrom', { placeName: placeName(job, box) })
              : say('mapMenu.besideIn', { placeName: placeName(job, box) })}
          </p>
          <div className="flex flex-wrap gap-2">
            {THINGS.map(({ holds, word, icon: Icon }) => (
              <button
                key={holds}
                type="button"
                className="button px-3"
                onClick={() => {
                  const own = { holds, circuit, group: holds === 'light' ? group : null };
                  if (where === 'beside') run({ do: 'add device', box, ...own });
                  else {
                    const name = `${word} ${job.boxes.length + 1}`;
                    run({ do: 'add box', from: box, name, lengthFt: FIRST_LENGTH_FT, ...own });
                    onChoose({ kind: 'box', id: freshId(job.boxes, name) });
                  }
                  onClose();
                }}
              >
                <Icon aria-hidden size={18} /> {word}
              </button>
            ))}
          </div>
        </div>
      ))}
      {others.length > 0 ? (
        <Select
          label={say('boxWishes.runCableFromHere')}
          value=""
          options={[
            { value: '', label: say('boxWishes.chooseBox') },
            ...others.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChange={(to) => {
            if (to === '') return;
            run({ do: 'add run', from: box, to, lengthFt: FIRST_LENGTH_FT });
            onClose();
          }}
        />
      ) : null}
    </div>
  );
}
