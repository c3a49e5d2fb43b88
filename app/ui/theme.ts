/**
 * Runs before the first paint, so that the page never flashes in the wrong theme, and before anything is said:
 * `localStorage.words = 'pseudo'` shows what is not in a catalog and what a longer language would not fit into.
 */
export const themeScript = `
try {
  globalThis.splitTapWords = localStorage.getItem('words');
  var kept = localStorage.getItem('theme');
  var dark = kept ? kept === 'dark' : matchMedia('(prefers-color-scheme: dark)').matches;
  document.documentElement.dataset.theme = dark ? 'dark' : 'light';
} catch (_) { document.documentElement.dataset.theme = 'light'; }
`;

export function toggleTheme(): void {
  const root = document.documentElement;
  const next = root.dataset['theme'] === 'dark' ? 'light' : 'dark';
  root.dataset['theme'] = next;
  try {
    localStorage.setItem('theme', next);
  } catch {
    // Private windows may forbid storage; the theme then lasts for this visit.
  }
}
