import { z } from 'zod';
import { EXAMPLE_SHOP, Shop } from '@core/takeoff/shop';
import type { SplitTapDatabase } from './database';

const Bought = z.array(z.string().max(200)).max(2000);

/** The shop's own prices, labor and truck, one for all jobs; and of each job what is bought already. */
export class ShopStore {
  constructor(private readonly db: SplitTapDatabase) {}

  /** The example's where nothing is stored, or what is stored cannot be read. */
  async shop(): Promise<Shop> {
    const read = Shop.safeParse((await this.db.shop.get('shop'))?.value);
    return read.success ? read.data : EXAMPLE_SHOP;
  }

  async setShop(shop: Shop): Promise<void> {
    await this.db.shop.put({ id: 'shop', value: shop });
  }

  async bought(job: string): Promise<ReadonlySet<string>> {
    const read = Bought.safeParse((await this.db.shop.get(`bought ${job}`))?.value);
    return new Set(read.success ? read.data : []);
  }

  async setBought(job: string, keys: ReadonlySet<string>): Promise<void> {
    await this.db.shop.put({ id: `bought ${job}`, value: [...keys] });
  }
}
