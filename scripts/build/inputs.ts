import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { filesIn } from './files';

/** What a build is made of. */
const FOLDERS = ['app', 'core', 'public', 'scripts/build'];
const FILES = [
  'package-lock.json',
  'tsconfig.json',
  'vite.config.ts',
  'react-router.config.ts',
  'scripts/words.ts',
];

/** A mark of all that a build is made of: the same as long as none of it has changed. */
export function inputsOf(): string {
  const hash = createHash('sha256').update(process.version);
  const built = FOLDERS.flatMap(filesIn).filter((file) => !/\.test\.tsx?$/.test(file));
  for (const file of [...FILES, ...built].sort()) hash.update(file).update(readFileSync(file));
  return hash.digest('hex');
}
