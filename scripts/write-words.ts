import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { compiled, WORDS, type WordsRoot } from './words';

/** Compiles every catalog (`core/base/words/en/*.json`, `app/words/en/*.json`) beside its folder: `npm run words`. */
for (const root of Object.keys(WORDS) as WordsRoot[]) {
  const folder = `${WORDS[root]}/en`;
  for (const file of readdirSync(folder)) {
    const area = file.replace(/\.json$/, '');
    writeFileSync(
      `${WORDS[root]}/${area}.ts`,
      compiled(root, area, readFileSync(`${folder}/${file}`, 'utf8')),
    );
  }
}
