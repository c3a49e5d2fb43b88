import type { Reading, Survey } from '../model/survey';
import { guessesOf, type Guesses, type Weighed } from './guesses';
import { valueMask } from './outcomes';

/** How often a reading is taken wrongly or in the wrong place; weighs guesses, decides nothing. A plausible figure. */
export const WRONG_READING = 0.03;

/** A guess after the readings: how many of them it cannot explain. */
export interface Standing {
  readonly weighed: Weighed;
  readonly against: readonly Reading[];
  /** Share of the belief, all guesses together 1. */
  readonly weight: number;
}

const held = new Map<string, Guesses>();
const HELD = 6;

/** The guesses of what is seen, kept while readings come in. */
export function heldGuesses(survey: Survey): Guesses {
  const key = JSON.stringify({ ...survey, readings: [], name: '' });
  const known = held.get(key);
  if (known) return known;
  const fresh = guessesOf(survey);
  held.set(key, fresh);
  for (const old of [...held.keys()].slice(0, Math.max(held.size - HELD, 0))) held.delete(old);
  return fresh;
}

/** Every guess with the readings that speak against it, most believed first. */
export function weigh(survey: Survey): readonly Standing[] {
  const standings = heldGuesses(survey).all.map((weighed) => {
    const against = survey.readings.filter(
      (reading) =>
        (weighed.model.allows(reading.setup, reading.probe) & valueMask(reading.probe, reading.value)) === 0,
    );
    return { weighed, against, weight: weighed.prior * WRONG_READING ** against.length };
  });
  const total = standings.reduce((sum, { weight }) => sum + weight, 0);
  return standings
    .map((one) => ({ ...one, weight: total > 0 ? one.weight / total : 0 }))
    .sort((a, b) => b.weight - a.weight);
}
