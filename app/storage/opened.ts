import type { DrillHistory } from './drill-history';
import type { FileStore } from './files';
import type { HouseStore } from './houses';
import { JobStore } from './jobs';
import type { KinStore } from './kin';
import { openDatabase } from './opened-database';
import type { PhotoStore } from './photos';
import type { ShopStore } from './shop-store';

export interface Opened {
  readonly store: JobStore;
  /** Loaded where they are wanted. */
  readonly drills: () => Promise<DrillHistory>;
  readonly shop: () => Promise<ShopStore>;
  readonly houses: () => Promise<HouseStore>;
  readonly photos: () => Promise<PhotoStore>;
  readonly files: () => Promise<FileStore>;
  readonly kin: () => Promise<KinStore>;
  /** Why nothing is kept beyond this page, in words; null where the browser keeps what is stored. */
  readonly lost: string | null;
}

let opened: Promise<Opened> | null = null;

/** The jobs of this browser, and all that is kept beside them. */
export const openStore = (): Promise<Opened> => (opened ??= open());

async function open(): Promise<Opened> {
  const { database, lost } = await openDatabase();
  return {
    store: new JobStore(database),
    lost,
    drills: () => import('./drill-history').then((room) => new room.DrillHistory(database)),
    houses: () => import('./houses').then((room) => new room.HouseStore(database)),
    kin: () => import('./kin').then((room) => new room.KinStore(database)),
    files: () => import('./files').then((room) => new room.FileStore(database)),
    photos: () => import('./photos').then((room) => new room.PhotoStore(database)),
    shop: () => import('./shop-store').then((room) => new room.ShopStore(database)),
  };
}
