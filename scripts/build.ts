import { execFileSync } from 'node:child_process';
import { cpSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { LANGUAGES } from '../core/words/language';
import { compress, dropServerCode, protect, writeManifest, writeWorker } from './finish-build';

const CLIENT = 'build/client';
rmSync('build', { recursive: true, force: true });

// The app is built once for each language: English at the root, any other one below its code.
for (const language of LANGUAGES) {
  execFileSync('node_modules/.bin/react-router', ['build'], {
    stdio: 'inherit',
    env: { ...process.env, SPLIT_TAP_LANGUAGE: language },
  });
  if (language === 'en') continue;
  const built = `build/${language}/client`;
  const at = `${CLIENT}/${language}`;
  // Its pages are pre-rendered below its address already; what they load is put beside them.
  renameSync(`${built}/${language}`, at);
  for (const name of readdirSync(built)) cpSync(`${built}/${name}`, `${at}/${name}`, { recursive: true });
  rmSync(`build/${language}`, { recursive: true });
}
rmSync('build/server', { recursive: true, force: true });

protect(CLIENT);
for (const language of LANGUAGES) {
  const at = language === 'en' ? CLIENT : `${CLIENT}/${language}`;
  dropServerCode(at);
  writeManifest(at, language);
  await writeWorker(at, language);
}
compress(CLIENT);
