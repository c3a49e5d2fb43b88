import { readFileSync } from 'node:fs';
import { addressOf, type Language } from '../../core/base/words/language';
import { calledBy, compiledSentences, WORDS, type WordsRoot } from '../words';

/*
 * The app is built once. Where languages differ the build leaves marks: the address it lies below, the language in use,
 * and each sentence by its catalog, code and a hash of what it says in every language (so that the name of a file, which
 * is made of its content, changes with the sentence). `inLanguage` puts a language in their place.
 */

/** Stands for the address below which the app of a language lies. */
export const BASE_MARK = '/_split-tap_/';
export const LANGUAGE_MARK = '__splitTapLanguage';
export const SENTENCE_MARK = '__splitTapSentence';

const SENTENCE = new RegExp(
  `${SENTENCE_MARK}\\(["'\`](core|app)/([\\w-]+)/([\\w.]+)#\\w+["'\`](?:,\\s*([\\w$]+))?\\)`,
  'g',
);

const catalogs = new Map<string, ReturnType<typeof compiledSentences>>();
/** The file of a catalog. */
const fileOf = (language: Language, root = '', area = ''): string =>
  `${WORDS[root as WordsRoot]}/${language}/${area}.json`;

function catalogOf(language: Language, file: string): ReturnType<typeof compiledSentences> {
  const known = catalogs.get(file) ?? compiledSentences(language, file, readFileSync(file, 'utf8'));
  catalogs.set(file, known);
  return known;
}

/** A sentence as the source of a function of its parameters; `runtime` names the object of what it may call. */
function functionOf(language: Language, [root, area, code]: readonly string[], runtime?: string): string {
  const file = fileOf(language, root, area);
  const body = catalogOf(language, file).get(code ?? '')?.body;
  if (body === undefined) throw new Error(`${file} has no sentence ${code}`);
  // Without the air between its parts; what stands in quotes stays as it is.
  const short = body
    .replace(/^'' \+ (?=")/, '')
    .replace(/"(?:[^"\\]|\\.)*"|\s*[+,:{}()?=]\s*/g, (part) => (part.startsWith('"') ? part : part.trim()));
  const { library, ours } = calledBy(body, language);
  const called = [...library, ...ours];
  if (called.length === 0) return `(${/\bd\./.test(short) ? 'd' : '()'}=>${short})`;
  if (!runtime) throw new Error(`${root}/${area}/${code}: ${called.join(', ')} is not at hand`);
  return `(({${called.join(',')}})=>d=>${short})(${runtime})`;
}

/** A built text (script, style, page) with a language in the place of its marks. */
export const inLanguage = (text: string, language: Language): string =>
  text
    .replace(SENTENCE, (_, root: string, area: string, code: string, runtime?: string) =>
      functionOf(language, [root, area, code], runtime),
    )
    .replaceAll(LANGUAGE_MARK, JSON.stringify(language))
    .replaceAll(BASE_MARK, addressOf(language));
