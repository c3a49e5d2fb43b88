import { printOfHouse, printOfJob, type Incoming } from '@core/handover/files/preview';
import type { Workshop, WorkshopPhoto } from '@core/handover/files/workshop';
import { panelAfter, withPanel } from '@core/choices/house/panel';
import { mergeHouses } from '@core/job/merge/house';
import { comparable, mergeJobs } from '@core/job/merge/job';
import { thingKey, type Thing } from '@core/job/merge/relation';
import type { Ancestry } from '@core/job/model/ancestry';
import type { House } from '@core/job/model/house';
import type { Job } from '@core/job/model/job';
import { checkJob } from '@core/job/model/job-file';
import { picturesOf } from '@core/job/model/pictures';
import { say } from '~/words/storage';
import { othersIn, soundHouse } from './around';
import { BoughtStore } from './bought';
import { whole, type SplitTapDatabase, type StoredHouse } from './database';
import { lineOf } from './line';
import { thisDevice } from './device';
import { KinStore, type Copied } from './kin';
import { readJob, storedDesign, storedRecord } from './sealed';
import { whoWorks } from './who-works';

/** Both copies of something that is to come together, and what both grew from; null where nothing is known of it. */
export type Meeting =
  | { readonly kind: 'job'; readonly base: Job | null; readonly ours: Job; readonly theirs: Job }
  | { readonly kind: 'house'; readonly base: House | null; readonly ours: House; readonly theirs: House };

/** What was brought together, to be kept in the place of what it grew from. */
export type Brought =
  | { readonly kind: 'job'; readonly ours: Job; readonly job: Job }
  | { readonly kind: 'house'; readonly ours: House; readonly house: House };

/** What is kept of a copy of a job: its design and record, without what is worked out anew. */
export const copied = (job: Job): Copied => ({ print: printOfJob(job), value: comparable(job) });
/** The same of a house. */
export const copiedHouse = (house: House): Copied => ({ print: printOfHouse(house), value: house });

/** Both of them as things that go from hand to hand. */
export const jobThing = ({ design: { id } }: Pick<Job, 'design'>): Thing => ({ kind: 'job', id });
export const houseThing = ({ id }: Pick<House, 'id'>): Thing => ({ kind: 'house', id });

/** A job as its file would have it, in its house; null where it cannot be read. */
export async function filedJob(
  db: SplitTapDatabase,
  id: string,
): Promise<{ house: House | null; job: Job } | null> {
  const row = await db.jobs.get(id);
  const record = await db.records.get(id);
  const checked = readJob(row, record);
  if (!row || !checked.ok) return null;
  const house = row.house === undefined ? null : soundHouse((await db.houses.get(row.house))?.house);
  if (!house) return { house: null, job: checked.value };
  const lines = await db.summaries.where('house').equals(house.id).toArray();
  const design = withPanel(checked.value.design, house, othersIn(lines, id));
  return { house, job: { ...checked.value, design } };
}

/** What goes from hand to hand: given, taken in, brought together, taken back. */
export class CrewStore {
  readonly kin: KinStore;

  constructor(private readonly db: SplitTapDatabase) {
    this.kin = new KinStore(db);
  }

  /** By "job x" or "house x" the copy that was given or taken last: what both sides have. */
  async shared(workshop: Workshop): Promise<ReadonlyMap<string, { print: string; value: unknown }>> {
    const all = [...workshop.jobs.map(({ job }) => jobThing(job)), ...workshop.houses.map(houseThing)];
    const copies = await Promise.all(all.map(async (of) => [of, (await this.kin.of(of)).copies[0]] as const));
    return new Map(
      copies.flatMap(([of, copy]) =>
        copy ? [[thingKey(of), { print: copy.print, value: JSON.parse(copy.json) as unknown }] as const] : [],
      ),
    );
  }

  /** What is gathered is given, `to` somebody where that is known: each copy says what it grew from, and is known here when it comes back. */
  async give(workshop: Workshop, to = ''): Promise<Workshop> {
    const who = { device: thisDevice(), by: whoWorks() };
    const jobs: (typeof workshop.jobs)[number][] = [];
    for (const { house, job } of workshop.jobs) {
      const ancestry = await this.kin.given(jobThing(job), copied(job), who, to);
      jobs.push({ house, job: { ...job, ancestry } });
    }
    const ancestry: Record<string, Ancestry> = {};
    for (const house of workshop.houses)
      ancestry[house.id] = await this.kin.given(houseThing(house), copiedHouse(house), who, to);
    const bought = new BoughtStore(this.db);
    for (const { id } of [...workshop.houses, ...workshop.jobs.map(({ job }) => job.design)])
      await bought.given(id);
    return { ...workshop, jobs, ancestry };
  }

  /** Both copies of something that differs, to be brought together; null where what is here cannot be read. */
  async meeting(workshop: Workshop, { kind, id, state, base }: Incoming): Promise<Meeting | null> {
    if (kind === 'job') {
      const ours = (await filedJob(this.db, id))?.job;
      const theirs = workshop.jobs.find(({ job }) => job.design.id === id)?.job;
      if (!ours || !theirs) return null;
      const copy = state === 'ahead' ? ours : await this.jobCopy(id, base);
      return { kind, base: copy, ours, theirs };
    }
    const ours = soundHouse((await this.db.houses.get(id))?.house);
    const theirs = workshop.houses.find((house) => house.id === id);
    if (!ours || !theirs) return null;
    const copy =
      state === 'ahead' ? ours : base === null ? null : soundHouse(await this.kin.copy({ kind, id }, base));
    return { kind, base: copy, ours, theirs };
  }

  private async jobCopy(id: string, print: string | null): Promise<Job | null> {
    const copy =
      print === null ? null : ((await this.kin.copy({ kind: 'job', id }, print)) as Partial<Job> | null);
    const checked = copy && checkJob(copy.design, copy.record);
    return checked?.ok ? checked.value : null;
  }

  /** What came in is remembered, and where it took the place of something, that too, for a day. */
  cameFrom = (
    of: Thing,
    copy: Copied,
    ancestry: Ancestry,
    back: { readonly before: unknown; readonly after: unknown } | null = null,
  ): Promise<void> =>
    whole(this.db, async () => {
      await this.kin.taken(of, copy, ancestry);
      if (back)
        await this.kin.keepBack(of, {
          at: new Date().toISOString(),
          by: ancestry.by,
          before: JSON.stringify(back.before),
          after: JSON.stringify(back.after),
        });
    });

  /** What is left out since the same is here already is known all the same: both sides have it now. */
  async known(of: Thing, theirs: Copied, ours: Copied | null, ancestry: Ancestry | undefined): Promise<void> {
    if (ancestry && ours?.print === theirs.print)
      await whole(this.db, () => this.cameFrom(of, theirs, ancestry));
  }

  /** A job that was brought together takes the place of what it grew from; the photos that came are put beside. */
  putBrought = (
    theirs: Job,
    met: Brought | undefined,
    photos: readonly WorkshopPhoto[],
    ancestry: Ancestry,
  ): Promise<void> =>
    whole(this.db, async () => {
      const { id } = theirs.design;
      const own = (await whole(this.db, () => filedJob(this.db, id)))?.job;
      if (met?.kind !== 'job' || !own || printOfJob(met.ours) !== printOfJob(own))
        throw new Error(say('files.changedMeanwhile', { name: theirs.design.name }));
      await this.rewrite(id, met.job);
      for (const photo of photos)
        if (photo.job === id && picturesOf(met.job).some((one) => one.id === photo.id))
          await this.db.photos.put({ id: photo.id, jobId: id, bytes: photo.bytes });
      await this.cameFrom(jobThing(theirs), copied(theirs), ancestry, {
        before: copied(own).value,
        after: copied(met.job).value,
      });
    });

  /** The same of a house. */
  putBroughtHouse = (theirs: House, met: Brought | undefined, ancestry: Ancestry): Promise<void> =>
    whole(this.db, async () => {
      const row = await this.db.houses.get(theirs.id);
      const own = soundHouse(row?.house);
      if (!row || met?.kind !== 'house' || !own || printOfHouse(met.ours) !== printOfHouse(own))
        throw new Error(say('files.changedMeanwhile', { name: theirs.name }));
      await whole(this.db, () => this.rewriteHouse(row, met.house));
      await this.cameFrom(houseThing(theirs), copiedHouse(theirs), ancestry, {
        before: own,
        after: met.house,
      });
    });

  private rewriteHouse = async (row: StoredHouse, house: House): Promise<void> => {
    await this.db.houses.put({ ...row, house, revision: row.revision + 1, updatedAt: Date.now() });
  };

  /** Puts a job in the place of what is stored of it, in its house. What could be undone before it cannot be any more. */
  private rewrite = (id: string, { design, record }: Job): Promise<void> =>
    whole(this.db, async () => {
      const row = await this.db.jobs.get(id);
      const noted = await this.db.records.get(id);
      if (!row) return;
      const stored = row.house === undefined ? undefined : await this.db.houses.get(row.house);
      const house = soundHouse(stored?.house);
      await this.db.jobs.put({ ...row, ...storedDesign(design), cursor: 0, revision: row.revision + 1 });
      await this.db.records.put({ id, ...storedRecord(record), revision: (noted?.revision ?? 0) + 1 });
      await this.db.history.where('jobId').equals(id).delete();
      await this.db.summaries.put(lineOf(id, design, row.house));
      if (stored && house)
        await this.db.houses.put({
          ...stored,
          house: panelAfter(house, null, design),
          revision: stored.revision + 1,
        });
    });

  /** Takes back what came in last, within its day: what was changed since stays. False where there is nothing to take back. */
  async takeBack(of: Thing): Promise<boolean> {
    const { kind, id } = of;
    return whole(this.db, async () => {
      const back = await whole(this.db, () => this.kin.back(of));
      if (!back) return false;
      const [before, after] = [back.before, back.after].map((json) => JSON.parse(json) as unknown);
      if (kind === 'job') {
        const own = (await whole(this.db, () => filedJob(this.db, id)))?.job;
        if (!own) return false;
        const { job } = mergeJobs(after as Job, own, before as Job);
        await whole(this.db, () => this.rewrite(id, job));
      } else {
        const row = await this.db.houses.get(id);
        const own = soundHouse(row?.house);
        if (!row || !own) return false;
        const { house } = mergeHouses(after as House, own, before as House);
        await whole(this.db, () => this.rewriteHouse(row, house));
      }
      await whole(this.db, () => this.kin.dropBack(of));
      return true;
    });
  }
}
