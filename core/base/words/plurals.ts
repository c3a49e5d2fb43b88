/* The plural forms of the languages, as the compiled catalogs ask for them. */

const english = new Intl.PluralRules('en');
const spanish = new Intl.PluralRules('es');

/** The plural form of a figure in English. */
export const en = (figure: number | string): 'one' | 'other' =>
  english.select(Number(figure)) === 'one' ? 'one' : 'other';

/** The plural form of a figure in Spanish; "many" begins at a million, which no sentence here counts to. */
export const es = (figure: number | string): 'one' | 'other' =>
  spanish.select(Number(figure)) === 'one' ? 'one' : 'other';
