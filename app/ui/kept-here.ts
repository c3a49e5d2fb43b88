/** Keeps a setting on this device; null forgets it. */
export const keep = (name: string, value: string | null): void => {
  try {
    if (value === null) localStorage.removeItem(name);
    else localStorage.setItem(name, value);
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
