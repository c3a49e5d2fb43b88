import { applyPatches, type Patch } from 'immer';
import { applyCommands, type Command } from '@core/commands/command';
import { demoJob } from '@core/jobs/demo-house';
import { checkJob, readJobFile } from '@core/model/file';
import type { Job } from '@core/model/job';
import { bad, good, type Checked } from '@core/model/problem';
import { database, type SplitTapDatabase } from './database';
import { EMPTY_SCENE, Scene } from './scene';

/** Changes kept for undo, per job. */
const HISTORY_LIMIT = 200;

export interface OpenJob {
  readonly job: Job;
  readonly undo: string | null;
  readonly redo: string | null;
}

export interface JobSummary {
  readonly id: string;
  readonly name: string;
  readonly site: string;
  readonly updatedAt: number;
  /** False where the stored record cannot be read any more; it is kept, and can be exported as it is. */
  readonly readable: boolean;
}

/** Reads and changes jobs, each in one transaction. Bad input gives problems and changes nothing. */
export class JobStore {
  constructor(private readonly db: SplitTapDatabase = database) {}

  async list(): Promise<JobSummary[]> {
    const records = await this.db.jobs.orderBy('updatedAt').reverse().toArray();
    return records.map(({ id, job, updatedAt }) => {
      const checked = checkJob(job);
      return checked.ok
        ? { id, name: checked.value.name, site: checked.value.site, updatedAt, readable: true }
        : { id, name: id, site: '', updatedAt, readable: false };
    });
  }

  /** Opens a stored job, or a demo job on its first opening. */
  async open(id: string): Promise<Checked<OpenJob>> {
    const record = await this.db.jobs.get(id);
    if (!record) {
      const demo = demoJob(id);
      if (!demo) {
        return bad({
          path: id,
          message: 'there is no such job in this browser',
          wayOut: 'Go to the home page, or import its file.',
        });
      }
      await this.db.jobs.put({ id, job: demo, cursor: 0, updatedAt: Date.now() });
      return good({ job: demo, undo: null, redo: null });
    }
    const checked = checkJob(record.job);
    if (!checked.ok) return checked;
    const [undo, redo] = await Promise.all([
      this.db.history.get([id, record.cursor - 1]),
      this.db.history.get([id, record.cursor]),
    ]);
    return good({ job: checked.value, undo: undo?.label ?? null, redo: redo?.label ?? null });
  }

  /** Adds a new job under its own id, or under a fresh one where that is taken. */
  async add(job: Job): Promise<Job> {
    return this.db.transaction('rw', this.db.jobs, async () => {
      const taken = new Set(await this.db.jobs.toCollection().primaryKeys());
      let id = job.id;
      for (let copy = 2; taken.has(id); copy++) id = `${job.id.slice(0, 36)}-${copy}`;
      const own = { ...job, id };
      await this.db.jobs.add({ id, job: own, cursor: 0, updatedAt: Date.now() });
      return own;
    });
  }

  /** Reads a job file's text and adds the job. */
  async import(text: string): Promise<Checked<Job>> {
    const checked = readJobFile(text);
    return checked.ok ? good(await this.add(checked.value)) : checked;
  }

  /** Runs commands as one step of undo: all of them, or none. */
  async run(id: string, commands: readonly Command[]): Promise<Checked<Job>> {
    return this.db.transaction('rw', this.db.jobs, this.db.history, async () => {
      const record = await this.db.jobs.get(id);
      const checked = checkJob(record?.job);
      if (!record || !checked.ok)
        return checked.ok ? bad({ path: id, message: 'there is no such job' }) : checked;
      const done = applyCommands(checked.value, commands);
      if (!done.ok) return done;
      const { job, label, patches, inverse } = done.value;
      if (patches.length === 0) return good(job);
      const { cursor } = record;
      await this.db.history
        .where('jobId')
        .equals(id)
        .filter(({ seq }) => seq >= cursor || seq < cursor - HISTORY_LIMIT)
        .delete();
      await this.db.history.put({ jobId: id, seq: cursor, label, patches, inverse });
      await this.db.jobs.put({ id, job, cursor: cursor + 1, updatedAt: Date.now() });
      return good(job);
    });
  }

  undo = (id: string): Promise<Checked<Job>> => this.step(id, -1);
  redo = (id: string): Promise<Checked<Job>> => this.step(id, 1);

  private async step(id: string, direction: -1 | 1): Promise<Checked<Job>> {
    return this.db.transaction('rw', this.db.jobs, this.db.history, async () => {
      const record = await this.db.jobs.get(id);
      const checked = checkJob(record?.job);
      if (!record || !checked.ok)
        return checked.ok ? bad({ path: id, message: 'there is no such job' }) : checked;
      const seq = direction < 0 ? record.cursor - 1 : record.cursor;
      const entry = await this.db.history.get([id, seq]);
      if (!entry) return good(checked.value);
      const patches: readonly Patch[] = direction < 0 ? entry.inverse : entry.patches;
      const job = applyPatches(checked.value, [...patches]);
      await this.db.jobs.put({ id, job, cursor: record.cursor + direction, updatedAt: Date.now() });
      return good(job);
    });
  }

  async remove(id: string): Promise<void> {
    await this.db.transaction('rw', this.db.jobs, this.db.history, this.db.scenes, async () => {
      await this.db.jobs.delete(id);
      await this.db.history.where('jobId').equals(id).delete();
      await this.db.scenes.delete(id);
    });
  }

  /** The stored record as it is, readable or not: nothing is ever lost. */
  async raw(id: string): Promise<unknown> {
    return (await this.db.jobs.get(id))?.job;
  }

  async scene(id: string): Promise<Scene> {
    const record = await this.db.scenes.get(id);
    const parsed = Scene.safeParse(record?.scene);
    return parsed.success ? parsed.data : EMPTY_SCENE;
  }

  async setScene(jobId: string, scene: Scene): Promise<void> {
    await this.db.scenes.put({ jobId, scene });
  }
}

export const jobs = new JobStore();
