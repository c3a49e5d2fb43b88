import { expect, test } from '@jest/globals';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { deviceKind, WIRED_KINDS, WISH_KINDS } from '.';
import { SWITCHES } from './switches';

/*
 * Nobody outside this folder asks for a device kind by its name where a property of the kind is meant: a new kind must
 * be right everywhere by being a file here. Tables by kind (prices, lists of what may be chosen) and jobs that name
 * the kind of a device are data, not questions; plan symbols are not kinds.
 */
const KINDS = [...new Set<string>([...WISH_KINDS, ...SWITCHES.map(({ id }) => id)])];
const QUESTION = new RegExp(
  `(?:kind|kind\\.id|\\.id)\\s*(?:===|!==)\\s*'(?:${KINDS.join('|')})'|'(?:${KINDS.join('|')})'\\s*(?:===|!==)|case '(?:${KINDS.join('|')})':|(?:endsWith|startsWith|includes)\\('(?:${KINDS.join('|')})'`,
);

/** A word that is a kind of device and of something else too: what a breaker or a device protects against. */
const ELSEWHERE =
  /sees = |radios\.includes|kind === 'gfci' \|\| kind === 'dual'|kind === 'afci' \|\| kind === 'dual'|kind !== 'afci' && kind !== 'dual'/;

function* sources(folder: string): Generator<string> {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) yield* sources(path);
    else if (/\.tsx?$/.test(entry.name) && !/\.test\.tsx?$/.test(entry.name)) yield path;
  }
}

test('no code outside core/trade/devices asks for a kind by name', () => {
  const found = ['core', 'app', 'cli'].flatMap((root) =>
    [...sources(root)]
      .filter((path) => !/core\/(trade\/devices|testing|handover\/jobs)\/|app\/drawing\/symbols/.test(path))
      .flatMap((path) =>
        readFileSync(path, 'utf8')
          .split('\n')
          .flatMap((line, index) =>
            QUESTION.test(line) && !ELSEWHERE.test(line) ? [`${path}:${index + 1}: ${line.trim()}`] : [],
          ),
      ),
  );
  expect(found).toEqual([]);
});

test('the question would be found', () => {
  expect(QUESTION.test("if (device.kind === 'duplex') return;")).toBe(true);
  expect(QUESTION.test("case 'luminaire':")).toBe(true);
  expect(QUESTION.test('if (deviceKind(device.kind).halves) return;')).toBe(false);
});

test('only what sits on a yoke counts as one (314.16(B)(4), from memory)', () => {
  const hung = WIRED_KINDS.filter(
    (kind) => !deviceKind(kind).yoke && !SWITCHES.some(({ id }) => id === kind),
  );
  expect([...hung].sort()).toEqual(['exhaust-fan', 'fan-light', 'luminaire', 'radio-receiver']);
});
