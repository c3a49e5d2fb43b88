import { useCallback, useState } from 'react';
import { locale } from '@core/base/words/language';
import { CHOICES, usualChoice, type Choice, type Incoming } from '@core/handover/files/preview';
import { thingKey, type Thing } from '@core/job/merge/relation';
import type { Brought } from '~/storage/crew';
import AskDialog from '~/ui/ask-dialog';
import { useNotify } from '~/ui/notices';
import { Select } from '~/ui/select';
import { ComingTogether } from './coming-together';
import { take, type Coming } from './take-files';
import { reasonOf } from '~/workers/no-answer';
import { say } from '~/words/files';

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
  const { rows, workshop, meetings } = coming;
  const notify = useNotify();
  const [choices, setChoices] = useState<Readonly<Record<string, Choice>>>(
    Object.fromEntries(rows.map((row) => [thingKey(row), usualChoice(row)])),
  );
  const [brought, setBrought] = useState<ReadonlyMap<string, Brought | null>>(new Map());
  const choiceOf = (one: Thing): Choice => choices[thingKey(one)] ?? 'skip';
  const count = (...states: readonly Incoming['state'][]) =>
    rows.filter((row) => states.includes(row.state)).length;
  /** What is to come together and has something left to choose. */
  const open = rows.filter((row) => choiceOf(row) === 'merge' && !brought.get(thingKey(row)));
  const setOne = useCallback(
    (key: string, one: Brought | null) => setBrought((now) => new Map([...now, [key, one]])),
    [],
  );
  const run = async () => {
    try {
      onTaken(
        await take(
          coming,
          choiceOf,
          new Map([...brought].flatMap(([key, one]) => (one ? [[key, one] as const] : []))),
        ),
      );
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
      ways={[{ name: say('dialog.take'), act: () => void run(), disabled: open.length > 0 }]}
      cancel={say('dialog.cancel')}
      onClose={onClose}
    >
      <p>
        {say('dialog.counts', {
          fresh: count('new'),
          changed: count('ahead', 'behind', 'apart', 'strange'),
          same: count('same'),
          photos: workshop.photos.length,
        })}
      </p>
      {coming.shop ? <p>{say('dialog.shop', coming.shop)}</p> : null}
      {coming.bought.came > 0 ? <p>{say('dialog.bought', { count: coming.bought.came })}</p> : null}
      {coming.bought.twice.map(({ list, lines }) => (
        <p key={list} data-twice>
          {say('dialog.boughtTwice', {
            lines,
            name: rows.find(({ id }) => id === list)?.name ?? list,
          })}
        </p>
      ))}
      <ul className="grid gap-2">
        {rows.map((row) => (
          <li
            key={thingKey(row)}
            className="grid gap-1 rounded-lg border-2 border-line p-2"
            data-incoming={row.state}
          >
            <p>
              <span className="font-bold">{row.name}</span>{' '}
              <span className="text-sm text-ink-soft">
                {say('dialog.state', { kind: row.kind, state: row.state })}
              </span>
            </p>
            {row.given.at === null ? null : (
              <p className="text-sm text-ink-soft">
                {say('dialog.given', {
                  by: row.given.by === '' ? say('dialog.somebody') : row.given.by,
                  time: new Date(row.given.at).toLocaleString(locale, {
                    weekday: 'long',
                    hour: 'numeric',
                    minute: '2-digit',
                  }),
                })}
              </p>
            )}
            {row.state === 'same' ? null : (
              <Select
                label={say('dialog.choice', { name: row.name })}
                value={choiceOf(row)}
                options={[
                  ...(meetings.has(thingKey(row)) && row.state !== 'behind'
                    ? [{ value: 'merge', label: say('dialog.merge') }]
                    : []),
                  { value: 'add', label: row.state === 'new' ? say('dialog.add') : say('dialog.beside') },
                  ...(row.state === 'new' ? [] : [{ value: 'replace', label: say('dialog.replace') }]),
                  { value: 'skip', label: say('dialog.skip') },
                ]}
                onChange={(value) => {
                  const choice = CHOICES.find((one) => one === value);
                  if (choice) setChoices({ ...choices, [thingKey(row)]: choice });
                }}
              />
            )}
            <ComingTogether
              key={thingKey(row)}
              row={row}
              meeting={choiceOf(row) === 'merge' ? meetings.get(thingKey(row)) : undefined}
              onBrought={setOne}
            />
          </li>
        ))}
      </ul>
    </AskDialog>
  );
}
