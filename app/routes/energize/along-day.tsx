import { useMemo, useState } from 'react';
import { houseAfter } from '@core/choices/day/along';
import { tasksOf } from '@core/choices/day/tasks';
import { TaskWords } from '@core/handover/day/words';
import type { JobRecord } from '@core/job/model/record';
import { soundHouse } from '@core/power/faults/fault';
import { operate } from '@core/site/live/operate';
import { EMPTY_SCENE, type Scene } from '@core/site/live/scene';
import type { Setting } from '@core/site/live/standing';
import type { ShownPlan } from '@core/wiring/plan';
import { LiveHouse } from '~/live/live-house';
import { AnswerLine } from '~/ui/answer-line';
import { usePlan } from '../job/context';
import { useMinutes } from '../take-off/use-minutes';
import { say } from '~/words/energize';

/** The house along the steps of the day: as far as it is made up, with the breakers that are on then; to be measured and touched. */
export default function AlongDay({
  plan,
  record,
  chosen,
  choose,
  onEnd,
}: {
  plan: ShownPlan;
  record: Pick<JobRecord, 'day'>;
  chosen: string;
  choose: (box: string) => void;
  onEnd: () => void;
}) {
  const { outcome } = usePlan();
  const { job } = plan;
  const { day } = record;
  const minutes = useMinutes(job.id);
  const { tasks, order, words } = useMemo(() => {
    const own = tasksOf(plan, { minutes, walls: day.walls });
    const jobs = [{ job: job.id, plan, tasks: own, done: new Set<string>() }];
    return {
      tasks: own,
      // Each comes after all that comes before it; visit by visit.
      order: own.toSorted((a, b) => a.visit - b.visit),
      words: new TaskWords(jobs),
    };
  }, [plan, job, day, minutes]);
  const [at, setAt] = useState(0);
  const along = useMemo(
    () => houseAfter(plan, tasks, new Set(order.slice(0, at).map(({ id }) => id))),
    [plan, tasks, order, at],
  );
  const setting = useMemo<Setting>(
    () => ({ job, house: soundHouse({ job, wiring: along.plan.wiring }) }),
    [job, along],
  );
  const start: Scene = { ...EMPTY_SCENE, openBreakers: [...along.off] };
  // What was set on the bench is set for this moment of the day alone.
  const [set, setSet] = useState<{ readonly at: number; readonly scene: Scene } | null>(null);
  const scene = set?.at === at ? set.scene : start;
  const last = order[at - 1];
  return (
    <LiveHouse
      setting={setting}
      plan={along.plan}
      outcome={outcome}
      scene={scene}
      act={(act) => setSet({ at, scene: operate(setting, scene, act) })}
      chosen={chosen}
      choose={choose}
      answer={
        <div className="grid gap-2" data-along={at}>
          <AnswerLine>
            {last
              ? say('along.after', {
                  at,
                  of: order.length,
                  task: words.what({ ...last, of: [{ job: job.id, task: last.id }] }),
                })
              : say('along.before')}
          </AnswerLine>
          <div className="flex items-center gap-3">
            <input
              type="range"
              className="h-11 min-w-0 flex-1 touch-pan-y accent-(--ink)"
              min={0}
              max={order.length}
              step={1}
              value={at}
              aria-label={say('along.slider')}
              onChange={(event) => setAt(event.currentTarget.valueAsNumber)}
            />
            <button type="button" className="button px-3" onClick={onEnd}>
              {say('along.end')}
            </button>
          </div>
          <p className="text-sm text-ink-soft">{say('along.caution')}</p>
        </div>
      }
    />
  );
}
