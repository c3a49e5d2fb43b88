import { readPicture } from '@core/handover/photos/picture';
import { withoutPosition } from '@core/handover/photos/strip';
import { bad, good, type Checked } from '@core/job/model/problem';
import { MAX_PHOTO_BYTES } from '@core/job/model/picture';
import type { Photo } from '@core/job/model/record';
import { openStore } from '~/storage/opened';
import { say } from '~/words/record';

/** The longest side of a photo that is made smaller, pixels: enough to read a cable jacket in an open box. */
const SMALL_PX = 1600;

const full = (name: string) => bad({ path: name, message: say('photos.full') });

/** Takes a picture in: looked at by its bytes, its position data removed, stored. */
export async function takenIn(file: File, job: string, by: string): Promise<Checked<Photo>> {
  // No more is read than may be kept.
  const bytes = new Uint8Array(await file.slice(0, MAX_PHOTO_BYTES + 1).arrayBuffer());
  const picture = readPicture(bytes, file.name);
  if (!picture.ok) return picture;
  const clean = withoutPosition(bytes, picture.value.type);
  if (!clean || !(await opens(clean, picture.value.type)))
    return bad({ path: file.name, message: say('photos.unfollowed') });
  try {
    const { photos } = await openStore();
    const id = await (await photos()).add(job, clean);
    return good({
      ...picture.value,
      id,
      bytes: clean.length,
      at: new Date().toISOString(),
      by,
      caption: '',
      box: null,
      marks: [],
      removed: null,
    });
  } catch {
    return full(file.name);
  }
}

/** True where this browser can show it. */
async function opens(bytes: Uint8Array, type: string): Promise<boolean> {
  try {
    (await createImageBitmap(blobOf(bytes, type))).close();
    return true;
  } catch {
    return false;
  }
}

export const blobOf = (bytes: Uint8Array, type: string): Blob => new Blob([new Uint8Array(bytes)], { type });

/** The same photo with its longest side at most 1600 pixels; null where it is that small already. */
export async function madeSmaller(
  photo: Photo,
  job: string,
): Promise<Pick<Photo, 'bytes' | 'type' | 'widthPx' | 'heightPx'> | null> {
  const share = SMALL_PX / Math.max(photo.widthPx, photo.heightPx);
  const store = await (await openStore()).photos();
  const bytes = await store.bytes(photo.id);
  if (share >= 1 || !bytes) return null;
  const bitmap = await createImageBitmap(blobOf(bytes, photo.type));
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(bitmap.width * share);
  canvas.height = Math.round(bitmap.height * share);
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/jpeg', 0.85));
  if (!blob) return null;
  const small = new Uint8Array(await blob.arrayBuffer());
  await store.replace(photo.id, job, small);
  return { bytes: small.length, type: 'image/jpeg', widthPx: canvas.width, heightPx: canvas.height };
}
