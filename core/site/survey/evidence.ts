import { weighed, type Belief } from '../diagnose/belief';
import { cableRow } from '../../trade/standards/cables';
import type { Probe, Reading, Survey } from '../../job/model/survey';
import { evidenceKey } from './evidence-key';
import { guessesOf, type Guesses, type Weighed } from './guesses';
import { valueMask } from '../../job/seen/outcomes';

/** A guess after the readings. */
export interface Standing extends Belief<Reading> {
  readonly weighed: Weighed;
}

const held = new Map<string, Guesses>();
const HELD = 6;

/** The guesses of what is seen, kept while readings come in; `widest` where nothing plainer explains what was read. */
export function heldGuesses(survey: Survey, widest = false): Guesses {
  const seen = JSON.stringify({ ...survey, readings: [], name: '', proveAll: false, laidOut: null });
  const key = widest ? `${seen} widest` : seen;
  const known = held.get(key);
  if (known) return known;
  const fresh = guessesOf(survey, widest);
  held.set(key, fresh);
  for (const old of [...held.keys()].slice(0, Math.max(held.size - HELD, 0))) held.delete(old);
  return fresh;
}

/**
 * Every guess with the readings that speak against it, most believed first. Before a reading is blamed, what was left out as
 * too odd comes back: it is taken where it explains them all.
 */
export function weigh(survey: Survey): readonly Standing[] {
  const plain = weighedOf(survey, heldGuesses(survey));
  if (survey.readings.length === 0 || plain.some(({ against }) => against.length === 0)) return plain;
  const wide = heldGuesses(survey, true);
  // Most fall at their first reading: only where one explains them all is each held against all.
  const explained = wide.all.some((guess) => survey.readings.every((reading) => explains(guess, reading)));
  return explained ? weighedOf(survey, wide) : plain;
}

/** True where a use may be none that Find knows: cables with four insulated conductors. */
export const unknownUses = ({ boxes }: Survey): boolean =>
  boxes.some(({ cables }) => cables.some(({ type }) => cableRow(type).insulated.length > 3));

/** A load of this size may open a breaker that others load too, or a GFCI ahead: that speaks against nothing. */
const LOADING: ReadonlySet<Probe['with']> = new Set<Probe['with']>(['drop', 'panel clamp', 'feed clamp']);

const explains = (guess: Weighed, { setup, probe, value }: Reading): boolean =>
  (LOADING.has(probe.with) && value.is === 'tripped') ||
  (guess.allows(setup, probe) & valueMask(probe, value)) !== 0;

const weighedOf = (survey: Survey, { all }: Guesses): readonly Standing[] =>
  weighed(all, survey.readings, {
    prior: ({ prior }) => prior,
    explains,
    evidence: (reading) => evidenceKey(survey, reading),
  }).map(({ of, ...belief }) => ({ weighed: of, ...belief }));
