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
    return { ok: false, message: 'the file is empty', wayOut: 'Fetch or export it again.' };
  try {
    return { ok: true, value: JSON.parse(own) };
  } catch (error) {
    const strange = NOT_JSON.exec(own);
    if (strange) {
      return {
        ok: false,
        message: `the file has ${strange[0]}${placeOf(own, strange.index)}, which is not a number`,
        wayOut: 'Put a number there, or null where none is known.',
      };
    }
    const position = error instanceof Error ? /position (\d+)/.exec(error.message)?.[1] : undefined;
    const at = position === undefined ? own.length : Number(position);
    return {
      ok: false,
      message: `the file is not complete JSON${placeOf(own, at, 'it breaks off at ')}`,
      wayOut: 'It may have been cut short on the way: fetch or export it again.',
    };
  }
}

/** ` (line 3, column 14)` */
function placeOf(text: string, at: number, words = ''): string {
  const before = text.slice(0, at).split('\n');
  return ` (${words}line ${before.length}, column ${(before.at(-1)?.length ?? 0) + 1})`;
}
