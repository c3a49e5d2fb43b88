/** A day, ms: how long what was removed is kept, and between two backups by themselves. */
export const DAY_MS = 24 * 60 * 60 * 1000;
