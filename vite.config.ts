import { cpSync } from 'node:fs';
import { reactRouter } from '@react-router/dev/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig, type Plugin } from 'vite';
import { BASE_MARK, LANGUAGE_MARK, SENTENCE_MARK } from './scripts/build/markers';
import { chunkGroups, chunks } from './scripts/build/chunks';
import { lean } from './scripts/build/lean';
import { noJsonSchema } from './scripts/build/json-schema';
import { shape } from './scripts/build/shape';
import { words } from './scripts/build/words-plugin';

/**
 * The framework renders pages as soon as it is built, and then removes its server. Languages come later: it renders them
 * without words, and the server is kept for `scripts/build/pages`, which renders them again in each language.
 */
const keepServer = (): Plugin => ({
  name: 'keep-server',
  enforce: 'pre',
  apply: 'build',
  applyToEnvironment: ({ name }) => name === 'ssr',
  writeBundle: {
    order: 'pre',
    handler({ dir }) {
      if (dir) cpSync(dir, 'build/marked/kept-server', { recursive: true });
      Object.assign(globalThis, { [LANGUAGE_MARK]: 'en', [SENTENCE_MARK]: () => () => '' });
    },
  },
});

/** Packages that draw: they are given the small library too, wherever pages are rendered. */
const DRAW = [/^react-router/, /radix-ui/, /^lucide-react/, /^cmdk/, /^@tanstack/];

const EVERYWHERE = /\/(page|root|shell|rolldown-runtime)-[^/]*$/;

export default defineConfig(({ command }) => ({
  base: command === 'build' ? BASE_MARK : '/',
  plugins: [words(), noJsonSchema(), shape(), keepServer(), lean(), chunks(), tailwindcss(), reactRouter()],
  build: {
    reportCompressedSize: false,
    chunkSizeWarningLimit: 2000,
    // What every page has is not asked for again with each of its parts.
    modulePreload: {
      resolveDependencies: (_, needed) => needed.filter((file) => !EVERYWHERE.test(file)),
    },
  },
  environments: {
    client: {
      build: {
        rolldownOptions: {
          output: {
            codeSplitting: { groups: chunkGroups },
          },
        },
      },
    },
  },
  resolve: {
    tsconfigPaths: true,
    // What the PDF library loads for HTML pages and PNG pictures, which are not put into packets.
    alias: [
      ...['html2canvas', 'canvg', 'dompurify', 'fast-png'].map((name) => ({
        find: name,
        replacement: new URL('./app/packet/not-used.ts', import.meta.url).pathname,
      })),
      // What draws (docs/decisions/light.md).
      { find: /^react-dom\/client$/, replacement: 'preact/compat/client' },
      { find: /^react-dom\/server$/, replacement: 'preact/compat/server' },
      { find: /^react(-dom)?$/, replacement: 'preact/compat' },
      { find: /^react\/jsx-(dev-)?runtime$/, replacement: 'preact/jsx-runtime' },
    ],
  },
  ssr: { noExternal: [...DRAW] },
  worker: { format: 'es', plugins: () => [words(), noJsonSchema()] },
  optimizeDeps: {
    include: [
      'comlink',
      'dexie',
      'immer',
      'lucide-react',
      'radix-ui',
      'zod',
      'd3-hierarchy',
      'recharts',
      '@tanstack/react-table',
    ],
  },
}));
