import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { afterEach, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { IntlMessageFormat } from 'intl-messageformat';
import ts from 'typescript';
import { compiled, parametersOf } from '../../scripts/words';
import { say as plan } from './makeup';
import { say as find } from './survey';
import { speaker, type Text } from './speak';

const ROOTS = ['core', 'app'] as const;

interface Catalog {
  readonly root: 'core' | 'app';
  readonly area: string;
  readonly json: string;
  readonly sentences: Readonly<Record<string, string>>;
}

const catalogs: readonly Catalog[] = ROOTS.flatMap((root) =>
  readdirSync(`${root}/words/en`).map((file) => {
    const json = readFileSync(`${root}/words/en/${file}`, 'utf8');
    return {
      root,
      area: file.replace('.json', ''),
      json,
      sentences: JSON.parse(json) as Record<string, string>,
    };
  }),
);

function sources(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter((file) => file.isFile() && /\.tsx?$/.test(file.name) && !/\.test\.tsx?$/.test(file.name))
    .map((file) => path.join(file.parentPath, file.name))
    .filter((file) => !/^(core|app)\/(words|testing)\//.test(file));
}

const files = ROOTS.flatMap((root) => sources(root)).map((file) => ({
  file,
  text: readFileSync(file, 'utf8'),
}));

describe('the compiled catalogs', () => {
  test.each(catalogs)('$root/$area is current: run `npm run words`', ({ root, area, json }) => {
    expect(readFileSync(`${root}/words/${area}.ts`, 'utf8')).toBe(compiled(root, area, json));
  });

  test.each(catalogs)(
    '$root/$area says what another ICU library makes of the same sentence',
    async ({ root, area, sentences }) => {
      const { say } = (await import(
        root === 'core' ? `./${area}` : `../../app/words/${area}`
      )) as unknown as {
        say: (code: string, with_: Readonly<Record<string, Text | boolean>>) => string;
      };
      for (const [code, sentence] of Object.entries(sentences)) {
        const reference = new IntlMessageFormat(sentence, 'en');
        const types = [...parametersOf(sentence)];
        const values = types.map(([, type]) => {
          if (type === 'number') return fc.integer({ min: 0, max: 999 });
          if (type === 'boolean') return fc.boolean();
          return type === 'string' ? fc.constantFrom('other', 'cable', 'white', 'low', 'done') : fc.string();
        });
        fc.assert(
          fc.property(fc.tuple(...values), (drawn) => {
            const said = Object.fromEntries(types.map(([name], index) => [name, drawn[index]!]));
            const spelled = Object.fromEntries(
              Object.entries(said).map(([name, value]) => [
                name,
                typeof value === 'boolean' ? String(value) : value,
              ]),
            );
            expect(say(code, said)).toBe(reference.format(spelled));
          }),
          { numRuns: 10 },
        );
      }
    },
  );

  test('a sentence is called by its code, in quotes, so that it is found', () => {
    const unclear = files.flatMap(({ file, text }) =>
      /words\/[\w-]+'/.test(text) && /(?<!\w|(?<!\.)\.)(say|tell)\(\s*[^'\s]/.test(text) ? [file] : [],
    );
    expect(unclear).toEqual([]);
  });

  test.each(catalogs)('every sentence of $root/$area is said somewhere', ({ root, area, sentences }) => {
    const own = files
      .filter(({ text }) => text.includes(`words/${area}'`))
      .map(({ text }) => text)
      .join('\n');
    const from = root === 'app' ? own : files.map(({ text }) => text).join('\n');
    expect(Object.keys(sentences).filter((code) => !from.includes(`'${code}'`))).toEqual([]);
  });
});

/** Not a code, which is a few small words; not a class, a style or a selector. */
const isSentence = (text: string): boolean =>
  /[a-z]+,? [a-z]+ [a-z]{2,}/.test(text) &&
  !/[a-z]-[[\d]|var\(|^Split Tap job file/.test(text) &&
  (/^[A-Z]|[.,:;!?]( |$)/.test(text) || text.split(' ').length > 5);

describe('what is not in the catalog', () => {
  /** Words between tags, and what is read aloud or shown by an attribute. */
  test('no words stand in a screen', () => {
    const found: string[] = [];
    for (const { file, text } of files) {
      if (!file.endsWith('.tsx')) continue;
      const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true, ts.ScriptKind.TSX);
      const look = (node: ts.Node): void => {
        const shown =
          ts.isJsxText(node) ||
          (ts.isStringLiteral(node) &&
            ts.isJsxAttribute(node.parent) &&
            /^(label|title|placeholder|alt|says|hint|heading|aria-label|aria-description)$/.test(
              node.parent.name.getText(source),
            ));
        if (shown && /[A-Za-z]{2}/.test(node.text)) found.push(`${file}: ${node.text.trim()}`);
        ts.forEachChild(node, look);
      };
      look(source);
    }
    expect(found).toEqual([]);
  });

  /** Sentences in a computation. What a developer alone reads (an exception, the schema's own notes) is none. */
  test('no sentence stands in a computation', () => {
    const found: string[] = [];
    for (const { file, text } of files) {
      if (/^core\/jobs\//.test(file) || /theme\.ts$/.test(file)) continue;
      const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
      const look = (node: ts.Node): void => {
        if (
          ts.isImportDeclaration(node) ||
          ts.isTypeNode(node) ||
          ts.isThrowStatement(node) ||
          (ts.isNewExpression(node) && /Error$/.test(node.expression.getText(source))) ||
          (ts.isCallExpression(node) && /(^sure|\.describe)$/.test(node.expression.getText(source))) ||
          (ts.isJsxAttribute(node) && /^(className|d)$/.test(node.name.getText(source)))
        ) {
          if (ts.isCallExpression(node)) ts.forEachChild(node.expression, look);
          return;
        }
        if (
          (ts.isStringLiteralLike(node) ||
            ts.isTemplateHead(node) ||
            ts.isTemplateMiddleOrTemplateTail(node)) &&
          isSentence(node.text)
        )
          found.push(`${file}: ${node.text}`);
        ts.forEachChild(node, look);
      };
      look(source);
    }
    expect(found).toEqual([]);
  });
});

describe('a speaker', () => {
  const { say, tell } = speaker({
    'box.fill': (d: { box: Text; in3: Text }) => `${d.box} holds ${String(d.in3)} in³.`,
    'box.none': () => 'No box.',
  });

  test('says, and tells what it said it of', () => {
    expect(say('box.none')).toBe('No box.');
    expect(tell('box.fill', { box: 'Hall', in3: 18 })).toEqual({
      says: { code: 'box.fill', with: { box: 'Hall', in3: 18 } },
      message: 'Hall holds 18 in³.',
    });
  });

  test('a code or parameter that is not in the catalog does not compile', () => {
    // @ts-expect-error no such code
    expect(() => say('box.full')).toThrow();
    // @ts-expect-error a parameter is missing
    expect(say('box.fill', { box: 'Hall' })).toContain('undefined');
    // @ts-expect-error a parameter is misnamed
    expect(say('box.fill', { box: 'Hall', cubic: 18 })).toContain('undefined');
  });
});

describe('the pseudo-language', () => {
  afterEach(() => {
    Reflect.deleteProperty(globalThis, 'splitTapWords');
  });

  test('accents and lengthens the catalog, never what was put in', () => {
    expect(plan('panel.breaker', { number: 'a6 east' })).toBe('breaker a6 east');
    Reflect.set(globalThis, 'splitTapWords', 'pseudo');
    const said = plan('panel.breaker', { number: 'a6 east' });
    expect(said).toMatch(/^bréákér a6 east~+$/);
    expect(find('words.breakerOff', { breaker: plan('panel.panel') })).not.toMatch(/[aeiou]/);
  });
});
