import { Unzip, UnzipInflate } from 'fflate';
import { bad, good, type Checked } from '../../job/model/problem';
import { ZIP_LIMITS } from './limits';
import { say } from '../../base/words/model';

/** Bytes unpacked at a time: what one piece can grow to is bounded by it (deflate packs at most 1032 to 1). */
const STEP = 16_384;

/**
 * Unpacks a zip file, each file only as far as it may go: names that are not known, too many files, the same name twice,
 * and what unpacks to more than its limit are refused as they are met, before the memory is spent. Never throws.
 * `mostOf`: bytes that a file of a name may have; null where such a file does not belong there.
 */
export function unzip(
  bytes: Uint8Array,
  mostOf: (name: string) => number | null,
): Checked<ReadonlyMap<string, Uint8Array>> {
  const refuse = (path: string, message: string) => bad({ path, message, wayOut: say('zip.wayOut') });
  if (bytes.length > ZIP_LIMITS.bytes)
    return refuse(
      '',
      say('zip.tooLarge', { mb: Math.ceil(bytes.length / 1e6), most: ZIP_LIMITS.bytes / 1e6 }),
    );
  const files = new Map<string, Uint8Array>();
  const begun = new Set<string>();
  let unpacked = 0;
  // The first thing that was wrong: whoever unpacks makes an error of its own of what it is stopped by.
  let wrong: { readonly path: string; readonly message: string } | null = null;
  const stop: (path: string, message: string) => never = (path, message) => {
    wrong ??= { path, message };
    throw new Error(message);
  };
  const zip = new Unzip((file) => {
    const { name } = file;
    if (begun.size >= ZIP_LIMITS.files) stop('', say('zip.tooMany', { most: ZIP_LIMITS.files }));
    const most = name.endsWith('/') ? 0 : mostOf(name);
    if (most === null) stop(name.slice(0, 120), say('zip.strangeName', { name: name.slice(0, 120) }));
    if (begun.has(name)) stop(name, say('zip.twice', { name }));
    begun.add(name);
    const parts: Uint8Array[] = [];
    let size = 0;
    file.ondata = (error, part, final) => {
      if (error) stop(name, say('zip.broken'));
      size += part.length;
      unpacked += part.length;
      if (size > most) stop(name, say('zip.grows', { most: most / 1e6 }));
      if (unpacked > ZIP_LIMITS.unpacked) stop('', say('zip.grows', { most: ZIP_LIMITS.unpacked / 1e6 }));
      parts.push(part);
      if (!final || name.endsWith('/')) return;
      const whole = new Uint8Array(size);
      let at = 0;
      for (const one of parts) {
        whole.set(one, at);
        at += one.length;
      }
      files.set(name, whole);
    };
    file.start();
  });
  zip.register(UnzipInflate);
  try {
    for (let at = 0; at < bytes.length; at += STEP)
      zip.push(bytes.subarray(at, at + STEP), at + STEP >= bytes.length);
  } catch {
    const { path, message } = (wrong as { path: string; message: string } | null) ?? {
      path: '',
      message: say('zip.broken'),
    };
    return refuse(path, message);
  }
  // What was begun and never came to its end breaks off.
  const cut = [...begun].find((name) => !name.endsWith('/') && !files.has(name));
  return cut === undefined ? good(files) : refuse(cut, say('zip.broken'));
}
