import { liveQuery } from 'dexie';
import { panelAfter, withPanel } from '@core/choices/house/panel';
import { changeHouse } from '@core/job/commands/house';
import { freshId } from '@core/job/model/fresh-id';
import { House } from '@core/job/model/house';
import type { WholeHouse } from '@core/job/model/house-file';
import type { Job } from '@core/job/model/job';
import { bad, good, type Checked, type Problem } from '@core/job/model/problem';
import { say } from '~/words/storage';
import { aroundOf, inside, othersIn, soundHouse } from './around';
import { whole, type HouseEntry, type SplitTapDatabase, type StoredSummary } from './database';
import { lineOf } from './line';
import { ofHouse, refusals, waitingOn, writeDown } from './journal';
import { intoTrash } from './trash';
import { readJob, storedDesign } from './sealed';

export interface OpenHouse {
  readonly house: House;
  readonly revision: number;
  readonly jobs: readonly StoredSummary[];
}

/** A change that was carried out, with the way back; null where there is none. */
export type HouseDone = { readonly before: House; readonly label: string; readonly after: number } | null;

/** Houses and what they do to their jobs, each change in one transaction. */
export class HouseStore {
  constructor(private readonly db: SplitTapDatabase) {}

  private change<T>(work: () => Promise<T>): Promise<T> {
    return whole(this.db, work);
  }

  /** Reads alone, so that it can be watched. */
  async open(id: string): Promise<Checked<OpenHouse>> {
    const stored = await this.db.houses.get(id);
    const house = soundHouse(stored?.house);
    if (!stored || !house)
      return bad({
        path: id,
        message: stored ? say('houses.cannotRead') : say('houses.noSuchHouse'),
        wayOut: say('houses.home'),
      });
    const jobs = await this.db.summaries.where('house').equals(id).toArray();
    return good({ house, revision: stored.revision, jobs: jobs.sort((a, b) => b.updatedAt - a.updatedAt) });
  }

  /** What is stored of a house as it is, readable or not. */
  raw = async (id: string): Promise<unknown> => (await this.db.houses.get(id))?.house;

  /** A house as it is, told anew when it or one of its jobs changes, in whichever tab. Gives a way to stop. */
  watch(id: string, tell: (opened: Checked<OpenHouse>) => void): () => void {
    const watching = liveQuery(() => this.open(id)).subscribe({ next: tell, error: () => undefined });
    return () => watching.unsubscribe();
  }

  /** A new house under an id of its own. */
  create(fields: Omit<House, 'id'>): Promise<House> {
    return this.change(async () => {
      const taken = (await this.db.houses.toCollection().primaryKeys()).map((id) => ({ id }));
      const house = { ...fields, id: freshId(taken, fields.name) };
      await this.put(house, 1);
      return house;
    });
  }

  private put = (house: House, revision: number) =>
    this.db.houses.put({ id: house.id, house, revision, updatedAt: Date.now() });

  /**
   * Changes a house, or takes the last change back. It is written down before this returns, and carried out whatever
   * becomes of the page. Gives the house as it was, so that the change can be taken back.
   */
  async run(id: string, change: HouseEntry['change']): Promise<Checked<HouseDone>> {
    const seq = await writeDown(this.db, { on: 'house', jobId: ofHouse(id), house: id, change });
    const done = (await this.carryOut(id)).get(seq);
    if (done?.ok) return done;
    const refused = done?.problems ?? (await this.db.journal.get(seq))?.refused;
    await this.db.journal.delete(seq);
    // Another tab carried it out: there is nothing here to take back.
    return refused ? bad(...refused) : good(null);
  }

  /** Carries out what waits for a house, in order. Gives what became of each, by its place in the journal. */
  carryOut(id: string): Promise<ReadonlyMap<number, Checked<HouseDone>>> {
    return this.change(async () => {
      const outcomes = new Map<number, Checked<HouseDone>>();
      for (const entry of await waitingOn(this.db, ofHouse(id))) {
        if (entry.on !== 'house') continue;
        const done = await this.change(() => this.carryOutOne(entry));
        if (done.ok) await this.db.journal.delete(entry.seq ?? 0);
        else await this.db.journal.put({ ...entry, refused: done.problems });
        outcomes.set(entry.seq ?? 0, done);
      }
      return outcomes;
    });
  }

  private carryOutOne = ({ house: id, change }: HouseEntry): Promise<Checked<HouseDone>> =>
    this.change(async () => {
      const opened = await this.change(() => this.open(id));
      if (!opened.ok) return opened;
      const { house: before, revision } = opened.value;
      if (change.do === 'put back') {
        if (revision !== change.after) return bad({ path: id, message: say('houses.undoTooLate') });
        await this.put(change.before, revision + 1);
        return good(null);
      }
      const done = changeHouse(before, change);
      if (!done.ok) return done;
      await this.put(done.value.house, revision + 1);
      return good({ before, label: done.value.label, after: revision + 1 });
    });

  /** What could not be carried out, of any tab; each is told once. */
  refusals = (id: string): Promise<readonly Problem[]> => refusals(this.db, ofHouse(id));

  /** The house with its jobs as their files would have them. Jobs that cannot be read are left out, and named. */
  async whole(id: string): Promise<Checked<WholeHouse & { readonly unreadable: readonly string[] }>> {
    return this.change(async () => {
      const opened = await this.change(() => this.open(id));
      if (!opened.ok) return opened;
      const { house } = opened.value;
      const stored = await this.db.jobs.where('house').equals(id).sortBy('id');
      const unreadable: string[] = [];
      const jobs: Job[] = [];
      for (const row of stored) {
        const record = await this.db.records.get(row.id);
        const checked = readJob(row, record);
        if (!checked.ok) {
          unreadable.push(row.id);
          continue;
        }
        const design = withPanel(checked.value.design, house, othersIn(opened.value.jobs, row.id));
        jobs.push({ ...checked.value, design });
      }
      return good({ house, jobs, unreadable });
    });
  }

  /** The house that a job is in, whole; null where it stands alone. */
  async around(job: string): Promise<WholeHouse | null> {
    const house = (await this.db.jobs.get(job))?.house;
    const whole = house === undefined ? null : await this.whole(house);
    return whole?.ok ? whole.value : null;
  }

  /**
   * Moves a job into a house, or out of it (null). Circuits that the panel lacks are added to it; of those it has, what
   * the panel says holds from now on.
   */
  move(job: string, into: string | null): Promise<Checked<null>> {
    return this.change(async () => {
      const row = await this.db.jobs.get(job);
      const record = await this.db.records.get(job);
      const checked = readJob(row, record);
      if (!row || !checked.ok)
        return checked.ok ? bad({ path: job, message: say('jobs.noSuchJob') }) : checked;
      const around = await aroundOf(this.db, job, row.house);
      // What it leaves as it stands there, so that nothing of it changes by leaving.
      const design = inside(checked.value.design, around);
      const { house: left, ...alone } = row;
      if (into !== null) {
        const opened = await this.change(() => this.open(into));
        if (!opened.ok) return opened;
        const { house, revision } = opened.value;
        await this.put(panelAfter(house, null, design), revision + 1);
      }
      if (left !== undefined && around && left !== into) await this.put(around.house, around.revision + 1);
      const next = into === null ? alone : { ...alone, house: into };
      await this.db.jobs.put({ ...next, ...storedDesign(design), revision: row.revision + 1 });
      await this.db.summaries.put(lineOf(job, design, into ?? undefined));
      return good(null);
    });
  }

  /** What of a job would be otherwise in a house, in words: what its panel says of the circuits that both have. */
  async differences(job: string, into: string): Promise<readonly string[]> {
    const row = await this.db.jobs.get(job);
    const record = await this.db.records.get(job);
    const checked = readJob(row, record);
    const opened = await this.change(() => this.open(into));
    if (!checked.ok || !opened.ok) return [];
    const { design } = checked.value;
    const { house, jobs } = opened.value;
    const next = withPanel(design, panelAfter(house, null, design), othersIn(jobs, job));
    return next.circuits.flatMap((circuit, index) => {
      const was = design.circuits[index];
      if (!was || was === circuit) return [];
      const { number } = circuit;
      const words: string[] = [];
      if (was.breakerA !== circuit.breakerA)
        words.push(say('houses.breaker', { number, was: was.breakerA, is: circuit.breakerA }));
      if (was.protection !== circuit.protection)
        words.push(say('houses.protection', { number, was: was.protection, is: circuit.protection }));
      if (was.leg !== circuit.leg) words.push(say('houses.leg', { number, was: was.leg, is: circuit.leg }));
      if (was.existingLoadVA !== circuit.existingLoadVA)
        words.push(say('houses.load', { number, was: was.existingLoadVA, is: circuit.existingLoadVA }));
      if (circuit.others.VA > 0) words.push(say('houses.others', { number, VA: circuit.others.VA }));
      if ((was.multiwireWith !== null) !== (circuit.multiwireWith !== null))
        words.push(say('houses.neutral', { number }));
      return words;
    });
  }

  /** Removes a house; its jobs go with it, or stand alone from now on. Kept for a day. */
  async remove(id: string, withJobs: boolean): Promise<void> {
    const jobs = await this.db.jobs.where('house').equals(id).primaryKeys();
    if (!withJobs) for (const job of jobs) await this.move(job, null);
    await intoTrash(this.db, withJobs ? jobs : [], id);
  }
}

/** What a house's jobs add to its circuits, from what is listed of them. */
export const houseJobs = (lines: readonly StoredSummary[]) =>
  lines.map(({ id, name, circuits, adds }) => ({ id, name, circuits: circuits ?? [], adds: adds ?? {} }));
