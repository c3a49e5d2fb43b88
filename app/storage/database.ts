import Dexie, { type EntityTable } from 'dexie';
import type { Patch } from 'immer';
import type { Scene } from './scene';

/** A job as kept in the browser. `job` is checked each time it is read: records can be older than the program. */
export interface JobRecord {
  id: string;
  job: unknown;
  /** How many history entries are applied; the ones after it can be redone. */
  cursor: number;
  updatedAt: number;
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

export class SplitTapDatabase extends Dexie {
  jobs!: EntityTable<JobRecord, 'id'>;
  history!: Dexie.Table<HistoryEntry, [string, number]>;
  scenes!: EntityTable<SceneRecord, 'jobId'>;

  constructor(name = 'split-tap') {
    super(name);
    this.version(1).stores({ jobs: 'id, updatedAt', history: '[jobId+seq], jobId', scenes: 'jobId' });
  }
}

export const database = new SplitTapDatabase();
