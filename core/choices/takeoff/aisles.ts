import { groupBy } from '../../base/group-by';
import { locale } from '../../base/words/language';
import type { Aisle, TakeOffLine } from './line';
import type { Shop, ShopChange } from './shop';

/** The shop's own name of where a thing is found; null where it has none. A thing's own goes before its aisle's. */
export const ownAisle = (
  { aisles, shelved }: Pick<Shop, 'aisles' | 'shelved'>,
  { key, aisle }: Pick<TakeOffLine, 'key' | 'aisle'>,
): string | null => shelved[key] || aisles[aisle] || null;

/** By number first, as aisles are told apart: 2 comes before 14. */
const collator = new Intl.Collator(locale, { numeric: true });

/** In the order of the walk: aisles that the shop has named, by their names, then the others; each as it was. */
export const walked = <T extends { readonly own: string | null }>(lines: readonly T[]): T[] =>
  lines.toSorted((a, b) =>
    a.own === null || b.own === null
      ? Number(a.own === null) - Number(b.own === null)
      : collator.compare(a.own, b.own),
  );

interface Placed {
  readonly line: TakeOffLine;
  readonly own: string | null;
}

/** What is walked to together: a place that the shop has named, or one of ours that it has not. */
export interface Stop<T> {
  readonly own: string | null;
  readonly aisle: Aisle;
  readonly lines: readonly T[];
}
export const stopsOf = <T extends Placed>(lines: readonly T[]): Stop<T>[] =>
  [...groupBy(lines, ({ own, line }) => [own === null ? `ours ${line.aisle}` : `own ${own}`])].flatMap(
    ([, all]) => (all[0] ? [{ own: all[0].own, aisle: all[0].line.aisle, lines: all }] : []),
  );

/** A stop under another name: the aisles that it is made of, and single things that were put there. Empty: as it was. */
export function renamedStop(
  { own, aisle }: Pick<Stop<Placed>, 'own' | 'aisle'>,
  shop: Shop,
  to: string,
): ShopChange {
  if (own === null) return { aisles: { [aisle]: to } };
  const of = (names: Readonly<Record<string, string | undefined>>) =>
    Object.fromEntries(Object.keys(names).flatMap((key) => (names[key] === own ? [[key, to]] : [])));
  return { aisles: of(shop.aisles), shelved: of(shop.shelved) };
}
