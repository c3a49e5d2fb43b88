import { Map, Trash2, Upload } from 'lucide-react';
import { useRef, useState } from 'react';
import { Link } from 'react-router';
import type { LineCheck } from '@core/code/brief/check-lines';
import {
  CSV_COLUMNS,
  PLAN_KIND_NAME,
  readPlanCsv,
  readPlanLine,
  type LinesRead,
} from '@core/code/brief/lines-csv';
import { problemText } from '@core/job/model/problem';
import { useTyped } from '~/ui/use-typed';
import { useJob, useJudged } from '../job/context';
import { SIDE_NAME } from '@core/job/model/names';
import { say } from '~/words/brief';

const STATE_NAME = {
  met: say('planLines.isMet'),
  'not met': say('planLines.isNotMet'),
  open: say('planLines.decide'),
} as const;
const MARK = { met: '●', 'not met': '▲', open: '◇' } as const;

/** The plan's call-outs and notes, each tied to a box or run and shown as met, not met or to decide. */
export function PlanLines() {
  const { job, run } = useJob();
  const lines = useJudged().judged?.lines ?? [];
  const [read, setRead] = useState<LinesRead | null>(null);
  return (
    <section aria-labelledby="plan-lines" className="grid gap-3">
      <h3 id="plan-lines" className="text-lg font-bold">
        {say('planLines.plan')}
      </h3>
      <Link to="../plan" relative="path" className="button justify-self-start">
        <Map aria-hidden size={18} />{' '}
        {job.sheets.length > 0 ? say('planLines.onSheet') : say('planLines.onTable')}
      </Link>
      {lines.length === 0 ? (
        <p className="text-ink-soft">{say('planLines.what')}</p>
      ) : (
        <ul className="grid gap-2">
          {lines.map((check) => (
            <Line key={check.line.id} check={check} />
          ))}
        </ul>
      )}
      <AddLine onRead={setRead} />
      <ImportLines onRead={setRead} />
      {read ? (
        <div role="alert" className="grid gap-2 rounded-xl border-2 border-ink bg-paper p-3">
          {read.problems.length > 0 ? (
            <ul className="list-disc pl-5">
              {read.problems.map((problem) => (
                <li key={problem.path + problem.message}>{problemText(problem)}</li>
              ))}
            </ul>
          ) : null}
          <div className="flex flex-wrap gap-2">
            {read.good.length > 0 ? (
              <button
                type="button"
                className="button button-strong"
                onClick={() => {
                  run({ do: 'add plan lines', lines: [...read.good] });
                  setRead(null);
                }}
              >
                {say('planLines.importGood', { count: read.good.length })}
              </button>
            ) : null}
            <button type="button" className="button" onClick={() => setRead(null)}>
              {say('planLines.leave')}
            </button>
          </div>
        </div>
      ) : null}
    </section>
  );
}

function Line({ check: { line, state, why } }: { check: LineCheck }) {
  const { run } = useJob();
  return (
    <li
      className="flex items-center gap-2 rounded-xl border-2 border-line bg-paper py-1 pl-3"
      data-line={state}
    >
      <span aria-hidden className="w-5 text-center">
        {MARK[state]}
      </span>
      <div className="min-w-0 flex-1 py-1">
        <p className="font-semibold break-words">{line.says}</p>
        <p className="text-sm text-ink-soft">
          <span className="font-bold text-ink">{STATE_NAME[state]}</span>: {why}
        </p>
      </div>
      {line.about.kind === 'note'
        ? ([true, false] as const).map((met) => (
            <button
              key={String(met)}
              type="button"
              className="button px-3 text-sm"
              aria-pressed={line.about.kind === 'note' && line.about.met === met}
              onClick={() => run({ do: 'mark note', line: line.id, met })}
            >
              {met ? say('planLines.met') : say('planLines.notMet')}
            </button>
          ))
        : null}
      <button
        type="button"
        className="button button-quiet px-3"
        aria-label={say('planLines.removeLine', { line: line.says })}
        onClick={() => run({ do: 'remove plan line', line: line.id })}
      >
        <Trash2 aria-hidden size={18} />
      </button>
    </li>
  );
}

const EXAMPLES = {
  cable: { place: say('planLines.exampleRun'), says: '14-2' },
  box: { place: say('planLines.examplePlace'), says: say('planLines.exampleBox') },
  order: { place: say('planLines.examplePlace'), says: 'S3 | duplex' },
  'ground pin': { place: '', says: SIDE_NAME.down },
  height: { place: say('planLines.examplePlace'), says: say('planLines.exampleHeight') },
  'all heights': { place: say('planLines.allOf'), says: say('planLines.exampleHeight') },
  note: { place: '', says: say('planLines.exampleNote') },
} as const;
type Kind = keyof typeof EXAMPLES;
const KINDS = Object.keys(EXAMPLES) as Kind[];

/** One line by hand, read by the same rules as an imported one. */
function AddLine({ onRead }: { onRead: (read: LinesRead | null) => void }) {
  const { job, run } = useJob();
  const [kind, setKind] = useState<Kind>('order');
  const example = EXAMPLES[kind];
  const [place, says] = [useTyped('line place'), useTyped('line says')];
  return (
    <form
      className="grid gap-2 sm:grid-cols-[9rem_1fr_1fr_auto] sm:items-end"
      onSubmit={(event) => {
        event.preventDefault();
        const read = readPlanLine({ kind, place: place.text, says: says.text }, job);
        onRead(read.problems.length > 0 ? read : null);
        if (read.problems.length > 0) return;
        run({ do: 'add plan lines', lines: [...read.good] });
        place.sent();
        says.sent();
      }}
    >
      <label className="grid gap-1">
        <span className="eyebrow">{say('planLines.type')}</span>
        <select
          className="field"
          value={kind}
          onChange={(event) => {
            const next = KINDS.find((one) => one === event.currentTarget.value);
            if (next) setKind(next);
          }}
        >
          {KINDS.map((one) => (
            <option key={one} value={one}>
              {PLAN_KIND_NAME[one]}
            </option>
          ))}
        </select>
      </label>
      <label className="grid gap-1">
        <span className="eyebrow">{say('planLines.place')}</span>
        <input className="field" {...place.field} placeholder={example.place} maxLength={100} list="places" />
      </label>
      <datalist id="places">
        {job.boxes.map(({ id, name }) => (
          <option key={id} value={name} />
        ))}
      </datalist>
      <label className="grid gap-1">
        <span className="eyebrow">{say('planLines.requirement')}</span>
        <input className="field" {...says.field} placeholder={example.says} maxLength={150} />
      </label>
      <button type="submit" className="button">
        {say('planLines.add')}
      </button>
    </form>
  );
}

function ImportLines({ onRead }: { onRead: (read: LinesRead) => void }) {
  const { job } = useJob();
  const input = useRef<HTMLInputElement>(null);
  return (
    <div>
      <button type="button" className="button" onClick={() => input.current?.click()}>
        <Upload aria-hidden size={18} /> {say('planLines.importCsv')}
      </button>{' '}
      <span className="text-sm text-ink-soft">
        {say('planLines.columns', { columns: CSV_COLUMNS.join(', ') })}
      </span>
      <input
        ref={input}
        type="file"
        accept=".csv,text/csv"
        className="hidden"
        aria-label={say('planLines.planLinesCsv')}
        onChange={(event) => {
          const file = event.currentTarget.files?.[0];
          event.currentTarget.value = '';
          if (file) void file.text().then((text) => onRead(readPlanCsv(text, job)));
        }}
      />
    </div>
  );
}
