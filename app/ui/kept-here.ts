/** Keeps a setting on this device. */
export const keep = (name: string, value: string): void => {
  try {
    localStorage.setItem(name, value);
  } catch {
    // Private windows may forbid storage; it then lasts for this visit.
  }
};
/** What was set on this device; null where nothing was, or nothing can be read. */
export const kept = (name: string): string | null => {
  try {
    return localStorage.getItem(name);
  } catch {
    return null;
  }
};
