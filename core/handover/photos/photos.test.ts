import { deflateSync } from 'node:zlib';
import { describe, expect, test } from '@jest/globals';
import exifr from 'exifr';
import fc from 'fast-check';
import { readPicture } from './picture';
import { withoutPosition } from './strip';

const bytesOf = (...parts: readonly (string | readonly number[] | Uint8Array)[]): Uint8Array =>
  Uint8Array.from(
    parts.flatMap((part) => (typeof part === 'string' ? [...Buffer.from(part, 'latin1')] : [...part])),
  );
const u16 = (value: number) => [value >> 8, value & 255];
const u32 = (value: number) => [...u16(value >>> 16), ...u16(value & 0xffff)];

/** An Exif body: which way up, and where it was taken (41° 30' N, 81° 42' W), in the words of CIPA DC-008. */
function exif(orientation: number): Uint8Array {
  const entry = (tag: number, type: number, count: number, value: readonly number[]) => [
    ...u16(tag),
    ...u16(type),
    ...u32(count),
    ...value,
  ];
  const gpsAt = 8 + 2 + 2 * 12 + 4;
  const latAt = gpsAt + 2 + 4 * 12 + 4;
  const rational = (...values: readonly number[]) => values.flatMap((one) => [...u32(one), ...u32(1)]);
  return bytesOf(
    'Exif\0\0MM',
    u16(42),
    u32(8),
    u16(2),
    entry(0x0112, 3, 1, [...u16(orientation), 0, 0]),
    entry(0x8825, 4, 1, u32(gpsAt)),
    u32(0),
    u16(4),
    entry(1, 2, 2, [0x4e, 0, 0, 0]),
    entry(2, 5, 3, u32(latAt)),
    entry(3, 2, 2, [0x57, 0, 0, 0]),
    entry(4, 5, 3, u32(latAt + 24)),
    u32(0),
    rational(41, 30, 0),
    rational(81, 42, 0),
  );
}
const segment = (marker: number, body: Uint8Array) => bytesOf([0xff, marker], u16(body.length + 2), body);
const SCAN = bytesOf([0xff, 0xda, 0, 8, 1, 1, 0, 0, 63, 0], [0x12, 0xff, 0, 0x34, 0xff, 0xd0, 0x56]);
const FRAME = segment(0xc0, bytesOf([8], u16(480), u16(640), [1, 1, 0x11, 0]));

/** A JPEG of 640 by 480 with anything between its head and its scans. */
const jpeg = (between: readonly Uint8Array[], tail = '') =>
  bytesOf([0xff, 0xd8], ...between, FRAME, SCAN, SCAN, [0xff, 0xd9], tail);

describe('a photo', () => {
  test('where it was taken is gone, which way up it is stays; another reader of Exif says so', async () => {
    const taken = jpeg([segment(0xe1, exif(6))]);
    expect(await exifr.gps(taken)).toEqual({ latitude: 41.5, longitude: -81.7 });
    const kept = withoutPosition(taken, 'image/jpeg')!;
    expect(await exifr.gps(kept)).toBeUndefined();
    expect(await exifr.orientation(kept)).toBe(6);
    expect(Buffer.from(kept).includes(Buffer.from(bytesOf(FRAME, SCAN, SCAN, [0xff, 0xd9])))).toBe(true);
    expect(
      await exifr.orientation(withoutPosition(jpeg([segment(0xe1, exif(1))]), 'image/jpeg')!),
    ).toBeUndefined();
  });

  test('of whatever stands in a JPEG nothing told beside the picture is left, and the picture itself is', () => {
    const beside = fc.tuple(fc.integer({ min: 0xe1, max: 0xef }), fc.uint8Array({ maxLength: 60 }));
    fc.assert(
      fc.property(fc.array(beside, { maxLength: 6 }), fc.string({ maxLength: 40 }), (segments, tail) => {
        const secret = Buffer.from('41.4993N SECRET');
        const between = segments
          .filter(([marker]) => marker !== 0xee)
          .map(([marker, body]) => segment(marker, bytesOf(body, secret)));
        const kept = withoutPosition(
          jpeg([...between, segment(0xfe, bytesOf(secret))], `${tail}${secret.toString()}`),
          'image/jpeg',
        )!;
        expect(Buffer.from(kept).includes(secret)).toBe(false);
        expect(Buffer.from(kept)).toEqual(Buffer.from(jpeg([])));
      }),
    );
  });

  test('a PNG keeps its picture and loses its texts; a WebP its Exif and XMP', () => {
    const chunk = (name: string, body: Uint8Array) => bytesOf(u32(body.length), name, body, [1, 2, 3, 4]);
    const head = chunk('IHDR', bytesOf(u32(3), u32(2), [8, 0, 0, 0, 0]));
    const data = chunk('IDAT', deflateSync(Buffer.alloc(8)));
    const png = (...between: readonly Uint8Array[]) =>
      bytesOf([0x89], 'PNG\r\n\x1a\n', head, ...between, data, chunk('IEND', bytesOf()));
    const full = png(
      chunk('tEXt', bytesOf('Location\0here')),
      chunk('eXIf', exif(6)),
      chunk('tIME', bytesOf('now')),
    );
    expect(withoutPosition(bytesOf(full, 'after the end'), 'image/png')).toEqual(png());
    expect(readPicture(full, 'a.png')).toMatchObject({
      ok: true,
      value: { type: 'image/png', widthPx: 3, heightPx: 2 },
    });

    const le32 = (value: number) => u32(value).reverse();
    const riff = (flags: number, ...chunks: readonly Uint8Array[]) => {
      const own = (name: string, body: Uint8Array) =>
        bytesOf(name, le32(body.length), body, body.length % 2 ? [0] : []);
      const all = bytesOf(
        own('VP8X', bytesOf([flags, 0, 0, 0, 9, 0, 0, 6, 0, 0])),
        own('VP8 ', bytesOf('pixels')),
        ...chunks.map((body) => own('EXIF', body)),
        ...chunks.map((body) => own('XMP ', body)),
      );
      return bytesOf('RIFF', le32(4 + all.length), 'WEBP', all);
    };
    expect(withoutPosition(riff(0x0c, bytesOf('secret!')), 'image/webp')).toEqual(riff(0));
  });

  test.each([
    [
      'a drawing that says it is a picture',
      bytesOf('<svg xmlns="http://www.w3.org/2000/svg"><script>1</script></svg>'),
    ],
    ['a page', bytesOf('<!doctype html><img onerror=alert(1)>')],
    ['a GIF', bytesOf('GIF89a', [1, 0, 1, 0, 0, 0, 0])],
    ['nothing', bytesOf()],
    ['a picture of a hundred thousand pixels a side', hugePng(100)],
  ])('%s is refused by what it is, not by its name', (_, bytes) => {
    const read = readPicture(bytes, 'photo.jpg');
    expect(read).toMatchObject({ ok: false, problems: [{ path: 'photo.jpg' }] });
  });

  test('any bytes are a picture or a problem, and cutting one short is no crash', () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 200 }), fc.nat(400), (bytes, cut) => {
        expect(() => readPicture(bytes, 'x')).not.toThrow();
        const part = jpeg([segment(0xe1, exif(6))]).subarray(0, cut);
        for (const type of ['image/jpeg', 'image/png', 'image/webp'] as const) {
          expect(() => withoutPosition(bytes, type)).not.toThrow();
          expect(() => withoutPosition(part, type)).not.toThrow();
        }
      }),
    );
  });
});

/** A PNG head that tells of a side of so many thousand pixels. */
function hugePng(thousand: number): Uint8Array {
  return bytesOf(
    [0x89],
    'PNG\r\n\x1a\n',
    u32(13),
    'IHDR',
    u32(thousand * 1000),
    u32(10),
    [8, 2, 0, 0, 0],
    u32(0),
  );
}
