/** The languages that there are catalogs of. */
export const LANGUAGES = ['en', 'es'] as const;
export type Language = (typeof LANGUAGES)[number];

/** The language in use; a build for another one sets it here (`scripts/build/markers.ts`). */
export const language: Language = 'en';
/** For figures, dates and amounts: the country is the same in each. */
export const locale = `${language}-US`;

/** The address below which the app speaks a language. */
export const addressOf = (one: Language): string => (one === 'en' ? '/' : `/${one}/`);
