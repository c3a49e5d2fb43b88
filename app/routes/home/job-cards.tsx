import { Trash2 } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { Link, useFetcher } from 'react-router';
import { locale } from '@core/base/words/language';
import type { Glance } from '@core/handover/glance/glance';
import { SketchFigure } from '~/drawing/sketch';
import { isSameTap } from '~/ui/destructive';
import { useGlance } from './use-glance';
import { say } from '~/words/home';

const AskDialog = lazy(() => import('~/ui/ask-dialog'));

export interface ListedJob {
  readonly id: string;
  readonly name: string;
  readonly says?: string;
  /** When it was changed last. */
  readonly changed: string;
}

/** Jobs listed at once; the others are a tap away, so that a thousand do not slow the page. */
const LISTED = 24;

export function JobCards({ jobs, demo = false }: { jobs: readonly ListedJob[]; demo?: boolean }) {
  const [all, setAll] = useState(false);
  return (
    <>
      <ul className="mt-2 grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
        {(all ? jobs : jobs.slice(0, LISTED)).map((job) => (
          <JobCard key={job.id} job={job} demo={demo} />
        ))}
      </ul>
      {!all && jobs.length > LISTED ? (
        <button type="button" className="button mt-2" onClick={() => setAll(true)}>
          {say('route.showAll', { count: jobs.length })}
        </button>
      ) : null}
    </>
  );
}

/** A job as its own drawing, with what is next and what stands against it. */
function JobCard({ job: { id, name, says, changed }, demo }: { job: ListedJob; demo: boolean }) {
  const glance = useGlance(id, changed, demo);
  return (
    <li className="relative flex rounded-xl border-2 border-line bg-paper hover:border-plum">
      <Link
        to={`/job/${id}/${glance?.next.stage === 'find' ? 'find' : 'lay-out'}`}
        className="grid min-w-0 flex-1 grid-rows-[4.5rem_auto] gap-2 rounded-xl p-3"
      >
        <span className="block">
          {glance ? <SketchFigure sketch={glance.sketch} className="h-18 w-full" /> : null}
        </span>
        <span className="grid content-start gap-0.5">
          <span className={`block leading-tight font-bold ${demo ? '' : 'pr-9'}`}>{name}</span>
          {says === undefined ? null : <span className="text-sm text-ink-soft">{says}</span>}
          {glance ? <span className="text-sm">{glance.next.says}</span> : null}
          {glance?.against ? (
            <span className="line-clamp-2 text-sm">
              ▲{' '}
              {glance.against.count === 1
                ? glance.against.says
                : say('jobCards.against', { says: glance.against.says, more: glance.against.count - 1 })}
            </span>
          ) : null}
          {glance?.last ? <LastDone last={glance.last} /> : null}
        </span>
      </Link>
      {demo ? null : <RemoveButton id={id} name={name} />}
    </li>
  );
}

/** Who did what last, and when. */
export function LastDone({ last: { by, says, at } }: { last: NonNullable<Glance['last']> }) {
  return (
    <span className="line-clamp-1 text-sm text-ink-soft">
      {say('jobCards.last', {
        day: new Date(at).toLocaleDateString(locale, { day: 'numeric', month: 'short' }),
        who: by,
        known: by !== '',
        says,
      })}
    </span>
  );
}

function RemoveButton({ id, name }: { id: string; name: string }) {
  const fetcher = useFetcher();
  const [asking, setAsking] = useState(false);
  const remove = () => void fetcher.submit({ remove: id }, { method: 'post', action: '/?index' });
  return (
    <>
      <button
        type="button"
        className="button button-quiet absolute right-1 bottom-1 px-2.5"
        aria-label={say('route.remove', { name })}
        onClick={() => {
          if (!isSameTap()) setAsking(true);
        }}
      >
        <Trash2 aria-hidden size={20} />
      </button>
      {asking ? (
        <Suspense>
          <AskDialog
            title={say('jobCards.removeAsk', { name })}
            ways={[{ name: say('jobCards.removeIt'), act: remove }]}
            cancel={say('jobCards.leave')}
            onClose={() => setAsking(false)}
          >
            <p>{say('jobCards.removeSays')}</p>
          </AskDialog>
        </Suspense>
      ) : null}
    </>
  );
}
