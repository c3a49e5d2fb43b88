/**
 * Asks the browser not to clear what is stored when it runs short: once there is a job of one's own. It may ask the user,
 * or say no in silence; nothing hangs on the answer.
 */
export function keepForGood(): void {
  // Browsers without it are there yet, whatever the types say.
  const storage = navigator.storage as StorageManager | undefined;
  void storage?.persist().catch(() => undefined);
}
