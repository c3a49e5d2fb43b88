import { MOST_ANCESTORS, type Ancestry } from '../model/ancestry';

/** What goes from hand to hand. */
export interface Thing {
  readonly kind: 'job' | 'house';
  readonly id: string;
}
/** Names it among all of either kind. */
export const thingKey = ({ kind, id }: Thing): string => `${kind} ${id}`;

/** How a copy that comes stands to the one that is here. */
export type Relation =
  /** The same content. */
  | { readonly is: 'same' }
  /** It grew from what is here: it can be taken as it is. */
  | { readonly is: 'ahead' }
  /** What is here grew from it: there is nothing to take. */
  | { readonly is: 'behind' }
  /** Both changed since; `base`: the fingerprint of the last copy that both grew from. */
  | { readonly is: 'apart'; readonly base: string }
  /** Nothing is known of what both grew from. */
  | { readonly is: 'strange' };

/** A copy: its fingerprint, and what it grew from. */
export interface Copy {
  readonly print: string;
  readonly from: Ancestry['from'];
}

/** How `theirs` stands to `ours`. Seen from the other side ahead is behind, and all else is the same. */
export function relationOf(ours: Copy, theirs: Copy): Relation {
  if (ours.print === theirs.print) return { is: 'same' };
  if (theirs.from.some(({ print }) => print === ours.print)) return { is: 'ahead' };
  if (ours.from.some(({ print }) => print === theirs.print)) return { is: 'behind' };
  const [common] = ours.from
    .filter(({ print }) => theirs.from.some((one) => one.print === print))
    .sort((a, b) => (a.at === b.at ? (a.print < b.print ? -1 : 1) : a.at < b.at ? 1 : -1));
  return common ? { is: 'apart', base: common.print } : { is: 'strange' };
}

/** What a copy grew from once it has taken in, or given out, others: the last first, each once. */
export function grown(
  from: Ancestry['from'],
  ...more: readonly Ancestry['from'][number][]
): Ancestry['from'][number][] {
  const seen = new Set<string>();
  return [...more, ...from]
    .sort((a, b) => (a.at < b.at ? 1 : a.at > b.at ? -1 : 0))
    .filter(({ print }) => !seen.has(print) && seen.add(print))
    .slice(0, MOST_ANCESTORS);
}
