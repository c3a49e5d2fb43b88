import type { ReactNode } from 'react';
import type { DrillCode } from '@core/handover/drills/code';
import type { Design } from '@core/job/model/design';
import type { PlayedDrill } from '~/storage/drill-history';
import { say } from '~/words/drills';

export type Ended = Pick<PlayedDrill, 'points' | 'tests' | 'best' | 'hints'>;

/** What each kind of drill is played with. */
export interface PlayProps {
  readonly job: Design;
  readonly code: DrillCode;
  /** Keeps what came out. */
  readonly keep: (ended: Ended) => void;
  readonly another: () => void;
}

/** How it went, and why. */
export function Result({
  title,
  lines,
  another,
  children,
}: {
  title: string;
  lines: readonly string[];
  another: () => void;
  children?: ReactNode;
}) {
  return (
    <section
      className="grid gap-2 rounded-xl border-4 border-ink bg-paper p-4"
      aria-live="polite"
      data-result
    >
      <h2 className="text-lg font-bold">{title}</h2>
      <ul className="grid gap-1">
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      {children}
      <button type="button" className="button button-strong justify-self-start" onClick={another}>
        {say('page.another')}
      </button>
    </section>
  );
}
