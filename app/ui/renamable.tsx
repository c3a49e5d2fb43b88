import { Pencil } from 'lucide-react';
import { useState } from 'react';

const focused = (input: HTMLInputElement | null) => input?.select();

/** A name where it stands: tapped it can be written over. Enter keeps it, Escape leaves it as it was. */
export function Renamable({
  value,
  label,
  onCommit,
  className = '',
}: {
  value: string;
  /** What is renamed, for ears. */
  label: string;
  onCommit: (name: string) => void;
  className?: string;
}) {
  const [text, setText] = useState<string | null>(null);
  const done = (next: string) => {
    setText(null);
    if (next.trim() !== '' && next.trim() !== value) onCommit(next.trim());
  };
  if (text === null)
    return (
      <button
        type="button"
        aria-label={label}
        className={`inline-flex min-h-11 items-center gap-2 text-left ${className}`}
        onClick={() => setText(value)}
      >
        {value} <Pencil aria-hidden size={16} className="shrink-0 text-ink-soft" />
      </button>
    );
  return (
    <input
      ref={focused}
      aria-label={label}
      className={`field ${className}`}
      value={text}
      maxLength={80}
      onChange={(event) => setText(event.currentTarget.value)}
      onBlur={() => done(text)}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' && event.key !== 'Escape') return;
        // The key must not press the button that takes the place of the field.
        event.preventDefault();
        if (event.key === 'Enter') done(text);
        else setText(null);
      }}
    />
  );
}
