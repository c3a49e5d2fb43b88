import { DEMO_HOUSE, DEMO_LIST } from '@core/handover/jobs/demo-list';
import type { Design } from '@core/job/model/design';
import type { House } from '@core/job/model/house';
import type { Job } from '@core/job/model/job';
import { bad, good, type Checked, type Problem } from '@core/job/model/problem';
import { aroundOf, inside, type Around } from './around';
import { carryOut, cursorOf, type Outcome } from './carry-out';
import {
  whole,
  type JobEntry,
  type StoredPhoto,
  type SplitTapDatabase,
  type StoredSummary,
} from './database';
import { refusals, writeDown } from './journal';
import { lineOf } from './line';
import { listJobs } from './listed';
import { EMPTY_SCENE, Scene } from './scene';
import { readJob, storedJob, storedOwn, type StoredParts } from './sealed';
import { forget, intoTrash } from './trash';
import { aTurn } from '~/standing/a-turn';
import { say } from '~/words/storage';

/** A step of the history, as the page offers it. */
export interface HistoryStep {
  readonly seq: number;
  readonly label: string;
}

export interface OpenJob extends Job {
  readonly id: string;
  /** The house it is in; null where it stands alone. */
  readonly around: Around | null;
  readonly scene: Scene;
  readonly undo: HistoryStep | null;
  readonly redo: HistoryStep | null;
  /** Counts of changes: what is computed and what is stored are compared by them. */
  readonly revision: Revision;
}

export interface Revision {
  readonly design: number;
  readonly record: number;
  /** Of its house; 0 where it stands alone. */
  readonly house: number;
}

/** Reads and changes jobs, each in one transaction. Bad input gives problems and changes nothing. */
export class JobStore {
  constructor(private readonly db: SplitTapDatabase) {}

  /** What is listed of the jobs, the last changed first. */
  list = (): Promise<StoredSummary[]> => listJobs(this.db);

  /** Opens a stored job, or a demo job on its first opening. What was tapped and not carried out is carried out first. */
  async open(id: string): Promise<Checked<OpenJob>> {
    // Loaded ahead: a transaction does not wait for what it does not do itself. What is kept already needs no demo.
    const demo = (await this.db.jobs.get(id)) ? null : await demoOf(id);
    await this.carryOutWaiting();
    return whole(this.db, async () => {
      if (!(await this.db.jobs.get(id))) {
        if (!demo) {
          return bad({
            path: id,
            message: say('jobs.noSuchJobBrowser'),
            wayOut: say('jobs.importWay'),
          });
        }
        await this.putDemoHouse(demo);
      }
      return this.read(id);
    });
  }

  /** Puts the demo house where it is asked for by its id. */
  async openDemo(id: string): Promise<void> {
    const demo = await demoOf(id);
    if (demo) await this.putDemoHouse(demo);
  }

  /** The demo house whole: its jobs share circuits. What is stored of it stays. */
  private putDemoHouse = ({ house, jobs, photos }: Demo): Promise<void> =>
    whole(this.db, async () => {
      if (!(await this.db.houses.get(house.id)))
        await this.db.houses.put({ id: house.id, house, revision: 1, updatedAt: 0 });
      for (const job of jobs)
        if (!(await this.db.jobs.get(job.design.id)))
          await this.put(job.design, storedOwn(job), { design: 1, record: 1 }, house.id, 0);
      for (const photo of photos) await this.db.photos.put(photo);
    });

  private read = (id: string): Promise<Checked<OpenJob>> =>
    whole(this.db, async () => {
      const stored = await this.db.jobs.get(id);
      const record = await this.db.records.get(id);
      const checked = readJob(stored, record);
      if (!checked.ok) return checked;
      const { design } = checked.value;
      const around = await aroundOf(this.db, id, stored?.house);
      const cursor = cursorOf(stored?.cursor);
      const step = async (seq: number): Promise<HistoryStep | null> => {
        const entry = await this.db.history.get([id, seq]);
        return entry ? { seq, label: entry.label } : null;
      };
      return good({
        id,
        design: inside(design, around),
        record: checked.value.record,
        around: around && { house: around.house, others: around.others },
        scene: await this.scene(id),
        undo: await step(cursor - 1),
        redo: await step(cursor),
        revision: {
          design: stored?.revision ?? 1,
          record: record?.revision ?? 1,
          house: around?.revision ?? 0,
        },
      });
    });

  /** The revisions that are stored now; read by `liveQuery`, so that another tab's change is seen. */
  async revision(id: string): Promise<Revision | null> {
    const [design, record] = await Promise.all([this.db.jobs.get(id), this.db.records.get(id)]);
    if (!design) return null;
    const house = design.house === undefined ? undefined : await this.db.houses.get(design.house);
    return { design: design.revision, record: record?.revision ?? 1, house: house?.revision ?? 0 };
  }

  private put = (
    design: Design,
    stored: StoredParts,
    revision: Pick<Revision, 'design' | 'record'>,
    house?: string,
    updatedAt = Date.now(),
  ): Promise<void> =>
    whole(this.db, async () => {
      const { id } = design;
      await this.db.jobs.put({
        id,
        ...stored.design,
        cursor: 0,
        revision: revision.design,
        ...(house === undefined ? {} : { house }),
      });
      await this.db.records.put({ id, ...stored.record, revision: revision.record });
      await this.db.summaries.put(lineOf(id, design, house, updatedAt));
    });

  /** Adds a new job under its own id, or under a fresh one where that is taken. */
  add(job: Job): Promise<Job> {
    return whole(this.db, async () => {
      const taken = new Set(await this.db.jobs.toCollection().primaryKeys());
      let { id } = job.design;
      for (let copy = 2; taken.has(id); copy++) id = `${job.design.id.slice(0, 36)}-${copy}`;
      const own = { ...job, design: { ...job.design, id } };
      await this.put(own.design, storedJob(own), { design: 1, record: 1 });
      return own;
    });
  }

  /** A demo job as it was at first, in the demo house: on purpose only. False where there is no such demo. */
  async reset(id: string): Promise<boolean> {
    const demo = await demoOf(id);
    const job = demo?.jobs.find(({ design }) => design.id === id);
    if (!demo || !job) return false;
    await whole(this.db, async () => {
      const before = await this.revision(id);
      await forget(this.db, id);
      await this.put(
        job.design,
        storedOwn(job),
        { design: (before?.design ?? 0) + 1, record: (before?.record ?? 0) + 1 },
        demo.house.id,
      );
      await this.putDemoHouse(demo);
    });
    return true;
  }

  /** Keeps what was tapped at once. It is carried out by `carryOutAll`, or when the job is opened next. */
  writeDown(entry: JobEntry): Promise<number> {
    return writeDown(this.db, entry);
  }

  /** Carries out all that waits for a job, in order. Gives what became of a tab's own, those of before included. */
  carryOutAll(id: string): Promise<readonly Outcome[]> {
    return carryOut(this.db, id);
  }

  /**
   * Carries out what waits, of whichever job or house: what one changes may be the affair of the others. In the order
   * of taps on each; those on houses come first, since a job is read as its panel has it.
   */
  async carryOutWaiting(): Promise<void> {
    const waiting = await this.db.journal.filter(({ refused }) => !refused).toArray();
    const houses = new Set(waiting.flatMap((entry) => (entry.on === 'house' ? entry.house : [])));
    if (houses.size > 0) {
      const { HouseStore } = await import('./houses');
      for (const house of houses) await new HouseStore(this.db).carryOut(house);
    }
    for (const id of new Set(waiting.flatMap((entry) => (entry.on ? [] : entry.jobId))))
      await carryOut(this.db, id);
  }

  /** What could not be carried out, of any tab; each is told once. */
  refusals = (id: string): Promise<readonly Problem[]> => refusals(this.db, id);

  /** Why an entry was refused that another tab carried out. */
  async refusalOf(seq: number): Promise<readonly Problem[]> {
    return (await this.db.journal.get(seq))?.refused ?? [];
  }

  /** Takes a refused entry off the journal: who tapped it was told. */
  told = (seq: number): Promise<void> => this.db.journal.delete(seq);

  /** Kept for a day, in case it was a slip. */
  async remove(id: string): Promise<void> {
    await intoTrash(this.db, [id]);
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

/** The demo house, loaded when one of its jobs is opened. */
interface Demo {
  readonly house: House;
  readonly jobs: readonly Job[];
  readonly photos: readonly StoredPhoto[];
}

async function demoOf(id: string): Promise<Demo | undefined> {
  if (id !== DEMO_HOUSE.id && !DEMO_LIST.some((demo) => demo.id === id)) return undefined;
  const { demoPictures, demoWhole, houseOfDemo } = await import('@core/handover/jobs/demo-made');
  const jobs: Job[] = [];
  for (const demo of DEMO_LIST) {
    await aTurn();
    const job = demoWhole(demo.id);
    if (job) jobs.push(job);
  }
  return {
    house: houseOfDemo(),
    jobs,
    photos: demoPictures.map(({ job, id: own, base64 }) => ({
      id: own,
      jobId: job,
      bytes: Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0)),
    })),
  };
}
