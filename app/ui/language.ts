import { addressOf, language, LANGUAGES, type Language } from '@core/base/words/language';
import { keep } from './kept-here';

/* The language of this device, and of one page: each is an app of its own below its address, over the same store. */

/** What the languages call themselves. */
export const LANGUAGE_NAME: Readonly<Record<Language, string>> = { en: 'English', es: 'Español' };

/** In the address of a page that is to stay in its language, whatever the device speaks: a sheet for somebody else. */
const STAYS = 'in';

/** The same page in another language; `stays` where it is asked for that page alone. */
export function pageIn(one: Language, stays = false): string {
  const { origin, pathname, search, hash } = window.location;
  const asked = new URLSearchParams(search);
  asked.delete(STAYS);
  if (stays) asked.set(STAYS, one);
  const query = asked.size > 0 ? `?${asked}` : '';
  // With the origin in front: a path that begins with two slashes would be another site's.
  return `${origin}${addressOf(one)}${pathname.slice(addressOf(language).length)}${query}${hash}`;
}

/** The device speaks a language from now on. False where that language is not here, and there is no network to fetch it. */
export async function setLanguage(one: Language): Promise<boolean> {
  if (one !== language && !navigator.onLine && !(await isKept(one))) return false;
  keep('language', one);
  if (one !== language) window.location.assign(pageIn(one));
  return true;
}

/** True where the app in a language is kept for use without a network (`scripts/build/offline-worker.js`). */
const isKept = async (one: Language): Promise<boolean> =>
  'caches' in window && (await caches.keys()).includes(`kept ${addressOf(one)}`);

/**
 * Runs before anything is shown: a page opens in the language that was chosen on this device; where none was, what was
 * asked for without one opens in the language of the browser.
 */
export const languageScript = `
try {
  var at = ${JSON.stringify(Object.fromEntries(LANGUAGES.map((one) => [one, addressOf(one)])))};
  var own = '${language}';
  var asked = localStorage.getItem('language') || (own === 'en' ? navigator.language.slice(0, 2) : own);
  var other = Object.hasOwn(at, asked) && asked !== own && !new URLSearchParams(location.search).has('${STAYS}');
  if (other) location.replace(
    location.origin + at[asked] + location.pathname.slice(at[own].length) + location.search + location.hash);
} catch (_) {}
`;
