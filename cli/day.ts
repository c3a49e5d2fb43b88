import { jobTasks } from '@core/choices/day/done';
import { plannedDay } from '@core/choices/day/plan-day';
import type { JobTasks } from '@core/choices/day/together';
import { EXAMPLE_SHOP } from '@core/choices/takeoff/shop';
import { clockWords, dayAnswer, memberName, minuteOf, TaskWords, visitWords } from '@core/handover/day/words';
import { Day, MOST_CREW } from '@core/job/model/day';
import type { Job } from '@core/job/model/job';
import { bad, good, type Checked } from '@core/job/model/problem';
import { planJob } from '@core/wiring/plan';
import { readJson } from './json';
import { readShop } from './takeoff';

interface DayAsk {
  readonly crew?: string;
  readonly from?: string;
  readonly shop?: string;
}

/**
 * The day of a job, or of the jobs of a house: tasks with their hour, who, what is off. `crew` people, of whom the first is qualified
 * and the others work dead circuits, unless the file says who works.
 */
export function dayReport(jobs: readonly Job[], own: Day, asked: string) {
  const read = readJson(asked, 'day');
  if (!read.ok) return read;
  const { crew, from, shop: text } = read.value as DayAsk;
  const day = dayOf(own, crew, from);
  if (!day.ok) return day;
  const shop = text === undefined ? good(EXAMPLE_SHOP) : readShop(text);
  if (!shop.ok) return shop;
  const { minutes } = shop.value;
  const refused: { job: string; why: string }[] = [];
  const planned = jobs.flatMap(({ design, record }): JobTasks[] => {
    const outcome = planJob(design);
    if (!outcome.ok) {
      refused.push({ job: design.id, why: outcome.refusals.map(({ message }) => message).join(' ') });
      return [];
    }
    return [jobTasks(outcome.plan, record, { minutes, walls: day.value.walls })];
  });
  const plan = plannedDay(planned, { ...day.value, minutes });
  const words = new TaskWords(planned);
  const begins = minuteOf(day.value.from);
  return good({
    answer: dayAnswer(plan, day.value, begins),
    refused,
    done: plan.done.length,
    nobody: plan.nobody,
    visits: plan.visits.map((visit) => ({
      visit: visit.visit,
      says: visitWords(visit, day.value.crew.length, begins),
      minutes: visit.cost.time,
      atLeast: visit.bound.time,
      proved: visit.proved,
      trips: visit.cost.trips,
      windows: visit.windows,
      tasks: visit.tasks.map(({ task, from: start, to, crew: who }) => ({
        does: task.does,
        says: words.what(task),
        jobs: task.of.map(({ job }) => job),
        place: task.place,
        from: clockWords(begins + start),
        minutes: to - start,
        who: who.map((person) => memberName(day.value, person)),
        off: task.dead,
      })),
    })),
  });
}

function dayOf(own: Day, crew: string | undefined, from: string | undefined): Checked<Day> {
  const count = crew === undefined ? own.crew.length : Number(crew);
  if (!Number.isInteger(count) || count < 1 || count > MOST_CREW)
    return bad({ path: '--crew', message: `"${crew}" is no crew.`, wayOut: `Say 1 to ${MOST_CREW}.` });
  const members = Array.from(
    { length: count },
    (_, person) => own.crew[person] ?? { name: '', qualified: person === 0 },
  );
  const read = Day.safeParse({ ...own, crew: members, from: from ?? own.from });
  return read.success
    ? good(read.data)
    : bad({ path: '--from', message: `"${from}" is no time of day.`, wayOut: 'Write it as 08:30.' });
}
