import { ArchiveRestore, FolderSync, PackageCheck } from 'lucide-react';
import { useEffect, useState } from 'react';
import { DAY_MS } from '~/storage/day';
import type { BackupState } from '~/storage/backup-state';
import { openStore } from '~/storage/opened';
import { useNotify } from '~/ui/notices';
import { backUp, backUpQuietly, canChooseFolder, chooseFolder } from './backup';
import { locale } from '@core/base/words/language';
import { reasonOf } from '~/workers/no-answer';
import { say } from '~/words/files';

/** A backup is asked for after so many days with something changed, or after so many changed jobs. */
const DUE_DAYS = 7;
const DUE_JOBS = 5;

interface Trashed {
  readonly id: string;
  readonly name: string;
  readonly at: number;
}

/** Backups: when one is due, where it goes; and what was removed in the last day, to be put back. */
export default function BackupPanel({
  changed,
}: {
  /** Differs whenever a job was changed, added or removed. */
  changed: string;
}) {
  const notify = useNotify();
  const [state, setState] = useState<BackupState | null>(null);
  const [trash, setTrash] = useState<readonly Trashed[]>([]);
  const [busy, setBusy] = useState(false);
  const look = async () => {
    const store = await (await openStore()).files();
    setState(await store.backup());
    setTrash(await store.trash());
  };
  useEffect(() => {
    void backUpQuietly()
      .catch(() => undefined)
      .then(look);
  }, [changed]);
  // Nothing of one's own yet, and nothing removed.
  if (!state || (state.at === null && state.changed === 0 && trash.length === 0)) return null;
  const days = state.at === null ? null : Math.floor((Date.now() - state.at) / DAY_MS);
  const due = state.changed >= DUE_JOBS || (state.changed > 0 && (days === null || days >= DUE_DAYS));
  const run = async () => {
    setBusy(true);
    try {
      const done = await backUp();
      if (done.ok) {
        const { where, unreadable } = done.value;
        notify(
          say('backup.done', { where }),
          unreadable.map((id) => ({ path: id, message: say('backup.unreadable') })),
        );
      } else notify(say('backup.failed'), done.problems);
    } catch (error) {
      notify(say('backup.failed'), [
        { path: '', message: error instanceof Error ? error.message : reasonOf(error) },
      ]);
    } finally {
      setBusy(false);
      await look();
    }
  };
  return (
    <section aria-labelledby="backup" className="grid gap-3">
      <h2 id="backup" className="eyebrow">
        {say('backup.title')}
      </h2>
      <p className={due ? 'font-bold' : ''} data-backup={due ? 'due' : 'fine'}>
        {due ? '▲ ' : ''}
        {days === null
          ? say('backup.never', { changed: state.changed })
          : say('backup.last', { days, changed: state.changed })}
      </p>
      <div className="flex flex-wrap gap-2">
        <button type="button" className="button" disabled={busy} onClick={() => void run()}>
          <PackageCheck aria-hidden size={18} /> {busy ? say('backup.busy') : say('backup.do')}
        </button>
        {canChooseFolder() ? (
          <button
            type="button"
            className="button"
            onClick={() => void chooseFolder().then((chosen) => (chosen ? run() : undefined))}
          >
            <FolderSync aria-hidden size={18} /> {say('backup.folder')}
          </button>
        ) : null}
      </div>
      {trash.length > 0 ? (
        <>
          <h3 className="eyebrow">{say('trash.title')}</h3>
          <ul className="grid gap-2">
            {trash.map(({ id, name, at }) => (
              <li key={id} className="flex items-center gap-2">
                <span className="min-w-0 flex-1 truncate">
                  {say('trash.one', {
                    name,
                    time: new Date(at).toLocaleTimeString(locale, { timeStyle: 'short' }),
                  })}
                </span>
                <button
                  type="button"
                  className="button px-3"
                  onClick={() =>
                    void openStore()
                      .then(({ files }) => files())
                      .then((store) => store.putBack(id))
                      .then((done) => {
                        if (!done) notify(say('trash.taken', { name }));
                        return look();
                      })
                  }
                >
                  <ArchiveRestore aria-hidden size={18} /> {say('trash.putBack')}
                </button>
              </li>
            ))}
          </ul>
        </>
      ) : null}
    </section>
  );
}
