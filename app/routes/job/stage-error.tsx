import { Download, RotateCw, Undo2 } from 'lucide-react';
import { isRouteErrorResponse, useRouteError } from 'react-router';
import { writeJobFile } from '@core/model/file';
import type { Job } from '@core/model/job';
import { saveFile } from '~/ui/save-file';
import { useJob, type OpenJobContext } from './context';

/** A stage that broke. */
export function StageError() {
  const error = useRouteError();
  const { job, record, undo } = useJob();
  return (
    <Broken
      says={isRouteErrorResponse(error) ? 'This stage is not there' : 'This stage broke'}
      job={{ design: job, record }}
      undo={undo && { ...undo, back: () => undo.back().then(() => location.reload()) }}
      retry={() => location.reload()}
    />
  );
}

/** The job is as it was stored, and there is a way back, a way out, and a way to try again. */
export function Broken({
  says,
  job,
  undo,
  retry,
}: {
  says: string;
  job: Job;
  undo: OpenJobContext['undo'];
  retry: () => void;
}) {
  return (
    <main className="mx-auto grid w-full max-w-xl content-start gap-4 p-6" role="alert">
      <h2 className="text-xl font-bold">{says}</h2>
      <p>Nothing is lost: the job is stored as it was before. Take back the last change, or try again.</p>
      <div className="flex flex-wrap gap-2">
        {undo ? (
          <button type="button" className="button button-strong" onClick={() => void undo.back()}>
            <Undo2 aria-hidden size={18} /> Undo: {undo.label}
          </button>
        ) : null}
        <button type="button" className="button" onClick={retry}>
          <RotateCw aria-hidden size={18} /> Try again
        </button>
        <button
          type="button"
          className="button"
          onClick={() => saveFile(`${job.design.id}.splittap.json`, writeJobFile(job))}
        >
          <Download aria-hidden size={18} /> Export
        </button>
      </div>
    </main>
  );
}
