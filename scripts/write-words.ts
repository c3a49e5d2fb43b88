import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { compiled } from './words';

/** Compiles every catalog (`core/words/en/*.json`, `app/words/en/*.json`) beside its folder: `npm run words`. */
for (const root of ['core', 'app'] as const) {
  const folder = `${root}/words/en`;
  for (const file of readdirSync(folder)) {
    const area = file.replace(/\.json$/, '');
    writeFileSync(
      `${root}/words/${area}.ts`,
      compiled(root, area, readFileSync(`${folder}/${file}`, 'utf8')),
    );
  }
}
