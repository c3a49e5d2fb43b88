import { readPicture } from '@core/handover/photos/picture';
import { MAX_PHOTO_BYTES } from '@core/job/model/picture';
import { bad, good, type Checked } from '@core/job/model/problem';
import type { Sheet } from '@core/job/model/sheet';
import { openStore } from '~/storage/opened';
import { blobOf } from '../record/take-in';
import { say } from '~/words/sheet';

/** The longest side of a sheet that is kept, pixels: an inch of a house of 60 ft is five of them. */
export const MOST_PX = 4096;
/** Pixels to the foot, and feet across, of a sheet that is drawn from nothing. */
const EMPTY = { pxPerFt: 40, wideFt: 60, highFt: 45 } as const;

type Taken = Pick<Sheet, 'picture' | 'widthPx' | 'heightPx' | 'scale'>;

/** True of the bytes of a PDF, whatever its name says. */
export const isPdf = (bytes: Uint8Array): boolean =>
  new TextDecoder('latin1').decode(bytes.subarray(0, 1024)).includes('%PDF-');

/** An empty sheet on a grid of feet. */
export const emptySheet = (): Taken => ({
  picture: null,
  widthPx: EMPTY.wideFt * EMPTY.pxPerFt,
  heightPx: EMPTY.highFt * EMPTY.pxPerFt,
  scale: {
    by: 'length',
    from: { x: 0, y: 0 },
    to: { x: EMPTY.wideFt * EMPTY.pxPerFt, y: 0 },
    lengthFt: EMPTY.wideFt,
  },
});

/** A picture as a sheet: looked at by its bytes, drawn anew as it stands upright, so that nothing goes along but what is seen. */
export async function sheetOfPicture(bytes: Uint8Array, name: string, job: string): Promise<Checked<Taken>> {
  const picture = readPicture(bytes, name);
  if (!picture.ok) return picture;
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(blobOf(bytes, picture.value.type));
  } catch {
    return bad({ path: name, message: say('take.unreadable'), wayOut: say('take.another') });
  }
  const share = Math.min(1, MOST_PX / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(Math.round(bitmap.width * share), 1);
  canvas.height = Math.max(Math.round(bitmap.height * share), 1);
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  return sheetOfCanvas(canvas, name, job, picture.value.type === 'image/png' ? 'image/png' : 'image/jpeg');
}

/** What is drawn on a canvas as a sheet: kept like a photo. */
export async function sheetOfCanvas(
  canvas: HTMLCanvasElement,
  name: string,
  job: string,
  type: 'image/png' | 'image/jpeg',
): Promise<Checked<Taken>> {
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, type, 0.9));
  if (!blob || blob.size > MAX_PHOTO_BYTES)
    return bad({ path: name, message: say('take.tooLarge'), wayOut: say('take.another') });
  try {
    const store = await (await openStore()).photos();
    const id = await store.add(job, new Uint8Array(await blob.arrayBuffer()));
    return good({
      picture: { id, type, bytes: blob.size },
      widthPx: canvas.width,
      heightPx: canvas.height,
      scale: null,
    });
  } catch {
    return bad({ path: name, message: say('take.full'), wayOut: say('take.makeRoom') });
  }
}
