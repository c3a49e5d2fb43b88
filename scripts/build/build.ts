import { spawnSync } from 'node:child_process';
import { cpSync, existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { transformSync } from 'esbuild';
import { addressOf, LANGUAGES, type Language } from '../../core/base/words/language';
import { chunkNames } from './chunks';
import { compress } from './compress';
import { filesIn, isText } from './files';
import { inputsOf } from './inputs';
import { inLanguage } from './markers';
import { writeWorker } from './offline';
import { policyOf, writePages } from './pages';

/* Builds the app once, puts each language into its own copy (English at the root, others below their code), renders its
   pages, lists what is kept without a network, and compresses. `--if-changed` does nothing when the last build is of the
   same files. */

const MARKED = 'build/marked';
const CLIENT = 'build/client';
const INPUTS = 'build/inputs';
const ALL = 5;
let step = 0;
const started = performance.now();
const say = (line: string): void => console.log(`  ${++step}/${ALL}  ${line}`);

const inputs = inputsOf();
if (process.argv.includes('--if-changed') && existsSync(INPUTS) && readFileSync(INPUTS, 'utf8') === inputs) {
  console.log('Nothing has changed since the last build.');
  process.exit(0);
}
console.log('Building ...');
rmSync('build', { recursive: true, force: true });

/** Runs another program; what it prints is shown only when it fails. */
function run(program: string, ...args: string[]): void {
  const { status, stdout, stderr } = spawnSync(process.execPath, [program, ...args], { encoding: 'utf8' });
  if (status === 0) return;
  console.error(`${stdout}${stderr}`);
  throw new Error(`${path.basename(program)} ${args.join(' ')} failed`);
}

/** What every first visit loads packs better as it is; the list of routes is JSON, and is read as such by what weighs the pages. */
const AS_IT_IS = new RegExp(
  `/(${[...chunkNames, 'entry', 'root', 'shell', 'route', 'manifest'].join('|')})\\b[^/]*$`,
);

/** A script once more as short as it goes, where that is shorter: with its words in place there is more to fold. */
function shorter(file: string, text: string): string {
  if (!file.endsWith('.js') || !file.startsWith(`${MARKED}/client`) || AS_IT_IS.test(file)) return text;
  const options = {
    minify: true,
    format: 'esm',
    target: 'es2022',
    charset: 'utf8',
    legalComments: 'none',
  } as const;
  const { code } = transformSync(text, options);
  return code.length < text.length ? code : text;
}

/**
 * The framework tells a page's style from that of a part which is loaded later by a mark at the end of its address; here
 * both are one, always there, and under two addresses it would be worked out for the whole page twice.
 */
const styleOnce = (text: string): string => text.replace(/\.css#(?=["'`])/g, '.css');

/** A copy of a built folder in a language. */
function copy(from: string, to: string, language: Language): void {
  // The pages that the framework made stand there without words; the style of its server build is the pages' own twice.
  const own = filesIn(from).filter((one) => !/\.html$|\/server-build-[^/]*\.css$/.test(one));
  for (const file of own) {
    const target = path.join(to, path.relative(from, file));
    mkdirSync(path.dirname(target), { recursive: true });
    if (isText(file))
      writeFileSync(target, shorter(file, styleOnce(inLanguage(readFileSync(file, 'utf8'), language))));
    else cpSync(file, target);
  }
}

/** The manifest of an installed app that speaks a language: it starts, and is given files, at its own address. */
function writeManifest(folder: string, language: Language): void {
  const at = addressOf(language);
  const file = `${folder}/manifest.webmanifest`;
  const text = readFileSync(file, 'utf8').replace(/"\/([\w./]*)"/g, `"${at}$1"`);
  writeFileSync(file, text.replace('{', `{\n  "id": "${at}",\n  "lang": "${language}-US",`));
}

say('the app, once for all languages');
run('node_modules/@react-router/dev/bin.js', 'build');

say(`its pages and scripts in ${LANGUAGES.length} languages`);
const hashes = new Set<string>();
const folderOf = (language: Language): string => path.join(CLIENT, addressOf(language));
for (const language of LANGUAGES) {
  copy(`${MARKED}/client`, folderOf(language), language);
  copy(`${MARKED}/kept-server`, `${MARKED}/${language}`, language);
  for (const hash of await writePages(`${MARKED}/${language}`, folderOf(language), language))
    hashes.add(hash);
  writeManifest(folderOf(language), language);
  // The part of the PDF reader that is loaded by its name.
  cpSync(
    'node_modules/pdfjs-dist/wasm/openjpeg_nowasm_fallback.js',
    `${folderOf(language)}/pdf/openjpeg_nowasm_fallback.js`,
  );
}
writeFileSync('build/headers.json', `${JSON.stringify({ policy: policyOf(hashes) }, null, 2)}\n`);
rmSync(MARKED, { recursive: true });

say('what is kept for use without a network');
for (const language of LANGUAGES) {
  const { files, bytes } = writeWorker(folderOf(language), language);
  console.log(`       ${language}: ${files} files, ${(bytes / 1e6).toFixed(1)} MB`);
}

say('compressed copies');
const compressed = await compress(CLIENT);

writeFileSync(INPUTS, inputs);
say(`built: ${compressed} files compressed, ${((performance.now() - started) / 1000).toFixed(0)} s in all`);
