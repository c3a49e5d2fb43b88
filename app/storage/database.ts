import Dexie, { type DexieOptions, type EntityTable } from 'dexie';
import type { Patch } from 'immer';
import type { HouseJob } from '@core/choices/house/circuits';
import type { HouseCommand } from '@core/job/commands/house';
import type { House } from '@core/job/model/house';
import type { Problem } from '@core/job/model/problem';
import type { ShopChange } from '@core/choices/takeoff/shop';
import type { JobIntent } from './intent';
import type { Scene } from './scene';

/** A design as kept in the browser; where no seal fits it is checked when it is read: it can be older than the program. */
export interface StoredDesign {
  id: string;
  design: unknown;
  /** That this program stored it so (`sealed.ts`). */
  seal?: string;
  /** The house it is in. */
  house?: string;
  /** How many history entries are applied; the ones after it can be redone. */
  cursor: number;
  /** Counts the changes of the design. */
  revision: number;
}

/** What was asked, found and done, beside its design: written without it. */
export interface StoredRecord {
  id: string;
  record: unknown;
  seal?: string;
  revision: number;
}

/** A house as kept in the browser; checked each time it is read. */
export interface StoredHouse {
  id: string;
  house: unknown;
  /** Counts its changes, and those of what its jobs add to its circuits. */
  revision: number;
  updatedAt: number;
}

/** What the list of jobs shows, and what the other jobs of its house must know of it. */
export interface StoredSummary {
  id: string;
  name: string;
  site: string;
  updatedAt: number;
  house?: string;
  circuits?: HouseJob['circuits'];
  adds?: HouseJob['adds'];
  /** What it can be found by: its places, and the kinds of its devices. */
  holds?: { readonly places: readonly string[]; readonly kinds: readonly string[] };
}

/** What was removed, as it stood, kept for a day. */
export interface StoredTrash {
  id: string;
  at: number;
  name: string;
  /** Rows by table. */
  rows: Readonly<Record<string, readonly unknown[]>>;
}

/** The bytes of a photo; what is said of it stands in the record of its job. */
export interface StoredPhoto {
  id: string;
  jobId: string;
  bytes: Uint8Array;
}

export interface HistoryEntry {
  jobId: string;
  seq: number;
  label: string;
  patches: readonly Patch[];
  inverse: readonly Patch[];
}

export interface SceneRecord {
  jobId: string;
  scene: Scene;
}

/** Something tapped, kept before anything is computed from it, until it is carried out. */
export type JournalEntry = JobEntry | HouseEntry | ShopEntry;

interface Journaled {
  seq?: number;
  /** What it is on, as the journal is searched: the id of a job, by `ofHouse`, by `OF_SHOP`. */
  jobId: string;
  /** Why it could not be carried out; kept until it was read. */
  refused?: readonly Problem[];
}

export interface JobEntry extends Journaled {
  on?: never;
  /** The tab it was tapped in, so that it is told there what became of it. */
  tab: string;
  intent: JobIntent;
  /** The revisions that the page showed, and the old values of what was to be replaced. */
  base: { readonly design: number; readonly record: number; readonly house?: number };
  replaced: Readonly<Record<string, unknown>>;
}

export interface HouseEntry extends Journaled {
  on: 'house';
  house: string;
  change: HouseCommand | HouseBack;
}
/** The way back from a change of a house: the house as it was, unless another change has followed. */
export interface HouseBack {
  readonly do: 'put back';
  readonly before: House;
  readonly after: number;
}

export interface ShopEntry extends Journaled {
  on: 'shop';
  change: ShopTap;
}
/** A change of the shop's own; or of a line of a list, whether it is bought. */
export type ShopTap =
  | { readonly do: 'set'; readonly change: ShopChange }
  | { readonly do: 'tick'; readonly list: string; readonly key: string; readonly bought: boolean };

/** What a job or a house grew from (`kin.ts`), under its kind and id. */
export interface StoredKin {
  of: string;
  /** How often it was given. */
  count: number;
  /** Fingerprints of what it grew from, the last first. */
  from: readonly { readonly print: string; readonly at: string }[];
  /** The content of the last of them, as JSON. */
  copies: readonly { readonly print: string; readonly json: string }[];
  /** When it was given or taken, to or from whom, the last first; empty where nobody was named. */
  hands: readonly { readonly how: 'given' | 'taken'; readonly at: string; readonly by: string }[];
  /** What stood here before something came in last, and as it was kept then: JSON. */
  back: { readonly at: string; readonly by: string; readonly before: string; readonly after: string } | null;
}

/** A drill that was played to its end; checked each time it is read. */
export interface StoredDrill {
  seq?: number;
  at: number;
  drill: unknown;
}

/** The shop's own, and what is bought for a job; checked each time it is read. */
export interface StoredShop {
  id: string;
  value: unknown;
}

/** A page as it stood when it was left, until something it hangs on has changed (`app/standing`). */
export interface StoredStanding {
  /** Its address. */
  at: string;
  /** The version of the program that drew it. */
  build: string;
  html: string;
  /** What it hangs on: a field of a row, as JSON; undefined where there is none. */
  marks: readonly (readonly [table: string, key: string, field: string, json: string | undefined])[];
  /** How many rows there are, of all or of those with a value in an index. */
  counts: readonly (readonly [table: string, index: string | null, value: string, count: number])[];
  kept: number;
}

type Raw = Record<string, unknown>;
const isObject = (value: unknown): value is Raw =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const RECORD_FIELDS: readonly string[] = ['brief', 'ticks', 'surveys'];

export class SplitTapDatabase extends Dexie {
  jobs!: EntityTable<StoredDesign, 'id'>;
  records!: EntityTable<StoredRecord, 'id'>;
  summaries!: EntityTable<StoredSummary, 'id'>;
  history!: Dexie.Table<HistoryEntry, [string, number]>;
  scenes!: EntityTable<SceneRecord, 'jobId'>;
  journal!: Dexie.Table<JournalEntry, number>;
  drills!: Dexie.Table<StoredDrill, number>;
  shop!: EntityTable<StoredShop, 'id'>;
  houses!: EntityTable<StoredHouse, 'id'>;
  trash!: EntityTable<StoredTrash, 'id'>;
  photos!: EntityTable<StoredPhoto, 'id'>;
  standing!: EntityTable<StoredStanding, 'at'>;
  kin!: EntityTable<StoredKin, 'of'>;

  constructor(name = 'split-tap', options?: DexieOptions) {
    super(name, options);
    this.version(1).stores({ jobs: 'id, updatedAt', history: '[jobId+seq], jobId', scenes: 'jobId' });
    this.version(6).stores({ kin: 'of' });
    this.version(5).stores({ standing: 'at, kept' });
    this.version(4).stores({
      houses: 'id',
      jobs: 'id, house',
      summaries: 'id, updatedAt, house',
      trash: 'id, at',
      photos: 'id, jobId',
    });
    this.version(3).stores({ drills: '++seq, at', shop: 'id' });
    this.version(2)
      .stores({
        jobs: 'id',
        records: 'id',
        summaries: 'id, updatedAt',
        journal: '++seq, jobId',
      })
      .upgrade(async (tx) => {
        // One undivided job comes apart: what was asked, found and done stands beside the design.
        for (const old of (await tx.table('jobs').toArray()) as Raw[]) {
          const { job } = old;
          const id = String(old['id']);
          const [design, record]: [Raw, Raw] = [{}, {}];
          for (const [key, value] of isObject(job) ? Object.entries(job) : [])
            (RECORD_FIELDS.includes(key) ? record : design)[key] = value;
          await tx.table('jobs').put({
            id,
            design: isObject(job) ? design : job,
            cursor: typeof old['cursor'] === 'number' ? old['cursor'] : 0,
            revision: 1,
          });
          await tx.table('records').put({ id, record, revision: 1 });
          await tx.table('summaries').put(summaryOf(id, design, old['updatedAt'] ?? null));
        }
        await tx
          .table('history')
          .toCollection()
          .modify((entry: { patches: readonly Patch[]; inverse: readonly Patch[] }) => {
            const ofDesign = ({ path }: Patch) => !RECORD_FIELDS.includes(String(path[0]));
            entry.patches = entry.patches.filter(ofDesign);
            entry.inverse = entry.inverse.filter(ofDesign);
          });
      });
  }
}

/**
 * Does work on jobs and houses whole or not at all. Work inside of work joins it; each function that is awaited within a
 * transaction goes through here, since Dexie loses its transaction over two plain promises in a row.
 */
export const whole = <T>(db: SplitTapDatabase, work: () => Promise<T>): Promise<T> =>
  db.transaction(
    'rw',
    [
      db.jobs,
      db.records,
      db.summaries,
      db.history,
      db.scenes,
      db.journal,
      db.houses,
      db.photos,
      db.trash,
      db.shop,
      db.kin,
    ],
    work,
  );

/** A line of the list of jobs, from whatever is stored. */
export function summaryOf(id: string, design: unknown, updatedAt: unknown = Date.now()): StoredSummary {
  const { name, site } = isObject(design) ? design : {};
  return {
    id,
    name: typeof name === 'string' ? name : id,
    site: typeof site === 'string' ? site : '',
    updatedAt: typeof updatedAt === 'number' && Number.isFinite(updatedAt) ? updatedAt : 0,
  };
}
