import { BEEN } from '~/standing/early';
import { keep } from '~/ui/kept-here';
import { SplitTapDatabase, type StoredStanding } from './database';
import type { DrillHistory } from './drill-history';
import type { FileStore } from './files';
import type { HouseStore } from './houses';
import { JobStore } from './jobs';
import type { KinStore } from './kin';
import type { PhotoStore } from './photos';
import type { ShopStore } from './shop-store';
import type { Shown } from './standing';
import { say } from '~/words/storage';

/** Longer than any browser that answers takes to open its storage, ms. */
const SILENT_MS = 10_000;

export interface Opened {
  readonly store: JobStore;
  /** Loaded where they are wanted. */
  readonly drills: () => Promise<DrillHistory>;
  readonly shop: () => Promise<ShopStore>;
  readonly houses: () => Promise<HouseStore>;
  readonly photos: () => Promise<PhotoStore>;
  readonly files: () => Promise<FileStore>;
  readonly kin: () => Promise<KinStore>;
  /** Keeps a page as it stands; false where it shows what is not stored so. */
  readonly keepStanding: (
    page: Pick<StoredStanding, 'at' | 'build' | 'html'>,
    shown: Shown,
  ) => Promise<boolean>;
  /** Why nothing is kept beyond this page, in words; null where the browser keeps what is stored. */
  readonly lost: string | null;
}

let opened: Promise<Opened> | null = null;

/** The jobs of this browser. Where it keeps nothing, or does not answer, they live in memory as long as the page. */
export const openStore = (): Promise<Opened> => (opened ??= open());

const rooms = (
  database: SplitTapDatabase,
): Pick<Opened, 'drills' | 'shop' | 'houses' | 'photos' | 'files' | 'kin' | 'keepStanding'> => ({
  keepStanding: (page, shown) =>
    import('./standing').then((room) => room.keepStanding(database, page, shown)),
  drills: () => import('./drill-history').then((room) => new room.DrillHistory(database)),
  houses: () => import('./houses').then((room) => new room.HouseStore(database)),
  kin: () => import('./kin').then((room) => new room.KinStore(database)),
  files: () => import('./files').then((room) => new room.FileStore(database)),
  photos: () => import('./photos').then((room) => new room.PhotoStore(database)),
  shop: () => import('./shop-store').then((room) => new room.ShopStore(database)),
});

async function open(): Promise<Opened> {
  const database = new SplitTapDatabase();
  let waiting: ReturnType<typeof setTimeout> | undefined;
  const silent = new Promise<never>((_, reject) => {
    waiting = setTimeout(() => reject(new Error('silent')), SILENT_MS);
  });
  try {
    await Promise.race([database.open(), silent]);
    keep(BEEN, 'yes');
    return {
      store: new JobStore(database),
      ...rooms(database),
      lost: null,
    };
  } catch (error) {
    const { indexedDB, IDBKeyRange } = await import('./memory');
    const memory = new SplitTapDatabase('split-tap', { indexedDB, IDBKeyRange });
    return {
      store: new JobStore(memory),
      ...rooms(memory),
      lost:
        error instanceof Error && error.message === 'silent'
          ? say('opened.storageDoesNotAnswer')
          : say('opened.storageBlockedFull'),
    };
  } finally {
    clearTimeout(waiting);
  }
}
