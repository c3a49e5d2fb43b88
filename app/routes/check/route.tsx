import { lazy, useState } from 'react';
import { Soon } from '~/standing/rising';
import { useSearchParams } from 'react-router';
import { wishKind } from '@core/trade/devices';
import { headroom } from '@core/power/load/headroom';
import { placeName } from '@core/job/model/called';
import { AnswerLine } from '~/ui/answer-line';
import { Choice } from '~/ui/choice';
import { Refusals } from '~/ui/answer';
import { useHydrated } from '~/ui/use-hydrated';
import { useJob, useJudged, usePlan } from '../job/context';
import { CircuitEntry } from './circuit-entry';
import { LoadItems } from './load-items';
import { ProtectionView } from './protection-view';
import { RuleList } from './rule-list';
import { say } from '~/words/load';

export { StageError as ErrorBoundary } from '../job/stage-error';

const Charts = lazy(() => import('./charts'));

const VIEWS = [
  { value: 'against', label: say('route.against') },
  { value: 'load', label: say('route.load') },
  { value: 'protection', label: say('route.protection') },
];

/** The judgement calls: what stands against the job, may the circuit carry it, what must protect it. */
export default function CheckStage() {
  const { job } = useJob();
  const { outcome } = usePlan();
  const { judged } = useJudged();
  const [search, setSearch] = useSearchParams();
  const view = VIEWS.find(({ value }) => value === search.get('view'))?.value ?? 'against';
  const [circuitId, setCircuit] = useState(job.circuits[0]?.id ?? '');
  const circuit = job.circuits.find(({ id }) => id === circuitId) ?? job.circuits[0];
  const hydrated = useHydrated();
  if (!circuit) return null;
  return (
    <main className="grid flex-1 grid-cols-[minmax(0,1fr)] content-start gap-4 p-4 sm:p-5">
      <div className="max-w-xl">
        <Choice
          label={say('route.whatJudge')}
          value={view}
          options={VIEWS}
          onChange={(next) => setSearch(next === 'against' ? {} : { view: next }, { replace: true })}
        />
      </div>
      {view === 'load' ? (
        <>
          <Answer circuit={circuit.id} />
          {job.circuits.length > 1 ? (
            <div className="flex flex-wrap gap-2" role="group" aria-label={say('route.circuit')}>
              {job.circuits.map(({ id, number, breakerA }) => (
                <button
                  key={id}
                  type="button"
                  className="chip"
                  aria-pressed={id === circuit.id}
                  onClick={() => setCircuit(id)}
                >
                  {say('route.a', { number, breakerA })}
                </button>
              ))}
            </div>
          ) : null}
          <div className="grid gap-5 lg:grid-cols-[minmax(0,24rem)_minmax(0,1fr)]">
            <div className="grid content-start gap-5">
              <CircuitEntry key={circuit.id} circuit={circuit} />
              <LoadItems circuit={circuit} />
            </div>
            {hydrated ? (
              <Soon fallback={<p className="text-ink-soft">{say('route.drawingCharts')}</p>}>
                <Charts circuit={circuit} />
              </Soon>
            ) : null}
          </div>
        </>
      ) : !outcome.ok ? (
        <Refusals refusals={outcome.refusals} />
      ) : !judged ? (
        // Before the first judgement nothing is called good.
        <p className="text-ink-soft" aria-busy>
          {say('route.judging')}
        </p>
      ) : view === 'protection' ? (
        <ProtectionView judged={judged} />
      ) : (
        <RuleList findings={judged.rules} />
      )}
    </main>
  );
}

/** What may still be plugged in, as one number; or what is too much. */
function Answer({ circuit: id }: { circuit: string }) {
  const { job } = useJob();
  const load = usePlan().loads.find(({ circuit }) => circuit.id === id);
  if (!load) return null;
  const [worst] = load.findings;
  const device = job.devices.find(
    ({ kind, wants }) =>
      wishKind(kind).receptacle &&
      Object.values(wants).some((want) => want.does === 'power' && want.circuit === id),
  );
  const room = headroom(job, load.circuit, device ?? { ratingA: 15 });
  return (
    <div>
      <AnswerLine>
        {worst ? `▲ ${worst.message}` : say('route.wMoreCanPlugged', { watts: room.watts })}
      </AnswerLine>
      <p>
        {worst
          ? say('route.necFromMemory', { section: worst.section })
          : say('route.limitedBy', {
              device: device ? say('route.at', { placeName: placeName(job, device.box) }) : '',
              limitedBy: room.limitedBy,
              continuousWatts: room.continuousWatts,
            })}
      </p>
    </div>
  );
}
