import { useMemo } from 'react';
import { byNumber } from '@core/choices/house/circuits';
import { andList } from '@core/base/words/lists';
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
        begun: record.ticks.length + record.tasks.length > 0,
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
