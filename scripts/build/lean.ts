import path from 'node:path';
import type { Plugin } from 'vite';

/**
 * Packages whose own index leads to what is for developers or for old browsers, and which ship what is neither beside it: the
 * router without its warnings, the store in the language of today.
 */
const LEAN: Readonly<Record<string, string>> = {
  'react-router': 'react-router/dist/production/index.mjs',
  'react-router/dom': 'react-router/dist/production/dom-export.mjs',
  dexie: 'dexie/dist/modern/dexie.mjs',
};

/** What a chart of amperes and hours of a day never asks for: calendars, colors between two, figures by their locale. Of them the names alone are there. */
const NAMES_ALONE = new Set(['d3-time', 'd3-time-format', 'd3-color', 'd3-format']);
const NAMES = '\0names:';

/** Where the schema library says in English what is wrong; a page says it in its own words (`core/job/model/job-file.ts`). */
const TEXTS = /zod\/v4\/locales\/en\.js$/;

/** What the browser is given of them; pages are rendered by the ones that their index names. */
export const lean = (): Plugin => ({
  name: 'lean',
  enforce: 'pre',
  apply: 'build',
  applyToEnvironment: ({ name }) => name === 'client',
  resolveId: (id) =>
    LEAN[id] ? path.resolve('node_modules', LEAN[id]) : NAMES_ALONE.has(id) ? NAMES + id : null,
  async load(id) {
    if (TEXTS.test(id)) return 'export default () => ({ localeError: () => undefined });';
    if (!id.startsWith(NAMES)) return null;
    const names = Object.keys((await import(id.slice(NAMES.length))) as object);
    return names.map((name) => `export const ${name} = undefined;`).join('\n');
  },
});
