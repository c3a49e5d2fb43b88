import { expect, test } from '@jest/globals';
import { ESLint } from 'eslint';

/** The lint rule that keeps core/ free of screens, stores and the operating system must really bite. */
test.each([
  ["import { useState } from 'react';\nexport { useState };", 'no-restricted-imports'],
  ["import Dexie from 'dexie';\nexport { Dexie };", 'no-restricted-imports'],
  ["import { readFileSync } from 'node:fs';\nexport { readFileSync };", 'no-restricted-imports'],
  ["import { derive } from '~/derived';\nexport { derive };", 'no-restricted-imports'],
  ["import { jobs } from '../app/storage/jobs';\nexport { jobs };", 'no-restricted-imports'],
  ['export const title = document.title;', 'no-restricted-globals'],
  ['export const now = localStorage;', 'no-restricted-globals'],
])('core refuses: %s', async (code, rule) => {
  const [result] = await new ESLint().lintText(code, { filePath: 'core/group-by.ts' });
  expect(result!.messages.map(({ ruleId }) => ruleId)).toContain(rule);
});
