import { fitting, savedTogether, type Saved } from '@core/choices/day/compare';
import { groupBy } from '@core/base/group-by';
import { checkOff, type CheckOff } from '@core/choices/day/check-off';
import { jobTasks, type StandingJob } from '@core/choices/day/done';
import { measuresOf, offersOf, type Offer } from '@core/choices/day/measured';
import { planning, type DayPlan } from '@core/choices/day/plan-day';
import { together, type JobTasks } from '@core/choices/day/together';
import type { Shop } from '@core/choices/takeoff/shop';
import { crewSheet, customerNotice, dayCalendar, dayCsv, type DayOut } from '@core/handover/day/outs';
import { leaving, type Leaving } from '@core/handover/day/leaving';
import { TaskWords } from '@core/handover/day/words';
import { byNumber } from '@core/choices/house/circuits';
import type { RecordCommand } from '@core/job/commands/command';
import type { Section } from '@core/handover/packet/section';
import type { Day, TaskDone } from '@core/job/model/day';
import type { Design } from '@core/job/model/design';
import type { House } from '@core/job/model/house';
import type { Tick } from '@core/job/model/record';
import { planJob, type Plan } from '@core/wiring/plan';
import { breathe } from './breathe';
import { WORKED_MS } from './day-limit';

/** A job as far as its day goes. */
export interface DayJob {
  readonly design: Design;
  readonly ticks: readonly Tick[];
  readonly tasks: readonly TaskDone[];
}

export interface DayQuestion {
  readonly id: string;
  readonly name: string;
  readonly site: string;
  readonly jobs: readonly DayJob[];
  readonly minutes: Shop['minutes'];
  readonly day: Day;
  /** When what is left begins, minutes after midnight. */
  readonly begins: number;
  readonly house: House | null;
}

/** What is said of a task. */
export interface TaskSaid {
  readonly what: string;
  readonly place: string;
  /** Its job, where there are several. */
  readonly job: string;
}

/** A day as it is shown: better ones follow until none is looked for any more. */
export interface DayTold {
  readonly plan: DayPlan;
  readonly begins: number;
  readonly said: Readonly<Record<string, TaskSaid>>;
  /** Jobs that cannot be wired as asked. */
  readonly refused: readonly string[];
  readonly offers: readonly Offer[];
  /** Of several jobs what they save together, and which by name fit into the hours; null until it is known. */
  readonly more: { readonly saved: Saved; readonly fits: readonly string[] } | null;
}

/** What is said of one breaker of a house, by the jobs that it feeds. */
export interface HouseStop {
  readonly number: string;
  readonly jobs: readonly (Leaving & {
    readonly job: string;
    /** Anything of it is ticked or checked off. */
    readonly begun: boolean;
  })[];
}

/** Between two breaths, and between two better days that are shown, ms: a page that is drawn anew is not tapped well. */
const BREATH_MS = 40;
const SHOWN_MS = 700;
const EFFORT = { tries: 200_000, steps: 150_000 };

export type DayRoom = ReturnType<typeof dayRoom>;

/** One day at a time; what the worker offers. */
export function dayRoom() {
  let asked = 0;
  let last: DayOut | null = null;
  return {
    /** Tells better and better days. Gives the last; null where a newer question came first. */
    async plan(question: DayQuestion, tell: (told: DayTold) => void): Promise<DayTold | null> {
      const own = ++asked;
      const { jobs, refused, offers } = read(question);
      const words = new TaskWords(jobs);
      const said = Object.fromEntries(
        together(jobs).map((task) => [
          task.key,
          { what: words.what(task), place: words.place(task), job: words.job(task) },
        ]),
      );
      const wanted = { ...question.day, minutes: question.minutes };
      const work = planning(jobs, wanted, EFFORT);
      const began = Date.now();
      let breath = began;
      let shown: DayPlan | null = null;
      /** What was told last, and when. */
      let seen: DayPlan | null = null;
      let at = began;
      const { id, name, site, day, begins, house } = question;
      // What is told is what goes out, whenever it is asked for.
      const told = (plan: DayPlan, more: DayTold['more'] = null): DayTold => {
        last = { id, name, site, jobs, day, begins, house, plan };
        return { plan, begins, said, refused, offers, more };
      };
      for (;;) {
        const step = work.next();
        const isLast = step.done === true || Date.now() - began > WORKED_MS;
        const plan = step.value;
        const now = Date.now();
        const isDue = seen === null || (now - at >= SHOWN_MS && !isSame(plan, seen));
        if (isDue) {
          tell(told(plan));
          [seen, at] = [plan, now];
        }
        shown = plan;
        if (isLast) break;
        if (now - breath < BREATH_MS) continue;
        await breathe();
        if (own !== asked) return null;
        breath = Date.now();
      }
      if (jobs.length < 2 || shown.nobody) return told(shown);
      tell(told(shown));
      await breathe();
      if (own !== asked) return null;
      const fits = new Set(fitting(jobs, wanted));
      return told(shown, {
        saved: savedTogether(jobs, wanted),
        fits: jobs.flatMap(({ job, plan }) => (fits.has(job) ? [plan.job.name] : [])),
      });
    },
    /** The last day as a file or a sheet; null where none is worked out, or there is nothing to give. */
    out(kind: 'csv' | 'calendar'): string | null {
      if (!last) return null;
      return kind === 'csv' ? dayCsv(last) : dayCalendar(last, new Date());
    },
    sheets: (): readonly Section[] => (last ? [...crewSheet(last), customerNotice(last)] : []),
    /** What checks a task off in its job, or takes that back. */
    checkOff(
      job: DayJob,
      task: CheckOff,
      { minutes, day }: Pick<DayQuestion, 'minutes' | 'day'>,
    ): readonly RecordCommand[] {
      const outcome = planJob(job.design);
      if (!outcome.ok) return [];
      const standing = tasksIn(job, outcome.plan, { minutes, day }).standing.get(task.task);
      return standing ? checkOff(task, standing, new Date()) : [];
    },
    /** Where everyone may leave the house: breaker by breaker what each job says; jobs that cannot be wired are named. */
    stops(
      jobs: readonly DayJob[],
      asked: Pick<DayQuestion, 'minutes' | 'day'>,
    ): {
      readonly stops: readonly HouseStop[];
      readonly refused: readonly string[];
    } {
      const refused: string[] = [];
      const all = jobs.flatMap((job) => {
        const { design, ticks, tasks } = job;
        const outcome = planJob(design);
        if (!outcome.ok) {
          refused.push(design.name);
          return [];
        }
        const begun = ticks.length + tasks.length > 0;
        return leaving(tasksIn(job, outcome.plan, asked), { ticks: [...ticks] }, asked.minutes).circuits.map(
          (one) => ({ ...one, job: design.name, begun }),
        );
      });
      const byCircuit = groupBy(all, ({ number }) => [number]);
      return {
        stops: [...byCircuit]
          .map(([number, own]) => ({ number, jobs: own }))
          .sort((a, b) => byNumber(a.number, b.number)),
        refused,
      };
    },
    cancel() {
      asked++;
    },
  };
}

/** True where no visit of it is another. */
const isSame = (plan: DayPlan, before: DayPlan | null): boolean =>
  before !== null &&
  plan.visits.length === before.visits.length &&
  plan.visits.every((visit, index) => visit === before.visits[index]);

const tasksIn = (
  { ticks, tasks }: DayJob,
  plan: Plan,
  { minutes, day }: Pick<DayQuestion, 'minutes' | 'day'>,
): StandingJob => jobTasks(plan, { ticks: [...ticks], tasks: [...tasks] }, { minutes, walls: day.walls });

function read({ jobs, minutes, day }: DayQuestion): {
  readonly jobs: readonly JobTasks[];
  readonly refused: readonly string[];
  readonly offers: readonly Offer[];
} {
  const planned = jobs.map((job) => ({ job, outcome: planJob(job.design) }));
  const own = planned.flatMap(({ job, outcome }) =>
    outcome.ok ? [tasksIn(job, outcome.plan, { minutes, day })] : [],
  );
  const measures = own.flatMap(({ tasks, standing }) => measuresOf(tasks, standing));
  return {
    jobs: own,
    refused: planned.flatMap(({ job, outcome }) => (outcome.ok ? [] : [job.design.name])),
    offers: offersOf(measures, minutes),
  };
}
