import { useState } from 'react';
import { PlainDialog } from '~/ui/plain-dialog';
import { say } from '~/words/palette';
import { keyName, useOffered } from './offered';
import { setSingleKeys, singleKeys } from './single-keys';

/** Every key that does something on this page. */
export default function KeyList({ onClose }: { onClose: () => void }) {
  const here = useOffered().filter(({ keys }) => keys !== undefined);
  const [on, setOn] = useState(singleKeys);
  return (
    <PlainDialog title={say('keyList.keys')} close={say('keyList.close')} onClose={onClose}>
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
    </PlainDialog>
  );
}
