import { Pencil } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { useDraft } from './use-draft';

/** A name where it stands: tapped it can be written over. Enter keeps it, Escape leaves it as it was. */
export function Renamable({
  value,
  label,
  onCommit,
  onClear,
  className = '',
}: {
  value: string;
  /** What is renamed, for ears. */
  label: string;
  onCommit: (name: string) => void;
  /** What an empty name means; where it means nothing the name stays. */
  onClear?: (() => void) | undefined;
  className?: string;
}) {
  const { field, text, type, settle } = useDraft(label, value);
  // What was typed and not left is there again, to be gone on with.
  const [asked, setAsked] = useState(false);
  const open = asked || text !== value;
  const done = (next: string) => {
    setAsked(false);
    settle(next.trim() === '' ? value : next.trim());
    if (next.trim() === '') onClear?.();
    else if (next.trim() !== value) onCommit(next.trim());
  };
  const input = useRef<HTMLInputElement | null>(null);
  useEffect(() => {
    if (!asked) return;
    input.current?.focus();
    input.current?.select();
  }, [asked]);
  if (!open)
    return (
      <button
        {...field}
        type="button"
        aria-label={label}
        className={`inline-flex min-h-11 items-center gap-2 text-left ${className}`}
        onClick={() => setAsked(true)}
      >
        {value} <Pencil aria-hidden size={16} className="shrink-0 text-ink-soft print:hidden" />
      </button>
    );
  return (
    <input
      {...field}
      ref={(element) => {
        field.ref(element);
        input.current = element;
      }}
      aria-label={label}
      className={`field ${className}`}
      value={text}
      maxLength={80}
      onChange={(event) => type(event.currentTarget.value)}
      onBlur={() => done(text)}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' && event.key !== 'Escape') return;
        // The key must not press the button that takes the place of the field.
        event.preventDefault();
        if (event.key === 'Enter') done(text);
        else {
          setAsked(false);
          settle(value);
        }
      }}
    />
  );
}
