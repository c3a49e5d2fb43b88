import { mergeBought, type BoughtOf } from '@core/choices/takeoff/bought';
import { Bought } from '@core/job/model/bought';
import { whole, type SplitTapDatabase } from './database';

/** What of the lists of others comes in. */
export interface BoughtComing {
  /** Lines that are bought and were not known here. */
  readonly came: number;
  /** By list, how many lines both bought, each for himself. */
  readonly twice: readonly { readonly list: string; readonly lines: number }[];
}

/** What is bought of each list, and what both sides knew of it at the last hand-over. A list is a job's or a house's, by its id. */
export class BoughtStore {
  constructor(private readonly db: SplitTapDatabase) {}

  private async row(id: string): Promise<readonly string[] | null> {
    const read = Bought.safeParse((await this.db.shop.get(id))?.value);
    return read.success ? read.data : null;
  }

  of = async (list: string): Promise<readonly string[]> => (await this.row(`bought ${list}`)) ?? [];

  put = async (list: string, bought: readonly string[]): Promise<void> => {
    await this.db.shop.put({ id: `bought ${list}`, value: [...bought] });
  };

  /** A list goes to somebody as it is. */
  given = async (list: string): Promise<void> => {
    await this.db.shop.put({ id: `bought shared ${list}`, value: [...(await this.of(list))] });
  };

  private merged = async (list: string, theirs: readonly string[]) =>
    mergeBought(await this.row(`bought shared ${list}`), await this.of(list), theirs);

  /** A list comes in, under the name that it has here. */
  take = (list: string, theirs: readonly string[]): Promise<void> =>
    whole(this.db, async () => {
      const { bought } = await whole(this.db, () => this.merged(list, theirs));
      await this.put(list, bought);
      await this.given(list);
    });

  /** What would come in. */
  async coming(lists: BoughtOf): Promise<BoughtComing> {
    let came = 0;
    const twice: { list: string; lines: number }[] = [];
    for (const [list, theirs] of Object.entries(lists)) {
      const own = new Set(await this.of(list));
      const merged = await this.merged(list, theirs);
      came += merged.bought.filter((key) => !own.has(key)).length;
      if (merged.twice.length > 0) twice.push({ list, lines: merged.twice.length });
    }
    return { came, twice };
  }
}
