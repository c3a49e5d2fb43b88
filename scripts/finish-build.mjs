// After the build: the content security policy of every page, compressed copies, the service worker.
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import { generateSW } from 'workbox-build';

const CLIENT = 'build/client';
const FALLBACK = '__spa-fallback.html';
// What only pre-rendering needed.
for (const name of readdirSync(`${CLIENT}/assets`))
  if (name.startsWith('server-build')) rmSync(`${CLIENT}/assets/${name}`);
const files = readdirSync(CLIENT, { recursive: true, withFileTypes: true })
  .filter((entry) => entry.isFile())
  .map((entry) => join(entry.parentPath, entry.name));

// Scripts in the pages are known now: only they and the files of this origin may run.
const INLINE = /<script(?![^>]*\ssrc=)[^>]*>([\s\S]*?)<\/script>/g;
const pages = files.filter((file) => file.endsWith('.html'));
const hashOf = (text) => `'sha256-${createHash('sha256').update(text).digest('base64')}'`;
const policyOf = (hashes) =>
  [
    "default-src 'self'",
    `script-src 'self' ${[...hashes].join(' ')}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self'",
    "object-src 'none'",
    "base-uri 'self'",
    "form-action 'self'",
  ].join('; ');
const all = new Set();
for (const page of pages) {
  const html = readFileSync(page, 'utf8');
  const own = new Set([...html.matchAll(INLINE)].map(([, script]) => hashOf(script)));
  for (const hash of own) all.add(hash);
  const meta = `<meta http-equiv="Content-Security-Policy" content="${policyOf(own)}"/>`;
  writeFileSync(page, html.replace('<meta charSet="utf-8"/>', `<meta charSet="utf-8"/>${meta}`));
}
writeFileSync('build/headers.json', `${JSON.stringify({ policy: policyOf(all) }, null, 2)}\n`);

const { count, size, warnings } = await generateSW({
  globDirectory: CLIENT,
  globPatterns: ['**/*.{js,css,woff2,ttf,svg,webmanifest,html}'],
  swDest: `${CLIENT}/sw.js`,
  inlineWorkboxRuntime: true,
  sourcemap: false,
  // The pages answer from here at once; what is new is fetched in the background and waits until it is asked for.
  navigateFallback: `/${FALLBACK}`,
  directoryIndex: 'index.html',
  skipWaiting: false,
  clientsClaim: true,
  // What is shared to the installed app is taken in before anything else.
  importScripts: ['/share.js'],
});
for (const warning of warnings) console.warn(warning);
console.log(`offline: ${count} files, ${(size / 1e6).toFixed(1)} MB`);

for (const file of [...files, `${CLIENT}/sw.js`]) {
  if (!/\.(js|css|html|svg|webmanifest|json|txt)$/.test(file)) continue;
  const raw = readFileSync(file);
  writeFileSync(`${file}.br`, brotliCompressSync(raw));
  writeFileSync(`${file}.gz`, gzipSync(raw, { level: 9 }));
}
rmSync('build/server', { recursive: true, force: true });
