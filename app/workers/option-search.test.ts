import { describe, expect, test } from '@jest/globals';
import { demoJob } from '@core/handover/jobs/demo-house';
import { EVEN, ranked } from '@core/choices/options/option';
import { allOptions } from '@core/choices/options/search';
import { EXAMPLE_SHOP } from '@core/choices/takeoff/shop';
import { optionSearch, type Told } from './option-search';

const job = demoJob('hall-console')!;
const outlet = job.devices.find(({ id }) => id === 'console-outlet')!;

describe('the search of the Options stage', () => {
  test('finds what the core finds, and tells how far it is after every way', async () => {
    const told: Told[] = [];
    const found = await optionSearch().search(job, outlet.id, EXAMPLE_SHOP, (step) => void told.push(step));
    expect(found?.map(({ id }) => id)).toEqual(allOptions(job, outlet).map(({ id }) => id));
    expect(told.map(({ tried }) => tried)).toEqual(told.map((_, index) => index + 1));
    expect(told.at(-1)?.tried).toBe(told.at(-1)?.of);
    // The best so far is told when it changes, never twice; at the end it is the best of all.
    const best = told.flatMap((step) => (step.best ? [step.best.map(({ id }) => id).join()] : []));
    expect(best.length).toBeGreaterThan(1);
    best.forEach((ids, index) => expect(ids).not.toBe(best[index - 1]));
    expect(best.at(-1)).toBe(
      ranked(found ?? [], EVEN)
        .slice(0, 3)
        .map(({ id }) => id)
        .join(),
    );
  });
  test('stops when it is told to, having tried no more than one way after that', async () => {
    const worker = optionSearch();
    let tried = 0;
    const search = worker.search(job, outlet.id, EXAMPLE_SHOP, (step) => {
      ({ tried } = step);
      if (tried === 3) worker.cancel();
    });
    expect(await search).toBeNull();
    expect(tried).toBe(3);
  });
  test('a newer search takes the place of an older one', async () => {
    const worker = optionSearch();
    const first = worker.search(job, outlet.id, EXAMPLE_SHOP, () => undefined);
    const second = worker.search(job, outlet.id, EXAMPLE_SHOP, () => undefined);
    expect(await first).toBeNull();
    expect((await second)?.length).toBeGreaterThan(4);
  });
  test('an outlet that is not there has no ways', async () => {
    expect(await optionSearch().search(job, 'nowhere', EXAMPLE_SHOP, () => undefined)).toEqual([]);
  });
});
