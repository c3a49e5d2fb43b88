import { createContext, lazy, Suspense, useCallback, useContext, useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { useNotify } from '~/ui/notices';
import type { Coming } from './take-files';
import { say } from '~/words/files';

const ImportDialog = lazy(() => import('./import-dialog'));
const ImportContext = createContext<(files: readonly File[]) => void>(() => undefined);

/** Takes files in, however they were given. */
export const useImport = (): ((files: readonly File[]) => void) => useContext(ImportContext);

/**
 * Files chosen, dropped on the window, or shared to the installed app: read, held against what is kept, and taken in as
 * it is said. One new job opens at once.
 */
export function Importer({ children }: { children: React.ReactNode }) {
  const notify = useNotify();
  const navigate = useNavigate();
  const [coming, setComing] = useState<Coming | null>(null);
  const [reading, setReading] = useState(false);
  const taken = useCallback(
    (jobs: readonly string[]) => {
      const [only] = jobs;
      if (jobs.length === 1 && only !== undefined) void navigate(`/job/${only}/lay-out`);
      else notify(say('importer.taken', { count: jobs.length }));
    },
    [navigate, notify],
  );
  const run = useCallback(
    async (files: readonly File[]) => {
      if (files.length === 0) return;
      setReading(true);
      try {
        const { readFiles, take } = await import('./take-files');
        const read = await readFiles(files);
        if (!read.ok) return notify(say('importer.nothing'), read.problems);
        const { rows } = read.value;
        const alone = rows.length === 1 && rows[0]?.kind === 'job' && rows[0].state === 'new';
        if (!alone) return setComing(read.value);
        taken(await take(read.value, () => 'add'));
      } catch (error) {
        notify(say('importer.nothing'), [
          { path: files[0]?.name ?? '', message: error instanceof Error ? error.message : 'unknown' },
        ]);
      } finally {
        setReading(false);
      }
    },
    [notify, taken],
  );
  const give = useCallback((files: readonly File[]) => void run(files), [run]);
  useEffect(() => {
    const over = (event: DragEvent) => {
      if (event.dataTransfer?.types.includes('Files')) event.preventDefault();
    };
    const drop = (event: DragEvent) => {
      if (!event.dataTransfer?.types.includes('Files')) return;
      event.preventDefault();
      give([...event.dataTransfer.files]);
    };
    window.addEventListener('dragover', over);
    window.addEventListener('drop', drop);
    return () => {
      window.removeEventListener('dragover', over);
      window.removeEventListener('drop', drop);
    };
  }, [give]);
  useEffect(() => {
    // What was shared to the installed app waits with the worker; what was opened with it is handed over by the platform.
    if (new URLSearchParams(location.search).has('shared'))
      void import('./shared').then(async ({ sharedFiles }) => give(await sharedFiles()));
    const queue = Reflect.get(window, 'launchQueue') as LaunchQueue | undefined;
    queue?.setConsumer(({ files }) => {
      void Promise.all(files.map((file) => file.getFile())).then(give);
    });
  }, [give]);
  return (
    <ImportContext value={give}>
      {children}
      {reading ? (
        <p
          role="status"
          className="fixed inset-x-0 bottom-3 z-40 mx-auto w-fit rounded-xl bg-ink px-4 py-2 text-sand"
        >
          {say('importer.reading')}
        </p>
      ) : null}
      {coming ? (
        <Suspense>
          <ImportDialog coming={coming} onTaken={taken} onClose={() => setComing(null)} />
        </Suspense>
      ) : null}
    </ImportContext>
  );
}

/** How a platform hands over files that an installed app is opened with. */
interface LaunchQueue {
  setConsumer: (consumer: (launched: { readonly files: readonly FileSystemFileHandle[] }) => void) => void;
}
