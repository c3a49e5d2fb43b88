import { Meanwhile } from './meanwhile';
import { useDraft } from './use-draft';

/** Longest text of a brief. */
export const AREA_LIMIT = 2000;

/** Lines of text, taken when the field is left and kept as they are typed. */
export function TextArea({
  label,
  hint,
  value,
  limit,
  onCommit,
}: {
  label: string;
  hint?: string;
  value: string;
  limit: number;
  onCommit: (value: string) => void;
}) {
  const { field, text, type, settle, meanwhile } = useDraft(label, value);
  return (
    <label className="grid gap-1">
      <span className="eyebrow">{label}</span>
      <textarea
        {...field}
        className="field min-h-20"
        value={text}
        maxLength={limit}
        placeholder={hint}
        onChange={(event) => type(event.currentTarget.value)}
        onBlur={() => {
          settle(text);
          if (text !== value) onCommit(text);
        }}
      />
      <Meanwhile value={meanwhile} />
    </label>
  );
}
