import type { ReactNode } from 'react';
import type { Sheet, SheetPoint } from '@core/job/model/sheet';
import type { Hand } from './tools';
import { say } from '~/words/sheet';

/** What the panel of a tool is about. */
export interface ToolProps {
  readonly sheet: Sheet;
  readonly hand: Hand;
}

/** What to tap, and how much of it is. */
export function Ask({ hand, count, children }: { hand: Hand; count: number; children: ReactNode }) {
  return (
    <div className="flex flex-wrap items-center gap-2">
      <p className="flex-1 font-semibold" role="status">
        {children}{' '}
        {count > 1 ? <span className="num">{say('ask.of', { done: hand.points.length, count })}</span> : null}
      </p>
      {hand.points.length > 0 ? (
        <button type="button" className="chip" onClick={hand.back}>
          {say('ask.back')}
        </button>
      ) : null}
    </div>
  );
}

/** A point that was tapped; the corner of the sheet where it was not yet. */
export const cornerAt = (points: readonly SheetPoint[], at: number): SheetPoint =>
  points[at] ?? { x: 0, y: 0 };
