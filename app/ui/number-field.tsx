import { useId, useState } from 'react';
import { figureProblem, readFigure } from './figure';
import { Meanwhile } from './meanwhile';
import { useDraft } from './use-draft';
import { say } from '~/words/ui';

const shownAs = (value: number | null): string => (value === null ? '' : String(value));

/**
 * A number with its unit, as it is said on site; taken when the field is left or Enter is pressed. What is no such
 * number is answered beside the field and stays there.
 */
export function NumberField({
  label,
  unit,
  value,
  min,
  max,
  onCommit,
}: {
  label: string;
  unit: string;
  /** Null where none is known yet. */
  value: number | null;
  min: number;
  max: number;
  onCommit: (value: number) => void;
}) {
  const { field, text, type, settle, meanwhile } = useDraft(label, shownAs(value));
  const [left, setLeft] = useState(false);
  const answer = useId();
  const changed = text.trim() !== shownAs(value);
  const problem = changed ? figureProblem(text, unit, min, max) : null;
  const commit = () => {
    setLeft(true);
    if (problem !== null || !changed) return;
    const next = readFigure(text, unit);
    settle(String(next));
    if (next !== value) onCommit(next);
  };
  const shown = left ? problem : null;
  return (
    <label className="grid gap-1">
      <span className="eyebrow">
        {label}, {unit}
      </span>
      <input
        {...field}
        className="field num"
        inputMode={unit === 'ft' || unit === 'in' ? 'text' : 'decimal'}
        value={text}
        aria-invalid={shown !== null}
        aria-describedby={shown === null ? undefined : answer}
        onChange={(event) => type(event.currentTarget.value)}
        onFocus={() => setLeft(false)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter') commit();
          if (event.key === 'Escape') settle(shownAs(value));
        }}
      />
      <Meanwhile value={meanwhile} />
      {shown === null ? null : (
        <span id={answer} role="alert" className="text-sm">
          ▲ {shown}
          {value === null ? '' : say('numberField.still', { value })}
        </span>
      )}
    </label>
  );
}
