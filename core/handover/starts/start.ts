import type { DesignCommand } from '../../job/commands/command';
import type { TypicalId } from '../../job/seen/typical';
import type { StartAnswers } from './job-from';

/** One thing that is asked before a job is made: each answer is what it does to the job. */
export interface Question {
  readonly id: string;
  readonly label: string;
  /** The first is taken unless another is chosen. */
  readonly answers: readonly {
    readonly id: string;
    readonly label: string;
    readonly commands: readonly DesignCommand[];
  }[];
}

/**
 * A starting point: a blank job and the commands that make of it what is wanted. It can do nothing that a user cannot
 * do in Lay out and Find.
 */
export interface Start {
  readonly id: string;
  readonly name: string;
  /** When to take it, in a line. */
  readonly says: string;
  /** What is taken for granted until it is said otherwise. */
  readonly given: readonly string[];
  readonly commands: readonly DesignCommand[];
  readonly questions: readonly Question[];
  /** How many circuits it has; the second one shares a cable with the first. */
  readonly circuits: 1 | 2;
  readonly breakerA: 15 | 20;
  /** The box that is opened in Find, as it is mostly found; null where nothing is entered of it. */
  readonly opened?: TypicalId | null;
  /** The stage it opens. */
  readonly opens: 'make-up' | 'find' | 'test' | 'lay-out';
}

/** The answers that are given unless others are chosen. */
export const startDefaults = ({ name, breakerA, circuits, questions }: Start): StartAnswers => ({
  name,
  breakerA,
  circuits: circuits === 2 ? ['1', '3'] : ['1'],
  answers: Object.fromEntries(questions.map(({ id, answers }) => [id, answers[0]?.id ?? ''])),
});
