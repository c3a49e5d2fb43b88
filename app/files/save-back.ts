import { useEffect, useState } from 'react';
import { openStore } from '~/storage/opened';

type Writable = FileSystemFileHandle & {
  requestPermission?: (mode: { mode: 'readwrite' }) => Promise<PermissionState>;
};

/** The file that a job came from and may be saved back into; null where there is none. */
export function useSaveBack(job: string): FileSystemFileHandle | null {
  const [file, setFile] = useState<FileSystemFileHandle | null>(null);
  useEffect(() => {
    let gone = false;
    void openStore()
      .then(({ files }) => files())
      .then((store) => store.handle(`job ${job}`))
      .then((handle) => {
        if (!gone) setFile(handle?.kind === 'file' ? (handle as FileSystemFileHandle) : null);
      });
    return () => {
      gone = true;
    };
  }, [job]);
  return file;
}

/** Writes a job into the file it came from. False where the platform does not allow it. */
export async function saveBack(file: Writable, text: string): Promise<boolean> {
  try {
    if (file.requestPermission && (await file.requestPermission({ mode: 'readwrite' })) !== 'granted')
      return false;
    const stream = await file.createWritable();
    await stream.write(text);
    await stream.close();
    return true;
  } catch {
    return false;
  }
}
