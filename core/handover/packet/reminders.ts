import type { Design } from '../../job/model/design';
import type { House } from '../../job/model/house';
import { writeCalendar, type CalendarEvent } from './calendar';
import { monthlyTests } from './owner';
import { say } from '../../base/words/packet';

/**
 * A calendar with the monthly test of every GFCI and AFCI of a job, from the first of the next month on, and with the
 * day of the inspection where it is known (iCalendar, RFC 5545). Null where there is nothing to be reminded of.
 */
export function reminders(design: Design, house: House | null, now: Date): string | null {
  const tests = monthlyTests(design);
  const events: CalendarEvent[] = [];
  if (tests.length > 0) {
    const next = new Date(now.getFullYear(), now.getMonth() + 1, 1);
    events.push({
      uid: `${design.id}-monthly-test@split-tap`,
      title: say('reminder.title', { job: design.name }),
      description: tests.join('\n'),
      location: design.site,
      start: [next.getFullYear(), next.getMonth() + 1, 1],
      repeats: 'FREQ=MONTHLY;BYMONTHDAY=1',
    });
  }
  if (house?.inspection) {
    const [year = 0, month = 1, day = 1] = house.inspection.split('-').map(Number);
    events.push({
      uid: `${house.id}-inspection@split-tap`,
      title: say('reminder.inspection', { house: house.name }),
      location: house.site,
      start: [year, month, day],
    });
  }
  if (events.length === 0) return null;
  return writeCalendar(design.name, events, now);
}
