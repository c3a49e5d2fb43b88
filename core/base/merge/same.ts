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

/** True of the same content. */
export const isSame = (a: unknown, b: unknown): boolean => a === b || canonical(a) === canonical(b);

/** Two halves of 53 bits after cyrb53 (public domain): it tells copies apart; it is no proof against intent. */
function half(text: string, seed: number): string {
  let [a, b] = [0xdeadbeef ^ seed, 0x41c6ce57 ^ seed];
  for (let index = 0; index < text.length; index++) {
    const code = text.charCodeAt(index);
    a = Math.imul(a ^ code, 2654435761);
    b = Math.imul(b ^ code, 1597334677);
  }
  a = Math.imul(a ^ (a >>> 16), 2246822507) ^ Math.imul(b ^ (b >>> 13), 3266489909);
  b = Math.imul(b ^ (b >>> 16), 2246822507) ^ Math.imul(a ^ (a >>> 13), 3266489909);
  return `${(b >>> 0).toString(36)}.${(a >>> 0).toString(36)}`;
}

/** The fingerprint of a content, 106 bits. */
export function printOf(value: unknown): string {
  const text = canonical(value);
  return `${half(text, 0)}.${half(text, 1)}`;
}
