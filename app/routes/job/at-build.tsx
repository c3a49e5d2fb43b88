import { use } from 'react';
import { demoHouse, demoWhole } from '@core/handover/jobs/demo-house';
import { DEMO_HOUSE } from '@core/handover/jobs/demo-list';
import type { Job } from '@core/job/model/job';
import { EMPTY_SCENE } from '~/storage/scene';
import { stageStates } from '~/ui/stages';
import { answers } from '~/workers/answers';
import type { Derived, Planned } from '~/derived';
import LayOut from '../lay-out/route';
import { JobContext, JudgedContext, PlanContext, type OpenJobContext } from './context';
import { JobFrame } from './frame';

/** A demo job at Lay out, as the build draws it: worked out as the page works it out. */
export default function AtBuild({ id }: { id: string }) {
  const { job, derived } = use(workedOut(id));
  const held: OpenJobContext = {
    job: job.design,
    record: job.record,
    scene: EMPTY_SCENE,
    people: demoHouse.people,
    run: () => undefined,
    setScene: () => undefined,
    undo: null,
  };
  return (
    <div data-at-build className="contents">
      <JobFrame
        job={job.design}
        house={DEMO_HOUSE}
        undo={null}
        redo={null}
        onHistory={() => undefined}
        more={[]}
        states={stageStates(derived)}
        busy={false}
      >
        <JobContext value={held}>
          <PlanContext value={derived.plan}>
            <JudgedContext value={derived}>
              <LayOut />
            </JudgedContext>
          </PlanContext>
        </JobContext>
      </JobFrame>
    </div>
  );
}

interface WorkedOut {
  readonly job: Job;
  readonly derived: Derived;
}
const all = new Map<string, Promise<WorkedOut>>();
const workedOut = (id: string): Promise<WorkedOut> => {
  const known = all.get(id) ?? workOut(id);
  all.set(id, known);
  return known;
};

async function workOut(id: string): Promise<WorkedOut> {
  const job = demoWhole(id);
  if (!job) throw new Error(`${id} is no job of the demo`);
  let planned: Planned | undefined;
  const judged = await answers().answer('demo', job.design, job.record, (first) => (planned = first));
  if (!planned || typeof judged === 'string') throw new Error(`${id} was not worked out`);
  const plan = { ...planned, job: job.design };
  return { job, derived: { plan, record: job.record, judged, judging: false } };
}
