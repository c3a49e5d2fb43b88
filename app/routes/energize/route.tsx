import { lazy, Suspense, useMemo, useState } from 'react';
import { soundHouse } from '@core/power/faults/fault';
import { operate, type Act } from '@core/site/live/operate';
import { isAsPlanned } from '@core/site/live/rewire';
import type { Scene } from '@core/site/live/scene';
import type { Setting } from '@core/site/live/standing';
import { buildNetwork } from '@core/power/network/network';
import type { ShownPlan } from '@core/wiring/plan';
import { RunSpine } from '~/drawing/run-spine';
import { LiveHouse } from '~/live/live-house';
import { AnswerLine } from '~/ui/answer-line';
import { Refused } from '~/ui/answer';
import { useChosenBox } from '../job/chosen-box';
import { useJob, useJudged, usePlan } from '../job/context';
import { ProofTable, proofLine } from './proof-table';
import { say } from '~/words/energize';

export { StageError as ErrorBoundary } from '../job/stage-error';

const AlongDay = lazy(() => import('./along-day'));

export default function Energize() {
  const { job, outcome } = usePlan();
  const [chosen, choose] = useChosenBox(job);
  if (!outcome.ok) {
    return (
      <main className="grid flex-1 grid-cols-[minmax(0,1fr)] content-start lg:grid-cols-[15.5rem_1fr]">
        <div className="lg:border-r lg:border-line lg:p-4">
          <RunSpine job={job} outcome={outcome} chosen={chosen} onChoose={choose} />
        </div>
        <div className="grid content-start gap-4 p-4">
          <Refused refusals={outcome.refusals} />
        </div>
      </main>
    );
  }
  return <Live key={job.id} plan={outcome.plan} chosen={chosen} choose={choose} />;
}

function Live({ plan, chosen, choose }: { plan: ShownPlan; chosen: string; choose: (box: string) => void }) {
  const { scene: kept, setScene: keep, record } = useJob();
  const [along, setAlong] = useState(false);
  const { job, outcome } = usePlan();
  const { judged, judging } = useJudged();
  const [scene, setScene] = useState<Scene>(kept);
  const setting = useMemo<Setting>(
    () => ({ job, house: soundHouse({ job, wiring: plan.wiring }) }),
    [job, plan],
  );
  const act = (act: Act) => {
    const next = operate(setting, scene, act);
    setScene(next);
    keep(next);
  };
  const network = useMemo(() => buildNetwork(plan.wiring, job.circuits), [plan, job]);
  const proof = judging ? null : (judged?.proof ?? null);
  const changes = [scene.rewired.ends, scene.rewired.tabs, scene.rewired.loose].flatMap(Object.keys).length;
  if (along)
    return (
      <Suspense>
        <AlongDay plan={plan} record={record} chosen={chosen} choose={choose} onEnd={() => setAlong(false)} />
      </Suspense>
    );
  return (
    <LiveHouse
      setting={setting}
      plan={plan}
      outcome={outcome}
      scene={scene}
      act={act}
      chosen={chosen}
      choose={choose}
      answer={
        <div className="flex flex-wrap items-start gap-2">
          <div className="min-w-0 grow basis-full sm:basis-0">
            <AnswerLine>
              {!isAsPlanned(scene.rewired)
                ? say('route.rewired', { count: changes })
                : proof
                  ? proofLine(proof)
                  : say('route.checkingEverySwitchPosition')}
            </AnswerLine>
          </div>
          <button type="button" className="chip" onClick={() => setAlong(true)}>
            {say('along.begin')}
          </button>
        </div>
      }
      aside={proof ? <ProofTable job={job} proof={proof} network={network} /> : null}
    />
  );
}
