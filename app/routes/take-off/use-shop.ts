import { useEffect, useState } from 'react';
import { EXAMPLE_SHOP, type Shop } from '@core/takeoff/shop';
import { openStore } from '~/storage/opened';

const shopStore = () => openStore().then(({ shop }) => shop());

/** The shop's own and what is bought, with the ways to change them. */
export interface OwnShop {
  readonly shop: Shop;
  readonly bought: ReadonlySet<string>;
  readonly setShop: (next: Shop) => void;
  readonly toggle: (key: string) => void;
}

/** The shop's prices, and what is bought for this job or house: kept in this browser, changed at once. */
export function useShop(job: string): OwnShop {
  const [shop, show] = useState<Shop>(EXAMPLE_SHOP);
  const [bought, tick] = useState<ReadonlySet<string>>(new Set());
  useEffect(() => {
    let gone = false;
    void shopStore().then(async (store) => {
      const [own, ticked] = await Promise.all([store.shop(), store.bought(job)]);
      if (gone) return;
      show(own);
      tick(ticked);
    });
    return () => {
      gone = true;
    };
  }, [job]);
  return {
    shop,
    bought,
    setShop: (next: Shop) => {
      show(next);
      void shopStore().then((store) => store.setShop(next));
    },
    toggle: (key: string) => {
      const next = new Set(bought);
      if (!next.delete(key)) next.add(key);
      tick(next);
      void shopStore().then((store) => store.setBought(job, next));
    },
  };
}
