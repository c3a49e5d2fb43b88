import { say } from '~/words/workers';

/** A worker that gives no answer, and why: it was never loaded, or it says nothing. */
export class NoAnswer extends Error {
  constructor(readonly code: 'not loaded' | 'silent') {
    super(code === 'not loaded' ? say('noAnswer.couldNotLoaded') : say('noAnswer.noAnswer'));
  }
}

/** Why there is no answer, in words; never the text of a library. */
export const reasonOf = (error: unknown): string =>
  error instanceof NoAnswer ? error.message : say('noAnswer.faultProgram');
