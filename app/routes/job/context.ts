import { createContext, useContext } from 'react';
import type { Command } from '@core/commands/command';
import type { Design } from '@core/model/design';
import type { JobRecord } from '@core/model/record';
import type { Derived } from '~/derived';
import type { Scene } from '~/storage/scene';

/** The open job and what a stage can do with it. */
export interface OpenJobContext {
  readonly job: Design;
  readonly record: JobRecord;
  /** The last answer: to this job, or to the one before its last change. */
  readonly derived: Derived;
  readonly scene: Scene;
  /** Carries out commands as one step: all of them, or none. */
  readonly run: (...commands: readonly Command[]) => void;
  readonly setScene: (scene: Scene) => void;
  /** The last change of the design, and the way back from it. */
  readonly undo: { readonly label: string; readonly back: () => Promise<unknown> } | null;
}

export const JobContext = createContext<OpenJobContext | null>(null);

export function useJob(): OpenJobContext {
  const context = useContext(JobContext);
  if (!context) throw new Error('A stage is drawn outside its job');
  return context;
}
