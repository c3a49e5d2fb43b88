import { useEffect, useState } from 'react';

/** A line of text; kept when the field is left or Enter is pressed, put back when it is empty. */
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
  const [text, setText] = useState(value);
  useEffect(() => setText(value), [value]);
  const commit = () => {
    const next = text.trim();
    if (next === '' && !clearable) setText(value);
    else if (next !== value) onCommit(next);
  };
  return (
    <label className="grid gap-1">
      <span className="eyebrow">{label}</span>
      <input
        className="field"
        value={text}
        maxLength={80}
        onChange={(event) => setText(event.currentTarget.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter') commit();
        }}
      />
    </label>
  );
}
