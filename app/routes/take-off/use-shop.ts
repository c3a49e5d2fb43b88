import { useCallback, useMemo } from 'react';
import { changeShop, ticked, type Shop, type ShopChange } from '@core/choices/takeoff/shop';
import type { ShopTap } from '~/storage/database';
import { openStore } from '~/storage/opened';
import type { ShopShown, ShopStore } from '~/storage/shop-store';
import { useNotify } from '~/ui/notices';
import { useKept } from '~/ui/use-kept';
import { say } from '~/words/take-off';

/** The shop's own and what is bought, with the ways to change them. */
export interface OwnShop {
  readonly shop: Shop;
  readonly bought: ReadonlySet<string>;
  readonly change: (change: ShopChange) => void;
  readonly toggle: (key: string) => void;
}

/** The shop as it is stored when a page opens: nothing can be tapped on it before it is there. */
export interface LoadedShop {
  readonly store: ShopStore;
  readonly list: string;
  readonly first: ShopShown;
}

/** `list`: the job or the house whose list is bought. */
export async function loadShop(list: string): Promise<LoadedShop> {
  const store = await (await openStore()).shop();
  await store.carryOut();
  return { store, list, first: await store.open(list) };
}

/** The shop's prices, and what is bought of a list: kept in this browser, shown at once, the same in every tab. */
export function useShop({ store, list, first }: LoadedShop): OwnShop {
  const notify = useNotify();
  const { shown, during } = useKept<ShopShown, ShopTap>({
    path: 'shop',
    first,
    read: useCallback(() => store.open(list), [store, list]),
    watch: useCallback((tell: (shown: ShopShown) => void) => store.watch(list, tell), [store, list]),
    apply,
  });
  return useMemo(() => {
    const run = (tap: ShopTap) =>
      void during(tap, store.run(tap)).then((problems) => {
        if (problems.length > 0) notify(say('list.notKept'), problems);
      });
    return {
      ...shown,
      change: (change) => run({ do: 'set', change }),
      toggle: (key) => run({ do: 'tick', list, key, bought: !shown.bought.has(key) }),
    };
    // oxlint-disable-next-line react/exhaustive-deps -- `during` does the same whichever render it is of
  }, [shown, store, list, notify]);
}

function apply(shown: ShopShown, tap: ShopTap): ShopShown {
  if (tap.do === 'set') {
    const done = changeShop(shown.shop, tap.change);
    return done.ok ? { ...shown, shop: done.value } : shown;
  }
  return { ...shown, bought: ticked(shown.bought, tap) };
}
