import { FilePlus2, LogOut } from 'lucide-react';
import { lazy, Suspense, useEffect, useState } from 'react';
import { Link } from 'react-router';
import { openStore } from '~/storage/opened';
import { watchSummaries, type StoredSummary } from '~/storage/summaries';
import { useNotify } from '~/ui/notices';
import { Select } from '~/ui/select';
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
          <li key={job.id} className="flex items-stretch rounded-xl border-2 border-line bg-paper">
            <Link
              to={`/job/${job.id}/lay-out`}
              className="min-w-0 flex-1 rounded-xl p-3 font-bold hover:text-plum"
            >
              {job.name}
            </Link>
            <button
              type="button"
              className="button button-quiet px-3"
              aria-label={say('jobs.moveOut', { name: job.name })}
              onClick={() => setMoving({ job, differences: null })}
            >
              <LogOut aria-hidden size={20} />
            </button>
          </li>
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

/** Jobs that are in no house. */
function useJobsAlone(): readonly StoredSummary[] {
  const [all, setAll] = useState<readonly StoredSummary[]>([]);
  useEffect(() => watchSummaries(setAll), []);
  return all.filter(({ house }) => house === undefined);
}
