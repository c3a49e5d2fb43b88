import { describe, expect, test } from '@jest/globals';
import { parse } from 'csv-parse/sync';
import ICAL from 'ical.js';
import { standingOf } from '../../choices/day/done';
import { measuresOf, offersOf } from '../../choices/day/measured';
import { fitting, savedTogether } from '../../choices/day/compare';
import { plannedDay } from '../../choices/day/plan-day';
import { tasksOf } from '../../choices/day/tasks';
import type { JobTasks } from '../../choices/day/together';
import { EXAMPLE_SHOP } from '../../choices/takeoff/shop';
import { Day } from '../../job/model/day';
import { planJob } from '../../wiring/plan';
import { demoHouse, demoJobs } from '../jobs/demo-house';
import { crewSheet, customerNotice, dayCalendar, dayCsv, type DayOut } from './outs';
import { clockWords, dayAnswer, minuteOf, spanWords, visitDate } from './words';

const NOW = new Date('2026-05-20T08:00:00Z');
const { minutes } = EXAMPLE_SHOP;
const jobs: readonly JobTasks[] = demoJobs.flatMap((design): JobTasks[] => {
  const outcome = planJob(design);
  if (!outcome.ok) return [];
  const { plan } = outcome;
  return [{ job: design.id, plan, tasks: tasksOf(plan, { minutes }), done: new Set() }];
});
const of = (id: string) => jobs.filter(({ job }) => job === id);
const day = Day.parse({
  crew: [{ name: 'Mara' }, { name: 'Theo', qualified: false }],
  date: '2026-05-29',
  inspectionDays: 4,
  closingDays: 10,
});
const out = (own: readonly JobTasks[], asked: Day = day): DayOut => ({
  id: 'alder',
  name: 'Alder Court 12',
  site: 'Alder Court, house 12',
  jobs: own,
  day: asked,
  plan: plannedDay(own, asked, { tries: 40, steps: 500 }),
  house: demoHouse,
  begins: minuteOf(asked.from),
});

describe('a day, given out', () => {
  test('CSV: a row a task, its minutes add up to what the crew works; another reader reads it (RFC 4180)', () => {
    const own = out(jobs);
    const rows = parse<Record<string, string>>(dayCsv(own), { columns: true });
    const tasks = own.plan.visits.flatMap((visit) => visit.tasks);
    expect(rows).toHaveLength(tasks.length);
    expect(rows.reduce((sum, row) => sum + Number(row['minutes']), 0)).toBe(
      tasks.reduce((sum, { from, to }) => sum + to - from, 0),
    );
    // A name that is a formula to a spreadsheet is none.
    const hostile = { ...day, crew: [{ name: '=1+1', qualified: true }] };
    expect(dayCsv(out(of('stair'), hostile))).not.toMatch(/(^|,)=1\+1/m);
  });

  test('calendar: an event a visit, on its day, as long as it takes; another reader reads it (RFC 5545)', () => {
    const own = out(of('stair'));
    const text = dayCalendar(own, NOW)!;
    const events = new ICAL.Component(ICAL.parse(text) as unknown[] as never)
      .getAllSubcomponents('vevent')
      .map((one) => new ICAL.Event(one));
    expect(events.map(({ startDate }) => startDate.toString().slice(0, 10))).toEqual([
      '2026-05-29',
      '2026-06-02',
      '2026-06-12',
    ]);
    expect(events.map(({ duration }) => duration.toSeconds() / 60)).toEqual(
      own.plan.visits.map(({ cost }) => cost.time),
    );
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(3);
    expect(dayCalendar(out(of('stair'), { ...day, date: null }), NOW)).toBeNull();
  });

  test('the crew’s sheet has each task once a hand; the notice each window in the words of the directory', () => {
    const own = out(jobs);
    const rows = crewSheet(own).flatMap(({ blocks }) =>
      blocks.flatMap((block) => (block.kind === 'table' ? block.rows : [])),
    );
    expect(rows).toHaveLength(
      own.plan.visits.flatMap(({ tasks }) => tasks.flatMap(({ crew }) => crew)).length,
    );
    const notice = customerNotice(own).blocks.flatMap((block) => (block.kind === 'table' ? block.rows : []));
    expect(notice).toHaveLength(own.plan.visits.flatMap(({ windows }) => windows).length);
    expect(JSON.stringify(notice)).toContain('circuit 9: receptacles: ');
    expect(JSON.stringify(notice)).not.toMatch(/undefined|not in the directory/);
  });

  test('clocks, spans and dates are those of anybody', () => {
    expect([0, 45, 60, 200].map(spanWords)).toEqual(['0 min', '45 min', '1 h', '3 h 20 min']);
    expect(clockWords(minuteOf('09:05'))).toMatch(/^9:05\sAM$/);
    expect(([1, 2, 3] as const).map((visit) => visitDate(day, visit))).toEqual([
      '2026-05-29',
      '2026-06-02',
      '2026-06-12',
    ]);
    expect(visitDate({ ...day, date: null }, 1)).toBeNull();
  });

  test('the answer: how long, what is off, how often to the panel; nobody who may; nothing to do', () => {
    const hall = out(of('hall-console'), { ...day, crew: [{ name: '', qualified: true }] });
    expect(dayAnswer(hall.plan, hall.day, hall.begins)).toMatch(
      /^1 h \d+ min for one, done \d+:\d+\sAM\. Off: circuit 9, .+ to .+\. 3 trips to the panel\.$/,
    );
    const nobody = out(of('hall-console'), { ...day, crew: [{ name: '', qualified: false }] });
    expect(dayAnswer(nobody.plan, nobody.day, 0)).toMatch(/qualified person/);
    expect(dayAnswer({ visits: [], done: [], nobody: false }, day, 0)).toMatch(/^Nothing to do/);
  });
});

describe('several jobs of a house', () => {
  test('a shared day takes no longer than days of their own; what fits is done in the hours', () => {
    const saved = savedTogether(jobs, day);
    expect(saved.minutes).toBeGreaterThan(0);
    expect(saved.trips).toBeGreaterThan(0);
    for (const hours of [0.5, 2, 4, 24]) {
      const fits = fitting(jobs, { ...day, hours });
      const chosen = jobs.filter(({ job }) => fits.includes(job));
      const { visits } = plannedDay(chosen, day, { tries: 150, steps: 0 });
      for (const { cost } of visits) expect(cost.time).toBeLessThanOrEqual(hours * 60);
    }
    expect(fitting(jobs, { ...day, hours: 0.5 })).toEqual([]);
    expect(fitting(jobs, { ...day, hours: 24 })).toHaveLength(jobs.length);
  });
});

describe('measured minutes', () => {
  const [stair] = of('stair');
  const { plan, tasks } = stair!;
  /** Each task done after so much of its estimate, one after the other. */
  const worked = (factor: number, by = '', gap = 0) => {
    let at = Date.parse('2026-05-29T08:00:00Z');
    const checked = tasks.map(({ id, minutes: own }) => {
      at += (own * factor + gap) * 60_000;
      return { task: id, says: '', at: new Date(at).toISOString(), by };
    });
    // Steps are left out: tasks without steps alone are checked off here.
    return standingOf(plan, tasks, { ticks: [], tasks: checked });
  };
  const offers = (standing: ReturnType<typeof worked>) => offersOf(measuresOf(tasks, standing), minutes);

  test('as estimated: nothing is offered; half as long again: each row that was measured often enough, half as much again', () => {
    for (const { now, median } of offers(worked(1))) expect(Math.abs(median - now) / now).toBeLessThan(0.6);
    const slow = offers(worked(2));
    expect(slow.length).toBeGreaterThan(0);
    for (const { count, now, median } of slow) {
      expect(count).toBeGreaterThanOrEqual(3);
      expect(median).toBeGreaterThan(now);
    }
  });
  test('check-offs in one go, and those after a night, measure nothing', () => {
    const at = '2026-05-29T08:00:00.000Z';
    const once = standingOf(plan, tasks, {
      ticks: [],
      tasks: tasks.map(({ id }) => ({ task: id, says: '', at, by: '' })),
    });
    expect(measuresOf(tasks, once)).toEqual([]);
    expect(measuresOf(tasks, worked(1, '', 600))).toEqual([]);
  });
});
