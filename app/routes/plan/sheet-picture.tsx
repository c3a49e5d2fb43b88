import type { ReactNode } from 'react';
import type { Sheet } from '@core/job/model/sheet';
import { usePhotoUrl } from '../record/photo-card';

/** The picture of a sheet in its own pixels, once its bytes are read; `missing` where they are not on this device. */
export function SheetPicture({
  picture,
  widthPx,
  heightPx,
  missing = null,
}: Pick<Sheet, 'widthPx' | 'heightPx'> & {
  picture: NonNullable<Sheet['picture']>;
  missing?: ReactNode;
}) {
  const url = usePhotoUrl(picture);
  if (url === undefined) return null;
  return url === null ? (
    missing
  ) : (
    <image href={url} width={widthPx} height={heightPx} preserveAspectRatio="none" />
  );
}
