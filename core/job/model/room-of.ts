import type { Box } from './design';

/** The room of a box: that of its spot on a wall, or else as it was said; null where it was not. */
export const roomOf = (box: Pick<Box, 'spot' | 'room'> | undefined): string | null =>
  box?.spot?.room ?? box?.room ?? null;
