// The type of the PDF packet: two weights of the app's own face as plain TrueType, the characters that are used.
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import subsetFont from 'subset-font';

const FACE = 'node_modules/@fontsource-variable/overpass/files/overpass-latin-wght-normal.woff2';
const range = (from, to) =>
  String.fromCharCode(...Array.from({ length: to - from + 1 }, (_, at) => from + at));
const TEXT = `${range(0x20, 0x7e)}${range(0xa0, 0xff)}–—‘’“”•…€™−`;

mkdirSync('public/fonts', { recursive: true });
for (const [name, wght] of [
  ['regular', 400],
  ['bold', 700],
])
  writeFileSync(
    `public/fonts/packet-${name}.ttf`,
    await subsetFont(readFileSync(FACE), TEXT, { targetFormat: 'truetype', variationAxes: { wght } }),
  );
