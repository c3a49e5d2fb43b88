import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import type { Plugin } from 'vite';
import { filesIn } from './files';

/** What the schemas of a job are made of. */
const SCHEMAS = ['core/job/model', 'core/trade/devices', 'core/trade/standards'];
const SEALED = 'app/storage/sealed.ts';

/** Sets the shape of the data that is stored: another one wherever a schema may be another. */
export const shape = (): Plugin => ({
  name: 'shape',
  enforce: 'pre',
  transform(text, id) {
    if (path.relative('.', id.split('?')[0] ?? '') !== SEALED) return null;
    const hash = createHash('sha256');
    for (const file of SCHEMAS.flatMap(filesIn).sort()) hash.update(file).update(readFileSync(file));
    return {
      code: text.replace("SHAPE = 'source'", `SHAPE = '${hash.digest('hex').slice(0, 12)}'`),
      map: null,
    };
  },
});
