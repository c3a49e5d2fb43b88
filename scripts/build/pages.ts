import { createHash } from 'node:crypto';
import { mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { createRequestHandler, type ServerBuild } from 'react-router';
import { DEMO_LIST } from '../../core/handover/jobs/demo-list';
import { chunkNames } from './chunks';
import { addressOf, type Language } from '../../core/base/words/language';

export const FALLBACK = '__spa-fallback.html';
/** Scripts in the pages are known once they are built: only they and the files of this origin may run. */
const INLINE = /<script(?![^>]*\ssrc=)[^>]*>([\s\S]*?)<\/script>/g;
const DEMO = DEMO_LIST.map(({ id }) => `/job/${id}/lay-out`);
/** Where a page has its policy. */
const POLICY = '<meta http-equiv="Content-Security-Policy" content/>';
/** Who reads a page as a robot does is given it whole, and not in parts that scripts put together. */
const WHOLE = { 'User-Agent': 'robot' };
const hashOf = (text: string): string => `'sha256-${createHash('sha256').update(text).digest('base64')}'`;

/** The script of a page that brings its parts of the program. */
const STARTS = /(<script[^>]* type="module"[^>]*>)([\s\S]*?)(<\/script>)/;
const BROUGHT = new RegExp(`rel="modulepreload" href="([^"]*/(?:${chunkNames.join('|')})-[^"/]*)"`, 'g');

/**
 * A page with its parts of the program read one after the other, and room between them for what the hand does: named as the
 * framework names them they are read in one go, and a phone stands still for as long.
 */
function inTurn(html: string): string {
  const known = [...html.matchAll(BROUGHT)].map(([, file = '']) => file);
  const files = chunkNames.flatMap((name) => known.filter((file) => file.includes(`/${name}-`)));
  return html.replace(STARTS, (_, open: string, script: string, close: string) => {
    const named = script
      .replace(/^import \* as (\w+) from (".*?");/gm, 'const $1 = await import($2);')
      .replace(/^import (".*?");/gm, 'await import($1);');
    return `${open}for (const part of ${JSON.stringify(files)}) {
  await import(part);
  await new Promise((then) => setTimeout(then));
}
${named}${close}`;
  });
}

/** The content security policy that allows scripts of these hashes. */
export const policyOf = (hashes: Iterable<string>): string =>
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

/**
 * Renders the pages that are the same for everyone, and the one that any other address starts from, in a language, with
 * their policy. Gives the hashes of the scripts that stand in them.
 * @param server the folder of the server build in that language
 * @throws where a page answers with another status than 200
 */
export async function writePages(server: string, client: string, language: Language): Promise<string[]> {
  const built = (await import(pathToFileURL(path.resolve(server, 'index.js')).href)) as ServerBuild;
  // What a first visit finds of the demo is drawn here alone: it takes words, and the framework's own build has only marks.
  const build = { ...built, prerender: [...built.prerender, ...DEMO] };
  // How the framework's server knows that it is asked at build, and gives the page without a route.
  process.env['IS_RR_BUILD_REQUEST'] = 'yes';
  const answer = createRequestHandler(build, 'production');
  const all: string[] = [];
  const write = async (address: string, file: string, headers: Record<string, string> = {}) => {
    const response = await answer(
      new Request(`http://localhost${addressOf(language)}${address}`, { headers: { ...WHOLE, ...headers } }),
    );
    if (response.status !== 200) throw new Error(`${language}, /${address}: status ${response.status}`);
    const html = inTurn(await response.text());
    if (!html.includes(POLICY)) throw new Error(`${language}, /${address}: there is no place for its policy`);
    const own = [...new Set([...html.matchAll(INLINE)].map(([, script = '']) => hashOf(script)))];
    all.push(...own);
    mkdirSync(path.dirname(`${client}/${file}`), { recursive: true });
    writeFileSync(`${client}/${file}`, html.replace(POLICY, POLICY.replace('/>', `="${policyOf(own)}"/>`)));
  };
  for (const page of build.prerender) {
    const address = page.replace(/^\//, '');
    await write(address === '' ? '' : `${address}/`, path.join(address, 'index.html'));
  }
  await write('', FALLBACK, { 'X-React-Router-SPA-Mode': 'yes' });
  return all;
}
