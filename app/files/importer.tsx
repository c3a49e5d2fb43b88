import { createContext, lazy, Suspense, useCallback, useContext, useEffect, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { useNotify } from '~/ui/notices';
import type { Coming } from './take-files';
import { reasonOf } from '~/workers/no-answer';
import { say } from '~/words/files';

const ImportDialog = lazy(() => import('./import-dialog'));
const LightRead = lazy(() => import('~/crew/light-read'));
type Give = (files: readonly File[], from?: FileSystemFileHandle | null) => void;
interface Ways {
  readonly give: Give;
  /** Opens the camera on another screen. */
  readonly look: () => void;
}
const ImportContext = createContext<Ways>({ give: () => undefined, look: () => undefined });

/** Takes files in, however they were given. */
export const useImport = (): Give => useContext(ImportContext).give;
/** Takes in what another screen shows. */
export const useCamera = (): Ways['look'] => useContext(ImportContext).look;

/**
 * Files chosen, dropped on the window, or shared to the installed app: read, held against what is kept, and taken in as
 * it is said. One new job opens at once.
 */
export function Importer({ children }: { children: React.ReactNode }) {
  const notify = useNotify();
  const navigate = useNavigate();
  const [coming, setComing] = useState<Coming | null>(null);
  const [reading, setReading] = useState(false);
  const [looking, setLooking] = useState(false);
  const taken = useCallback(
    (jobs: readonly string[]) => {
      const [only] = jobs;
      if (jobs.length === 1 && only !== undefined) void navigate(`/job/${only}/lay-out`);
      else notify(say('importer.taken', { count: jobs.length }));
    },
    [navigate, notify],
  );
  const failed = useCallback(
    (path: string, error: unknown) =>
      notify(say('importer.nothing'), [
        { path, message: error instanceof Error ? error.message : reasonOf(error) },
      ]),
    [notify],
  );
  const run = useCallback(
    async (files: readonly File[], from: FileSystemFileHandle | null) => {
      if (files.length === 0) return;
      setReading(true);
      try {
        const { readFiles, remember, take } = await import('./take-files');
        const read = await readFiles(files);
        if (!read.ok) return notify(say('importer.nothing'), read.problems);
        const { rows } = read.value;
        const alone = rows.length === 1 && rows[0]?.kind === 'job' && rows[0].state === 'new';
        if (!alone) return setComing(read.value);
        const jobs = await take(read.value, () => 'add');
        // A job that came alone from a file it may be saved back into remembers it.
        if (from && jobs[0] !== undefined) await remember(jobs[0], from);
        taken(jobs);
      } catch (error) {
        failed(files[0]?.name ?? '', error);
      } finally {
        setReading(false);
      }
    },
    [notify, taken, failed],
  );
  const give = useCallback<Give>((files, from = null) => void run(files, from), [run]);
  const ways = useMemo(() => ({ give, look: () => setLooking(true) }), [give]);
  const seen = async (bytes: Uint8Array) => {
    setLooking(false);
    const [{ fromLight }, { held }] = await Promise.all([
      import('~/crew/take-light'),
      import('./take-files'),
    ]);
    const read = await fromLight(bytes);
    if (!read.ok) return notify(say('importer.nothing'), read.problems);
    if (read.value.photos > 0) notify(say('importer.photosLater', { count: read.value.photos }));
    setComing(await held(read.value.workshop));
  };
  useEffect(() => {
    const over = (event: DragEvent) => {
      if (event.dataTransfer?.types.includes('Files')) event.preventDefault();
    };
    const drop = (event: DragEvent) => {
      if (!event.dataTransfer?.types.includes('Files')) return;
      event.preventDefault();
      const { files, items } = event.dataTransfer;
      const dropped = [...files];
      // Asked for at once: the platform forgets what was dropped when this returns.
      const handle = files.length === 1 ? handleOf(items[0]) : null;
      void Promise.resolve(handle).then((from) => give(dropped, from));
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
      const [only] = files;
      void Promise.all(files.map((file) => file.getFile())).then((all) =>
        give(all, files.length === 1 ? (only ?? null) : null),
      );
    });
  }, [give]);
  return (
    <ImportContext value={ways}>
      {children}
      {reading ? (
        <p
          role="status"
          className="fixed inset-x-0 bottom-3 z-40 mx-auto w-fit rounded-xl bg-ink px-4 py-2 text-sand"
        >
          {say('importer.reading')}
        </p>
      ) : null}
      {looking ? (
        <Suspense>
          <LightRead
            onWhole={(bytes) => void seen(bytes).catch((error: unknown) => failed('', error))}
            onClose={() => setLooking(false)}
          />
        </Suspense>
      ) : null}
      {coming ? (
        <Suspense>
          <ImportDialog coming={coming} onTaken={taken} onClose={() => setComing(null)} />
        </Suspense>
      ) : null}
    </ImportContext>
  );
}

/** What was dropped as something that may be written to again, where the platform has it. */
function handleOf(item: DataTransferItem | undefined): Promise<FileSystemFileHandle | null> | null {
  const ask =
    item &&
    (Reflect.get(item, 'getAsFileSystemHandle') as (() => Promise<FileSystemHandle | null>) | undefined);
  return ask
    ? ask.call(item).then(
        (handle) => (handle?.kind === 'file' ? (handle as FileSystemFileHandle) : null),
        () => null,
      )
    : null;
}

/** How a platform hands over files that an installed app is opened with. */
interface LaunchQueue {
  setConsumer: (consumer: (launched: { readonly files: readonly FileSystemFileHandle[] }) => void) => void;
}
