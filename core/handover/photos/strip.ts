import type { Photo } from '../../job/model/record';

/*
 * A phone writes into a picture where it was taken, by what and when. All of that goes; what is needed to show the
 * picture stays, byte for byte: its pixels, its colors, and which way up it is.
 */

/** The picture without what was written beside it. What cannot be followed to its end is given back as null. */
export function withoutPosition(bytes: Uint8Array, type: Photo['type']): Uint8Array | null {
  const kept = type === 'image/jpeg' ? jpeg(bytes) : type === 'image/png' ? png(bytes) : webp(bytes);
  return kept && joined(kept);
}

function joined(parts: readonly Uint8Array[]): Uint8Array {
  const whole = new Uint8Array(parts.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const part of parts) {
    whole.set(part, at);
    at += part.length;
  }
  return whole;
}

const [SOI, EOI, SOS, APP0, APP1, APP2, APP14, APP15, COM, RST0, RST7] = [
  0xd8, 0xd9, 0xda, 0xe0, 0xe1, 0xe2, 0xee, 0xef, 0xfe, 0xd0, 0xd7,
] as const;

/** JPEG (ITU-T T.81, annex B, from memory): markers with their segments; a scan lasts to the next marker. */
function jpeg(bytes: Uint8Array): Uint8Array[] | null {
  if (bytes[0] !== 0xff || bytes[1] !== SOI) return null;
  const kept: Uint8Array[] = [bytes.subarray(0, 2)];
  let orientation = 1;
  let at = 2;
  for (;;) {
    if (bytes[at] !== 0xff) return null;
    // A marker may be led by any number of fill bytes.
    while (bytes[at + 1] === 0xff) at++;
    const marker = bytes[at + 1];
    if (marker === undefined) return null;
    if (marker === EOI) {
      kept.push(bytes.subarray(at, at + 2));
      // What hangs on after the end is no part of the picture.
      return orientation === 1 ? kept : [kept[0] ?? bytes, orientationSegment(orientation), ...kept.slice(1)];
    }
    const length = ((bytes[at + 2] ?? 0) << 8) | (bytes[at + 3] ?? 0);
    const end = at + 2 + length;
    if (length < 2 || end > bytes.length) return null;
    const segment = bytes.subarray(at, end);
    const beside =
      (marker >= APP0 && marker <= APP15 && marker !== APP0 && marker !== APP2 && marker !== APP14) ||
      marker === COM;
    if (marker === APP1) orientation = orientationOf(segment) ?? orientation;
    // Of APP2 only the color profile stays: the same marker also leads to further pictures.
    const profile = marker !== APP2 || startsWith(segment, 4, 'ICC_PROFILE\0');
    if (!beside && profile) kept.push(segment);
    at = end;
    if (marker !== SOS) continue;
    const from = at;
    for (; at < bytes.length; at++) {
      const next = bytes[at + 1];
      if (bytes[at] === 0xff && next !== undefined && next !== 0 && !(next >= RST0 && next <= RST7)) break;
    }
    if (at >= bytes.length) return null;
    kept.push(bytes.subarray(from, at));
  }
}

const startsWith = (bytes: Uint8Array, at: number, text: string): boolean =>
  String.fromCharCode(...bytes.subarray(at, at + text.length)) === text;

const ORIENTATION = 0x0112;

/** The orientation in an Exif segment (CIPA DC-008, from memory): 2 to 8 where it is not as it lies. */
function orientationOf(segment: Uint8Array): number | null {
  const tiff = 10;
  if (!startsWith(segment, 4, 'Exif\0\0')) return null;
  const view = new DataView(segment.buffer, segment.byteOffset, segment.byteLength);
  const little = startsWith(segment, tiff, 'II');
  if (segment.length < tiff + 8) return null;
  const directory = tiff + view.getUint32(tiff + 4, little);
  if (directory + 2 > segment.length) return null;
  const count = view.getUint16(directory, little);
  for (let index = 0; index < count; index++) {
    const entry = directory + 2 + 12 * index;
    if (entry + 12 > segment.length) return null;
    if (view.getUint16(entry, little) !== ORIENTATION) continue;
    const value = view.getUint16(entry + 8, little);
    return value >= 1 && value <= 8 ? value : null;
  }
  return null;
}

/** An Exif segment that says nothing but which way up. */
function orientationSegment(value: number): Uint8Array {
  // Length 34: "Exif", big-endian TIFF, one directory of one entry (SHORT), no next.
  return Uint8Array.from([
    0xff,
    APP1,
    0,
    34,
    0x45,
    0x78,
    0x69,
    0x66,
    0,
    0,
    0x4d,
    0x4d,
    0,
    42,
    0,
    0,
    0,
    8,
    0,
    1,
    0x01,
    0x12,
    0,
    3,
    0,
    0,
    0,
    1,
    0,
    value,
    0,
    0,
    0,
    0,
    0,
    0,
  ]);
}

/** Chunks that a PNG needs to be shown as it is meant (PNG, third edition, from memory). */
const PNG_KEPT = [
  'IHDR',
  'PLTE',
  'IDAT',
  'IEND',
  'tRNS',
  'gAMA',
  'cHRM',
  'sRGB',
  'iCCP',
  'sBIT',
  'bKGD',
  'pHYs',
];

function png(bytes: Uint8Array): Uint8Array[] | null {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const kept: Uint8Array[] = [bytes.subarray(0, 8)];
  for (let at = 8; at + 12 <= bytes.length;) {
    const end = at + 12 + view.getUint32(at);
    if (end > bytes.length) return null;
    const name = String.fromCharCode(...bytes.subarray(at + 4, at + 8));
    if (PNG_KEPT.includes(name)) kept.push(bytes.subarray(at, end));
    if (name === 'IEND') return kept;
    at = end;
  }
  return null;
}

/** WebP is a RIFF: chunks of even length; VP8X says by flags what else is in it (RFC 9649, from memory). */
function webp(bytes: Uint8Array): Uint8Array[] | null {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  if (bytes.length < 12) return null;
  const end = 8 + view.getUint32(4, true);
  if (end > bytes.length) return null;
  const chunks: Uint8Array[] = [];
  for (let at = 12; at + 8 <= end;) {
    const length = view.getUint32(at + 4, true);
    const next = at + 8 + length + (length % 2);
    if (next > bytes.length) return null;
    const name = String.fromCharCode(...bytes.subarray(at, at + 4));
    const chunk = bytes.slice(at, next);
    if (name === 'VP8X') chunk[8] = (chunk[8] ?? 0) & ~0x0c;
    if (['VP8 ', 'VP8L', 'VP8X', 'ALPH', 'ANIM', 'ANMF', 'ICCP'].includes(name)) chunks.push(chunk);
    at = next;
  }
  const head = bytes.slice(0, 12);
  new DataView(head.buffer).setUint32(4, 4 + chunks.reduce((sum, chunk) => sum + chunk.length, 0), true);
  return [head, ...chunks];
}
