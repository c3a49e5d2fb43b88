import { testKey, type Reading } from '../model/survey';
import { freshId } from '../model/fresh-id';
import { valueMask } from './outcomes';

/**
 * Adds a reading to a list in place. One that was taken before in the same way is replaced; where it shows the same
 * again, it counts as taken once more.
 */
export function takeReading(readings: Reading[], fresh: Omit<Reading, 'id' | 'times'>): void {
  const way = testKey(fresh);
  const before = readings.find((one) => testKey(one) === way);
  if (!before) {
    readings.push({
      ...fresh,
      id: freshId(readings, `reading ${readings.length + 1}`),
      times: 1,
    });
    return;
  }
  const same = (valueMask(before.probe, before.value) & valueMask(fresh.probe, fresh.value)) !== 0;
  before.times = same ? before.times + 1 : 1;
  before.value = fresh.value;
}
