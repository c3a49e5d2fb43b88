import { weighed, type Belief } from '../diagnose/belief';
import type { Reading, Survey } from '../model/survey';
import { evidenceKey } from './evidence-key';
import { guessesOf, type Guesses, type Weighed } from './guesses';
import { valueMask } from './outcomes';

/** A guess after the readings. */
export interface Standing extends Belief<Reading> {
  readonly weighed: Weighed;
}

const held = new Map<string, Guesses>();
const HELD = 6;

/** The guesses of what is seen, kept while readings come in. */
export function heldGuesses(survey: Survey): Guesses {
  const key = JSON.stringify({ ...survey, readings: [], name: '', proveAll: false, laidOut: null });
  const known = held.get(key);
  if (known) return known;
  const fresh = guessesOf(survey);
  held.set(key, fresh);
  for (const old of [...held.keys()].slice(0, Math.max(held.size - HELD, 0))) held.delete(old);
  return fresh;
}

/** Every guess with the readings that speak against it, most believed first. */
export const weigh = (survey: Survey): readonly Standing[] =>
  weighed(heldGuesses(survey).all, survey.readings, {
    prior: ({ prior }) => prior,
    explains: (guess, { setup, probe, value }) =>
      (guess.allows(setup, probe) & valueMask(probe, value)) !== 0,
    evidence: (reading) => evidenceKey(survey, reading),
  }).map(({ of, ...belief }) => ({ weighed: of, ...belief }));
