import { createEvents, type EventAttributes } from 'ics';
import type { Design } from '../../job/model/design';
import type { House } from '../../job/model/house';
import { monthlyTests } from './owner';
import { say } from '../../base/words/packet';

/**
 * A calendar with the monthly test of every GFCI and AFCI of a job, from the first of the next month on, and with the
 * day of the inspection where it is known (iCalendar, RFC 5545). Null where there is nothing to be reminded of.
 */
export function reminders(design: Design, house: House | null, now: Date): string | null {
  const tests = monthlyTests(design);
  const calendar = { productId: 'split-tap', calName: design.name } as const;
  const events: EventAttributes[] = [];
  if (tests.length > 0) {
    const next = new Date(now.getFullYear(), now.getMonth() + 1, 1);
    events.push({
      ...calendar,
      uid: `${design.id}-monthly-test@split-tap`,
      title: say('reminder.title', { job: design.name }),
      description: tests.join('\n'),
      location: design.site,
      start: [next.getFullYear(), next.getMonth() + 1, 1],
      end: [next.getFullYear(), next.getMonth() + 1, 2],
      recurrenceRule: 'FREQ=MONTHLY;BYMONTHDAY=1',
    });
  }
  if (house?.inspection) {
    const [year = 0, month = 1, day = 1] = house.inspection.split('-').map(Number);
    events.push({
      ...calendar,
      uid: `${house.id}-inspection@split-tap`,
      title: say('reminder.inspection', { house: house.name }),
      location: house.site,
      start: [year, month, day],
      end: dayAfter(year, month, day),
    });
  }
  if (events.length === 0) return null;
  const { error, value } = createEvents(events);
  if (error) throw error;
  return value ?? null;
}

/** The end of a whole day is the day after it. */
function dayAfter(year: number, month: number, day: number): [number, number, number] {
  const next = new Date(Date.UTC(year, month - 1, day + 1));
  return [next.getUTCFullYear(), next.getUTCMonth() + 1, next.getUTCDate()];
}
