import type { Cost, Problem } from '../../base/schedule/problem';
import { scheduling, type Effort, type Planned } from '../../base/schedule/schedule';
import { PANEL } from '../../job/model/design';
import type { Day } from '../../job/model/day';
import { roomOf } from '../../job/model/room-of';
import { MINUTES } from '../../trade/standards/prices';
import type { Shop } from '../takeoff/shop';
import { spotOf, together, type DayTask, type JobTasks } from './together';

/** A task with its hour: minutes from the beginning of its visit, and who does it, by their place in the crew. */
export interface TimedTask {
  readonly task: DayTask;
  readonly from: number;
  readonly to: number;
  readonly crew: readonly number[];
}

/** Circuits that are off, from when to when, min; from before the visit began where they were off already. */
export interface OffWindow {
  readonly circuits: readonly string[];
  readonly from: number;
  readonly to: number;
}

/** What is done between two waits. */
export interface Visit {
  readonly visit: 1 | 2 | 3;
  readonly tasks: readonly TimedTask[];
  readonly windows: readonly OffWindow[];
  readonly cost: Cost;
  readonly bound: Cost;
  /** By the weights nothing comes to less: it was shown. */
  readonly proved: boolean;
  /** No order is done sooner: it was shown. */
  readonly soonest: boolean;
}

export interface DayPlan {
  /** What is left to do, in the order of the visits. */
  readonly visits: readonly Visit[];
  readonly done: readonly DayTask[];
  /** Nobody of the crew may do what only a qualified person does; nothing is planned then. */
  readonly nobody: boolean;
}

/** Who works and what is to be short; minutes on the way by the shop's table, or by the example. */
export interface DayAsked extends Pick<Day, 'crew' | 'weights'> {
  readonly minutes?: Pick<Shop['minutes'], 'wayBox' | 'wayRoom' | 'wayPanel'>;
}

/** How far the day is worked out; more for days of more tasks. */
const EFFORT: Effort = { tries: 2500, steps: 60_000 };

/** Puts what is left of the day in order: better and better ones, the last the best. */
export function* planning(
  jobs: readonly JobTasks[],
  asked: DayAsked,
  effort: Effort = EFFORT,
): Generator<DayPlan, DayPlan> {
  const all = together(jobs);
  const done = all.filter((task) => task.done);
  const left = all.filter((task) => !task.done);
  const { crew } = asked;
  const nobody = left.some(({ qualified }) => qualified) && !crew.some(({ qualified }) => qualified);
  if (nobody) return { visits: [], done, nobody };
  const parts = ([1, 2, 3] as const).flatMap((visit) => {
    const tasks = left.filter((task) => task.visit === visit);
    return tasks.length === 0 ? [] : [{ visit, tasks, problem: problemOf(jobs, tasks, asked) }];
  });
  const works = parts.map((part) => ({
    part,
    work: scheduling(part.problem, effort),
    shown: null as Planned | null,
  }));
  const visits: Visit[] = [];
  // All of them a little, in turn: the first answer has every visit.
  for (let busy = works; busy.length > 0;) {
    busy = busy.filter((own) => {
      const { value, done: ended } = own.work.next();
      if (value !== own.shown) visits[works.indexOf(own)] = visitOf(own.part, value);
      own.shown = value;
      return ended !== true;
    });
    yield { visits: [...visits], done, nobody };
  }
  return { visits, done, nobody };
}

/** The same at once. */
export function plannedDay(...asked: Parameters<typeof planning>): DayPlan {
  const work = planning(...asked);
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
}

interface Part {
  readonly visit: 1 | 2 | 3;
  readonly tasks: readonly DayTask[];
  readonly problem: Problem;
}

function visitOf({ visit, tasks }: Part, { schedule, cost, bound, proved }: Planned): Visit {
  const timed = tasks
    .map((task, index): TimedTask => {
      const from = schedule.starts[index] ?? 0;
      const crew = schedule.crews[index] ?? [];
      return { task, from, to: from + minutesOf(task, crew.length), crew };
    })
    .sort((a, b) => a.from - b.from || a.to - b.to);
  const windows = timed
    .filter(({ task }) => task.does === 'on')
    .map(({ task, to }): OffWindow => {
      const off = timed.find((one) => one.task.does === 'off' && isOf(one.task, task));
      return { circuits: off?.task.circuits ?? task.circuits, from: off?.from ?? 0, to };
    });
  return { visit, tasks: timed, windows, cost, bound, proved, soonest: cost.time <= bound.time };
}

const isOf = (off: DayTask, on: DayTask): boolean => off.circuits.some((one) => on.circuits.includes(one));

/** Of one who works with another half as long. */
const minutesOf = ({ minutes }: Pick<DayTask, 'minutes'>, hands: number): number =>
  Math.ceil(minutes / Math.max(1, hands));

function problemOf(
  jobs: readonly JobTasks[],
  tasks: readonly DayTask[],
  { crew, weights, minutes = MINUTES }: DayAsked,
): Problem {
  const spots = [...new Set([PANEL, ...tasks.map(spotOf)])];
  const index = new Map(tasks.map(({ key }, at) => [key, at]));
  const all = crew.map((_, person) => person);
  const able = all.filter((person) => crew[person]?.qualified);
  const activities = tasks.map((task) => {
    const who = task.qualified ? able : all;
    const hands = Math.min(task.hands, who.length);
    return {
      minutes: minutesOf(task, hands),
      who,
      hands,
      place: spots.indexOf(spotOf(task)),
      after: task.after.flatMap((key) => index.get(key) ?? []),
    };
  });
  return {
    activities,
    people: crew.length,
    at: crew.map(() => null),
    travel: ways(jobs, tasks, spots, minutes),
    windows: tasks.flatMap((on, closes) => {
      if (on.does !== 'on') return [];
      const opens = tasks.findIndex((off) => off.does === 'off' && isOf(off, on));
      return opens < 0 ? [] : [{ opens, closes }];
    }),
    base: spots.indexOf(PANEL),
    weights: { time: weights.time, open: weights.off, trips: weights.trips * 3 },
  };
}

/** Minutes from spot to spot, by the rooms that are known; a box whose room is not known is in another. */
function ways(
  jobs: readonly JobTasks[],
  tasks: readonly DayTask[],
  spots: readonly string[],
  minutes: NonNullable<DayAsked['minutes']>,
): number[][] {
  const { wayBox, wayRoom, wayPanel } = minutes;
  const rooms = new Map(
    tasks.map((task) => {
      const design = jobs.find(({ job }) => job === task.of[0]?.job)?.plan.job;
      const room = roomOf(design?.boxes.find(({ id }) => id === task.place));
      // Jobs of one house call the same room alike.
      return [spotOf(task), design?.rooms.find(({ id }) => id === room)?.name.toLowerCase() ?? null] as const;
    }),
  );
  const direct = spots.map((from) =>
    spots.map((to) => {
      if (from === to) return 0;
      if (from === PANEL || to === PANEL) return wayPanel;
      const [a, b] = [rooms.get(from) ?? null, rooms.get(to) ?? null];
      return a !== null && a === b ? wayBox : wayRoom;
    }),
  );
  // Whole minutes, and no way round shorter than the direct one, whatever the table says.
  const travel = direct.map((row) => row.map(Math.round));
  for (const [over, onward] of travel.entries())
    for (const row of travel)
      for (const [to, way] of row.entries()) row[to] = Math.min(way, (row[over] ?? 0) + (onward[to] ?? 0));
  return travel;
}
