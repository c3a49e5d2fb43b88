import { reactRouter } from '@react-router/dev/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [tailwindcss(), reactRouter()],
  resolve: { tsconfigPaths: true },
  worker: { format: 'es' },
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
