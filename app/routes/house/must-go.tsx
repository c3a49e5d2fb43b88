import { useMemo } from 'react';
import { byNumber } from '@core/choices/house/circuits';
import { groupBy } from '@core/base/group-by';
import { circuitNumber } from '@core/job/model/called';
import type { Job } from '@core/job/model/job';
import { stopsOf } from '@core/site/stops/stops';
import { stopWords } from '@core/site/stops/words';
import { planJob } from '@core/wiring/plan';
import { PlainDialog } from '~/ui/plain-dialog';
import { say } from '~/words/house';

/** Whether everyone may leave the house now: a breaker may be on only where every job that it feeds says so. */
export default function HouseMustGo({ jobs, onClose }: { jobs: readonly Job[]; onClose: () => void }) {
  const { circuits, refused } = useMemo(() => {
    const planned = jobs.map((job) => ({ job, outcome: planJob(job.design) }));
    const stops = planned.flatMap(({ job: { design, record }, outcome }) => {
      if (!outcome.ok) return [];
      const own = stopsOf(outcome.plan, record.ticks);
      const said = stopWords(outcome.plan, own).circuits;
      return said.map((one) => ({
        ...one,
        number: circuitNumber(design, one.circuit),
        job: design.name,
        after: own.some(({ circuit, first }) => circuit === one.circuit && first !== null),
      }));
    });
    return {
      circuits: [...groupBy(stops, ({ number }) => [number])].sort(([a], [b]) => byNumber(a, b)),
      refused: planned.flatMap(({ job, outcome }) => (outcome.ok ? [] : [job.design.name])),
    };
  }, [jobs]);
  return (
    <PlainDialog title={say('mustGo.title')} close={say('mustGo.close')} onClose={onClose}>
      <ul className="grid gap-3">
        {circuits.map(([number, own]) => {
          const on = own.every((one) => one.on);
          return (
            <li key={number} className="grid gap-1 rounded-xl border-2 border-ink p-3" data-stop={number}>
              <p className="font-bold">
                <span aria-hidden>{on ? '● ' : '○ '}</span>
                {on
                  ? say('mustGo.on', { number })
                  : own.every((one) => one.after)
                    ? say('mustGo.after', { number })
                    : say('mustGo.off', { number })}
              </p>
              {own
                .filter((one) => !one.on)
                .map(({ job, lines }) => (
                  <div key={job}>
                    <p className="font-semibold">{job}</p>
                    <ul className="list-disc pl-5">
                      {lines.map((line) => (
                        <li key={line}>{line}</li>
                      ))}
                    </ul>
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
