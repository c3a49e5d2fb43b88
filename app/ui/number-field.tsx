import { useEffect, useState } from 'react';

/** A number with its unit; kept when the field is left or Enter is pressed, put back when it is not a number. */
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
  value: number;
  min: number;
  max: number;
  onCommit: (value: number) => void;
}) {
  const [text, setText] = useState(String(value));
  useEffect(() => setText(String(value)), [value]);
  const commit = () => {
    const next = Number(text);
    if (text.trim() === '' || !Number.isFinite(next) || next < min || next > max) setText(String(value));
    else if (next !== value) onCommit(next);
  };
  return (
    <label className="grid gap-1">
      <span className="eyebrow">
        {label}, {unit}
      </span>
      <input
        className="field num"
        inputMode="decimal"
        value={text}
        onChange={(event) => setText(event.currentTarget.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter') commit();
        }}
      />
    </label>
  );
}
