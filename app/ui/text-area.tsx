import { useEffect, useState } from 'react';

/** Longest text of a brief. */
export const AREA_LIMIT = 2000;

/** Lines of text, kept when the field is left. */
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
  const [text, setText] = useState(value);
  useEffect(() => setText(value), [value]);
  return (
    <label className="grid gap-1">
      <span className="eyebrow">{label}</span>
      <textarea
        className="field min-h-20"
        value={text}
        maxLength={limit}
        placeholder={hint}
        onChange={(event) => setText(event.currentTarget.value)}
        onBlur={() => {
          if (text !== value) onCommit(text);
        }}
      />
    </label>
  );
}
