import { useMemo } from 'react';
import { jobTasks } from '@core/choices/day/done';
import { waysOut, type WayOut } from '@core/choices/day/way-out';
import { spanWords, TaskWords } from '@core/handover/day/words';
import { circuitNumber, placeName } from '@core/job/model/called';
import { drawBox } from '@core/wiring/geometry/box-drawing';
import { stopsOf } from '@core/site/stops/stops';
import { stopWords } from '@core/site/stops/words';
import type { JobRecord } from '@core/job/model/record';
import type { ShownPlan } from '@core/wiring/plan';
import { BoxFigure } from '~/drawing/box-figure';
import { PlainDialog } from '~/ui/plain-dialog';
import { useMinutes } from '../take-off/use-minutes';
import { say } from '~/words/make-up';

/**
 * Whether everyone may leave now: which breakers may be on as the work stands, what is to be capped and covered first, and what
 * would have to be finished instead; the nearest of both is said first.
 */
export default function MustGo({
  plan,
  record,
  onClose,
}: {
  plan: ShownPlan;
  record: Pick<JobRecord, 'ticks' | 'tasks' | 'day'>;
  onClose: () => void;
}) {
  const minutes = useMinutes(plan.job.id);
  const { answer, circuits, ways, words } = useMemo(() => {
    const stops = stopsOf(plan, record.ticks);
    const own = jobTasks(plan, record, { minutes, walls: record.day.walls });
    const { tasks, standing } = own;
    const number = (circuit: string) => circuitNumber(plan.job, circuit);
    return {
      ...stopWords(plan, stops),
      ways: new Map(
        waysOut(stops, tasks, standing, number, minutes).map((way) => [way.circuit, way] as const),
      ),
      words: new TaskWords([own]),
    };
  }, [plan, record, minutes]);
  return (
    <PlainDialog title={say('mustGo.title')} close={say('mustGo.close')} onClose={onClose}>
      <p className="text-xl font-bold" data-stop>
        {answer}
      </p>
      <ul className="grid gap-3">
        {circuits.map(({ circuit, says, lines, on, boxes }) => {
          const way = ways.get(circuit);
          return (
            <li key={circuit} className="grid gap-2 rounded-xl border-2 border-ink p-3">
              <p className="font-bold">
                <span aria-hidden>{on ? '● ' : '○ '}</span>
                {says}
              </p>
              {way?.nearest === 'finish' ? (
                <Finishing way={way} job={plan.job.id} words={words} nearest />
              ) : null}
              {boxes.map(({ box, caps }) => (
                <BoxFigure
                  key={box}
                  drawing={drawBox(plan, box, { side: 'front' })}
                  title={say('mustGo.capHere', { box: placeName(plan.job, box) })}
                  lit={new Set(caps)}
                  className="mx-auto max-h-56 w-full"
                />
              ))}
              {lines.length > 0 ? (
                <ul className="list-disc pl-5">
                  {lines.map((line) => (
                    <li key={line}>{line}</li>
                  ))}
                </ul>
              ) : null}
              {way?.capping ? <p>{say('mustGo.capping', { time: spanWords(way.capping) })}</p> : null}
              {way && way.nearest !== 'finish' ? (
                <Finishing way={way} job={plan.job.id} words={words} />
              ) : null}
            </li>
          );
        })}
      </ul>
      <p className="text-sm text-ink-soft">{say('mustGo.caution')}</p>
    </PlainDialog>
  );
}

/** What is to be finished until the breaker may be on, in its order. */
function Finishing({
  way: { finishing },
  job,
  words,
  nearest = false,
}: {
  way: WayOut;
  job: string;
  words: TaskWords;
  nearest?: boolean;
}) {
  if (!finishing) return null;
  const { tasks, minutes } = finishing;
  const time = spanWords(minutes);
  return (
    <details open={nearest} data-finishing>
      <summary className="min-h-11 cursor-pointer py-2">
        {nearest
          ? say('mustGo.finishNearest', { count: tasks.length, time })
          : say('mustGo.finish', { count: tasks.length, time })}
      </summary>
      <ol className="list-decimal pl-6">
        {tasks.map((task) => (
          <li key={task.id}>{words.what({ ...task, of: [{ job, task: task.id }] })}</li>
        ))}
      </ol>
    </details>
  );
}
