import { dice } from '../../base/dice';
import { bad, good, type Checked } from '../../job/model/problem';
import { say } from '../../base/words/crew';

/*
 * Bytes as a row of codes that a camera reads in whatever order, some of them lost: first each block by itself, then blocks
 * added up by chance in between, so that some more frames than there are blocks make it whole whenever one begins to read (after M. Luby's transform codes, 2002,
 * from memory).
 */

/** Bytes in a block: a code of 20 to 30 mm reads at arm's length (common practice). */
export const BLOCK_BYTES = 600;
/** Blocks in a row, no more: what is larger goes as a file. */
export const MOST_BLOCKS = 1200;
/** Of every frame: which row, which frame, how many bytes, a checksum of the row, a checksum of the frame. */
const HEAD_BYTES = 2 + 4 + 4 + 4 + 4;

/** The 45 signs that a code packs closest (RFC 9285). */
const SIGNS = '0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZ $%*+-./:';

/** Bytes as text of those signs: two bytes by three (RFC 9285). */
export function toBase45(bytes: Uint8Array): string {
  let text = '';
  for (let at = 0; at < bytes.length; at += 2) {
    const [a = 0, b] = [bytes[at], bytes[at + 1]];
    const value = b === undefined ? a : a * 256 + b;
    text += (SIGNS[value % 45] ?? '') + (SIGNS[Math.floor(value / 45) % 45] ?? '');
    if (b !== undefined) text += SIGNS[Math.floor(value / 2025)] ?? '';
  }
  return text;
}

/** The bytes of such a text; null where it is none. */
export function fromBase45(text: string): Uint8Array | null {
  if (text.length % 3 === 1) return null;
  const bytes: number[] = [];
  for (let at = 0; at < text.length; at += 3) {
    const digits = Array.from({ length: Math.min(3, text.length - at) }, (_, place) =>
      SIGNS.indexOf(text.charAt(at + place)),
    );
    if (digits.includes(-1)) return null;
    const value = digits.reduce((sum, digit, place) => sum + digit * 45 ** place, 0);
    if (value > (digits.length === 3 ? 0xffff : 0xff)) return null;
    bytes.push(...(digits.length === 3 ? [value >> 8, value & 255] : [value]));
  }
  return Uint8Array.from(bytes);
}

/** FNV-1a, 32 bits (public domain): what was misread is told. */
function checksum(bytes: Uint8Array): number {
  let sum = 0x811c9dc5;
  for (const byte of bytes) sum = Math.imul(sum ^ byte, 0x01000193);
  return sum >>> 0;
}

/** The blocks that a frame adds up: in the first round each alone, then in turn one alone and some by chance, for whoever comes late. */
function blocksOf(frame: number, count: number): readonly number[] {
  if (frame < count) return [frame];
  const later = frame - count;
  if (later % 2 === 0) return [(later / 2) % count];
  const random = dice(frame + 1);
  // Mostly few, now and then many (the ideal soliton distribution, with one in ten of a tenth of all).
  const draw = random();
  const degree =
    draw < 0.1
      ? Math.max(2, Math.ceil(count / 10))
      : Math.max(1, Math.min(count, Math.ceil(1 / Math.max(1e-6, random()))));
  const chosen = new Set<number>();
  while (chosen.size < Math.min(degree, count)) chosen.add(Math.floor(random() * count));
  return [...chosen];
}

const countOf = (length: number): number => Math.max(1, Math.ceil(length / BLOCK_BYTES));

/** A row of frames of the same bytes, as many as are asked for. */
export class Frames {
  readonly count: number;
  private readonly row: number;
  private readonly sum: number;

  private constructor(private readonly bytes: Uint8Array) {
    this.count = countOf(bytes.length);
    this.sum = checksum(bytes);
    this.row = this.sum & 0xffff;
  }

  /** Problems where there is too much of it. */
  static of(bytes: Uint8Array): Checked<Frames> {
    return countOf(bytes.length) > MOST_BLOCKS
      ? bad({
          path: '',
          message: say('light.tooLarge', { kb: Math.ceil(bytes.length / 1000) }),
          wayOut: say('light.asFile'),
        })
      : good(new Frames(bytes));
  }

  /** The text of a frame, of signs that a code packs closest. */
  text(frame: number): string {
    const content = new Uint8Array(HEAD_BYTES + BLOCK_BYTES);
    const view = new DataView(content.buffer);
    view.setUint16(0, this.row);
    view.setUint32(2, frame);
    view.setUint32(6, this.bytes.length);
    view.setUint32(10, this.sum);
    const body = content.subarray(HEAD_BYTES);
    for (const block of blocksOf(frame, this.count))
      add(body, this.bytes.subarray(block * BLOCK_BYTES, (block + 1) * BLOCK_BYTES));
    view.setUint32(14, checksum(content.subarray(0, 14)) ^ checksum(body));
    return toBase45(content);
  }
}

function add(into: Uint8Array, block: Uint8Array): void {
  for (let at = 0; at < block.length; at++) into[at] = (into[at] ?? 0) ^ (block[at] ?? 0);
}

/** What became of a frame that was read. */
export type Seen =
  | { readonly is: 'not ours' }
  | { readonly is: 'more'; readonly have: number; readonly of: number; readonly missing: readonly number[] }
  | { readonly is: 'whole'; readonly bytes: Uint8Array };

/** Puts frames together in whatever order they are read; what is damaged, doubled or of another row changes nothing. */
export class Gathered {
  private row: string | null = null;
  private length = 0;
  private sum = 0;
  private blocks: (Uint8Array | undefined)[] = [];
  private waiting: { readonly of: Set<number>; readonly body: Uint8Array }[] = [];
  private readonly seen = new Set<number>();

  take(text: string): Seen {
    const content = fromBase45(text);
    if (content?.length !== HEAD_BYTES + BLOCK_BYTES) return { is: 'not ours' };
    const view = new DataView(content.buffer);
    const body = content.slice(HEAD_BYTES);
    if (view.getUint32(14) !== (checksum(content.subarray(0, 14)) ^ checksum(body)) >>> 0)
      return { is: 'not ours' };
    const [frame, length, sum] = [view.getUint32(2), view.getUint32(6), view.getUint32(10)];
    const count = countOf(length);
    if (count > MOST_BLOCKS || frame > 1e6) return { is: 'not ours' };
    const row = `${view.getUint16(0)} ${length} ${sum}`;
    // Another row is shown: what was read of the one before is of no use any more.
    if (this.row !== row) this.begin(row, length, sum, count);
    if (!this.seen.has(frame)) {
      this.seen.add(frame);
      this.put(new Set(blocksOf(frame, count)), body);
    }
    return this.now();
  }

  private begin(row: string, length: number, sum: number, count: number): void {
    this.row = row;
    [this.length, this.sum] = [length, sum];
    this.blocks = Array.from({ length: count });
    this.waiting = [];
    this.seen.clear();
  }

  private put(of: Set<number>, body: Uint8Array): void {
    const due = [{ of, body }];
    for (let one = due.pop(); one; one = due.pop()) {
      for (const block of one.of) {
        const known = this.blocks[block];
        if (!known) continue;
        add(one.body, known);
        one.of.delete(block);
      }
      const [only] = one.of;
      if (only === undefined) continue;
      if (one.of.size > 1) {
        this.waiting.push(one);
        continue;
      }
      this.blocks[only] = one.body;
      const freed = this.waiting.filter((other) => other.of.has(only));
      this.waiting = this.waiting.filter((other) => !other.of.has(only));
      due.push(...freed);
    }
  }

  private now(): Seen {
    const missing = [...this.blocks.keys()].filter((block) => !this.blocks[block]);
    const of = this.blocks.length;
    if (missing.length > 0) return { is: 'more', have: of - missing.length, of, missing };
    const bytes = new Uint8Array(of * BLOCK_BYTES);
    this.blocks.forEach((block, at) => block && bytes.set(block, at * BLOCK_BYTES));
    const whole = bytes.slice(0, this.length);
    if (checksum(whole) === this.sum) return { is: 'whole', bytes: whole };
    // It does not fit together: all of it is read anew.
    this.row = null;
    return { is: 'more', have: 0, of, missing: [...this.blocks.keys()] };
  }
}
