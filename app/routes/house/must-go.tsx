import { andList } from '@core/base/words/lists';
import type { Job } from '@core/job/model/job';
import { PlainDialog } from '~/ui/plain-dialog';
import { houseWorker } from '~/workers/core';
import type { DayJob, DayQuestion } from '~/workers/day-room';
import { useAnswer } from '~/workers/use-answer';
import { WaysOut } from '../day/leaving';
import { say } from '~/words/house';

const ask = ({ jobs, asked }: { jobs: readonly DayJob[]; asked: Pick<DayQuestion, 'minutes' | 'day'> }) =>
  houseWorker.ask((worker) => worker.dayStops(jobs, asked));

/** Whether everyone may leave the house now: a breaker may be on only where every job that it feeds says so. */
export default function HouseMustGo({
  jobs,
  asked,
  onClose,
}: {
  jobs: readonly Job[];
  asked: Pick<DayQuestion, 'minutes' | 'day'>;
  onClose: () => void;
}) {
  const { answer, failed } = useAnswer(
    {
      jobs: jobs.map(({ design, record }) => ({ design, ticks: record.ticks, tasks: record.tasks })),
      asked,
    },
    ask,
  );
  const refused = answer?.refused ?? [];
  return (
    <PlainDialog title={say('mustGo.title')} close={say('mustGo.close')} onClose={onClose}>
      {answer === null ? <p aria-busy>{failed ?? say('mustGo.working')}</p> : null}
      <ul className="grid gap-3">
        {(answer?.stops ?? []).map(({ number, jobs: own }) => {
          // A job in which nothing is ticked is as it was, if that is so: it is named, and holds no breaker off.
          const begun = own.filter((one) => one.begun);
          const names = andList(own.flatMap((one) => (one.begun ? [] : [one.job])));
          const on = begun.every((one) => one.on);
          return (
            <li key={number} className="grid gap-1 rounded-xl border-2 border-ink p-3" data-stop={number}>
              <p className="font-bold">
                <span aria-hidden>{begun.length === 0 ? '' : on ? '● ' : '○ '}</span>
                {begun.length === 0
                  ? say('mustGo.untouched', { number, names })
                  : on
                    ? say('mustGo.on', { number })
                    : begun.every((one) => one.after)
                      ? say('mustGo.after', { number })
                      : say('mustGo.off', { number })}
              </p>
              {begun.length > 0 && names !== '' ? (
                <p className="text-sm">{say('mustGo.notBegun', { names })}</p>
              ) : null}
              {begun
                .filter((one) => !one.on)
                .map((one) => (
                  <div key={one.job} className="grid gap-2">
                    <p className="font-semibold">{one.job}</p>
                    <WaysOut of={one} />
                  </div>
                ))}
            </li>
          );
        })}
      </ul>
      {refused.length > 0 ? <p>▲ {say('mustGo.refused', { names: refused.join(', ') })}</p> : null}
      <p className="text-sm text-ink-soft">{say('mustGo.caution')}</p>
    </PlainDialog>
  );
}
