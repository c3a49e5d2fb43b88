import { createContext, useContext } from 'react';
import type { Command } from '@core/commands/command';
import type { Job } from '@core/model/job';
import type { Derived } from '~/derived';
import type { Scene } from '~/storage/scene';

export type JobIntent =
  | { intent: 'command'; command: Command }
  | { intent: 'commands'; commands: Command[] }
  | { intent: 'undo' }
  | { intent: 'redo' }
  | { intent: 'scene'; scene: Scene };

/** The open job and what a stage can do with it. */
export interface OpenJobContext {
  readonly job: Job;
  readonly derived: Derived;
  readonly scene: Scene;
  readonly send: (intent: JobIntent) => void;
  readonly run: (command: Command) => void;
}

export const JobContext = createContext<OpenJobContext | null>(null);

export function useJob(): OpenJobContext {
  const context = useContext(JobContext);
  if (!context) throw new Error('A stage is drawn outside its job');
  return context;
}
