/**
 * Asks the browser not to clear what is stored when it runs short: once there is a job of one's own. It may ask the user,
 * or say no in silence; nothing hangs on the answer.
 */
export function keepForGood(): void {
  void navigator.storage?.persist?.().catch(() => undefined);
}
