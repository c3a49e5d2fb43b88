// The type of the PDF packet: two weights of the app's own face as plain TrueType, the characters that are used.
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import subsetFont from 'subset-font';

const FACE = 'node_modules/@fontsource-variable/overpass/files/overpass-latin-wght-normal.woff2';
const range = (from, to) =>
  String.fromCharCode(...Array.from({ length: to - from + 1 }, (_, at) => from + at));
const TEXT = `${range(0x20, 0x7e)}${range(0xa0, 0xff)}–—‘’“”•…€™−`;

/** Tables that place pairs of letters and swap them for others: the PDF sets letter by letter, and reads none of them. */
const UNREAD = new Set(['GPOS', 'GSUB', 'GDEF', 'STAT']);

/** A TrueType font without them (OpenType specification, table directory; checksums go along with their tables). */
function withoutLayout(font) {
  const count = font.readUInt16BE(4);
  const kept = Array.from({ length: count }, (_, at) => font.subarray(12 + 16 * at, 28 + 16 * at)).filter(
    (row) => !UNREAD.has(row.toString('latin1', 0, 4)),
  );
  const power = 2 ** Math.floor(Math.log2(kept.length));
  const head = Buffer.alloc(12 + 16 * kept.length);
  font.copy(head, 0, 0, 4);
  head.writeUInt16BE(kept.length, 4);
  head.writeUInt16BE(16 * power, 6);
  head.writeUInt16BE(Math.log2(power), 8);
  head.writeUInt16BE(16 * (kept.length - power), 10);
  let offset = head.length;
  const tables = kept.map((row, at) => {
    const [from, length] = [row.readUInt32BE(8), row.readUInt32BE(12)];
    row.copy(head, 12 + 16 * at);
    head.writeUInt32BE(offset, 12 + 16 * at + 8);
    const table = Buffer.alloc(Math.ceil(length / 4) * 4);
    font.copy(table, 0, from, from + length);
    offset += table.length;
    return table;
  });
  return Buffer.concat([head, ...tables]);
}

mkdirSync('public/fonts', { recursive: true });
for (const [name, wght] of [
  ['regular', 400],
  ['bold', 700],
])
  writeFileSync(
    `public/fonts/packet-${name}.ttf`,
    withoutLayout(
      await subsetFont(readFileSync(FACE), TEXT, { targetFormat: 'truetype', variationAxes: { wght } }),
    ),
  );
