import type { Config } from '@react-router/dev/config';
import { BASE_MARK } from './scripts/build/markers';

/** No server code at run time: what is the same for everyone is pre-rendered, a job is the static fallback. */
export default {
  ssr: false,
  basename: process.argv.includes('build') ? BASE_MARK : '/',
  buildDirectory: 'build/marked',
  prerender: ['/', '/new', '/tables', '/drills'],
  routeDiscovery: { mode: 'initial' },
  future: {
    v8_middleware: true,
    v8_splitRouteModules: true,
    v8_viteEnvironmentApi: true,
  },
} satisfies Config;
