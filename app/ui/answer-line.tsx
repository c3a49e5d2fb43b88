import type { ReactNode } from 'react';
import { Explained } from '~/glossary/explained';

/** The answer of a stage in one line: large, first on the page, and told to ears when it changes. */
export function AnswerLine({ children }: { children: ReactNode }) {
  return (
    <div aria-live="polite" aria-atomic className="min-w-0 flex-1">
      <h2 className="text-lg leading-tight font-bold sm:text-xl" data-answer>
        {typeof children === 'string' ? <Explained>{children}</Explained> : children}
      </h2>
    </div>
  );
}
