import type { Plugin } from 'vite';

/** Where the schema library writes JSON Schema, which no page does: a tenth of what it would ship. */
const WRITERS = /zod\/v4\/core\/(json-schema-processors|to-json-schema)\.js$/;
/** Where the writing begins in them; what stands before it (the bounds of a schema) is asked for by others. */
const BEGINS = /^(const formatMap|export function initializeContext)\b/m;

/** Leaves the writers of JSON Schema out: their names stay, and say so if they are ever called. */
export const noJsonSchema = (): Plugin => ({
  name: 'no-json-schema',
  enforce: 'pre',
  transform(text, id) {
    const begins = WRITERS.test(id.split('?')[0] ?? '') ? text.search(BEGINS) : -1;
    if (begins < 0) return null;
    const [before, writing] = [text.slice(0, begins), text.slice(begins)];
    const names = [...writing.matchAll(/^export (?:const|function) (\w+)/gm)].map(([, name]) => name);
    const renamed = [...writing.matchAll(/^export \{ (\w+ as \w+) \};$/gm)].map(([, both]) => both);
    return {
      code: [
        before,
        "const none = () => { throw new Error('No page writes JSON Schema'); };",
        // What each schema is given on its way, to be called when it is asked for.
        'const later = () => none;',
        ...names.map((name) => `export const ${name} = ${/^create/.test(name ?? '') ? 'later' : 'none'};`),
        ...renamed.map((both) => `export { ${both} };`),
      ].join('\n'),
      map: null,
    };
  },
});
