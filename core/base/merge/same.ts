import { markOf } from '../mark';

/** A text that is the same for the same content, whatever the order of its fields. */
export function canonical(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonical).join()}]`;
  if (typeof value !== 'object' || value === null)
    return value === undefined ? 'null' : JSON.stringify(value);
  const fields = Object.entries(value)
    .filter(([, own]) => own !== undefined)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([name, own]) => `${JSON.stringify(name)}:${canonical(own)}`);
  return `{${fields.join()}}`;
}

/** True of the same content. What is not there is not the same as what is said to be nothing. */
export const isSame = (a: unknown, b: unknown): boolean =>
  a === b || (a !== undefined && b !== undefined && canonical(a) === canonical(b));

/** The fingerprint of a content, 106 bits. */
export function printOf(value: unknown): string {
  const text = canonical(value);
  return `${markOf(text)}.${markOf(text, 1)}`;
}

export type Fields = Readonly<Record<string, unknown>>;

/** True of a value with fields. */
export const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
