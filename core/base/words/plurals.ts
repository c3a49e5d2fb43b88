/*
 * The plural forms of the languages, as the compiled catalogs ask for them. English and Spanish both tell one from all else;
 * Spanish "many" begins at a million, which no sentence here counts to. (Source of the rules: the plural rules of the Unicode
 * CLDR, against which the platform's own are held in the tests; those take long to make.)
 */

const form = (figure: number | string): 'one' | 'other' => (Number(figure) === 1 ? 'one' : 'other');

/** The plural form of a figure in English. */
export const en = form;

/** The plural form of a figure in Spanish. */
export const es = form;
