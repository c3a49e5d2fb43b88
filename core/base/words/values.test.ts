import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { expect, test } from '@jest/globals';
import ts from 'typescript';
import { WORDS } from '../../../scripts/words';

/*
 * What the types know of every text that is shown. A text that can only be one of a few literals ("behind appliance",
 * "sound") is a value of the program's own lists and not a sentence of a catalog: it would stand on the screen as it is
 * stored, in English whatever is spoken.
 */

const options = ts.getParsedCommandLineOfConfigFile('tsconfig.json', { noEmit: true }, {
  ...ts.sys,
  onUnRecoverableConfigFileDiagnostic: ({ messageText }) => {
    throw new Error(ts.flattenDiagnosticMessageText(messageText, ' '));
  },
} satisfies ts.ParseConfigFileHost)!;
const program = ts.createProgram(
  options.fileNames.filter(
    (file) => /\/(core|app|\.react-router)\//.test(file) && !/\.test\.|\/testing\//.test(file),
  ),
  options.options,
);
const checker = program.getTypeChecker();

const sources = program.getSourceFiles().flatMap((source) => {
  const file = path.relative('.', source.fileName);
  return /^(core|app)\//.test(file) && !/\.test\.|\/(words|testing|jobs)\//.test(file)
    ? [{ file, source }]
    : [];
});

/** The words that a type allows, where it allows no other: a gauge, a cable type or a letter is a name, not a word. */
function words(type: ts.Type): string[] {
  const parts = type.isUnion() ? type.types : [type];
  return parts.flatMap((part) => (part.isStringLiteral() && /[a-z]{2}/.test(part.value) ? [part.value] : []));
}
/** Of an expression, and of each of the ways that it can turn out. */
function wordsAt(node: ts.Node): string[] {
  if (ts.isParenthesizedExpression(node)) return wordsAt(node.expression);
  if (ts.isConditionalExpression(node)) return [...wordsAt(node.whenTrue), ...wordsAt(node.whenFalse)];
  if (ts.isBinaryExpression(node) && /^(\?\?|\|\|)$/.test(node.operatorToken.getText()))
    return [...wordsAt(node.left), ...wordsAt(node.right)];
  return words(checker.getTypeAtLocation(node));
}

/** What a sentence is told of: an argument where words may stand, not one that chooses between forms of the sentence. */
function toldRaw(call: ts.CallExpression): [ts.Node, string[]][] {
  const said = call.arguments[1];
  if (!said || !ts.isObjectLiteralExpression(said)) return [];
  const wanted = checker.getContextualType(said);
  return said.properties.flatMap((property): [ts.Node, string[]][] => {
    const symbol = wanted?.getProperty(property.name?.getText() ?? '');
    const takes = symbol && checker.typeToString(checker.getTypeOfSymbolAtLocation(symbol, call));
    if (takes !== 'Text') return [];
    if (ts.isShorthandPropertyAssignment(property)) {
      const value = checker.getShorthandAssignmentValueSymbol(property);
      return value ? [[property, words(checker.getTypeOfSymbolAtLocation(value, property))]] : [];
    }
    return ts.isPropertyAssignment(property) ? [[property, wordsAt(property.initializer)]] : [];
  });
}

const SHOWN_BY = /^(label|title|placeholder|alt|says|hint|heading|aria-label|legend|message|wayOut)$/;

/** Texts that are shown, with the words that their types allow alone. */
function shown(node: ts.Node): [ts.Node, string[]][] {
  if (ts.isCallExpression(node) && /^(say|tell)$/.test(node.expression.getText())) return toldRaw(node);
  if (ts.isJsxExpression(node) && node.expression && !ts.isJsxAttribute(node.parent))
    return [[node, wordsAt(node.expression)]];
  if (ts.isJsxAttribute(node) && SHOWN_BY.test(node.name.getText()) && node.initializer) {
    const value = ts.isJsxExpression(node.initializer) ? node.initializer.expression : undefined;
    return value ? [[node, wordsAt(value)]] : [];
  }
  if (ts.isPropertyAssignment(node) && SHOWN_BY.test(node.name.getText()))
    return [[node, wordsAt(node.initializer)]];
  return [];
}

/** Where a value of the file is named on purpose, and what is no text for people. */
const NAMED_ON_PURPOSE = [
  // Messages for a bad file name what has to stand in it.
  /^core\/job\/model\/(references|survey-references|file|job-file|house-file)\.ts/,
  /^core\/handover\/files\/workshop\.ts/,
  /^core\/code\/brief\/lines-csv\.ts.*read\.column/,
  /^core\/handover\/interchange\/json-schema\.ts/,
  // The syntax of an order in a plan, as the file writes it, and the names of the demo jobs.
  /^app\/routes\/brief\/plan-lines\.tsx.*S3/,
  /^app\/routes\/drills\/route\.tsx.*label: name/,
];

test('no value of a list is shown as it is stored', () => {
  const found: string[] = [];
  for (const { file, source } of sources) {
    const look = (node: ts.Node): void => {
      for (const [at, values] of shown(node)) {
        const where = `${file}: ${at.getText().replace(/\s+/g, ' ').slice(0, 70)}`;
        if (values.length > 0 && !NAMED_ON_PURPOSE.some((one) => one.test(where)))
          found.push(`${where} = ${values.slice(0, 4).join(' | ')}`);
      }
      ts.forEachChild(node, look);
    };
    look(source);
  }
  expect(found).toEqual([]);
});

test('nothing is decided by the words of a sentence', () => {
  const sentences = new Set(
    Object.values(WORDS).flatMap((root) =>
      readdirSync(`${root}/en`).flatMap((name) =>
        Object.values(JSON.parse(readFileSync(`${root}/en/${name}`, 'utf8')) as Record<string, string>),
      ),
    ),
  );
  const found: string[] = [];
  for (const { file, source } of sources) {
    const look = (node: ts.Node): void => {
      if (ts.isBinaryExpression(node) && /^[!=]==$/.test(node.operatorToken.getText()))
        for (const [literal, other] of [
          [node.left, node.right],
          [node.right, node.left],
        ] as const)
          if (
            ts.isStringLiteral(literal) &&
            sentences.has(literal.text) &&
            // What is called so is said; what is one of a list is compared as such.
            /(^|\.)(says|title|label|words|message|way|name|missing)$/.test(other.getText()) &&
            checker.typeToString(checker.getTypeAtLocation(other)) === 'string'
          )
            found.push(`${file}: ${node.getText()}`);
      ts.forEachChild(node, look);
    };
    look(source);
  }
  expect(found).toEqual([]);
});

test('no style asks for the words of an element', () => {
  expect(readFileSync('app/app.css', 'utf8')).not.toMatch(/\[(aria-label|title|alt|placeholder)[~|^$*]?=/);
});
