import { reactRouter } from '@react-router/dev/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';
import { addressOf } from './core/words/language';
import { buildLanguage } from './scripts/build-language';
import { words } from './scripts/words-plugin';

export default defineConfig({
  base: addressOf(buildLanguage),
  plugins: [words(buildLanguage), tailwindcss(), reactRouter()],
  resolve: {
    tsconfigPaths: true,
    // What the PDF library loads for HTML pages, which are not put into packets.
    alias: Object.fromEntries(
      ['html2canvas', 'canvg', 'dompurify'].map((name) => [
        name,
        new URL('./app/packet/not-used.ts', import.meta.url).pathname,
      ]),
    ),
  },
  worker: { format: 'es', plugins: () => [words(buildLanguage)] },
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
});
