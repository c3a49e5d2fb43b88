import { readFileSync } from 'node:fs';
import path from 'node:path';
import type { Plugin } from 'vite';
import type { Language } from '../core/words/language';
import { calledBy, compiledSentences } from './words';

const SPEAKS = /import \{ ((?:say|tell)[^}]*) \} from '[^']*words\/([\w-]+)';/;
const CALL = /(?<!\w|(?<!\.)\.)(say|tell)\(\s*'([\w.]+)'/g;
const VIRTUAL = 'words:';
/** Where the language in use is said. */
const LANGUAGE = 'core/words/language.ts';

const catalogs = new Map<string, ReturnType<typeof compiledSentences>>();
function catalogOf(language: Language, root: string, area: string): ReturnType<typeof compiledSentences> {
  const file = `${root}/words/${language}/${area}.json`;
  const known = catalogs.get(file) ?? compiledSentences(language, file, readFileSync(file, 'utf8'));
  catalogs.set(file, known);
  return known;
}

/** The sentence of a code, as the source of a module. */
function moduleOf(language: Language, root: string, area: string, code: string): string {
  const body = catalogOf(language, root, area).get(code)?.body;
  if (body === undefined) throw new Error(`${root}/words/${language}/${area}.json has no sentence ${code}`);
  const { library, ours } = calledBy(body, language);
  return [
    ...(library.length > 0 ? [`import { ${library.join(', ')} } from '@messageformat/runtime';`] : []),
    ...(ours.length > 0
      ? [`import { ${ours.join(', ')} } from '${path.resolve('core/words/plurals.ts')}';`]
      : []),
    `export default (d) => ${body};`,
  ].join('\n');
}

/**
 * In what is built for browsers each sentence is a module of its own, so that it goes where it is said and a page
 * loads no catalog for one sentence of it. In development, in tests and on the command line the English ones are used whole.
 */
export function words(language: Language): Plugin {
  return {
    name: 'words',
    enforce: 'pre',
    apply: 'build',
    resolveId: (id) => (id.startsWith(VIRTUAL) ? `\0${id}` : null),
    load(id) {
      if (!id.startsWith(`\0${VIRTUAL}`)) return null;
      const [root = '', area = '', code = ''] = id.slice(VIRTUAL.length + 1, -'.js'.length).split('/');
      return { code: moduleOf(language, root, area, code), moduleType: 'js' };
    },
    transform(text, id) {
      const file = path.relative('.', id.split('?')[0] ?? '');
      if (file === LANGUAGE)
        return { code: text.replace(": Language = 'en'", `: Language = '${language}'`), map: null };
      const speaks = /^(core|app)\/(?!words\/).*\.tsx?$/.test(file) ? SPEAKS.exec(text) : null;
      if (!speaks) return null;
      const [whole, names = '', area = ''] = speaks;
      const unclear = /(?<!\w|(?<!\.)\.)(?:say|tell)\(\s*[^'\s]/.exec(text.replace(whole, ''));
      if (unclear) throw new Error(`${file}: a sentence is called by its code, in quotes: ${unclear[0]}`);
      const root = file.split('/')[0] ?? '';
      const said = new Map<string, string>();
      const body = text.replace(CALL, (_, verb: string, code: string) => {
        const name = said.get(code) ?? `sentence${said.size}`;
        said.set(code, name);
        return verb === 'say' ? `say(${name}` : `tell(${name}, '${code}'`;
      });
      const imports = [
        `import { ${names
          .split(', ')
          .map((name) => `${name}Message as ${name}`)
          .join(', ')} } from '${path.resolve('core/words/speak.ts')}';`,
        ...[...said].map(([code, name]) => `import ${name} from '${VIRTUAL}${root}/${area}/${code}.js';`),
      ];
      return { code: body.replace(whole, imports.join(' ')), map: null };
    },
  };
}
