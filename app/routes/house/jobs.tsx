import { FilePlus2 } from 'lucide-react';
import { lazy, Suspense, useEffect, useState } from 'react';
import { Link } from 'react-router';
import { DEMO_LIST } from '@core/handover/jobs/demo-list';
import { SketchFigure } from '~/drawing/sketch';
import { openStore } from '~/storage/opened';
import { watchSummaries, type StoredSummary } from '~/storage/summaries';
import { useNotify } from '~/ui/notices';
import { Select } from '~/ui/select';
import { LastDone } from '../home/job-cards';
import { useGlance } from '../home/use-glance';
import { useHouse } from './context';
import { say } from '~/words/house';

const AskDialog = lazy(() => import('~/ui/ask-dialog'));

interface Moving {
  readonly job: Pick<StoredSummary, 'id' | 'name'>;
  /** What changes for it; null where it leaves. */
  readonly differences: readonly string[] | null;
}

/** The jobs of the house; new ones, and such that are moved in or out. */
export function Jobs() {
  const { house, jobs } = useHouse();
  const alone = useJobsAlone();
  const notify = useNotify();
  const [moving, setMoving] = useState<Moving | null>(null);
  const move = async (job: string, into: string | null) => {
    const { houses } = await openStore();
    const done = await (await houses()).move(job, into);
    if (!done.ok) notify(say('route.couldNotChange'), done.problems);
  };
  const ask = async (id: string) => {
    const job = alone.find((one) => one.id === id);
    if (!job) return;
    const { houses } = await openStore();
    setMoving({ job, differences: await (await houses()).differences(id, house.id) });
  };
  return (
    <section aria-labelledby="jobs" className="grid gap-2">
      <h2 id="jobs" className="eyebrow">
        {say('jobs.title')}
      </h2>
      {jobs.length === 0 ? <p>{say('jobs.empty')}</p> : null}
      <ul className="grid gap-2">
        {jobs.map((job) => (
          <HouseJob key={job.id} job={job} onLeave={() => setMoving({ job, differences: null })} />
        ))}
      </ul>
      <Link to={`/new?house=${house.id}`} className="button button-strong justify-self-start">
        <FilePlus2 aria-hidden size={20} /> {say('jobs.new')}
      </Link>
      {alone.length > 0 ? (
        <Select
          label={say('jobs.moveIn')}
          value=""
          options={[
            { value: '', label: say('jobs.choose') },
            ...alone.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChange={(id) => void ask(id)}
        />
      ) : null}
      {moving ? (
        <Suspense>
          <AskDialog
            title={
              moving.differences
                ? say('jobs.moveInAsk', { name: moving.job.name, house: house.name })
                : say('jobs.moveOutAsk', { name: moving.job.name, house: house.name })
            }
            ways={[
              {
                name: moving.differences ? say('jobs.moveInDo') : say('jobs.moveOutDo'),
                act: () => void move(moving.job.id, moving.differences ? house.id : null),
              },
            ]}
            cancel={say('ask.cancel')}
            onClose={() => setMoving(null)}
          >
            {moving.differences === null ? (
              <p>{say('jobs.moveOutSays')}</p>
            ) : moving.differences.length === 0 ? (
              <p>{say('jobs.moveInNothing')}</p>
            ) : (
              <>
                <p>{say('jobs.moveInSays')}</p>
                <ul className="list-disc pl-5">
                  {moving.differences.map((line) => (
                    <li key={line}>{line}</li>
                  ))}
                </ul>
              </>
            )}
          </AskDialog>
        </Suspense>
      ) : null}
    </section>
  );
}

/** A job of the house as its own drawing, with what is next in it and who did what last. */
function HouseJob({ job, onLeave }: { job: StoredSummary; onLeave: () => void }) {
  const { revision } = useHouse();
  const glance = useGlance(
    job.id,
    // What it is at hangs on the house, too; whichever tab changes it.
    `${job.updatedAt} ${revision}`,
    DEMO_LIST.some(({ id }) => id === job.id),
  );
  return (
    <li className="flex items-stretch rounded-xl border-2 border-line bg-paper">
      <Link
        to={`/job/${job.id}/lay-out`}
        className="grid min-w-0 flex-1 grid-cols-[5rem_minmax(0,1fr)] items-center gap-3 rounded-xl p-2 hover:text-plum"
      >
        <span aria-hidden className="block h-12">
          {glance ? <SketchFigure sketch={glance.sketch} className="h-12 w-full" /> : null}
        </span>
        <span className="grid">
          <span className="font-bold">{job.name}</span>
          {glance ? (
            <span className="text-sm text-ink">
              {glance.against ? '▲ ' : ''}
              {glance.next.says}
            </span>
          ) : null}
          {glance?.last ? <LastDone last={glance.last} /> : null}
        </span>
      </Link>
      <button
        type="button"
        className="button button-quiet px-3 text-sm"
        aria-label={say('jobs.moveOut', { name: job.name })}
        onClick={onLeave}
      >
        {say('jobs.takeOut')}
      </button>
    </li>
  );
}

/** Jobs that are in no house. */
function useJobsAlone(): readonly StoredSummary[] {
  const [all, setAll] = useState<readonly StoredSummary[]>([]);
  useEffect(() => watchSummaries(setAll), []);
  return all.filter(({ house }) => house === undefined);
}
