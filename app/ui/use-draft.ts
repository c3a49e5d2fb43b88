import { useCallback, useEffect, useRef, useState } from 'react';

interface Draft {
  readonly base: string;
  readonly text: string;
}

/**
 * The text of a field while it is typed, kept as it is typed: it is there again when the page was closed before the
 * field was left. It counts only while the value that it was typed over still stands.
 */
export function useDraft(
  label: string,
  value: string,
): {
  /** To be given to the field: its place among those of the same name is part of the draft's own. */
  readonly field: { readonly 'data-draft': string; readonly ref: (element: HTMLElement | null) => void };
  readonly text: string;
  readonly type: (text: string) => void;
  readonly settle: (text: string) => void;
  /** What something else made of the value while it was typed over; null where nothing did. */
  readonly meanwhile: string | null;
} {
  const element = useRef<HTMLElement | null>(null);
  /** What stands in the field, and the value that it was typed over. */
  const [typed, setTyped] = useState({ over: value, text: value });
  const [meanwhile, setMeanwhile] = useState<string | null>(null);
  // Where nothing was typed the field follows its value at once.
  const text = typed.text === typed.over ? value : typed.text;
  const setText = (next: string) => setTyped({ over: value, text: next });
  const key = () => {
    const alike = [...document.querySelectorAll<HTMLElement>('[data-draft]')].filter(
      ({ dataset }) => dataset['draft'] === label,
    );
    return `draft ${location.pathname}${location.search} ${label} ${alike.findIndex((one) => one === element.current)}`;
  };
  useEffect(() => {
    const kept = read(key());
    // Whoever is typing goes on; what came from elsewhere is told beside it.
    const typing = typed.text !== typed.over && document.activeElement === element.current;
    if (typing && typed.over !== value && text !== value) {
      setText(text);
      keep(key(), { base: value, text });
      setMeanwhile(value);
      return;
    }
    setMeanwhile(null);
    setText(kept?.base === value ? kept.text : value);
    // The key hangs on where the field stands, which does not change while it stands there.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [value]);
  const ref = useCallback((own: HTMLElement | null) => {
    element.current = own;
  }, []);
  return {
    field: { 'data-draft': label, ref },
    text,
    type: (next) => {
      setText(next);
      keep(key(), next === value ? null : { base: value, text: next });
    },
    settle: (next) => {
      setText(next);
      setMeanwhile(null);
      keep(key(), null);
    },
    meanwhile,
  };
}

/* What is typed is small and must be kept at once: the browser's own text store takes it before the next key. */
function read(key: string): Draft | null {
  try {
    const { base, text } = JSON.parse(localStorage.getItem(key) ?? '{}') as Partial<Draft>;
    return typeof base === 'string' && typeof text === 'string' ? { base, text } : null;
  } catch {
    return null;
  }
}

function keep(key: string, draft: Draft | null): void {
  try {
    if (draft) localStorage.setItem(key, JSON.stringify(draft));
    else localStorage.removeItem(key);
  } catch {
    // Without a store the field works as ever; it is only not there again after a crash.
  }
}
