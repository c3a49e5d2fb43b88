import { createHash } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';
import type { Plugin } from 'vite';
import { LANGUAGES } from '../../core/base/words/language';
import { WORDS, type WordsRoot } from '../words';
import { LANGUAGE_MARK, SENTENCE_MARK } from './markers';

const SPEAKS = /import \{ ((?:say|tell)[^}]*) \} from '[^']*words\/([\w-]+)';/;
const CALL = /(?<!\w|(?<!\.)\.)(say|tell)\(\s*'([\w.]+)'/g;
/** A plural, a choice or a figure: what its sentence calls is handed to it. */
const CALLS_RUNTIME = /\{\s*\w+\s*,/;
/** Where the language in use is said. */
const LANGUAGE = 'core/base/words/language.ts';

const catalogs = new Map<string, readonly Readonly<Record<string, string>>[]>();
/** A catalog in every language. */
function catalogOf(root: WordsRoot, area: string) {
  const known =
    catalogs.get(`${root}/${area}`) ??
    LANGUAGES.map((language) => `${WORDS[root]}/${language}/${area}.json`)
      .filter((file) => existsSync(file))
      .map((file) => JSON.parse(readFileSync(file, 'utf8')) as Record<string, string>);
  catalogs.set(`${root}/${area}`, known);
  return known;
}

/** The mark of a sentence: which it is, and a hash of what it says. */
function markOf(root: WordsRoot, area: string, code: string): string {
  const says = catalogOf(root, area).map((catalog) => catalog[code] ?? '');
  const hash = createHash('sha256').update(says.join('\n')).digest('hex').slice(0, 8);
  const runtime = says.some((text) => CALLS_RUNTIME.test(text)) ? ', runtime' : '';
  return `${SENTENCE_MARK}('${root}/${area}/${code}#${hash}'${runtime})`;
}

/**
 * In what is built for browsers each sentence stands where it is said, so that a page loads no catalog for one sentence
 * of it. In development, in tests and on the command line the English catalogs are used whole.
 */
export const words = (): Plugin => ({
  name: 'words',
  enforce: 'pre',
  apply: 'build',
  transform(text, id) {
    const file = path.relative('.', id.split('?')[0] ?? '');
    if (file === LANGUAGE)
      return { code: text.replace(": Language = 'en'", ` = ${LANGUAGE_MARK} as Language`), map: null };
    const speaks =
      /^(core|app)\/.*\.tsx?$/.test(file) && !Object.values(WORDS).includes(path.dirname(file) as never)
        ? SPEAKS.exec(text)
        : null;
    if (!speaks) return null;
    const [whole, names = '', area = ''] = speaks;
    const unclear = /(?<!\w|(?<!\.)\.)(?:say|tell)\(\s*[^'\s]/.exec(text.replace(whole, ''));
    if (unclear) throw new Error(`${file}: a sentence is called by its code, in quotes: ${unclear[0]}`);
    const root: WordsRoot = file.startsWith('core/') ? 'core' : 'app';
    const said = new Map<string, string>();
    const body = text.replace(CALL, (_, verb: string, code: string) => {
      const name = said.get(code) ?? `sentence${said.size}`;
      said.set(code, name);
      return verb === 'say' ? `say(${name}` : `tell(${name}, '${code}'`;
    });
    const sentences = [...said].map(
      ([code, name]) => `const ${name} = /* @__PURE__ */ ${markOf(root, area, code)};`,
    );
    const spoken = names
      .split(', ')
      .map((name) => `${name}Message as ${name}`)
      .join(', ');
    const imports = [
      `import { ${spoken} } from '${path.resolve('core/base/words/speak.ts')}';`,
      ...(sentences.some((one) => one.includes(', runtime'))
        ? [`import { runtime } from '${path.resolve('core/base/words/runtime.ts')}';`]
        : []),
    ];
    return { code: body.replace(whole, [...imports, ...sentences].join(' ')), map: null };
  },
});
