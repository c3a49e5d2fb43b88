import { freshId } from '@core/commands/command';
import { placeName } from '@core/layout/names';
import { Select } from '~/ui/select';
import { useJob } from '../job/context';
import { FIRST_LENGTH_FT } from './map-menu-at';
import { THINGS } from './things';
import { say } from '~/words/lay-out';

/** What a box can be given: something in it, a new box fed from it, a cable to another one. */
export function AddThings({
  box,
  order,
  onAdded,
}: {
  box: string;
  order: readonly ('beside' | 'further')[];
  /** With the new box, where one was added. */
  onAdded?: (box: string | null) => void;
}) {
  const { job, run } = useJob();
  const circuit = job.circuits[0]?.id ?? '';
  const group = job.groups[0]?.id ?? null;
  const others = job.boxes.filter(({ id }) => id !== box);
  const place = placeName(job, box);
  return (
    <>
      {order.map((where) => (
        <div key={where} className="grid gap-1">
          <p className="font-bold">
            {where === 'further'
              ? say('mapMenu.newBoxFedFrom', { placeName: place })
              : say('mapMenu.besideIn', { placeName: place })}
          </p>
          <div className="flex flex-wrap gap-2">
            {THINGS.map(({ holds, word, icon: Icon }) => (
              <button
                key={holds}
                type="button"
                className="button px-3"
                onClick={() => {
                  const own = { holds, circuit, group: holds === 'light' ? group : null };
                  const name = `${word} ${job.boxes.length + 1}`;
                  if (where === 'beside') run({ do: 'add device', box, ...own });
                  else run({ do: 'add box', from: box, name, lengthFt: FIRST_LENGTH_FT, ...own });
                  onAdded?.(where === 'further' ? freshId(job.boxes, name) : null);
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
            onAdded?.(null);
          }}
        />
      ) : null}
    </>
  );
}
