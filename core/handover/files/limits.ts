/** What a zip file may be. */
export const ZIP_LIMITS = {
  bytes: 500_000_000,
  files: 5000,
  /** All of it unpacked, bytes. */
  unpacked: 1_000_000_000,
} as const;
