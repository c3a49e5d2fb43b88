import { imageSize } from 'image-size';
import { MAX_PHOTO_BYTES, MAX_PHOTO_PX } from '../../job/model/picture';
import type { Photo } from '../../job/model/record';
import { bad, good, type Checked } from '../../job/model/problem';
import { say } from '../../base/words/record';

/** What the bytes of a picture say of themselves, whatever their name says. */
export type Picture = Pick<Photo, 'type' | 'bytes' | 'widthPx' | 'heightPx'>;

const TYPES: Readonly<Record<string, Photo['type']>> = {
  jpg: 'image/jpeg',
  png: 'image/png',
  webp: 'image/webp',
};

/**
 * Looks at the head of a picture: its kind by its first bytes, its size in pixels. Refused before it is decoded: what is
 * no JPEG, PNG or WebP, what is too large in bytes or in pixels. Never throws.
 */
export function readPicture(bytes: Uint8Array, name: string): Checked<Picture> {
  const wayOut = say('picture.wayOut');
  if (bytes.length > MAX_PHOTO_BYTES)
    return bad({
      path: name,
      message: say('picture.tooLarge', {
        mb: (bytes.length / 1e6).toFixed(1),
        most: MAX_PHOTO_BYTES / 1e6,
      }),
      wayOut,
    });
  let size: { width: number; height: number; type?: string | undefined };
  try {
    size = imageSize(bytes);
  } catch {
    return bad({ path: name, message: say('picture.notPicture'), wayOut });
  }
  const type = size.type === undefined ? undefined : TYPES[size.type];
  if (!type) return bad({ path: name, message: say('picture.notPicture'), wayOut });
  const { width: widthPx, height: heightPx } = size;
  const inRange = (px: number) => Number.isInteger(px) && px >= 1 && px <= MAX_PHOTO_PX;
  if (!inRange(widthPx) || !inRange(heightPx))
    return bad({
      path: name,
      message: say('picture.tooManyPixels', { widthPx, heightPx, most: MAX_PHOTO_PX }),
      wayOut,
    });
  return good({ type, bytes: bytes.length, widthPx, heightPx });
}
