import { wishKind } from '@core/trade/devices';
import type { Design } from '@core/job/model/design';
import { partKey } from '@core/job/model/keys';

/** A device and which part of it was tapped. */
export interface PartAt {
  readonly device: string;
  readonly part: string;
}

/** The part of a drawn half or lamp. */
export function partAt({ devices }: Design, key: string): PartAt | null {
  for (const { id, kind } of devices)
    for (const part of wishKind(kind).parts)
      if (partKey(id, part.id) === key) return { device: id, part: part.id };
  return null;
}
