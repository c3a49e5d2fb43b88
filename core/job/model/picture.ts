/* What of a picture is kept: its kinds and limits. */

/** Kinds of picture that are taken in. */
export const PHOTO_TYPES = ['image/jpeg', 'image/png', 'image/webp'] as const;
/** Largest photo kept, bytes, and longest side, pixels. */
export const MAX_PHOTO_BYTES = 25_000_000;
export const MAX_PHOTO_PX = 12_000;
