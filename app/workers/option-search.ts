import type { Design } from '@core/job/model/design';
import type { Option, Progress } from '@core/choices/options/option';
import type { Prices } from '@core/choices/options/price';
import { searchOptions } from '@core/choices/options/search';
import { breathe } from './breathe';

export type OptionSearch = ReturnType<typeof optionSearch>;

/** How far a search is; the best so far only where others have come among them. */
export type Told = Omit<Progress, 'best'> & Partial<Pick<Progress, 'best'>>;

/** A search that tells its progress and can be stopped; what the worker offers. */
export function optionSearch() {
  let asked = 0;
  return {
    /** Gives null where a cancel or a newer search came first. */
    async search(
      job: Design,
      outlet: string,
      prices: Prices,
      tell: (progress: Told) => void,
    ): Promise<Option[] | null> {
      const own = ++asked;
      const device = job.devices.find(({ id }) => id === outlet);
      if (!device) return [];
      const search = searchOptions(job, device, prices);
      let told: Progress['best'] = [];
      for (;;) {
        const step = search.next();
        if (step.done) return step.value;
        const { best, ...progress } = step.value;
        tell(best === told ? progress : { ...progress, best });
        told = best;
        await breathe();
        if (own !== asked) return null;
      }
    },
    cancel() {
      asked++;
    },
  };
}
