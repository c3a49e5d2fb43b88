/** Why a backup is due. */
export interface BackupState {
  /** When the last one was made; null where none was. */
  readonly at: number | null;
  /** Jobs that changed since. */
  readonly changed: number;
}
