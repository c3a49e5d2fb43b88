import { bad, good, type Checked } from '@core/job/model/problem';
import { DAY_MS } from '~/storage/day';
import { openStore } from '~/storage/opened';
import { saveFile } from '~/ui/save-file';
import { fileWorker } from '~/workers/core';
import { reasonOf } from '~/workers/no-answer';
import { say } from '~/words/files';

const FOLDER = 'backup folder';

/** True where this browser can be given a folder to write into. */
export const canChooseFolder = (): boolean => 'showDirectoryPicker' in window;

/** Jobs with their photos as a zip; what cannot be read is named. */
async function packed(
  ids: readonly string[] | 'all',
): Promise<{ readonly bytes: Uint8Array; readonly unreadable: readonly string[] }> {
  const { files } = await openStore();
  const { workshop, unreadable } = await (await files()).gather(ids);
  return { bytes: await fileWorker.ask((worker) => worker.writeFile(workshop)), unreadable };
}

const nameOf = (now: Date): string => `split-tap-${now.toISOString().slice(0, 10)}.splittap.zip`;

/** The whole workshop to a file: into the chosen folder where there is one that may be written to, else as a download. */
export async function backUp(): Promise<
  Checked<{ readonly where: string; readonly unreadable: readonly string[] }>
> {
  const store = await (await openStore()).files();
  const { bytes, unreadable } = await packed('all');
  const name = nameOf(new Date());
  const folder = await writable(true);
  if (folder) {
    try {
      await writeInto(folder, name, bytes);
    } catch (error) {
      return bad({
        path: folder.name,
        message: say('backup.notWritten', { why: error instanceof Error ? error.name : reasonOf(error) }),
        wayOut: say('backup.chooseAgain'),
      });
    }
  } else saveFile(name, bytes, 'application/zip');
  await store.backedUp();
  return good({ where: folder ? `${folder.name}/${name}` : name, unreadable });
}

/** Backs up into the chosen folder by itself: once a day, where something changed and the platform still allows it. */
export async function backUpQuietly(): Promise<void> {
  const store = await (await openStore()).files();
  const { at, changed } = await store.backup();
  if (changed === 0 || (at !== null && Date.now() - at < DAY_MS)) return;
  const folder = await writable(false);
  if (!folder) return;
  const { bytes } = await packed('all');
  await writeInto(folder, nameOf(new Date()), bytes);
  await store.backedUp();
}

/** Asks for a folder that backups go into. False where none was chosen. */
export async function chooseFolder(): Promise<boolean> {
  const pick = Reflect.get(window, 'showDirectoryPicker') as
    ((options: { mode: 'readwrite' }) => Promise<FileSystemDirectoryHandle>) | undefined;
  if (!pick) return false;
  try {
    const folder = await pick.call(window, { mode: 'readwrite' });
    const store = await (await openStore()).files();
    await store.setHandle(FOLDER, folder);
    return true;
  } catch {
    // Turned away from: nothing is chosen.
    return false;
  }
}

/** The chosen folder, where it may be written to; `ask`: the user is there to be asked again. */
async function writable(ask: boolean): Promise<FileSystemDirectoryHandle | null> {
  const store = await (await openStore()).files();
  const folder = (await store.handle(FOLDER)) as (FileSystemDirectoryHandle & Partial<Permission>) | null;
  if (!folder) return null;
  const mode = { mode: 'readwrite' } as const;
  // A folder of the browser's own needs no permission.
  const now = (await folder.queryPermission?.(mode)) ?? 'granted';
  if (now === 'granted') return folder;
  return ask && (await folder.requestPermission?.(mode)) === 'granted' ? folder : null;
}

interface Permission {
  queryPermission: (mode: { mode: 'readwrite' }) => Promise<PermissionState>;
  requestPermission: (mode: { mode: 'readwrite' }) => Promise<PermissionState>;
}

async function writeInto(folder: FileSystemDirectoryHandle, name: string, bytes: Uint8Array): Promise<void> {
  const file = await folder.getFileHandle(name, { create: true });
  const stream = await file.createWritable();
  await stream.write(new Uint8Array(bytes));
  await stream.close();
}
