import MessageFormat from '@messageformat/core';
import compileModule from '@messageformat/core/compile-module.js';
import { parse, type Select, type Token } from '@messageformat/parser';

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

/**
 * The module of one catalog: its sentences as functions of typed parameters.
 * @throws where a sentence is not an ICU message, naming its code.
 */
export function compiled(root: 'core' | 'app', area: string, json: string): string {
  const catalog = JSON.parse(json) as Readonly<Record<string, string>>;
  const format = new MessageFormat('en', { returnType: 'string', strict: true });
  const lines: string[] = [];
  for (const [code, sentence] of Object.entries(catalog)) {
    let made: string;
    let parameters: Map<string, string>;
    try {
      parameters = parametersOf(sentence);
      made = compileModule(format, { it: sentence });
    } catch (error) {
      throw new Error(`${root}/words/en/${area}.json, ${code}: ${String(error)}`, { cause: error });
    }
    const body = /it: \((?:d)?\) => ([\s\S]*)\n\}$/.exec(made.trim())?.[1];
    if (body === undefined) throw new Error(`${code} compiled to something unknown: ${made}`);
    const typed = [...parameters].map(([name, type]) => `${name}: ${type}`).join('; ');
    const text = body.replace(/\bselect\((d\.\w+)/g, 'select(String($1)');
    lines.push(
      `  ${JSON.stringify(code)}: (${typed === '' ? '' : `d: { ${typed} }`}) => ${text.startsWith('"') ? text : `'' + ${text}`},`,
    );
  }
  const body = lines.join('\n');
  const used = ['plural', 'select', 'strictNumber'].filter((name) => body.includes(`${name}(`));
  const ours = ['speaker', ...(/\ben[,)]/.test(body) && used.includes('plural') ? ['en'] : [])];
  return [
    `// Made by \`npm run words\` from en/${area}.json: change that file, not this one.`,
    ...(used.length > 0 ? [`import { ${used.join(', ')} } from '@messageformat/runtime';`] : []),
    `import { ${ours.sort().join(', ')}${body.includes('Text') ? ', type Text' : ''} } from '${root === 'core' ? './speak' : '@core/words/speak'}';`,
    '',
    `export const { say, tell } = speaker({`,
    body,
    '});',
    '',
  ].join('\n');
}
