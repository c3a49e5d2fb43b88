import { useEffect, useState } from 'react';
import { minuteOf } from '@core/handover/day/words';
import type { Day } from '@core/job/model/day';

const localDate = (at: Date): string =>
  [at.getFullYear(), at.getMonth() + 1, at.getDate()].map((part) => String(part).padStart(2, '0')).join('-');
const localMinute = (at: Date): number => at.getHours() * 60 + at.getMinutes();

/**
 * When what is left begins, minutes after midnight: at the last check-off where that was today, so that late or early moves the
 * rest; else, and where another day is set, at the hour of the day.
 */
export function beginsAt(
  { from, date }: Pick<Day, 'from' | 'date'>,
  checkedAt: readonly string[],
  now: Date,
): number {
  const last = [...checkedAt].sort().at(-1);
  if (last === undefined || (date !== null && date !== localDate(now))) return minuteOf(from);
  const at = new Date(last);
  return localDate(at) === localDate(now) ? localMinute(at) : minuteOf(from);
}

/** The minute of the day, for a mark of now; null before the page is alive, and on another day than the one that is planned. */
export function useNow({ date }: Pick<Day, 'date'>, isBegun: boolean): number | null {
  const [now, setNow] = useState<Date | null>(null);
  useEffect(() => {
    if (!isBegun && date === null) return;
    const tick = () => setNow(new Date());
    const first = setTimeout(tick, 0);
    const every = setInterval(tick, 60_000);
    return () => {
      clearTimeout(first);
      clearInterval(every);
    };
  }, [isBegun, date]);
  if (now === null) return null;
  return (date === null ? isBegun : date === localDate(now)) ? localMinute(now) : null;
}
