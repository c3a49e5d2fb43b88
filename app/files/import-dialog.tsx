import { useState } from 'react';
import { usualChoice, type Choice, type Incoming } from '@core/handover/files/preview';
import AskDialog from '~/ui/ask-dialog';
import { useNotify } from '~/ui/notices';
import { Select } from '~/ui/select';
import { take, type Coming } from './take-files';
import { reasonOf } from '~/workers/no-answer';
import { say } from '~/words/files';

const keyOf = ({ kind, id }: Pick<Incoming, 'kind' | 'id'>): string => `${kind}/${id}`;

/** What a file would add, change, or meet, one by one; each to be taken as it is chosen. */
export default function ImportDialog({
  coming,
  onTaken,
  onClose,
}: {
  coming: Coming;
  onTaken: (jobs: readonly string[]) => void;
  onClose: () => void;
}) {
  const { rows, workshop } = coming;
  const notify = useNotify();
  const [choices, setChoices] = useState<Readonly<Record<string, Choice>>>(
    Object.fromEntries(rows.map((row) => [keyOf(row), usualChoice(row)])),
  );
  const choiceOf = (one: Pick<Incoming, 'kind' | 'id'>): Choice => choices[keyOf(one)] ?? 'skip';
  const count = (state: Incoming['state']) => rows.filter((row) => row.state === state).length;
  const run = async () => {
    try {
      onTaken(await take(coming, choiceOf));
    } catch (error) {
      const full = error instanceof Error && /quota/i.test(`${error.name} ${error.message}`);
      notify(say('importer.nothing'), [
        {
          path: '',
          message: full ? say('importer.full') : reasonOf(error),
          wayOut: say('importer.fullWayOut'),
        },
      ]);
    }
  };
  return (
    <AskDialog
      title={say('dialog.title')}
      ways={[{ name: say('dialog.take'), act: () => void run() }]}
      cancel={say('dialog.cancel')}
      onClose={onClose}
    >
      <p>
        {say('dialog.counts', {
          fresh: count('new'),
          changed: count('changed'),
          same: count('same'),
          photos: workshop.photos.length,
        })}
      </p>
      <ul className="grid gap-2">
        {rows.map((row) => (
          <li
            key={keyOf(row)}
            className="grid gap-1 rounded-lg border-2 border-line p-2"
            data-incoming={row.state}
          >
            <p>
              <span className="font-bold">{row.name}</span>{' '}
              <span className="text-sm text-ink-soft">
                {say('dialog.state', { kind: row.kind, state: row.state })}
              </span>
            </p>
            {row.differs.length > 0 ? (
              <p className="text-sm">
                {say('dialog.differs', {
                  parts: row.differs.map((part) => say('dialog.part', { part })).join(', '),
                })}
              </p>
            ) : null}
            {row.state === 'same' ? null : (
              <Select
                label={say('dialog.choice', { name: row.name })}
                value={choiceOf(row)}
                options={[
                  { value: 'add', label: row.state === 'new' ? say('dialog.add') : say('dialog.beside') },
                  ...(row.state === 'changed' ? [{ value: 'replace', label: say('dialog.replace') }] : []),
                  { value: 'skip', label: say('dialog.skip') },
                ]}
                onChange={(value) => {
                  const choice = (['add', 'replace', 'skip'] as const).find((one) => one === value);
                  if (choice) setChoices({ ...choices, [keyOf(row)]: choice });
                }}
              />
            )}
          </li>
        ))}
      </ul>
    </AskDialog>
  );
}
