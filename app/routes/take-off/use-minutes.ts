import { useEffect, useState } from 'react';
import { EXAMPLE_SHOP } from '@core/choices/takeoff/shop';
import { openStore } from '~/storage/opened';

/** The shop's labor table, as it is stored; the example's until it is read. */
export function useMinutes(list: string) {
  const [minutes, setMinutes] = useState(EXAMPLE_SHOP.minutes);
  useEffect(() => {
    let gone = false;
    void openStore()
      .then(async (store) => (await store.shop()).open(list))
      .then(({ shop }) => {
        if (!gone) setMinutes(shop.minutes);
      });
    return () => {
      gone = true;
    };
  }, [list]);
  return minutes;
}
