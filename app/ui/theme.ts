/* What is set on this device: how it is drawn, which hand holds it, whether steps are read aloud. */

import { BEEN } from '~/standing/early';
import { keep, kept } from './kept-here';

export const THEMES = ['light', 'dark', 'sun'] as const;
export type Theme = (typeof THEMES)[number];
export const HANDS = ['right', 'left'] as const;
export type Hand = (typeof HANDS)[number];

/** Kept where this browser has jobs of its own: the room for the first visit is then not made. */
export const OWN_JOBS = 'own jobs';

/**
 * Runs before the first paint, so that the page never flashes in the wrong theme, and before anything is said:
 * `localStorage.words = 'pseudo'` shows what is not in a catalog and what a longer language would not fit into.
 */
export const themeScript = `
var root = document.documentElement.dataset;
try {
  globalThis.splitTapWords = localStorage.getItem('words');
  var kept = localStorage.getItem('theme');
  root.theme = ['light', 'dark', 'sun'].includes(kept) ? kept
    : matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light';
  if (localStorage.getItem('hand') === 'left') root.hand = 'left';
  if (localStorage.getItem('${OWN_JOBS}')) root.own = 'yes';
  if (localStorage.getItem('${BEEN}')) root.been = 'yes';
} catch (_) { root.theme = 'light'; root.been = 'yes'; }
`;

export const themeNow = (): Theme =>
  THEMES.find((one) => one === document.documentElement.dataset['theme']) ?? 'light';
export function setTheme(theme: Theme): void {
  document.documentElement.dataset['theme'] = theme;
  keep('theme', theme);
}
export const toggleTheme = (): void => setTheme(themeNow() === 'dark' ? 'light' : 'dark');

export const handNow = (): Hand => (document.documentElement.dataset['hand'] === 'left' ? 'left' : 'right');
export function setHand(hand: Hand): void {
  if (hand === 'left') document.documentElement.dataset['hand'] = hand;
  else delete document.documentElement.dataset['hand'];
  keep('hand', hand);
}

export const readsAloud = (): boolean => kept('reads aloud') === 'on';
export const setReadsAloud = (on: boolean): void => keep('reads aloud', on ? 'on' : 'off');
