import type { Problem } from '@core/job/model/problem';
import { say } from '~/words/storage';

/** Why something could not be stored, and the way out; the job stays readable either way. */
export function notStored(path: string, error: unknown): Problem {
  const name = error instanceof Error ? error.name : String(error);
  const inner = error instanceof Error && 'inner' in error ? String(error.inner) : '';
  return /quota/i.test(`${name} ${inner}`)
    ? { path, message: say('session.full'), wayOut: say('session.fullWayOut') }
    : {
        path,
        message: say('session.couldNotStored', { error: name }),
        wayOut: say('session.exportAndReload'),
      };
}
