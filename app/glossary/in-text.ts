import { say } from '~/words/glossary';
import { TERMS, type Term } from './terms';

const BY_FORM = new Map(
  TERMS.flatMap((term) => term.forms.split('|').map((form) => [form.toLowerCase(), term] as const)),
);
const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
/** Phrases in which such a word means what it means elsewhere. */
const PLAIN: ReadonlySet<string> = new Set(say('terms.plainPhrases').toLowerCase().split('|'));
/** The longest first, whole words only. */
const ANY = new RegExp(
  `(?<![\\p{L}\\p{N}-])(${[...BY_FORM.keys(), ...PLAIN]
    .sort((a, b) => b.length - a.length)
    .map(escaped)
    .join('|')})(?![\\p{L}\\p{N}-])`,
  'giu',
);
/** LINE and LOAD are marks on a device; "line" and "load" are plain words. */
const isMark = (term: Term): boolean => term.name === term.name.toUpperCase() && /\p{L}/u.test(term.name);

export type Piece = string | { readonly text: string; readonly term: Term };

/** A text in pieces: its words of the trade, each once, and what stands between. */
export function inText(text: string): Piece[] {
  const pieces: Piece[] = [];
  const seen = new Set<string>();
  let from = 0;
  for (const match of text.matchAll(ANY)) {
    const found = match[0];
    const term = BY_FORM.get(found.toLowerCase());
    if (!term || seen.has(term.id) || (isMark(term) && !found.startsWith(term.name))) continue;
    seen.add(term.id);
    if (match.index > from) pieces.push(text.slice(from, match.index));
    pieces.push({ text: found, term });
    from = match.index + found.length;
  }
  if (from < text.length) pieces.push(text.slice(from));
  return pieces;
}
