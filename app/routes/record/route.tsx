import { FileText } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { placeName } from '@core/job/model/called';
import { shownLog } from '@core/job/record/log';
import { setWhoWorks, whoWorks } from '~/storage/who-works';
import { AnswerLine } from '~/ui/answer-line';
import { CsvButton } from '~/ui/csv-button';
import { Select } from '~/ui/select';
import { TextField } from '~/ui/text-field';
import { useJob } from '../job/context';
import { LogList } from './log-list';
import { Photos } from './photos';
import { useTyped } from '~/ui/use-typed';
import { say } from '~/words/record';

export { StageError as ErrorBoundary } from '../job/stage-error';

/** What was done, read, agreed and photographed, each with its time and who; it writes itself as the work goes on. */
export default function Record() {
  const { job, record } = useJob();
  const log = shownLog(job, record);
  const photos = record.photos.filter(({ removed }) => removed === null);
  return (
    <main className="grid flex-1 grid-cols-[minmax(0,1fr)] content-start gap-6 p-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,26rem)]">
      <div className="grid content-start gap-4">
        <AnswerLine>{say('route.answer', { entries: log.length, photos: photos.length })}</AnswerLine>
        <Note />
        <LogList log={log} />
      </div>
      <aside className="grid content-start gap-6">
        <Who />
        <Photos />
        <section className="flex flex-wrap gap-2">
          <Link to={`/job/${job.id}/packet`} className="button">
            <FileText aria-hidden size={18} /> {say('route.packet')}
          </Link>
          <CsvButton
            label={say('route.csv')}
            file={`${job.id}.log.csv`}
            columns={['time', 'who', 'kind', 'place', 'what']}
            rows={() =>
              log.map(({ entry: { at, by, kind, box, says } }) => [
                at,
                by,
                kind,
                box === null ? '' : placeName(job, box),
                says,
              ])
            }
          />
          <CsvButton
            label={say('route.testsCsv')}
            file={`${job.id}.tests.csv`}
            columns={['time', 'test', 'shows', 'what']}
            rows={() => record.tests.map(({ at, test, shows, says }) => [at, test, shows, says])}
          />
        </section>
      </aside>
    </main>
  );
}

/** A line of one's own. */
function Note() {
  const { job, run } = useJob();
  const { field, text: says, sent } = useTyped('note');
  const [box, setBox] = useState('');
  return (
    <form
      className="grid gap-2 sm:grid-cols-[1fr_auto]"
      onSubmit={(event) => {
        event.preventDefault();
        if (says.trim() === '') return;
        run({
          do: 'log',
          entry: {
            at: new Date().toISOString(),
            by: whoWorks(),
            kind: 'note',
            box: box === '' ? null : box,
            says: says.trim(),
            corrects: null,
          },
        });
        sent();
      }}
    >
      <label className="grid gap-1 sm:col-span-2">
        <span className="eyebrow">{say('route.note')}</span>
        <textarea
          {...field}
          className="field min-h-20"
          maxLength={2000}
          placeholder={say('route.noteHint')}
        />
      </label>
      <Select
        label={say('route.place')}
        value={box}
        options={[
          { value: '', label: say('route.placeWhole') },
          ...job.boxes.map(({ id, name }) => ({ value: id, label: name })),
        ]}
        onChange={setBox}
      />
      <button type="submit" className="button button-strong self-end" disabled={says.trim() === ''}>
        {say('route.addNote')}
      </button>
    </form>
  );
}

const OTHER = '?';

/** Who works with this device: every line of the log names them. */
function Who() {
  const { people } = useJob();
  const [who, show] = useState(whoWorks);
  const [other, setOther] = useState(() => who !== '' && !people.some(({ name }) => name === who));
  const set = (name: string) => {
    setWhoWorks(name);
    show(name);
  };
  return (
    <section className="grid gap-2">
      {people.length > 0 ? (
        <Select
          label={say('route.who')}
          value={other ? OTHER : who}
          options={[
            { value: '', label: say('route.whoNobody') },
            ...people.map(({ name, role }) => ({
              value: name,
              label: [name, role].filter(Boolean).join(', '),
            })),
            { value: OTHER, label: say('route.whoOther') },
          ]}
          onChange={(name) => {
            setOther(name === OTHER);
            if (name !== OTHER) set(name);
          }}
        />
      ) : null}
      {other || people.length === 0 ? (
        <TextField
          label={people.length === 0 ? say('route.who') : say('route.whoName')}
          clearable
          value={who}
          onCommit={set}
        />
      ) : null}
    </section>
  );
}
