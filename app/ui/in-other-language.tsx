import { language, LANGUAGES } from '@core/base/words/language';
import { LANGUAGE_NAME, pageIn } from './language';

/** The page in the other languages, for whoever the sheet is for: the device goes on speaking its own. */
export function InOtherLanguage() {
  return LANGUAGES.filter((one) => one !== language).map((one) => (
    <a key={one} href={pageIn(one, true)} lang={one} hrefLang={one} className="button print:hidden">
      {LANGUAGE_NAME[one]}
    </a>
  ));
}
