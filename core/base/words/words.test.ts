import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { compileFunction } from 'node:vm';
import { afterEach, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { IntlMessageFormat } from 'intl-messageformat';
import ts from 'typescript';
import { parse, type Token } from '@messageformat/parser';
import { plural, select, strictNumber } from '@messageformat/runtime';
import { compiled, compiledSentences, parametersOf, WORDS, type WordsRoot } from '../../../scripts/words';
import { say as plan } from './makeup';
import { say as find } from './survey';
import { es } from './plurals';
import { speaker, type Text } from './speak';

const ROOTS = Object.keys(WORDS) as WordsRoot[];

interface Catalog {
  readonly root: WordsRoot;
  readonly area: string;
  readonly json: string;
  readonly sentences: Readonly<Record<string, string>>;
}

const catalogs: readonly Catalog[] = ROOTS.flatMap((root) =>
  readdirSync(`${WORDS[root]}/en`).map((file) => {
    const json = readFileSync(`${WORDS[root]}/en/${file}`, 'utf8');
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
    .filter((file) => !/^(core\/base|core|app)\/(words|testing)\//.test(file));
}

const files = ROOTS.flatMap((root) => sources(root)).map((file) => ({
  file,
  text: readFileSync(file, 'utf8'),
}));

type Said = Readonly<Record<string, Text | boolean>>;

/** Any values for the parameters of a sentence. */
const drawnFor = (types: readonly (readonly [name: string, type: string])[]): fc.Arbitrary<Said> =>
  fc.record(
    Object.fromEntries(
      types.map(([name, type]): [string, fc.Arbitrary<Text | boolean>] => [
        name,
        type === 'number'
          ? fc.integer({ min: 0, max: 999 })
          : type === 'boolean'
            ? fc.boolean()
            : type === 'string'
              ? fc.constantFrom('other', 'cable', 'white', 'low', 'done')
              : fc.string(),
      ]),
    ),
  );

/** What the other library takes: words where ours takes true or false. */
const spelledOut = (said: Said): Record<string, Text> =>
  Object.fromEntries(
    Object.entries(said).map(([name, value]) => [name, typeof value === 'boolean' ? String(value) : value]),
  );

/** A compiled sentence, run as the build runs it. */
const sentenceOf = (body: string): ((said: Said) => string) => {
  const say = compileFunction(`return ${body};`, ['plural', 'select', 'strictNumber', 'es', 'd']) as (
    ...given: readonly unknown[]
  ) => string;
  return (said) => say(plural, select, strictNumber, es, said);
};

/** The words of a sentence, whatever is put in and however it is chosen. */
const wordsIn = (tokens: readonly Token[]): string =>
  tokens
    .map((token) =>
      token.type === 'content'
        ? token.value
        : 'cases' in token
          ? token.cases.map((one) => wordsIn(one.tokens)).join(' ')
          : ' ',
    )
    .join('');

describe('the compiled catalogs', () => {
  test.each(catalogs)('$root/$area is current: run `npm run words`', ({ root, area, json }) => {
    expect(readFileSync(`${WORDS[root]}/${area}.ts`, 'utf8')).toBe(compiled(root, area, json));
  });

  test.each(catalogs)(
    '$root/$area says what another ICU library makes of the same sentence',
    async ({ root, area, sentences }) => {
      const { say } = (await import(
        root === 'core' ? `./${area}` : `../../../app/words/${area}`
      )) as unknown as {
        say: (code: string, with_: Readonly<Record<string, Text | boolean>>) => string;
      };
      for (const [code, sentence] of Object.entries(sentences)) {
        const reference = new IntlMessageFormat(sentence, 'en');
        fc.assert(
          fc.property(drawnFor([...parametersOf(sentence)]), (said) => {
            expect(say(code, said)).toBe(reference.format(spelledOut(said)));
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

/** The sentences of a catalog in Spanish. */
const spanish = ({ root, area }: Catalog): Readonly<Record<string, string>> =>
  JSON.parse(readFileSync(`${WORDS[root]}/es/${area}.json`, 'utf8')) as Record<string, string>;

describe('the codes', () => {
  const all = catalogs.flatMap(({ area, sentences }) =>
    Object.entries(sentences).map(([code, text]) => ({ area, code, text })),
  );
  test('none is told from another by a running number, nor is what it is told of', () => {
    expect(all.length).toBeGreaterThan(4000);
    expect(all.filter(({ code }) => /\d$/.test(code)).map(({ code }) => code)).toEqual([]);
    // A unit and an edition of the code end in a figure of their own.
    const numbered = all.flatMap(({ code, text }) =>
      [...text.matchAll(/\{(\w+)(?=[,}])/g)]
        .map(([, name = '']) => name)
        .filter((name) => /\d$/.test(name) && !/(In3|20\d\d)$/.test(name) && !/^\d$/.test(name))
        .map((name) => `${code}: ${name}`),
    );
    expect(numbered).toEqual([]);
  });
  test('each says what it is for in a few words: the sentence itself stands in the catalog', () => {
    // What may lie at the far end of a cable has no shorter name than what it is.
    const long = all.filter(
      ({ code }) =>
        !code.startsWith('farSides.') && (code.split('.').at(-1) ?? '').split(/(?=[A-Z])/).length > 4,
    );
    expect(long.map(({ code }) => code)).toEqual([]);
  });
  test('none is named by a function of the program', () => {
    const own = Object.getOwnPropertyNames(Array.prototype).concat('stringify', 'getValue');
    const named = all.flatMap(({ code, text }) =>
      [...text.matchAll(/\{(\w+)(?=[,}])/g)]
        .map(([, name = '']) => name)
        // Words of the trade that are words of the language too.
        .filter(
          (name) =>
            own.includes(name) &&
            !['at', 'with', 'length', 'entries', 'values', 'fill', 'keys', 'splice'].includes(name),
        )
        .map((name) => `${code}: ${name}`),
    );
    expect(named).toEqual([]);
  });
});

describe('the Spanish catalogs', () => {
  test('there is one for each English one', () => {
    for (const root of ROOTS)
      expect(readdirSync(`${WORDS[root]}/es`).sort()).toEqual(readdirSync(`${WORDS[root]}/en`).sort());
  });

  test.each(catalogs)('$root/$area has the same sentences, made of the same parameters', (catalog) => {
    const own = spanish(catalog);
    expect(Object.keys(own).sort()).toEqual(Object.keys(catalog.sentences).sort());
    for (const [code, sentence] of Object.entries(catalog.sentences))
      expect([code, [...parametersOf(own[code] ?? '')].sort()]).toEqual([
        code,
        [...parametersOf(sentence)].sort(),
      ]);
  });

  test.each(catalogs)('$root/$area says what another ICU library makes of the same sentence', (catalog) => {
    const compiledToo = compiledSentences('es', catalog.area, JSON.stringify(spanish(catalog)));
    for (const [code, sentence] of Object.entries(spanish(catalog))) {
      const { parameters, body } = compiledToo.get(code)!;
      const say = sentenceOf(body);
      const reference = new IntlMessageFormat(sentence, 'es');
      fc.assert(
        fc.property(drawnFor([...parameters]), (said) => {
          expect(say(said)).toBe(reference.format(spelledOut(said)));
        }),
        { numRuns: 5 },
      );
    }
  });

  /** Words that are in nearly every English sentence and in no Spanish one. */
  const ENGLISH = /\b(the|of|is|are|with|from|and|which|has|its|that|this|not|for)\b/i;
  /** What a device or label bears in English whatever the screen speaks, and file names. */
  const BORNE = /switch leg|switch loop|No Equipment Ground|knob-and-tube|fault-2-[\w-]+|hand-?\w*/g;

  test.each(catalogs)('nothing of $root/$area was left in English', (catalog) => {
    const own = spanish(catalog);
    const words = (text: string) => wordsIn(parse(text)).replace(BORNE, ' ');
    const left = Object.entries(own).filter(([, sentence]) => ENGLISH.test(words(sentence)));
    expect(left).toEqual([]);
    // A sentence of more than two words that is the same in both languages was forgotten.
    const same = Object.entries(own).filter(
      ([code, sentence]) =>
        sentence === catalog.sentences[code] && (words(sentence).match(/[a-z]{3,}/gi) ?? []).length > 2,
    );
    expect(same.filter(([, sentence]) => !/Split Tap|AFCI|AWG|multiwire/.test(sentence))).toEqual([]);
  });

  /** Rows of the table in `docs/spanish.md`: a term, and what a Spanish sentence has wherever the English one has it. */
  const glossary = readFileSync('docs/spanish.md', 'utf8')
    .split('\n')
    .flatMap((line) => {
      const [, english = '', , has = ''] = line.split('|').map((cell) => cell.trim());
      return has === '' || /^-|^has$/.test(has) ? [] : [{ english, has: has.split(', ') }];
    });

  test('one word for one thing: the glossary has rows', () => expect(glossary.length).toBeGreaterThan(30));

  test.each(glossary)('$english', ({ english, has }) => {
    const term = new RegExp(`(?<![\\w-])${english}(s|d|r)?(?![\\w-])`, 'i');
    const other = catalogs.flatMap((catalog) => {
      const own = spanish(catalog);
      return Object.entries(catalog.sentences).flatMap(([code, sentence]) => {
        const words = wordsIn(parse(sentence));
        // The labels of devices are capitals, and `|` parts the forms that a glossary looks for.
        if (!term.test(words.replace(/\b[A-Z]{2,}\b/g, '')) || sentence.includes('|')) return [];
        const said = wordsIn(parse(own[code] ?? '')).toLowerCase();
        return has.some((stem) => said.includes(stem.toLowerCase())) ? [] : [[code, sentence, own[code]]];
      });
    });
    expect(other).toEqual([]);
  });

  test('a screw or label keeps its English name beside the Spanish one', () => {
    const said = (root: WordsRoot, area: string, code: string) =>
      (JSON.parse(readFileSync(`${WORDS[root]}/es/${area}.json`, 'utf8')) as Record<string, string>)[code];
    expect(said('core', 'devices', 'protecting.lineBrassScrew')).toMatch(/LINE/);
    expect(said('core', 'devices', 'protecting.loadSilverScrew')).toMatch(/LOAD/);
    expect(said('core', 'devices', 'threeWay.darkCommonScrew')).toMatch(/COMMON/);
    expect(said('core', 'packet', 'owner.test')).toMatch(/TEST.*RESET/);
    for (const [label, catalog] of [
      ['LINE', 'faults'],
      ['LOAD', 'faults'],
      ['TEST', 'live'],
      ['RESET', 'packet'],
    ] as const) {
      const english = JSON.parse(readFileSync(`core/base/words/en/${catalog}.json`, 'utf8')) as Record<
        string,
        string
      >;
      for (const [code, sentence] of Object.entries(english))
        if (new RegExp(`\\b${label}\\b`).test(sentence))
          expect([code, said('core', catalog, code)]).toEqual([code, expect.stringMatching(label)]);
    }
  });
});

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
      if (/^core\/handover\/jobs\//.test(file) || /theme\.ts$/.test(file)) continue;
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
