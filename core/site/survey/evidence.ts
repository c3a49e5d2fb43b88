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
  const explain = survey.readings.map(explaining);
  const explained = wide.all.some((guess) => explain.every((explains) => explains(guess)));
  return explained ? weighedOf(survey, wide) : plain;
}

/** True where a use may be none that Find knows: cables with four insulated conductors. */
export const unknownUses = ({ boxes }: Survey): boolean =>
  boxes.some(({ cables }) => cables.some(({ type }) => cableRow(type).insulated.length > 3));

/** A load of this size may open a breaker that others load too, or a GFCI ahead: that speaks against nothing. */
const LOADING: ReadonlySet<Probe['with']> = new Set<Probe['with']>(['drop', 'panel clamp', 'feed clamp']);

const explaining = ({ setup, probe, value }: Reading): ((guess: Weighed) => boolean) => {
  if (LOADING.has(probe.with) && value.is === 'tripped') return () => true;
  const shown = valueMask(probe, value);
  return ({ allows }) => (allows(setup, probe) & shown) !== 0;
};

/** What each reading that was held against guesses says of every one of them; asked once for each. */
const told = new WeakMap<Guesses, Map<string, Uint8Array>>();

/** Of every guess, in their order: 1 where it allows the reading. */
function explainedBy(guesses: Guesses, reading: Reading): Uint8Array {
  const own = told.get(guesses) ?? new Map<string, Uint8Array>();
  told.set(guesses, own);
  const key = JSON.stringify([reading.setup, reading.probe, reading.value]);
  const known = own.get(key);
  if (known) return known;
  const explains = explaining(reading);
  const fresh = Uint8Array.from(guesses.all, (guess) => Number(explains(guess)));
  own.set(key, fresh);
  return fresh;
}

const weighedOf = (survey: Survey, guesses: Guesses): readonly Standing[] =>
  weighed(guesses.all, survey.readings, {
    prior: ({ prior }) => prior,
    explains: (reading) => {
      const explained = explainedBy(guesses, reading);
      return (_, at) => explained[at] === 1;
    },
    evidence: (reading) => evidenceKey(survey, reading),
  }).map(({ of, ...belief }) => ({ weighed: of, ...belief }));
