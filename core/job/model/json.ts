import { say } from '../../base/words/model';
/** What a reader of JSON found: the value, or in words why there is none and the way out. */
export type JsonRead =
  | { readonly ok: true; readonly value: unknown }
  | {
      readonly ok: false;
      /** Where in the value; empty where it is the text that is none. */
      readonly path: string;
      readonly message: string;
      readonly wayOut: string;
    };

/** Words that programs write and JSON does not have. */
const NOT_JSON = /(?<=[:[,]\s*)(-?NaN|-?Infinity|undefined)(?=\s*[,}\]])/;

/**
 * Reads JSON. A byte-order mark at its start is passed over. What is not JSON is told with its line and column, and
 * numbers that are none (NaN, Infinity) by their name. Never throws.
 */
export function readJsonText(text: string): JsonRead {
  const own = text.startsWith('\uFEFF') ? text.slice(1) : text;
  if (own.trim() === '')
    return { ok: false, path: '', message: say('json.fileEmpty'), wayOut: say('json.fetchExportAgain') };
  const deep = tooDeep(own);
  if (deep !== null)
    return {
      ok: false,
      path: '',
      message: say('json.tooDeep', { most: MOST_LEVELS, line: deep }),
      wayOut: say('json.takeItOut'),
    };
  try {
    const value: unknown = JSON.parse(own);
    const strange = strangeKey(value);
    return strange === null
      ? { ok: true, value }
      : {
          ok: false,
          path: strange.path,
          message: say('json.strangeKey', { key: strange.key }),
          wayOut: say('json.takeItOut'),
        };
  } catch (error) {
    const strange = NOT_JSON.exec(own);
    if (strange) {
      return {
        ok: false,
        path: '',
        message: say('json.fileNotNumber', { strange: strange[0], place: placeOf(own, strange.index) }),
        wayOut: say('json.numberOrNull'),
      };
    }
    const position = error instanceof Error ? /position (\d+)/.exec(error.message)?.[1] : undefined;
    const at = position === undefined ? own.length : Number(position);
    return {
      ok: false,
      path: '',
      message: say('json.fileNotCompleteJson', { place: placeOf(own, at, say('json.breaksOff')) }),
      wayOut: say('json.cutShort'),
    };
  }
}

/** Levels of lists and objects in each other: a file of Split Tap has under twenty. */
const MOST_LEVELS = 40;

/** The line at which a text nests too deep, found before anything is made of it; null where it does not. */
function tooDeep(text: string): number | null {
  let depth = 0;
  let quoted = false;
  for (let at = 0; at < text.length; at++) {
    const sign = text[at];
    if (quoted) {
      if (sign === '\\') at++;
      else if (sign === '"') quoted = false;
    } else if (sign === '"') quoted = true;
    else if (sign === '{' || sign === '[') {
      if (++depth > MOST_LEVELS) return text.slice(0, at).split('\n').length;
    } else if (sign === '}' || sign === ']') depth--;
  }
  return null;
}

/** Names that mean something to every object, and nothing in a file. */
const STRANGE = ['__proto__', 'prototype', 'constructor'];

/** The first such name in a value, anywhere, with its place; null where there is none. */
function strangeKey(value: unknown): { readonly path: string; readonly key: string } | null {
  const waiting: (readonly [path: string, value: unknown])[] = [['', value]];
  for (let next = waiting.pop(); next; next = waiting.pop()) {
    const [path, one] = next;
    if (typeof one !== 'object' || one === null) continue;
    const list = Array.isArray(one);
    const key = list ? undefined : STRANGE.find((name) => Object.hasOwn(one, name));
    if (key !== undefined) return { path: `${path}.${key}`.replace(/^\./, ''), key };
    // What is neither list nor object holds no names. One by one: a list can be longer than a call has room for.
    for (const [name, inner] of Object.entries(one))
      if (typeof inner === 'object' && inner !== null)
        waiting.push([list ? `${path}[${name}]` : `${path}.${name}`, inner]);
  }
  return null;
}

/** ` (line 3, column 14)` */
function placeOf(text: string, at: number, words = ''): string {
  const before = text.slice(0, at).split('\n');
  return say('json.lineColumn', {
    words,
    line: before.length,
    column: (before.at(-1)?.length ?? 0) + 1,
  });
}
