import { addsOf, panelAfter, withPanel, type Adds } from '@core/choices/house/panel';
import { checkHouse, House } from '@core/job/model/house';
import type { Design } from '@core/job/model/design';
import { whole, type SplitTapDatabase, type StoredSummary } from './database';

/** What the page of a job must know of its house. */
export interface Around {
  readonly house: House;
  /** What each of the other jobs adds to its circuits. */
  readonly others: readonly Adds[];
}

/** A job as it is stored, with what must be known of its house. */
export interface StoredJob {
  readonly design: unknown;
  readonly record: unknown;
  readonly house: unknown;
  readonly lines: readonly StoredSummary[];
}

/** A house that is stored, or null where it is none or cannot be read: its jobs then stand alone. */
export function soundHouse(stored: unknown): House | null {
  const read = House.safeParse(stored);
  return read.success && checkHouse(read.data).length === 0 ? read.data : null;
}

/** The house around a stored job, with the revision of the house. */
export const aroundOf = (
  db: SplitTapDatabase,
  job: string,
  id: string | undefined,
): Promise<(Around & { readonly revision: number }) | null> =>
  whole(db, async () => {
    const stored = id === undefined ? undefined : await db.houses.get(id);
    const house = soundHouse(stored?.house);
    if (!stored || !house) return null;
    const lines = await db.summaries.where('house').equals(stored.id).toArray();
    return { house, others: othersIn(lines, job), revision: stored.revision };
  });

/** A job as it stands in its house, if it is in one. */
export const inside = (design: Design, around: Around | null): Design =>
  around ? withPanel(design, around.house, around.others) : design;

/** What the other jobs of a house add, from what is listed of them. */
export const othersIn = (lines: readonly StoredSummary[], job: string): Adds[] =>
  lines.flatMap(({ id, adds }) => (id === job || !adds ? [] : [adds]));

/** What a change of a job comes to in its house: the job with its circuits as the panel then has them. */
export interface Settled {
  readonly design: Design;
  readonly around: Around | null;
}

export function settled(before: Design, after: Design, around: Around | null): Settled {
  if (!around) return { design: after, around };
  const house = panelAfter(around.house, before, after);
  return {
    design: withPanel(after, house, around.others),
    around: house === around.house ? around : { ...around, house },
  };
}

/** True where a change of a job is the affair of the other jobs of its house: its panel, or what the job adds to it. */
export const touches = (before: Design, after: Design, was: Around, is: Around): boolean =>
  was.house !== is.house ||
  (before !== after && JSON.stringify(addsOf(before)) !== JSON.stringify(addsOf(after)));
