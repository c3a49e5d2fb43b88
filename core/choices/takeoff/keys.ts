import type { Box, Circuit, Device } from '../../job/model/design';
import type { WiredCable } from '../../job/model/wiring';

/* What tells a thing that is bought from every other: a shop's prices go by these. */

export const cableKey = ({ type, cord }: Pick<WiredCable, 'type' | 'cord'>): string =>
  `${cord ? 'cord' : 'cable'} ${type}`;

export const boxKey = ({ family, gangs, volumeIn3 }: Pick<Box, 'family' | 'gangs' | 'volumeIn3'>): string =>
  `box ${family} ${gangs} ${volumeIn3}`;

/** `kind`: the id of the device as it is wired; `marks`: of those the ones that are no cover. Of whatever color. */
export const deviceKey = (
  kind: string,
  { ratingA }: Pick<Device, 'ratingA'>,
  marks: Device['marks'],
): string => ['device', kind, ratingA, ...marks].join(' ');

export const breakerKey = ({ breakerA, protection }: Pick<Circuit, 'breakerA' | 'protection'>): string =>
  `breaker ${breakerA} ${protection}`;

/** The same thing in a certain color; null is that of the house. */
export const inColor = (key: string, color: Device['color']): string =>
  color === null ? key : `${key}, ${color}`;

export const TIE_KEY = 'tie';
