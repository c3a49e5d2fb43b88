import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import { generateSW } from 'workbox-build';
import { addressOf, LANGUAGES, type Language } from '../core/words/language';

const FALLBACK = '__spa-fallback.html';
/** Scripts in the pages are known once they are built: only they and the files of this origin may run. */
const INLINE = /<script(?![^>]*\ssrc=)[^>]*>([\s\S]*?)<\/script>/g;
const hashOf = (text: string): string => `'sha256-${createHash('sha256').update(text).digest('base64')}'`;
const policyOf = (hashes: Iterable<string>): string =>
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

const filesIn = (folder: string): string[] =>
  readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => join(entry.parentPath, entry.name));

/** The content security policy of every page below a folder. */
export function protect(folder: string): void {
  const all = new Set<string>();
  for (const page of filesIn(folder).filter((file) => file.endsWith('.html'))) {
    const html = readFileSync(page, 'utf8');
    const own = new Set([...html.matchAll(INLINE)].map(([, script = '']) => hashOf(script)));
    for (const hash of own) all.add(hash);
    const meta = `<meta http-equiv="Content-Security-Policy" content="${policyOf(own)}"/>`;
    writeFileSync(page, html.replace('<meta charSet="utf-8"/>', `<meta charSet="utf-8"/>${meta}`));
  }
  writeFileSync('build/headers.json', `${JSON.stringify({ policy: policyOf(all) }, null, 2)}\n`);
}

/** The manifest of an installed app that speaks a language: it starts, and is given files, at its own address. */
export function writeManifest(folder: string, language: Language): void {
  const file = `${folder}/manifest.webmanifest`;
  const at = addressOf(language);
  const text = readFileSync(file, 'utf8').replace(/"\/([\w./]*)"/g, `"${at}$1"`);
  writeFileSync(file, text.replace('{', `{\n  "id": "${at}",\n  "lang": "${language}-US",`));
}

/** The worker that keeps the app of a language for use without a network. */
export async function writeWorker(folder: string, language: Language): Promise<void> {
  const at = addressOf(language);
  const others = LANGUAGES.filter((one) => one !== language && addressOf(one).startsWith(at));
  const { count, size, warnings } = await generateSW({
    globDirectory: folder,
    globPatterns: ['**/*.{js,css,woff2,ttf,svg,webmanifest,html}'],
    globIgnores: others.map((one) => `${one}/**`),
    swDest: `${folder}/sw.js`,
    inlineWorkboxRuntime: true,
    sourcemap: false,
    // The pages answer from here at once; what is new is fetched in the background and waits until it is asked for.
    navigateFallback: `${at}${FALLBACK}`,
    navigateFallbackDenylist: others.map((one) => new RegExp(`^${addressOf(one)}`)),
    directoryIndex: 'index.html',
    skipWaiting: false,
    clientsClaim: true,
    // What is shared to the installed app is taken in before anything else.
    importScripts: [`${at}share.js`],
  });
  for (const warning of warnings) console.warn(warning);
  console.log(`offline, ${language}: ${count} files, ${(size / 1e6).toFixed(1)} MB`);
}

/** Compressed copies of all that is text. */
export function compress(folder: string): void {
  for (const file of filesIn(folder)) {
    if (!/\.(js|css|html|svg|webmanifest|json|txt)$/.test(file)) continue;
    const raw = readFileSync(file);
    writeFileSync(`${file}.br`, brotliCompressSync(raw));
    writeFileSync(`${file}.gz`, gzipSync(raw, { level: 9 }));
  }
}

/** What only pre-rendering needed. */
export function dropServerCode(folder: string): void {
  for (const name of readdirSync(`${folder}/assets`))
    if (name.startsWith('server-build')) rmSync(`${folder}/assets/${name}`);
}
