import { useMemo } from 'react';
import { jobTasks } from '@core/choices/day/done';
import { leaving } from '@core/handover/day/leaving';
import type { JobRecord } from '@core/job/model/record';
import type { ShownPlan } from '@core/wiring/plan';
import { PlainDialog } from '~/ui/plain-dialog';
import { WaysOut } from '../day/leaving';
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
  const { answer, circuits } = useMemo(
    () => leaving(jobTasks(plan, record, { minutes, walls: record.day.walls }), record, minutes),
    [plan, record, minutes],
  );
  return (
    <PlainDialog title={say('mustGo.title')} close={say('mustGo.close')} onClose={onClose}>
      <p className="text-xl font-bold" data-stop>
        {answer}
      </p>
      <ul className="grid gap-3">
        {circuits.map((one) => (
          <li key={one.number} className="grid gap-2 rounded-xl border-2 border-ink p-3">
            <p className="font-bold">
              <span aria-hidden>{one.on ? '● ' : '○ '}</span>
              {one.says}
            </p>
            <WaysOut of={one} />
          </li>
        ))}
      </ul>
      <p className="text-sm text-ink-soft">{say('mustGo.caution')}</p>
    </PlainDialog>
  );
}
