import { createHash } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { addressOf, LANGUAGES, type Language } from '../../core/base/words/language';
import { filesIn } from './files';
import { FALLBACK } from './pages';

/** Names of built files hold their content already; of all others a mark of it goes along. */
const HELD = /^assets\//;

/**
 * What is not kept: what stands in for storage where a browser has none (`app/storage/opened.ts`), and the reader of PDF files,
 * which is as large as the rest (`app/routes/plan/pdf-pages.ts` says so where it is not there).
 */
const NOT_KEPT = /^(assets\/(memory|pdf-pages|pdf\.worker)|pdf\/)/;

/** The worker that keeps the app of a language for use without a network, with the list of what it keeps. */
export function writeWorker(folder: string, language: Language): { files: number; bytes: number } {
  const at = addressOf(language);
  const others = LANGUAGES.filter((one) => one !== language && addressOf(one).startsWith(at));
  let bytes = 0;
  const keep = filesIn(folder)
    .map((file) => path.relative(folder, file))
    .filter((file) => /\.(js|css|woff2|ttf|svg|webmanifest|html)$/.test(file) && file !== 'sw.js')
    // Pages of the demo are for who was never here; what is looked up or played is drawn by the program, which is here then.
    .filter((file) => !/^(job|new|tables|drills)\//.test(file))
    .filter((file) => !NOT_KEPT.test(file))
    .filter((file) => !others.some((one) => file.startsWith(`${one}/`)))
    .sort()
    .map((file) => {
      const content = readFileSync(`${folder}/${file}`);
      bytes += content.length;
      const mark = HELD.test(file) ? '' : createHash('sha256').update(content).digest('hex').slice(0, 8);
      // A page is asked for by its own address.
      return { at: at + file.replace(/(^|\/)index\.html$/, '$1'), mark };
    });
  const kept = {
    at,
    language,
    others: others.map(addressOf),
    fallback: `${at}${FALLBACK}`,
    // The pages first: the rest is taken in while nothing else is done.
    files: [...keep.filter(({ mark }) => mark !== ''), ...keep.filter(({ mark }) => mark === '')],
  };
  const worker = readFileSync('scripts/build/offline-worker.js', 'utf8');
  writeFileSync(`${folder}/sw.js`, `const KEPT = ${JSON.stringify(kept)};\n${worker}`);
  return { files: keep.length, bytes };
}
