import { Meanwhile } from './meanwhile';
import { useDraft } from './use-draft';
import { say } from '~/words/ui';

/** A line of text; taken when the field is left or Enter is pressed. Empty is answered, unless nothing is an answer too. */
export function TextField({
  label,
  value,
  onCommit,
  clearable = false,
}: {
  label: string;
  value: string;
  onCommit: (value: string) => void;
  /** True where nothing is an answer too. */
  clearable?: boolean;
}) {
  const { field, text, type, settle, meanwhile } = useDraft(label, value);
  const empty = text.trim() === '' && !clearable;
  const commit = () => {
    const next = text.trim();
    if (empty) return;
    settle(next);
    if (next !== value) onCommit(next);
  };
  return (
    <label className="grid gap-1">
      <span className="eyebrow">{label}</span>
      <input
        {...field}
        className="field"
        value={text}
        maxLength={80}
        aria-invalid={empty}
        onChange={(event) => type(event.currentTarget.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter') commit();
          if (event.key === 'Escape') settle(value);
        }}
      />
      <Meanwhile value={meanwhile} />
      {empty ? (
        <span role="alert" className="text-sm">
          {say('textField.needsNameStill', { value })}
        </span>
      ) : null}
    </label>
  );
}
