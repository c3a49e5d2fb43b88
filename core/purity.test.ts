import { spawnSync } from 'node:child_process';
import { copyFileSync, mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { delimiter, join, resolve } from 'node:path';
import { expect, test } from '@jest/globals';

const REFUSED: readonly (readonly [string, string])[] = [
  ["import { useState } from 'react';\nexport { useState };", 'no-restricted-imports'],
  ["import Dexie from 'dexie';\nexport { Dexie };", 'no-restricted-imports'],
  ["import { readFileSync } from 'node:fs';\nexport { readFileSync };", 'no-restricted-imports'],
  ["import { derive } from '~/derived';\nexport { derive };", 'no-restricted-imports'],
  ["import { jobs } from '../app/storage/jobs';\nexport { jobs };", 'no-restricted-imports'],
  ['export const title = document.title;', 'no-restricted-globals'],
  ['export const now = localStorage;', 'no-restricted-globals'],
];

/** What the project's lint says of these modules if they stood in a folder of core/, module by module. */
function linted(sources: readonly string[], place = 'core'): readonly (readonly string[])[] {
  const folder = mkdtempSync(join(tmpdir(), 'purity-'));
  try {
    copyFileSync('.oxlintrc.json', join(folder, '.oxlintrc.json'));
    mkdirSync(join(folder, place), { recursive: true });
    sources.forEach((source, index) => writeFileSync(join(folder, place, `${index}.ts`), source));
    const { stdout } = spawnSync(
      process.execPath,
      [resolve('node_modules/oxlint/bin/oxlint'), '-f', 'json'],
      {
        cwd: folder,
        encoding: 'utf8',
        // Where it finds its other half, however the tests were started.
        env: { ...process.env, PATH: [resolve('node_modules/.bin'), process.env['PATH']].join(delimiter) },
      },
    );
    const { diagnostics } = JSON.parse(stdout) as { diagnostics: { filename: string; code: string }[] };
    return sources.map((_, index) =>
      diagnostics.filter(({ filename }) => filename === `${place}/${index}.ts`).map(({ code }) => code),
    );
  } finally {
    rmSync(folder, { recursive: true });
  }
}

/** The lint rule that keeps core/ free of screens, stores and the operating system must really bite. */
test('core refuses screens, stores, the operating system, and lets other modules pass', () => {
  const said = linted([...REFUSED.map(([source]) => source), 'export const one = 1;']);
  expect(said).toEqual([...REFUSED.map(([, rule]) => [`eslint(${rule})`]), []]);
});

/** Districts in their order: each stands on itself and those before it. */
const DISTRICTS = readdirSync('core', { withFileTypes: true })
  .filter((entry) => entry.isDirectory() && entry.name !== 'testing')
  .map(({ name }) => name);
const ORDER = ['base', 'trade', 'job', 'wiring', 'power', 'code', 'site', 'choices', 'handover'];

test('every district of core stands on those before it, and on no other', () => {
  expect([...DISTRICTS].sort()).toEqual([...ORDER].sort());
  for (const [index, district] of ORDER.entries()) {
    const others = ORDER.filter((one) => one !== district);
    const said = linted(
      others.map((other) => `import { one } from '../../${other}/folder/file';\nexport { one };`),
      `core/${district}/folder`,
    );
    expect(said).toEqual(
      others.map((other) => (ORDER.indexOf(other) < index ? [] : ['eslint(no-restricted-imports)'])),
    );
  }
});
