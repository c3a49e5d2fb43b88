import type { Config } from '@react-router/dev/config';
import { addressOf } from './core/words/language';
import { buildLanguage } from './scripts/build-language';

/** No server code at run time: what is the same for everyone is pre-rendered, a job is the static fallback. */
export default {
  ssr: false,
  basename: addressOf(buildLanguage),
  buildDirectory: buildLanguage === 'en' ? 'build' : `build/${buildLanguage}`,
  prerender: ['/', '/new', '/tables', '/drills'],
  routeDiscovery: { mode: 'initial' },
  future: {
    v8_middleware: true,
    v8_splitRouteModules: true,
    v8_viteEnvironmentApi: true,
  },
} satisfies Config;
