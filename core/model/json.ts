import { say } from '../words/model';
/** What a reader of JSON found: the value, or in words why there is none and the way out. */
export type JsonRead =
  | { readonly ok: true; readonly value: unknown }
  | { readonly ok: false; readonly message: string; readonly wayOut: string };

/** Words that programs write and JSON does not have. */
const NOT_JSON = /(?<=[:[,]\s*)(-?NaN|-?Infinity|undefined)(?=\s*[,}\]])/;

/**
 * Reads JSON. A byte-order mark at its start is passed over. What is not JSON is told with its line and column, and
 * numbers that are none (NaN, Infinity) by their name. Never throws.
 */
export function readJsonText(text: string): JsonRead {
  const own = text.startsWith('\uFEFF') ? text.slice(1) : text;
  if (own.trim() === '')
    return { ok: false, message: say('json.fileEmpty'), wayOut: say('json.fetchExportAgain') };
  try {
    return { ok: true, value: JSON.parse(own) };
  } catch (error) {
    const strange = NOT_JSON.exec(own);
    if (strange) {
      return {
        ok: false,
        message: say('json.fileNotNumber', { strange: strange[0], place: placeOf(own, strange.index) }),
        wayOut: say('json.putNumberNullWhereNone'),
      };
    }
    const position = error instanceof Error ? /position (\d+)/.exec(error.message)?.[1] : undefined;
    const at = position === undefined ? own.length : Number(position);
    return {
      ok: false,
      message: say('json.fileNotCompleteJson', { place: placeOf(own, at, say('json.breaksOff')) }),
      wayOut: say('json.mayHaveBeenCutShort'),
    };
  }
}

/** ` (line 3, column 14)` */
function placeOf(text: string, at: number, words = ''): string {
  const before = text.slice(0, at).split('\n');
  return say('json.lineColumn', {
    words,
    beforeCount: before.length,
    beforeCount2: (before.at(-1)?.length ?? 0) + 1,
  });
}
