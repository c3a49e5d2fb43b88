import MessageFormat from '@messageformat/core';
import compileModule from '@messageformat/core/compile-module.js';
import { parse, type Select, type Token } from '@messageformat/parser';
import type { Language } from '../core/base/words/language';

/** Where the catalogs of each part lie: a folder for each language, what is made of the English ones beside them. */
export const WORDS = { core: 'core/base/words', app: 'app/words' } as const;
export type WordsRoot = keyof typeof WORDS;

/** What a parameter must be: "plural" needs a number, a choice of true or false a boolean, any other choice a string. */
function typeOf(token: Select): string {
  if (token.type !== 'select') return 'number';
  const keys = token.cases.map(({ key }) => key).filter((key) => key !== 'other');
  return keys.every((key) => key === 'true' || key === 'false') ? 'boolean' : 'string';
}

function collect(tokens: readonly Token[], into: Map<string, string>): Map<string, string> {
  for (const token of tokens) {
    if (token.type === 'argument' && !into.has(token.arg)) into.set(token.arg, 'Text');
    if (token.type === 'plural' || token.type === 'select' || token.type === 'selectordinal') {
      into.set(token.arg, typeOf(token));
      for (const { tokens: inner } of token.cases) collect(inner, into);
    }
  }
  return into;
}

/** The parameters of a sentence, by name and type. */
export const parametersOf = (sentence: string): Map<string, string> =>
  collect(parse(sentence, { strict: true }), new Map());

/** A sentence as the source of a function: its parameters by name and type, and what it returns. */
interface Compiled {
  readonly parameters: ReadonlyMap<string, string>;
  readonly body: string;
}

/**
 * The sentences of a catalog by code, as JavaScript.
 * @throws where a sentence is not an ICU message, naming its code.
 */
export function compiledSentences(language: Language, file: string, json: string): Map<string, Compiled> {
  const catalog = JSON.parse(json) as Readonly<Record<string, string>>;
  const format = new MessageFormat(language, { returnType: 'string', strict: true });
  return new Map(
    Object.entries(catalog).map(([code, sentence]) => {
      let made: string;
      let parameters: Map<string, string>;
      try {
        parameters = parametersOf(sentence);
        made = compileModule(format, { it: sentence });
      } catch (error) {
        throw new Error(`${file}, ${code}: ${String(error)}`, { cause: error });
      }
      const body = /it: \((?:d)?\) => ([\s\S]*)\n\}$/.exec(made.trim())?.[1];
      if (body === undefined) throw new Error(`${code} compiled to something unknown: ${made}`);
      const text = body.replace(/\bselect\((d\.\w+)/g, 'select(String($1)');
      return [code, { parameters, body: text.startsWith('"') ? text : `'' + ${text}` }];
    }),
  );
}

/** What compiled sentences call: of the library, and of `core/base/words/speak`. */
export const calledBy = (body: string, language: Language) => ({
  library: ['plural', 'select', 'strictNumber'].filter((name) => body.includes(`${name}(`)),
  ours: body.includes('plural(') && new RegExp(`\\b${language}[,)]`).test(body) ? [language] : [],
});

/** The module of one English catalog: its sentences as functions of typed parameters. */
export function compiled(root: WordsRoot, area: string, json: string): string {
  const sentences = compiledSentences('en', `${WORDS[root]}/en/${area}.json`, json);
  const body = [...sentences]
    .map(([code, { parameters, body: returns }]) => {
      const typed = [...parameters].map(([name, type]) => `${name}: ${type}`).join('; ');
      return `  ${JSON.stringify(code)}: (${typed === '' ? '' : `d: { ${typed} }`}) => ${returns},`;
    })
    .join('\n');
  const { library, ours } = calledBy(body, 'en');
  return [
    `// Made by \`npm run words\` from en/${area}.json: change that file, not this one.`,
    ...(library.length > 0 ? [`import { ${library.join(', ')} } from '@messageformat/runtime';`] : []),
    `import { ${[...ours, 'speaker'].join(', ')}${body.includes('Text') ? ', type Text' : ''} } from '${root === 'core' ? './speak' : '@core/base/words/speak'}';`,
    '',
    `export const { say, tell } = speaker({`,
    body,
    '});',
    '',
  ].join('\n');
}
