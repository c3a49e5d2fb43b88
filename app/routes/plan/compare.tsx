import { useState } from 'react';
import type { LineCheck } from '@core/code/brief/check-lines';
import { settle } from '@core/code/brief/settle';
import type { Sheet } from '@core/job/model/sheet';
import { useJob, usePlan } from '../job/context';
import { PinMark } from './pin-mark';
import { say } from '~/words/sheet';

const STATE_NAME = {
  met: say('compare.met'),
  'not met': say('compare.notMet'),
  open: say('compare.open'),
} as const;

/** Every line of the plan with its number, as its pin shows it; the chosen one with all that is known of it. */
export function Compare({
  sheet,
  pins,
  chosen,
  onChoose,
  onPin,
}: {
  sheet: Sheet;
  pins: readonly { readonly check: LineCheck; readonly number: number }[];
  chosen: string | null;
  onChoose: (line: string | null) => void;
  /** A line that is on no sheet is to be pinned. */
  onPin: (line: string) => void;
}) {
  if (pins.length === 0) return <p className="text-ink-soft">{say('compare.none')}</p>;
  return (
    <ul className="grid gap-1">
      {pins.map(({ check, number }) => {
        const { line, state, why } = check;
        const open = chosen === line.id;
        return (
          <li
            key={line.id}
            className={`rounded-xl border-2 bg-paper ${open ? 'border-plum' : 'border-line'}`}
            data-line={state}
          >
            <button
              type="button"
              className="flex min-h-11 w-full items-center gap-2 px-2 py-1 text-left"
              aria-expanded={open}
              onClick={() => onChoose(open ? null : line.id)}
            >
              <svg viewBox="-20 -20 40 40" className="size-9 shrink-0" aria-hidden>
                <PinMark state={state} number={number} chosen={open} />
              </svg>
              <span className="min-w-0 flex-1 font-semibold break-words">{line.says}</span>
              <span className="text-sm whitespace-nowrap">
                {line.pin ? STATE_NAME[state] : say('compare.notPinned', { state: STATE_NAME[state] })}
              </span>
            </button>
            {open ? (
              <Chosen check={check} why={why} here={line.pin?.sheet === sheet.id} onPin={onPin} />
            ) : null}
          </li>
        );
      })}
    </ul>
  );
}

/** What is asked, what the work has, and the ways to settle it. */
function Chosen({
  check: { line, state },
  why,
  here,
  onPin,
}: {
  check: LineCheck;
  why: string;
  here: boolean;
  onPin: (line: string) => void;
}) {
  const { job, run } = useJob();
  const { outcome } = usePlan();
  const [on, setOn] = useState(line.stamped ?? '');
  const way = state === 'met' ? null : settle(job, outcome, line);
  const isNote = line.about.kind === 'note';
  return (
    <div className="grid gap-2 border-t-2 border-line px-3 py-2">
      <p>
        <span className="eyebrow">{say('compare.has')}</span> {why}
      </p>
      {way ? (
        <button
          type="button"
          className="button button-strong justify-self-start"
          onClick={() => run(...way.commands)}
        >
          {way.says}
        </button>
      ) : null}
      {isNote ? (
        <div className="flex gap-2">
          {([true, false] as const).map((met) => (
            <button
              key={String(met)}
              type="button"
              className="button"
              aria-pressed={line.about.kind === 'note' && line.about.met === met}
              onClick={() => run({ do: 'mark note', line: line.id, met })}
            >
              {met ? say('compare.isMet') : say('compare.isNotMet')}
            </button>
          ))}
        </div>
      ) : null}
      {line.stamped === null && state === 'met' ? null : (
        <form
          className="flex flex-wrap items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (on !== '') run({ do: 'stamp plan line', line: line.id, stamped: on });
          }}
        >
          <label className="grid gap-1">
            <span className="eyebrow">{say('compare.stampedOn')}</span>
            <input
              type="date"
              className="field"
              value={on}
              onChange={(event) => setOn(event.currentTarget.value)}
            />
          </label>
          <button type="submit" className="button" disabled={on === '' || on === line.stamped}>
            {say('compare.stamp')}
          </button>
          {line.stamped === null ? null : (
            <button
              type="button"
              className="button"
              onClick={() => run({ do: 'stamp plan line', line: line.id, stamped: null })}
            >
              {say('compare.notStamped')}
            </button>
          )}
        </form>
      )}
      <div className="flex flex-wrap gap-2">
        <button type="button" className="chip" onClick={() => onPin(line.id)}>
          {line.pin ? say('compare.move') : say('compare.pin')}
        </button>
        {here ? (
          <button
            type="button"
            className="chip"
            onClick={() => run({ do: 'pin plan line', line: line.id, pin: null })}
          >
            {say('compare.unpin')}
          </button>
        ) : null}
        <button type="button" className="chip" onClick={() => run({ do: 'remove plan line', line: line.id })}>
          {say('compare.remove')}
        </button>
      </div>
    </div>
  );
}
