// After the build: writes the app shell and a service worker that answers with it when there is no network.
import { writeFileSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import { resolve } from 'node:path';
import { createRequestHandler } from 'react-router';
import { generateSW } from 'workbox-build';

const build = await import(pathToFileURL(resolve('build/server/index.js')).href);
const shellBuild = { ...build, ssr: false, prerender: [] };
const answer = await createRequestHandler(shellBuild, 'production')(new Request('http://localhost/'));
const shell = await answer.text();
if (!answer.ok || !shell.includes('"isSpaMode":true')) {
  throw new Error(`The app shell did not come out as one (status ${answer.status})`);
}
writeFileSync('build/client/app-shell.html', shell);

const { count, size, warnings } = await generateSW({
  globDirectory: 'build/client',
  globPatterns: ['**/*.{js,css,woff2,svg,webmanifest,html}'],
  swDest: 'build/client/sw.js',
  inlineWorkboxRuntime: true,
  sourcemap: false,
  maximumFileSizeToCacheInBytes: 4 * 1024 * 1024,
  // A new version waits until it is asked for: nothing changes in the middle of the work.
  skipWaiting: false,
  clientsClaim: true,
  runtimeCaching: [
    {
      urlPattern: ({ request }) => request.mode === 'navigate',
      handler: 'NetworkOnly',
      options: { precacheFallback: { fallbackURL: '/app-shell.html' } },
    },
  ],
});
for (const warning of warnings) console.warn(warning);
console.log(`offline: ${count} files, ${(size / 1e6).toFixed(1)} MB`);
