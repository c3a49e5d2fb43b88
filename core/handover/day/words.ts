import { capitalize } from '../../base/capitalize';
import { andList } from '../../base/words/lists';
import { locale } from '../../base/words/language';
import { say } from '../../base/words/day';
import type { DayPlan, OffWindow, Visit } from '../../choices/day/plan-day';
import type { DayTask, JobTasks } from '../../choices/day/together';
import type { CrewMember, Day } from '../../job/model/day';
import { cableTypeName, isPlug, placeName } from '../../job/model/called';
import { inBox } from '../../job/model/in-box';

/** "3 h 20 min", "45 min", "2 h". */
export function spanWords(minutes: number): string {
  const [hours, rest] = [Math.floor(minutes / 60), minutes % 60];
  return hours === 0
    ? say('span.minutes', { minutes: rest })
    : rest === 0
      ? say('span.hours', { hours })
      : say('span.both', { hours, minutes: rest });
}

let clock: Intl.DateTimeFormat | null = null;

/** A time of the day, minutes after midnight, as a clock shows it in the language in use. */
export function clockWords(minutes: number): string {
  clock ??= new Intl.DateTimeFormat(locale, { hour: 'numeric', minute: '2-digit', timeZone: 'UTC' });
  return clock.format(Date.UTC(2000, 0, 1, 0, minutes));
}

/** Minutes after midnight of "08:30". */
export const minuteOf = (clock: string): number => {
  const [hours = 0, minutes = 0] = clock.split(':').map(Number);
  return hours * 60 + minutes;
};

/** A date as it is read; null where none is set. */
export const dateWords = (date: string): string =>
  new Date(`${date}T00:00:00Z`).toLocaleDateString(locale, {
    weekday: 'long',
    day: 'numeric',
    month: 'long',
    year: 'numeric',
    timeZone: 'UTC',
  });

/** The date of each visit, as the waits between are said; null where the first is not set. */
export function visitDate({ date, inspectionDays, closingDays }: Day, visit: Visit['visit']): string | null {
  if (date === null) return null;
  const at = new Date(`${date}T00:00:00Z`);
  at.setUTCDate(at.getUTCDate() + (visit > 1 ? inspectionDays : 0) + (visit > 2 ? closingDays : 0));
  return at.toISOString().slice(0, 10);
}

/** Who a member of the crew is: by name, or counted where nobody was named. */
export const memberName = ({ crew }: Pick<Day, 'crew'>, person: number): string => {
  const name = crew[person]?.name ?? '';
  return name === '' ? say('crew.nobody', { number: person + 1 }) : name;
};

const circuitsWords = (circuits: readonly string[]): string =>
  say('circuits', { numbers: andList(circuits), count: circuits.length });

/** The tasks of a day in the words of its jobs. */
export class TaskWords {
  private readonly jobs: ReadonlyMap<string, JobTasks>;

  constructor(jobs: readonly JobTasks[]) {
    this.jobs = new Map(jobs.map((one) => [one.job, one]));
  }

  /** Of more than one job, the job that a task is of: several where they share it. */
  job = ({ of }: Pick<DayTask, 'of'>): string =>
    this.jobs.size < 2 ? '' : andList(of.flatMap(({ job }) => this.jobs.get(job)?.plan.job.name ?? []));

  /** Where it is done. */
  place({ of, place }: Pick<DayTask, 'of' | 'place'>): string {
    const design = this.jobs.get(of[0]?.job ?? '')?.plan.job;
    return design ? capitalize(placeName(design, place)) : place;
  }

  /** What is done, as an instruction. */
  what(task: Pick<DayTask, 'does' | 'of' | 'place' | 'circuits' | 'run'>): string {
    const own = this.jobs.get(task.of[0]?.job ?? '');
    if (!own) return '';
    const { job, wiring } = own.plan;
    const circuits = circuitsWords(task.circuits);
    const count = task.circuits.length;
    const box = placeName(job, task.place);
    const cable = () => {
      const laid = wiring.cables.find(({ run }) => run === task.run);
      const run = job.runs.find(({ id }) => id === task.run);
      return laid && run
        ? say('task.theCable', {
            type: cableTypeName(laid),
            from: placeName(job, run.from),
            to: placeName(job, run.to),
            feet: laid.lengthFt,
          })
        : '';
    };
    switch (task.does) {
      case 'off':
        return isPlug(job) ? say('task.plugOut') : say('task.off', { circuits, count });
      case 'open':
        return say('task.open', { box });
      case 'set':
        return job.boxes.some(({ id, existing }) => id === task.place && existing)
          ? say('task.setLarger', { box })
          : say('task.set', { box });
      case 'drill':
        return say('task.drill', { cable: cable() });
      case 'cable':
        return say('task.cable', { cable: cable() });
      case 'make up': {
        const { splices, caps } = inBox(wiring, task.place);
        return say('task.makeUp', { box, joints: splices.length + caps.length });
      }
      case 'mount':
        return say('task.mount', { box, devices: inBox(wiring, task.place).devices.length });
      case 'cover':
        return say('task.cover', { box });
      case 'land':
        return say('task.land', { circuits });
      case 'breaker':
        return say('task.breaker', { circuits, count });
      case 'dead test':
        return say('task.deadTest', { circuits });
      case 'on':
        return isPlug(job) ? say('task.plugIn') : say('task.on', { circuits, count });
      case 'live test':
        return say('task.liveTest', { circuits });
      case 'plate':
        return say('task.plate', { box });
      case 'label':
        return say('task.label', { circuits });
    }
  }
}

/** The name of a visit: what it is there for. */
export const visitName = (visit: Visit['visit'], count: number): string =>
  count === 1 && visit === 1 ? say('visit.only') : say('visit.name', { visit: String(visit) });

const windowWords = ({ circuits, from, to }: OffWindow, begins: number): string =>
  say('answer.off', {
    circuits: circuitsWords(circuits),
    count: circuits.length,
    from: clockWords(begins + from),
    to: clockWords(begins + to),
    minutes: spanWords(to - from),
  });

/** Where a visit stands against what no order comes under. */
export const boundWords = ({ cost, bound, proved, soonest }: Visit): string =>
  soonest
    ? say('answer.soonest')
    : proved
      ? say('answer.proved', { soonest: spanWords(bound.time) })
      : say('answer.bound', {
          least: spanWords(bound.time),
          percent: Math.ceil((cost.time / Math.max(1, bound.time) - 1) * 100),
        });

/** What a visit comes to: how long, which circuits are off from when to when, how often one goes to the panel. */
function costWords(visit: Visit, people: number, begins: number): readonly string[] {
  const { cost, windows } = visit;
  return [
    say('answer.long', {
      time: spanWords(cost.time),
      people,
      until: clockWords(begins + cost.time),
    }),
    ...windows.filter(({ from, to }) => to > from).map((window) => windowWords(window, begins)),
    ...(cost.trips > 0 ? [say('answer.trips', { trips: cost.trips })] : []),
  ];
}

/** The same, and where it stands against what no order comes under. */
export const visitWords = (visit: Visit, people: number, begins: number): readonly string[] => [
  ...costWords(visit, people, begins),
  boundWords(visit),
];

/** The whole in one line. */
export function dayAnswer(plan: DayPlan, day: Day, begins: number): string {
  const { visits, done, nobody } = plan;
  if (nobody) return say('answer.nobody');
  if (visits.length === 0) return done.length > 0 ? say('answer.allDone') : say('answer.nothing');
  const people = day.crew.length;
  const [first, second] = visits;
  if (first && !second) return costWords(first, people, begins).join(' ');
  return say('answer.visits', {
    count: visits.length,
    times: andList(visits.map(({ cost }) => spanWords(cost.time))),
    people,
  });
}

/** What is dark while a circuit is off, by its line of the directory. */
export const darkWords = (
  { circuits }: Pick<OffWindow, 'circuits'>,
  labels: ReadonlyMap<string, string>,
): readonly string[] =>
  circuits.map((number) => say('notice.dark', { number, what: labels.get(number) ?? say('notice.unknown') }));

/** What somebody of the crew may not do, where that binds. */
export const memberWords = ({ qualified }: CrewMember): string =>
  qualified ? say('crew.qualified') : say('crew.apprentice');
