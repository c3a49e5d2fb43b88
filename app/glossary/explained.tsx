import { lazy, Suspense, useEffect, useId, useMemo, useState } from 'react';
import { say } from '~/words/glossary';
import type { inText } from './in-text';
import type { Term } from './terms';

const TermCard = lazy(() => import('./term-card'));

let known: typeof inText | null = null;

/** A text whose words of the trade can be tapped for what they mean. Until the glossary is there it is plain. */
export function Explained({ children: text }: { children: string }) {
  const id = useId().replace(/\W/g, '');
  const [open, setOpen] = useState<Term | null>(null);
  const [find, setFind] = useState<{ readonly is: typeof inText } | null>(known && { is: known });
  useEffect(() => {
    let left = false;
    if (known === null)
      void import('./in-text').then(({ inText: is }) => {
        known = is;
        if (!left) setFind({ is });
      });
    return () => {
      left = true;
    };
  }, []);
  const pieces = useMemo(() => find?.is(text) ?? [text], [find, text]);
  return (
    <>
      {pieces.map((piece, index) =>
        typeof piece === 'string' ? (
          piece
        ) : (
          <button
            key={index}
            id={`${id}-${piece.term.id}`}
            type="button"
            data-explains={piece.term.id}
            className="relative inline cursor-help underline before:absolute before:-inset-x-1 before:-inset-y-2.5 before:content-[''] decoration-dotted decoration-2 underline-offset-4"
            title={say('explained.whatIs', { term: piece.term.name })}
            onClick={() => setOpen(piece.term)}
          >
            {piece.text}
          </button>
        ),
      )}
      {open ? (
        <Suspense>
          <TermCard term={open} anchor={`#${id}-${open.id}`} onClose={() => setOpen(null)} />
        </Suspense>
      ) : null}
    </>
  );
}
