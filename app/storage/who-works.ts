const KEY = 'splitTapWho';

/** Who works with this device, as the record names them; empty where nobody was named. */
export function whoWorks(): string {
  try {
    return globalThis.localStorage.getItem(KEY)?.slice(0, 80) ?? '';
  } catch {
    return '';
  }
}

export function setWhoWorks(name: string): void {
  try {
    globalThis.localStorage.setItem(KEY, name.trim().slice(0, 80));
  } catch {
    // A browser that keeps nothing knows nobody; the record then names none.
  }
}
