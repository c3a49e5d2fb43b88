import { language } from './language';

const both = new Intl.ListFormat(language, { type: 'conjunction' });
const either = new Intl.ListFormat(language, { type: 'disjunction' });

/** "a", "a and b", "a, b, and c" in the language in use. */
export const andList = (items: readonly string[]): string => both.format(items);
/** "a", "a or b", "a, b, or c" in the language in use. */
export const orList = (items: readonly string[]): string => either.format(items);
