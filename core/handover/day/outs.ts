import { writeCsv } from '../../choices/takeoff/csv';
import type { DayPlan, TimedTask, Visit } from '../../choices/day/plan-day';
import type { JobTasks } from '../../choices/day/together';
import type { Day } from '../../job/model/day';
import type { House } from '../../job/model/house';
import { directoryOf } from '../directory/directory';
import { writeCalendar, type CalendarEvent } from '../packet/calendar';
import type { Section } from '../packet/section';
import { say } from '../../base/words/day';
import {
  clockWords,
  darkWords,
  dateWords,
  memberName,
  minuteOf,
  spanWords,
  TaskWords,
  visitDate,
  visitName,
  visitWords,
} from './words';

/** A day with all that is said of it. */
export interface DayOut {
  readonly id: string;
  readonly name: string;
  readonly site: string;
  readonly jobs: readonly JobTasks[];
  readonly day: Day;
  readonly plan: DayPlan;
  readonly house?: House | null;
  /** When the first visit begins, minutes after midnight: as it is planned, or now. */
  readonly begins: number;
}

/** When a visit begins: the first as it is asked, each later one at the hour of the day. */
const beginsAt = ({ day, begins, plan }: Pick<DayOut, 'day' | 'begins' | 'plan'>, visit: Visit): number =>
  visit === plan.visits[0] ? begins : minuteOf(day.from);

const titleOf = ({ day, plan }: DayOut, { visit }: Visit): string => {
  const date = visitDate(day, visit);
  const name = visitName(visit, plan.visits.length);
  return date === null ? name : say('visit.dated', { name, date: dateWords(date) });
};

/** What is done when, where, by whom: a row a task (CSV, RFC 4180). */
export function dayCsv(out: DayOut): string {
  const words = new TaskWords(out.jobs);
  return writeCsv(
    ['visit', 'from', 'to', 'minutes', 'who', 'job', 'where', 'what', 'circuits off'],
    out.plan.visits.flatMap((visit) =>
      visit.tasks.map(({ task, from, to, crew }) => {
        const begins = beginsAt(out, visit);
        return [
          visit.visit,
          clockWords(begins + from),
          clockWords(begins + to),
          to - from,
          crew.map((person) => memberName(out.day, person)).join(', '),
          words.job(task),
          words.place(task),
          words.what(task),
          task.dead.join(' '),
        ];
      }),
    ),
  );
}

/** A sheet for the crew: visit by visit each one's list in its order, and when each circuit is off. */
export function crewSheet(out: DayOut): Section[] {
  const { day, plan, jobs } = out;
  const words = new TaskWords(jobs);
  return plan.visits.map((visit): Section => {
    const begins = beginsAt(out, visit);
    const row = ({ task, from, to, crew }: TimedTask) => [
      '☐',
      clockWords(begins + from),
      spanWords(to - from),
      [words.job(task), words.what(task)].filter(Boolean).join(': '),
      crew.length > 1 ? say('sheet.with', { names: crew.map((one) => memberName(day, one)).join(', ') }) : '',
    ];
    return {
      id: `visit-${visit.visit}`,
      title: titleOf(out, visit),
      blocks: [
        { kind: 'list', items: visitWords(visit, day.crew.length, begins) },
        ...day.crew.flatMap((_, person) => {
          const own = visit.tasks.filter(({ crew }) => crew.includes(person));
          return own.length === 0
            ? []
            : [
                { kind: 'text', text: memberName(day, person), strong: true } as const,
                {
                  kind: 'table',
                  head: ['', say('sheet.from'), say('sheet.time'), say('sheet.what'), say('sheet.together')],
                  rows: own.map(row),
                } as const,
              ];
        }),
      ],
    };
  });
}

/** What each circuit feeds, by its number, in the words of the directory. */
const darkOf = ({ jobs, house }: Pick<DayOut, 'jobs' | 'house'>): ReadonlyMap<string, string> =>
  new Map(
    directoryOf(
      jobs.map(({ plan }) => plan.job),
      house ?? undefined,
    ).map(({ number, label }) => [number, label]),
  );

/** A notice for whoever lives there: what is dark, from when to when, in the words of the directory. */
export function customerNotice(out: DayOut): Section {
  const { plan } = out;
  const labels = darkOf(out);
  const windows = plan.visits.flatMap((visit) =>
    visit.windows.map((window) => ({ window, begins: beginsAt(out, visit), title: titleOf(out, visit) })),
  );
  return {
    id: 'notice',
    title: say('notice.title'),
    blocks: [
      { kind: 'text', text: say('notice.says', { name: out.name }) },
      windows.length === 0
        ? { kind: 'text', text: say('notice.none') }
        : {
            kind: 'table',
            head: [say('notice.day'), say('notice.from'), say('notice.to'), say('notice.what')],
            rows: windows.map(({ window, begins, title }) => [
              title,
              clockWords(begins + window.from),
              clockWords(begins + window.to),
              darkWords(window, labels).join('; '),
            ]),
          },
      { kind: 'text', text: say('notice.caution') },
    ],
  };
}

/** The visits as a calendar (iCalendar, RFC 5545), in the time of whoever reads it; null where no date is set. */
export function dayCalendar(out: DayOut, now: Date): string | null {
  const { day, plan, id, name, site, jobs } = out;
  const words = new TaskWords(jobs);
  const events = plan.visits.flatMap((visit): CalendarEvent[] => {
    const date = visitDate(day, visit.visit);
    if (date === null) return [];
    const [year = 0, month = 1, on = 1] = date.split('-').map(Number);
    const begins = beginsAt(out, visit);
    return [
      {
        uid: `${id}-visit-${visit.visit}@split-tap`,
        title: say('calendar.title', { name, visit: visitName(visit.visit, plan.visits.length) }),
        location: site,
        description: [
          ...visitWords(visit, day.crew.length, begins),
          '',
          ...visit.tasks.map(({ task, from }) => `${clockWords(begins + from)} ${words.what(task)}`),
        ].join('\n'),
        start: [year, month, on, Math.floor(begins / 60) % 24, begins % 60],
        minutes: Math.max(1, visit.cost.time),
      },
    ];
  });
  if (events.length === 0) return null;
  return writeCalendar(name, events, now);
}
