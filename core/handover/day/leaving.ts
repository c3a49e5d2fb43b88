import type { JobRecord } from '../../job/model/record';
import { circuitNumber, placeName } from '../../job/model/called';
import { stopsOf } from '../../site/stops/stops';
import { stopWords } from '../../site/stops/words';
import { drawBox } from '../../wiring/geometry/box-drawing';
import type { BoxDrawing } from '../../wiring/geometry/drawing';
import type { StandingJob } from '../../choices/day/done';
import type { Shop } from '../../choices/takeoff/shop';
import { waysOut } from '../../choices/day/way-out';
import { spanWords, TaskWords } from './words';

/** A box with what is capped in it before everyone leaves. */
export interface CappedBox {
  readonly box: string;
  readonly name: string;
  readonly drawing: BoxDrawing;
  /** Ids of what is capped. */
  readonly caps: readonly string[];
}

/** What is said of one breaker if everyone leaves now. */
export interface Leaving {
  /** Its number in the directory. */
  readonly number: string;
  readonly on: boolean;
  /** It may be on once the boxes are capped and covered as the lines say. */
  readonly after: boolean;
  readonly says: string;
  readonly lines: readonly string[];
  readonly boxes: readonly CappedBox[];
  /** How long capping and covering takes; empty where it does not help or takes nothing. */
  readonly capping: string;
  /** What is to be finished instead until it is on again, and whether that is nearest; null where nothing would put it on. */
  readonly finishing: {
    readonly time: string;
    readonly nearest: boolean;
    readonly tasks: readonly string[];
  } | null;
}

/** Whether everyone may leave a job now: in a line, and breaker by breaker with the ways to where it may be on. */
export function leaving(
  own: StandingJob,
  { ticks }: Pick<JobRecord, 'ticks'>,
  minutes: Shop['minutes'],
): { readonly answer: string; readonly circuits: readonly Leaving[] } {
  const { plan, tasks, standing } = own;
  const stops = stopsOf(plan, ticks);
  const number = (circuit: string) => circuitNumber(plan.job, circuit);
  const ways = waysOut(stops, tasks, standing, number, minutes);
  const words = new TaskWords([own]);
  const { answer, circuits } = stopWords(plan, stops);
  return {
    answer,
    circuits: circuits.map(({ circuit, on, says, lines, boxes }, index): Leaving => {
      const way = ways[index];
      const finishing = way?.finishing ?? null;
      return {
        number: number(circuit),
        on,
        after: !on && stops[index]?.first !== null,
        says,
        lines,
        boxes: boxes.map(({ box, caps }) => ({
          box,
          name: placeName(plan.job, box),
          drawing: drawBox(plan, box, { side: 'front' }),
          caps,
        })),
        capping: way?.capping ? spanWords(way.capping) : '',
        finishing: finishing && {
          time: spanWords(finishing.minutes),
          nearest: way?.nearest === 'finish',
          tasks: finishing.tasks.map((task) =>
            words.what({ ...task, of: [{ job: own.job, task: task.id }] }),
          ),
        },
      };
    }),
  };
}
