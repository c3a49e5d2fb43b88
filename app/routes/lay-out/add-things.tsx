import { Lightbulb, Plug, ToggleLeft } from 'lucide-react';
import { placeName } from '@core/job/model/called';
import { Select } from '~/ui/select';
import { useJob } from '../job/context';
import { addBeyond, addIn, FIRST_LENGTH_FT, THING_NAME } from './grow';
import { say } from '~/words/lay-out';

const THINGS = [
  { holds: 'outlet', icon: Plug },
  { holds: 'switch', icon: ToggleLeft },
  { holds: 'light', icon: Lightbulb },
] as const;

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
            {THINGS.map(({ holds, icon: Icon }) => (
              <button
                key={holds}
                type="button"
                className="button px-3"
                onClick={() => {
                  if (where === 'beside') {
                    run(addIn(job, box, holds));
                    onAdded?.(null);
                  } else {
                    const added = addBeyond(job, box, holds);
                    run(added.command);
                    onAdded?.(added.box);
                  }
                }}
              >
                <Icon aria-hidden size={18} /> {THING_NAME[holds]}
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
