/**
 * 53 bits of a text, the same for the same text (after cyrb53, public domain); it tells apart by accident, not by intent. Another
 * seed gives other bits.
 */
export function markOf(text: string, seed = 0): string {
  let [a, b] = [0xdeadbeef ^ seed, 0x41c6ce57 ^ seed];
  for (let index = 0; index < text.length; index++) {
    const code = text.charCodeAt(index);
    a = Math.imul(a ^ code, 2654435761);
    b = Math.imul(b ^ code, 1597334677);
  }
  a = Math.imul(a ^ (a >>> 16), 2246822507) ^ Math.imul(b ^ (b >>> 13), 3266489909);
  b = Math.imul(b ^ (b >>> 16), 2246822507) ^ Math.imul(a ^ (a >>> 13), 3266489909);
  return `${(b >>> 0).toString(36)}${(a >>> 0).toString(36)}`;
}
