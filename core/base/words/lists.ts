import { language } from './language';

/** Slow to make: made for the first list of several. */
const lister = (type: 'conjunction' | 'disjunction') => {
  let made: Intl.ListFormat | undefined;
  return (items: readonly string[]): string =>
    items.length > 1 ? (made ??= new Intl.ListFormat(language, { type })).format(items) : (items[0] ?? '');
};

/** "a", "a and b", "a, b, and c" in the language in use. */
export const andList = lister('conjunction');
/** "a", "a or b", "a, b, or c" in the language in use. */
export const orList = lister('disjunction');
