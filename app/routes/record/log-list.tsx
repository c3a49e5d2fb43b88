import { useState } from 'react';
import { groupBy } from '@core/base/group-by';
import { placeName } from '@core/job/model/called';
import type { ShownEntry } from '@core/job/record/log';
import { whoWorks } from '~/storage/who-works';
import { Select } from '~/ui/select';
import { TextArea } from '~/ui/text-area';
import { useJob } from '../job/context';
import type { LogKind } from '@core/job/model/record';
import { locale } from '@core/base/words/language';
import { say } from '~/words/record';

const LOG_KIND_NAME: Readonly<Record<LogKind, string>> = {
  note: say('log.note'),
  'check-off': say('log.checkOff'),
  reading: say('log.reading'),
  test: say('log.test'),
  option: say('log.option'),
  'plan change': say('log.planChange'),
  waiver: say('log.waiver'),
  photo: say('log.photo'),
};

const timeOf = (at: string): string =>
  new Date(at).toLocaleTimeString(locale, { hour: 'numeric', minute: '2-digit' });
const dayOf = (at: string): string =>
  new Date(at).toLocaleDateString(locale, {
    weekday: 'short',
    year: 'numeric',
    month: 'short',
    day: 'numeric',
  });

/** The log, day by day, the newest first; of one person or one place where there are several. */
export function LogList({ log }: { log: readonly ShownEntry[] }) {
  const { job } = useJob();
  const [by, setBy] = useState('');
  const [place, setPlace] = useState('');
  const people = [...new Set(log.map(({ entry }) => entry.by))].filter((one) => one !== '').sort();
  const places = [...new Set(log.flatMap(({ entry }) => entry.box ?? []))];
  const shown = log.filter(
    ({ entry }) => (by === '' || entry.by === by) && (place === '' || entry.box === place),
  );
  const days = groupBy([...shown].reverse(), ({ entry, before }) => [dayOf((before[0] ?? entry).at)]);
  return (
    <section aria-label={say('route.log')} className="grid gap-4">
      {people.length > 1 || places.length > 1 ? (
        <div className="grid grid-cols-2 gap-2">
          {people.length > 1 ? (
            <Select
              label={say('log.ofWhom')}
              value={by}
              options={[
                { value: '', label: say('log.everyone') },
                ...people.map((one) => ({ value: one, label: one })),
              ]}
              onChange={setBy}
            />
          ) : null}
          {places.length > 1 ? (
            <Select
              label={say('log.where')}
              value={place}
              options={[
                { value: '', label: say('log.everywhere') },
                ...places.map((one) => ({ value: one, label: placeName(job, one) })),
              ]}
              onChange={setPlace}
            />
          ) : null}
        </div>
      ) : null}
      {[...days].map(([day, own]) => (
        <div key={day} className="grid gap-2">
          <h3 className="eyebrow">{day}</h3>
          <ul className="grid gap-2">
            {own.map((one) => (
              <Entry key={one.entry.id} of={one} />
            ))}
          </ul>
        </div>
      ))}
    </section>
  );
}

function Entry({ of: { entry, before } }: { of: ShownEntry }) {
  const { run } = useJob();
  const [correcting, setCorrecting] = useState(false);
  const first = before[0] ?? entry;
  // What was on record before there was a log stands as it is.
  const own = !entry.id.startsWith('old-');
  return (
    <li className="grid gap-1 rounded-xl border-2 border-line bg-paper p-3" data-entry={entry.kind}>
      <div className="flex items-start gap-2">
        <p className="min-w-0 flex-1">
          <span className="block text-sm text-ink-soft">
            {LOG_KIND_NAME[entry.kind]} ·{' '}
            {entry.by === '' ? timeOf(first.at) : say('log.by', { time: timeOf(first.at), by: entry.by })}
          </span>
          {entry.says}
        </p>
        {own && !correcting ? (
          <button
            type="button"
            className="button button-quiet px-2 text-sm"
            onClick={() => setCorrecting(true)}
          >
            {say('log.correct')}
          </button>
        ) : null}
      </div>
      {before.map(({ id, says }) => (
        <p key={id} className="text-sm text-ink-soft line-through">
          {say('log.said', { says })}
        </p>
      ))}
      {correcting ? (
        <div className="grid gap-2">
          <TextArea
            label={say('log.correctLabel')}
            value={entry.says}
            limit={2000}
            onCommit={(says) => {
              setCorrecting(false);
              if (says.trim() !== '' && says !== entry.says)
                run({
                  do: 'log',
                  entry: {
                    at: new Date().toISOString(),
                    by: whoWorks(),
                    kind: entry.kind,
                    box: entry.box,
                    says: says.trim(),
                    corrects: entry.id,
                  },
                });
            }}
          />
          <div className="flex gap-2">
            <button type="button" className="button button-strong px-3">
              {say('log.save')}
            </button>
            <button
              type="button"
              className="button px-3"
              onPointerDown={(event) => event.preventDefault()}
              onClick={() => setCorrecting(false)}
            >
              {say('log.cancel')}
            </button>
          </div>
        </div>
      ) : null}
    </li>
  );
}
