import { Download, RotateCw, Undo2 } from 'lucide-react';
import { isRouteErrorResponse, useRouteError } from 'react-router';
import { writeJobFile } from '@core/model/file';
import { saveFile } from '~/ui/save-file';
import { useJob } from './context';

/** A stage that broke: the job is as it was stored, and there is a way back, a way out, and a way to try again. */
export function StageError() {
  const error = useRouteError();
  const { job, record, undo } = useJob();
  const reload = () => location.reload();
  return (
    <main className="mx-auto grid w-full max-w-xl content-start gap-4 p-6" role="alert">
      <h2 className="text-xl font-bold">
        {isRouteErrorResponse(error) ? 'This stage is not there' : 'This stage broke'}
      </h2>
      <p>Nothing is lost: the job is stored as it was before. Take back the last change, or try again.</p>
      <div className="flex flex-wrap gap-2">
        {undo ? (
          <button
            type="button"
            className="button button-strong"
            onClick={() => void undo.back().then(reload)}
          >
            <Undo2 aria-hidden size={18} /> Undo: {undo.label}
          </button>
        ) : null}
        <button type="button" className="button" onClick={reload}>
          <RotateCw aria-hidden size={18} /> Try again
        </button>
        <button
          type="button"
          className="button"
          onClick={() => saveFile(`${job.id}.splittap.json`, writeJobFile({ design: job, record }))}
        >
          <Download aria-hidden size={18} /> Export
        </button>
      </div>
    </main>
  );
}
