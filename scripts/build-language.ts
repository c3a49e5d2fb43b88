import { LANGUAGES, type Language } from '../core/words/language';

/** The language that is built: `SPLIT_TAP_LANGUAGE`, English where nothing is said. */
export const buildLanguage: Language =
  LANGUAGES.find((one) => one === process.env['SPLIT_TAP_LANGUAGE']) ?? 'en';
