import { createContext, useContext } from 'react';
import type { Command } from '@core/job/commands/command';
import type { Design } from '@core/job/model/design';
import type { Person } from '@core/job/model/house';
import type { JobRecord } from '@core/job/model/record';
import type { Judged, PlannedJob } from '~/derived';
import type { Scene } from '~/storage/scene';

/** The open job and what a stage can do with it. */
export interface OpenJobContext {
  readonly job: Design;
  readonly record: JobRecord;
  readonly scene: Scene;
  /** Who works on the house that the job is in. */
  readonly people: readonly Person[];
  /** Carries out commands as one step: all of them, or none. */
  readonly run: (...commands: readonly Command[]) => void;
  readonly setScene: (scene: Scene) => void;
  /** The last change of the design, and the way back from it. */
  readonly undo: { readonly label: string; readonly back: () => Promise<unknown> } | null;
}

/** The last judgement: of the plan on screen, or while `judging` of the one before. */
export interface JudgedContext {
  readonly judged: Judged | null;
  readonly judging: boolean;
}

/*
 * Three, so that each part of a screen is drawn anew only for what it shows: the job as entered changes with the tap,
 * its plan some milliseconds later, what is to be said of that after it.
 */
export const JobContext = createContext<OpenJobContext | null>(null);
export const PlanContext = createContext<PlannedJob | null>(null);
export const JudgedContext = createContext<JudgedContext>({ judged: null, judging: true });

function held<T>(context: T | null): T {
  if (context === null) throw new Error('A stage is drawn outside its job');
  return context;
}

export const useJob = (): OpenJobContext => held(useContext(JobContext));
/** The last plan: of the job on screen, or of the one before its last change. */
export const usePlan = (): PlannedJob => held(useContext(PlanContext));
export const useJudged = (): JudgedContext => useContext(JudgedContext);
