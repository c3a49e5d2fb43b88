import { BEEN } from '~/standing/early';
import { keep } from '~/ui/kept-here';
import { SplitTapDatabase } from './database';
import { say } from '~/words/storage';

/** Longer than any browser that answers takes to open its storage, ms. */
const SILENT_MS = 10_000;

export interface OpenedDatabase {
  readonly database: SplitTapDatabase;
  /** Why nothing is kept beyond this page, in words; null where the browser keeps what is stored. */
  readonly lost: string | null;
}

let opened: Promise<OpenedDatabase> | null = null;

/**
 * What this browser keeps, as rows: a list is read from it without the models that check a job. Where the browser keeps
 * nothing, or does not answer, all lives in memory as long as the page.
 */
export const openDatabase = (): Promise<OpenedDatabase> => (opened ??= open());

async function open(): Promise<OpenedDatabase> {
  const database = new SplitTapDatabase();
  let waiting: ReturnType<typeof setTimeout> | undefined;
  const silent = new Promise<never>((_, reject) => {
    waiting = setTimeout(() => reject(new Error('silent')), SILENT_MS);
  });
  try {
    await Promise.race([database.open(), silent]);
    keep(BEEN, 'yes');
    return { database, lost: null };
  } catch (error) {
    const { indexedDB, IDBKeyRange } = await import('./memory');
    return {
      database: new SplitTapDatabase('split-tap', { indexedDB, IDBKeyRange }),
      lost:
        error instanceof Error && error.message === 'silent'
          ? say('opened.storageDoesNotAnswer')
          : say('opened.storageBlockedFull'),
    };
  } finally {
    clearTimeout(waiting);
  }
}
