import { say } from '~/words/workers';

/** A worker that gives no answer, and why: it was never loaded, or it says nothing. */
export class NoAnswer extends Error {
  constructor(readonly code: 'not loaded' | 'silent') {
    super(code === 'not loaded' ? say('noAnswer.couldNotLoaded') : say('noAnswer.noAnswer'));
  }
}

/** Why there is no answer, in words; the text of a library goes to the console alone. */
export function reasonOf(error: unknown): string {
  if (error instanceof NoAnswer) return error.message;
  console.error(error);
  return say('noAnswer.faultProgram');
}
