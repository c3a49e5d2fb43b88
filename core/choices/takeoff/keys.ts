import type { Box, Circuit, Device } from '../../job/model/design';
import type { WiredCable } from '../../job/model/wiring';

/* What tells a thing that is bought from every other: a shop's prices go by these. */

export const cableKey = ({ type, cord }: Pick<WiredCable, 'type' | 'cord'>): string =>
  `${cord ? 'cord' : 'cable'} ${type}`;

export const boxKey = ({ family, gangs, volumeIn3 }: Pick<Box, 'family' | 'gangs' | 'volumeIn3'>): string =>
  `box ${family} ${gangs} ${volumeIn3}`;

/** `kind`: the id of the device as it is wired; `marks`: of those the ones that are no cover. */
export const deviceKey = (
  kind: string,
  { ratingA }: Pick<Device, 'ratingA'>,
  marks: Device['marks'],
): string => ['device', kind, ratingA, ...marks].join(' ');

export const breakerKey = ({ breakerA, protection }: Pick<Circuit, 'breakerA' | 'protection'>): string =>
  `breaker ${breakerA} ${protection}`;

export const TIE_KEY = 'tie';
