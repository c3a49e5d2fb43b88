import { applyPatches, type Patch } from 'immer';
import { applyCommands, note } from '@core/commands/command';
import { DEMO_LIST } from '@core/jobs/demo-list';
import { checkJob, readJobFile } from '@core/model/file';
import type { Design } from '@core/model/design';
import type { Job } from '@core/model/job';
import { bad, good, type Checked, type Problem } from '@core/model/problem';
import type { JobRecord } from '@core/model/record';
import { measured, withoutMeasured } from '@core/rooms/route';
import {
  summaryOf,
  type HistoryEntry,
  type JournalEntry,
  type SplitTapDatabase,
  type StoredSummary,
} from './database';
import { sorted, type JobIntent } from './intent';
import { conflictsOf, replacedBy, type Conflict } from './replaced';
import { EMPTY_SCENE, Scene } from './scene';
import { say } from '~/words/storage';

/** Changes kept for undo, per job. */
const HISTORY_LIMIT = 200;

/** A step of the history, as the page offers it. */
export interface HistoryStep {
  readonly seq: number;
  readonly label: string;
}

export interface OpenJob extends Job {
  readonly id: string;
  readonly scene: Scene;
  readonly undo: HistoryStep | null;
  readonly redo: HistoryStep | null;
  /** Counts of changes: what is computed and what is stored are compared by them. */
  readonly revision: Revision;
}

export interface Revision {
  readonly design: number;
  readonly record: number;
}

/** What became of an intent. */
export interface Outcome {
  readonly seq: number;
  readonly problems: readonly Problem[];
  /** True where it was carried out on the very revision that the page showed. */
  readonly asShown: boolean;
}

/** Reads and changes jobs, each in one transaction. Bad input gives problems and changes nothing. */
export class JobStore {
  constructor(private readonly db: SplitTapDatabase) {}

  private get tables() {
    return [
      this.db.jobs,
      this.db.records,
      this.db.summaries,
      this.db.history,
      this.db.scenes,
      this.db.journal,
    ];
  }

  /** What is listed of the jobs, the last changed first. */
  list = (): Promise<StoredSummary[]> => this.db.summaries.orderBy('updatedAt').reverse().toArray();

  /** Opens a stored job, or a demo job on its first opening. What was tapped and not carried out is carried out first. */
  async open(id: string): Promise<Checked<OpenJob>> {
    // Loaded ahead: a transaction does not wait for what it does not do itself.
    const demo = await demoOf(id);
    return this.db.transaction('rw', this.tables, async () => {
      if (!(await this.db.jobs.get(id))) {
        if (!demo) {
          return bad({
            path: id,
            message: say('jobs.noSuchJobBrowser'),
            wayOut: say('jobs.goHomePageImportFile'),
          });
        }
        await this.put(id, demo, 0, { design: 1, record: 1 });
      }
      await this.carryOut(id);
      return this.read(id);
    });
  }

  private async read(id: string): Promise<Checked<OpenJob>> {
    const stored = await this.db.jobs.get(id);
    const record = await this.db.records.get(id);
    const checked = checkJob(stored?.design, record?.record ?? {});
    if (!checked.ok) return checked;
    const cursor = cursorOf(stored?.cursor);
    const step = async (seq: number): Promise<HistoryStep | null> => {
      const entry = await this.db.history.get([id, seq]);
      return entry ? { seq, label: entry.label } : null;
    };
    return good({
      id,
      ...checked.value,
      scene: await this.scene(id),
      undo: await step(cursor - 1),
      redo: await step(cursor),
      revision: { design: stored?.revision ?? 1, record: record?.revision ?? 1 },
    });
  }

  /** The revisions that are stored now; read by `liveQuery`, so that another tab's change is seen. */
  async revision(id: string): Promise<Revision | null> {
    const [design, record] = await Promise.all([this.db.jobs.get(id), this.db.records.get(id)]);
    return design ? { design: design.revision, record: record?.revision ?? 1 } : null;
  }

  private async put(id: string, job: Job, cursor: number, revision: Revision): Promise<void> {
    const design = withoutMeasured(job.design);
    await this.db.jobs.put({ id, design, cursor, revision: revision.design });
    await this.db.records.put({ id, record: job.record, revision: revision.record });
    await this.db.summaries.put(summaryOf(id, job.design));
  }

  /** Adds a new job under its own id, or under a fresh one where that is taken. */
  add(job: Job): Promise<Job> {
    return this.db.transaction('rw', this.tables, async () => {
      const taken = new Set(await this.db.jobs.toCollection().primaryKeys());
      let { id } = job.design;
      for (let copy = 2; taken.has(id); copy++) id = `${job.design.id.slice(0, 36)}-${copy}`;
      const own = { ...job, design: { ...job.design, id } };
      await this.put(id, own, 0, { design: 1, record: 1 });
      return own;
    });
  }

  /** Reads a job file's text and adds the job. */
  async import(text: string): Promise<Checked<Job>> {
    const checked = readJobFile(text);
    return checked.ok ? good(await this.add(checked.value)) : checked;
  }

  /** A demo job as it was at first: on purpose only. False where there is no such demo. */
  async reset(id: string): Promise<boolean> {
    const demo = await demoOf(id);
    if (!demo) return false;
    await this.db.transaction('rw', this.tables, async () => {
      const before = await this.revision(id);
      await this.forget(id);
      await this.put(id, demo, 0, {
        design: (before?.design ?? 0) + 1,
        record: (before?.record ?? 0) + 1,
      });
    });
    return true;
  }

  /**
   * Writes down what was tapped, in one write that is sent off before this returns, so that it is kept though the page
   * is closed at once. It is carried out by `carryOutAll`, or when the job is opened next.
   */
  writeDown(entry: JournalEntry): Promise<number> {
    const native = this.db.isOpen() ? this.db.backendDB() : null;
    if (!native) return this.db.journal.add(entry);
    return new Promise((resolve, reject) => {
      const tx = native.transaction('journal', 'readwrite');
      const put = tx.objectStore('journal').add(entry);
      put.onsuccess = () => resolve(Number(put.result));
      tx.onerror = () => reject(tx.error ?? new Error('not stored'));
      tx.onabort = () => reject(tx.error ?? new Error('not stored'));
      tx.commit();
    });
  }

  /** Carries out all that waits for a job, in order. Gives what became of a tab's own, those of before included. */
  carryOutAll(id: string): Promise<readonly Outcome[]> {
    return this.db.transaction('rw', this.tables, () => this.carryOut(id));
  }

  private async carryOut(id: string): Promise<readonly Outcome[]> {
    const waiting = (await this.db.journal.where('jobId').equals(id).sortBy('seq')).filter(
      ({ refused }) => !refused,
    );
    const outcomes: Outcome[] = [];
    for (const entry of waiting) {
      const done = await this.carryOutOne(id, entry);
      const seq = entry.seq ?? 0;
      if (done.problems.length > 0) await this.db.journal.put({ ...entry, refused: done.problems });
      else await this.db.journal.delete(seq);
      outcomes.push({ seq, ...done });
    }
    return outcomes;
  }

  private async carryOutOne(
    id: string,
    { intent, base, replaced }: JournalEntry,
  ): Promise<Omit<Outcome, 'seq'>> {
    if (intent.intent === 'scene') {
      await this.db.scenes.put({ jobId: id, scene: intent.scene });
      return { problems: [], asShown: true };
    }
    const stored = await this.db.jobs.get(id);
    const noted = await this.db.records.get(id);
    const checked = checkJob(stored?.design, noted?.record ?? {});
    if (!stored || !checked.ok)
      return {
        problems: checked.ok ? [{ path: id, message: say('jobs.noSuchJob') }] : checked.problems,
        asShown: false,
      };
    const { design, record } = checked.value;
    const revision = { design: stored.revision, record: noted?.revision ?? 1 };
    const asShown = revision.design === base.design && revision.record === base.record;
    if (intent.intent !== 'commands') {
      const cursor = cursorOf(stored.cursor);
      const back = intent.intent === 'undo';
      const due = back ? cursor - 1 : cursor;
      const entry = await this.db.history.get([id, due]);
      // One step back or forth, if it is still the one that the page offered.
      if (due !== intent.seq || !entry) return { problems: [movedOn(intent.intent, entry)], asShown: false };
      const next = measured(applyPatches(design, [...(back ? entry.inverse : entry.patches)]));
      await this.db.jobs.put({
        id,
        design: withoutMeasured(next),
        cursor: cursor + (back ? -1 : 1),
        revision: revision.design + 1,
      });
      await this.db.summaries.put(summaryOf(id, next));
      return { problems: [], asShown: false };
    }
    const done = carriedOut({ design, record }, intent);
    if (!done.ok) return { problems: done.problems, asShown };
    const conflicts = asShown ? [] : conflictsOf(replaced, done.value.replaced);
    if (conflicts.length > 0) return { problems: conflicts.map(conflictProblem), asShown };
    const { change } = done.value;
    if (change && change.patches.length > 0) {
      await this.remember(id, cursorOf(stored.cursor), change);
      await this.db.jobs.put({
        id,
        design: withoutMeasured(done.value.job.design),
        cursor: cursorOf(stored.cursor) + 1,
        revision: revision.design + 1,
      });
      await this.db.summaries.put(summaryOf(id, done.value.job.design));
    }
    if (done.value.job.record !== record) {
      await this.db.records.put({ id, record: done.value.job.record, revision: revision.record + 1 });
      await this.db.summaries.update(id, { updatedAt: Date.now() });
    }
    return { problems: [], asShown };
  }

  private async remember(
    id: string,
    cursor: number,
    { label, patches, inverse }: { label: string; patches: readonly Patch[]; inverse: readonly Patch[] },
  ): Promise<void> {
    await this.db.history
      .where('jobId')
      .equals(id)
      .filter(({ seq }) => seq >= cursor || seq < cursor - HISTORY_LIMIT)
      .delete();
    await this.db.history.put({ jobId: id, seq: cursor, label, patches, inverse });
  }

  /** What could not be carried out, of any tab; each is told once. */
  async refusals(id: string): Promise<readonly Problem[]> {
    return this.db.transaction('rw', this.db.journal, async () => {
      const refused = await this.db.journal
        .where('jobId')
        .equals(id)
        .filter((entry) => entry.refused !== undefined)
        .toArray();
      await this.db.journal.bulkDelete(refused.flatMap(({ seq }) => seq ?? []));
      return refused.flatMap((entry) => entry.refused ?? []);
    });
  }

  /** Why an entry was refused that another tab carried out. */
  async refusalOf(seq: number): Promise<readonly Problem[]> {
    return (await this.db.journal.get(seq))?.refused ?? [];
  }

  /** Takes a refused entry off the journal: who tapped it was told. */
  told = (seq: number): Promise<void> => this.db.journal.delete(seq);

  async remove(id: string): Promise<void> {
    await this.db.transaction('rw', this.tables, () => this.forget(id));
  }

  private async forget(id: string): Promise<void> {
    await this.db.jobs.delete(id);
    await this.db.records.delete(id);
    await this.db.summaries.delete(id);
    await this.db.history.where('jobId').equals(id).delete();
    await this.db.journal.where('jobId').equals(id).delete();
    await this.db.scenes.delete(id);
  }

  /** What is stored of a job as it is, readable or not: nothing is ever lost. */
  async raw(id: string): Promise<unknown> {
    const [stored, record] = await Promise.all([this.db.jobs.get(id), this.db.records.get(id)]);
    return stored && { design: stored.design, record: record?.record ?? {} };
  }

  async scene(id: string): Promise<Scene> {
    const record = await this.db.scenes.get(id);
    const parsed = Scene.safeParse(record?.scene);
    return parsed.success ? parsed.data : EMPTY_SCENE;
  }
}

/** A demo job whole, loaded when one is opened. */
const demoOf = async (id: string): Promise<Job | undefined> =>
  DEMO_LIST.some((demo) => demo.id === id)
    ? (await import('@core/jobs/demo-house')).demoWhole(id)
    : undefined;

const movedOn = (asked: 'undo' | 'redo', entry: HistoryEntry | undefined): Problem => ({
  path: asked,
  message: say('jobs.jobChangedAnotherTab', {
    entry: entry ? say('jobs.lastChangeNow', { entry: entry.label }) : say('jobs.nothingLeftTakeBack'),
  }),
  wayOut: say('jobs.lookThenUndoAgainIf'),
});

/** A cursor of whatever is stored. */
const cursorOf = (cursor: unknown): number =>
  typeof cursor === 'number' && Number.isInteger(cursor) && cursor >= 0 ? cursor : 0;

export interface CarriedOut {
  readonly job: { readonly design: Design; readonly record: JobRecord };
  readonly change: { label: string; patches: readonly Patch[]; inverse: readonly Patch[] } | null;
  /** Old values of what it replaces, by place. */
  readonly replaced: Readonly<Record<string, unknown>>;
}

/** Commands on a job: all of them, or none. Pure: the page and the store come to the same. */
export function carriedOut(
  job: Job,
  { commands }: Extract<JobIntent, { intent: 'commands' }>,
): Checked<CarriedOut> {
  const { design: ofDesign, record: ofRecord } = sorted(commands);
  const changed = ofDesign.length > 0 ? applyCommands(job.design, ofDesign) : null;
  if (changed && !changed.ok) return changed;
  let { record } = job;
  let replaced: Record<string, unknown> = changed ? replacedBy(job.design, changed.value.inverse) : {};
  for (const command of ofRecord) {
    const done = note(record, command);
    if (!done.ok) return done;
    replaced = { ...replacedBy(record, done.value.inverse), ...replaced };
    ({ record } = done.value);
  }
  return good({
    job: { design: changed?.value.job ?? job.design, record },
    change: changed?.value ?? null,
    replaced,
  });
}

const conflictProblem = ({ place, shown, stored }: Conflict): Problem => ({
  path: place,
  message: say('jobs.anotherTabMadePageStill', {
    stringify: JSON.stringify(stored),
    stringify2: JSON.stringify(shown),
  }),
  wayOut: say('jobs.whatOtherTabStoredKept'),
});
