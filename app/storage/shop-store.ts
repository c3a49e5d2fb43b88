import { liveQuery } from 'dexie';
import { z } from 'zod';
import type { Problem } from '@core/job/model/problem';
import { changeShop, EXAMPLE_SHOP, Shop, ticked } from '@core/choices/takeoff/shop';
import { whole, type ShopTap, type SplitTapDatabase } from './database';
import { OF_SHOP, refusals, waitingOn, writeDown } from './journal';

const Bought = z.array(z.string().max(200)).max(2000);

/** The shop's own, and what is bought of a list. */
export interface ShopShown {
  readonly shop: Shop;
  readonly bought: ReadonlySet<string>;
}

/** The shop's own prices, labor and truck, one for all jobs; and of each job what is bought already. */
export class ShopStore {
  constructor(private readonly db: SplitTapDatabase) {}

  /** The shop's own, and what is bought of a list. The example's where nothing is stored, or it cannot be read. */
  async open(list: string): Promise<ShopShown> {
    const read = Shop.safeParse((await this.db.shop.get('shop'))?.value);
    return { shop: read.success ? read.data : EXAMPLE_SHOP, bought: await this.bought(list) };
  }

  private async bought(list: string): Promise<ReadonlySet<string>> {
    const read = Bought.safeParse((await this.db.shop.get(`bought ${list}`))?.value);
    return new Set(read.success ? read.data : []);
  }

  /** Told anew when it changes, in whichever tab. Gives a way to stop. */
  watch(list: string, tell: (shown: ShopShown) => void): () => void {
    const watching = liveQuery(() => this.open(list)).subscribe({ next: tell, error: () => undefined });
    return () => watching.unsubscribe();
  }

  /** Changes something. It is written down before this returns, and carried out whatever becomes of the page. */
  async run(tap: ShopTap): Promise<readonly Problem[]> {
    await writeDown(this.db, { on: 'shop', jobId: OF_SHOP, change: tap });
    await this.carryOut();
    return refusals(this.db, OF_SHOP);
  }

  /** Carries out what waits, in order. What is stored and cannot be read is put aside before it is written over. */
  carryOut(): Promise<void> {
    return whole(this.db, async () => {
      for (const entry of await waitingOn(this.db, OF_SHOP)) {
        if (entry.on !== 'shop') continue;
        const problems = await whole(this.db, () => this.carryOutOne(entry.change));
        if (problems.length === 0) await this.db.journal.delete(entry.seq ?? 0);
        else await this.db.journal.put({ ...entry, refused: problems });
      }
    });
  }

  private carryOutOne = (tap: ShopTap): Promise<readonly Problem[]> =>
    whole(this.db, async () => {
      if (tap.do === 'tick') {
        const bought = ticked(await this.bought(tap.list), tap);
        await this.db.shop.put({ id: `bought ${tap.list}`, value: [...bought] });
        return [];
      }
      const stored = await this.db.shop.get('shop');
      const read = Shop.safeParse(stored?.value);
      if (stored && !read.success)
        await this.db.shop.put({ id: `unreadable shop ${Date.now()}`, value: stored.value });
      const done = changeShop(read.success ? read.data : EXAMPLE_SHOP, tap.change);
      if (!done.ok) return done.problems;
      await this.db.shop.put({ id: 'shop', value: done.value });
      return [];
    });
}
