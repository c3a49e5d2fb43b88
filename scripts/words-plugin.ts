import { readFileSync } from 'node:fs';
import path from 'node:path';
import type { Plugin } from 'vite';

const SPEAKS = /import \{ ([^}]*) \} from '[^']*words\/([\w-]+)';/;
const CALL = /(?<!\w|(?<!\.)\.)(say|tell)\(\s*'([\w.]+)'/g;
const VIRTUAL = 'words:';

/** The sentence of a code in a compiled catalog, as the source of a module. */
function moduleOf(root: string, area: string, code: string): string {
  const catalog = readFileSync(`${root}/words/${area}.ts`, 'utf8');
  const line = catalog.split('\n').find((one) => one.startsWith(`  "${code}": (`));
  const body = line?.slice(line.indexOf(' => ') + 4, -1);
  if (body === undefined) throw new Error(`${root}/words/en/${area}.json has no sentence ${code}`);
  const used = ['plural', 'select', 'strictNumber'].filter((name) => body.includes(`${name}(`));
  return [
    ...(used.length > 0 ? [`import { ${used.join(', ')} } from '@messageformat/runtime';`] : []),
    ...(used.includes('plural') ? [`import { en } from '${path.resolve('core/words/speak.ts')}';`] : []),
    `export default (d) => ${body};`,
  ].join('\n');
}

/**
 * In what is built for browsers each sentence is a module of its own, so that it goes where it is said and a page
 * loads no catalog for one sentence of it. In development, in tests and on the command line the catalogs are used whole.
 */
export function words(): Plugin {
  return {
    name: 'words',
    enforce: 'pre',
    apply: 'build',
    resolveId: (id) => (id.startsWith(VIRTUAL) ? `\0${id}` : null),
    load(id) {
      if (!id.startsWith(`\0${VIRTUAL}`)) return null;
      const [root = '', area = '', code = ''] = id.slice(VIRTUAL.length + 1, -'.js'.length).split('/');
      return { code: moduleOf(root, area, code), moduleType: 'js' };
    },
    transform(text, id) {
      const file = path.relative('.', id.split('?')[0] ?? '');
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
