import { Download, RotateCw, Undo2 } from 'lucide-react';
import { isRouteErrorResponse, useRouteError } from 'react-router';
import { writeJobFile } from '@core/job/model/job-file';
import type { Job } from '@core/job/model/job';
import { saveFile } from '~/ui/save-file';
import { useJob, type OpenJobContext } from './context';
import { say } from '~/words/job';

/** A stage that broke. */
export function StageError() {
  const error = useRouteError();
  const { job, record, undo } = useJob();
  return (
    <Broken
      says={isRouteErrorResponse(error) ? say('stageError.stageNot') : say('stageError.stageBroke')}
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
      <p>{say('stageError.nothingLost')}</p>
      <div className="flex flex-wrap gap-2">
        {undo ? (
          <button type="button" className="button button-strong" onClick={() => void undo.back()}>
            <Undo2 aria-hidden size={18} /> {say('stageError.undo', { undo: undo.label })}
          </button>
        ) : null}
        <button type="button" className="button" onClick={retry}>
          <RotateCw aria-hidden size={18} /> {say('stageError.tryAgain')}
        </button>
        <button
          type="button"
          className="button"
          onClick={() => saveFile(`${job.design.id}.splittap.json`, writeJobFile(job))}
        >
          <Download aria-hidden size={18} /> {say('stageError.export')}
        </button>
      </div>
    </main>
  );
}
