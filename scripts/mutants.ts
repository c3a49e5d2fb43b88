/*
 * Which draws find a mistake: `npx tsx scripts/mutants.ts <suite> <sources…> [--count N] [--seed S] [--law NAME]` makes N small mistakes in
 * the sources, one at a time, and tells for each the least share of a suite's random cases that finds it (`DRAWS_SHARE`,
 * `core/testing/draws.ts`). It works in a copy of the checkout, so that a mistake never stands in the real one.
 */
import { spawnSync } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import ts from 'typescript';
import { dice, oneOf } from '../core/base/dice';

/** A mistake that never ends is found, too, ms. */
const LONGEST_MS = 600_000;
const SHARES = [0.1, 0.3, 1];
const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: {
    count: { type: 'string', default: '10' },
    seed: { type: 'string', default: '1' },
    law: { type: 'string', default: '' },
  },
});
const [suite, ...sources] = positionals;
if (!suite || sources.length === 0) {
  console.error('usage: npx tsx scripts/mutants.ts <suite> <sources…> [--count N] [--seed S] [--law NAME]');
  process.exit(2);
}

/** Signs that are mistaken for one another. */
const SWAPS: Readonly<Record<string, string>> = {
  '===': '!==',
  '!==': '===',
  '<': '<=',
  '<=': '<',
  '>': '>=',
  '>=': '>',
  '&&': '||',
  '||': '&&',
  '+': '-',
  '-': '+',
  '*': '/',
  '/': '*',
};
const METHODS: Readonly<Record<string, string>> = { some: 'every', every: 'some', min: 'max', max: 'min' };

type Change = readonly [from: number, to: number, instead: string];
interface Place {
  readonly file: string;
  readonly text: string;
  readonly place: Change;
}

/** Every place of a file where one sign, word or figure can be another: `[from, to, instead]`. */
function places(file: string): Place[] {
  const text = readFileSync(file, 'utf8');
  const tree = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const found: Change[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isTypeNode(node) || ts.isInterfaceDeclaration(node) || ts.isImportDeclaration(node)) return;
    if (ts.isBinaryExpression(node)) {
      const swap = SWAPS[node.operatorToken.getText()];
      if (swap) found.push([node.operatorToken.getStart(), node.operatorToken.end, swap]);
    }
    if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.ExclamationToken)
      found.push([node.getStart(), node.operand.getStart(), '']);
    if (ts.isNumericLiteral(node)) found.push([node.getStart(), node.end, `${Number(node.text) + 1}`]);
    if (node.kind === ts.SyntaxKind.TrueKeyword) found.push([node.getStart(), node.end, 'false']);
    if (node.kind === ts.SyntaxKind.FalseKeyword) found.push([node.getStart(), node.end, 'true']);
    if (ts.isPropertyAccessExpression(node)) {
      const method = METHODS[node.name.text];
      if (method) found.push([node.name.getStart(), node.name.end, method]);
    }
    if (ts.isConditionalExpression(node))
      found.push([node.condition.getStart(), node.condition.end, `!(${node.condition.getText()})`]);
    ts.forEachChild(node, visit);
  };
  visit(tree);
  return found.map((place) => ({ file, text, place }));
}

const random = dice(Number(values.seed));

const root = resolve(import.meta.dirname, '..');
const copy = mkdtempSync(join(tmpdir(), 'mutants-'));
const left = new Set<string | undefined>(['node_modules', '.git', 'build', 'test-results', '.react-router']);
cpSync(root, copy, {
  recursive: true,
  filter: (from) => !left.has(from.slice(root.length + 1).split('/')[0]),
});
symlinkSync(join(root, 'node_modules'), join(copy, 'node_modules'));
process.on('exit', () => rmSync(copy, { recursive: true, force: true }));

interface Report {
  readonly testResults: readonly {
    readonly assertionResults: readonly { readonly status: string; readonly title: string }[];
  }[];
}

/** The laws of the suite that fail with a share of its draws. */
function failing(share: number): readonly string[] {
  const run = spawnSync(
    process.execPath,
    [
      '--experimental-vm-modules',
      'node_modules/jest/bin/jest.js',
      suite ?? '',
      '-t',
      values.law,
      '--silent',
      '--json',
      '--outputFile',
      join(copy, 'out.json'),
    ],
    {
      cwd: copy,
      env: { ...process.env, DRAWS_SHARE: `${share}`, FIRST_ONLY: '1' },
      stdio: 'ignore',
      timeout: LONGEST_MS,
      killSignal: 'SIGKILL',
    },
  );
  if (run.signal !== null) return ['(no end)'];
  if (run.status === 0) return [];
  const { testResults } = JSON.parse(readFileSync(join(copy, 'out.json'), 'utf8')) as Report;
  const laws = testResults.flatMap(({ assertionResults }) =>
    assertionResults.filter(({ status }) => status === 'failed').map(({ title }) => title),
  );
  return laws.length > 0 ? laws : ['(the suite did not start)'];
}

// A share that fails without any mistake finds none.
const shares = SHARES.filter((share) => failing(share).length === 0);
console.log(`${suite}: shares ${shares.join(', ')}`);
const all = sources.flatMap(places);
const met = new Set<string>();
for (let index = 0; index < Number(values.count); index++) {
  const drawn = oneOf(all, random);
  if (!drawn) break;
  const { file, text, place } = drawn;
  const [from, to, instead] = place;
  if (met.has(`${file}${from}`)) continue;
  met.add(`${file}${from}`);
  writeFileSync(join(copy, file), text.slice(0, from) + instead + text.slice(to));
  const line = text.slice(0, from).split('\n').length;
  let told = 'never';
  for (const share of shares) {
    const laws = failing(share);
    if (laws.length === 0) continue;
    told = `${share}: ${laws.map((law) => law.slice(0, 50)).join(' | ')}`;
    break;
  }
  console.log(
    `${file}:${line} ${JSON.stringify(text.slice(from, to).slice(0, 30))} → ${JSON.stringify(instead.slice(0, 30))}: ${told}`,
  );
  writeFileSync(join(copy, file), text);
}
