import { reactRouter } from '@react-router/dev/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';
import { words } from './scripts/words-plugin';

export default defineConfig({
  plugins: [words(), tailwindcss(), reactRouter()],
  resolve: { tsconfigPaths: true },
  worker: { format: 'es', plugins: () => [words()] },
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
