import { previewOf, type Choice, type Incoming, type Known } from '@core/handover/files/preview';
import { boughtIn, type Workshop, type WorkshopPhoto } from '@core/handover/files/workshop';
import type { BoughtOf } from '@core/choices/takeoff/bought';
import type { FiledJob } from '@core/job/model/job-file';
import { mergeShops } from '@core/choices/takeoff/merge-shops';
import { panelAfter } from '@core/choices/house/panel';
import { thingKey, type Thing } from '@core/job/merge/relation';
import { freshId } from '@core/job/model/fresh-id';
import { NO_ANCESTRY, type Ancestry } from '@core/job/model/ancestry';
import type { House } from '@core/job/model/house';
import type { Job } from '@core/job/model/job';
import { picturesOf, renamedPictures } from '@core/job/model/pictures';
import { Shop } from '@core/choices/takeoff/shop';
import { soundHouse } from './around';
import { BoughtStore, type BoughtComing } from './bought';
import { copied, copiedHouse, CrewStore, filedJob, houseThing, jobThing, type Brought } from './crew';
import { whole, type SplitTapDatabase } from './database';
import { lineOf } from './line';
import { storedDesign, storedRecord } from './sealed';
import { intoTrash, putBack, trashed } from './trash';
import type { BackupState } from './backup-state';

const BACKUP = 'backup';

/** Whole files: what a browser keeps goes out, and comes in again. */
export class FileStore {
  /** What goes from hand to hand. */
  readonly crew: CrewStore;
  private readonly bought: BoughtStore;

  constructor(private readonly db: SplitTapDatabase) {
    this.crew = new CrewStore(db);
    this.bought = new BoughtStore(db);
  }

  /** A house with all its jobs and photos. */
  async gatherHouse(id: string): ReturnType<FileStore['gather']> {
    const ids = await this.db.jobs.where('house').equals(id).primaryKeys();
    const gathered = await this.gather(ids.map(String));
    const house = soundHouse((await this.db.houses.get(id))?.house);
    if (!house) return gathered;
    const bought = { ...gathered.workshop.bought, ...(await this.boughtOf([id])) };
    return { ...gathered, workshop: { ...gathered.workshop, houses: [house], bought } };
  }

  /** Some jobs with their photos, or all of the browser with its houses and the shop's own. What cannot be read is named. */
  async gather(
    ids: readonly string[] | 'all',
  ): Promise<{ readonly workshop: Workshop; readonly unreadable: readonly string[] }> {
    const wanted = ids === 'all' ? (await this.db.jobs.toCollection().primaryKeys()).map(String) : ids;
    const unreadable: string[] = [];
    const jobs: { house: string | null; job: FiledJob }[] = [];
    const photos: WorkshopPhoto[] = [];
    const houses = new Map<string, House>();
    if (ids === 'all')
      for (const row of await this.db.houses.toArray()) {
        const house = soundHouse(row.house);
        if (house) houses.set(house.id, house);
        else unreadable.push(row.id);
      }
    for (const id of wanted) {
      const read = await filedJob(this.db, id);
      if (!read) {
        unreadable.push(id);
        continue;
      }
      if (read.house) houses.set(read.house.id, read.house);
      const bought = await this.bought.of(id);
      jobs.push({
        house: read.house?.id ?? null,
        job: { ...read.job, ...(bought.length > 0 ? { bought } : {}) },
      });
      for (const { id: photo, type } of picturesOf(read.job)) {
        const bytes = (await this.db.photos.get(photo))?.bytes;
        if (bytes instanceof Uint8Array) photos.push({ id: photo, job: id, type, bytes });
      }
    }
    const shop = ids === 'all' ? Shop.safeParse((await this.db.shop.get('shop'))?.value) : null;
    return {
      workshop: {
        houses: [...houses.values()],
        jobs,
        photos,
        shop: shop?.success ? shop.data : null,
        bought: await this.boughtOf([...houses.keys()]),
      },
      unreadable,
    };
  }

  /** What is bought of some lists; none where nothing is. */
  private async boughtOf(lists: readonly string[]): Promise<BoughtOf> {
    const all = await Promise.all(lists.map(async (list) => [list, await this.bought.of(list)] as const));
    return Object.fromEntries(all.filter(([, own]) => own.length > 0));
  }

  /** What is bought already and comes in with a workshop. */
  boughtComing = (workshop: Workshop): Promise<BoughtComing> => this.bought.coming(boughtIn(workshop));

  /** What comes in of the shop's own, and what both set otherwise and stays as it is here; null where nothing comes. */
  async shopComing({ shop }: Workshop): Promise<{ readonly came: number; readonly kept: number } | null> {
    const own = Shop.safeParse((await this.db.shop.get('shop'))?.value);
    if (!shop || !own.success) return null;
    const { changes } = mergeShops(null, own.data, shop);
    const count = (is: string) => changes.filter(({ by }) => by === is).length;
    return { came: count('theirs'), kept: count('conflict') };
  }

  /** What is kept already of what comes in a file. */
  async preview(workshop: Workshop): Promise<readonly Incoming[]> {
    const jobs = new Map<string, { job: Job; from: Ancestry['from'] }>();
    for (const { job } of workshop.jobs) {
      const { id } = job.design;
      const stored = await filedJob(this.db, id);
      const from = [...(await this.crew.kin.of({ kind: 'job', id })).from];
      if (stored) jobs.set(id, { job: stored.job, from });
      else if (await this.db.jobs.get(id))
        // There, and not to be read: whatever comes differs from it.
        jobs.set(id, { job: { ...job, design: { ...job.design, name: '' } }, from: [] });
    }
    const houses = new Map<string, { house: House; from: Ancestry['from'] }>();
    for (const { id } of workshop.houses) {
      const house = soundHouse((await this.db.houses.get(id))?.house);
      if (house) houses.set(id, { house, from: [...(await this.crew.kin.of({ kind: 'house', id })).from] });
    }
    return previewOf(workshop, { jobs, houses } satisfies Known);
  }

  /**
   * Takes in what was chosen, all of it or nothing. A job that is replaced, and one that came together with what was here, can be
   * taken back for a day. `brought`: by kind and id what was brought together, and from what; rejects where that changed since.
   * Gives the ids under which the jobs stand now.
   */
  take(
    workshop: Workshop,
    choice: (one: Thing) => Choice,
    brought: ReadonlyMap<string, Brought> = new Map(),
  ): Promise<readonly string[]> {
    return whole(this.db, async () => {
      const houseIds = new Map<string, string>();
      for (const house of workshop.houses) {
        const stored = await this.db.houses.get(house.id);
        const chosen = choice(houseThing(house));
        const given = workshop.ancestry?.[house.id];
        const own = soundHouse(stored?.house);
        if (stored && (chosen === 'skip' || chosen === 'merge')) {
          houseIds.set(house.id, house.id);
          if (chosen === 'merge')
            await this.crew.putBroughtHouse(
              house,
              brought.get(thingKey(houseThing(house))),
              given ?? NO_ANCESTRY,
            );
          else await this.crew.known(houseThing(house), copiedHouse(house), own && copiedHouse(own), given);
          continue;
        }
        if (chosen === 'skip' || chosen === 'merge') continue;
        const taken = (await this.db.houses.toCollection().primaryKeys()).map((id) => ({ id }));
        const id = stored && chosen === 'add' ? freshId(taken, house.id) : house.id;
        houseIds.set(house.id, id);
        await this.db.houses.put({
          id,
          house: { ...house, id },
          revision: (stored?.revision ?? 0) + 1,
          updatedAt: Date.now(),
        });
        await this.crew.cameFrom({ kind: 'house', id }, copiedHouse({ ...house, id }), given ?? NO_ANCESTRY);
      }
      for (const [list, theirs] of Object.entries(workshop.bought ?? {})) {
        const id = houseIds.get(list);
        if (id !== undefined) await this.bought.take(id, theirs);
      }
      const kept: string[] = [];
      for (const { house, job } of workshop.jobs) {
        const chosen = choice(jobThing(job));
        const there = await this.db.jobs.get(job.design.id);
        const ancestry = job.ancestry ?? NO_ANCESTRY;
        if (chosen === 'skip') {
          if (!job.ancestry) continue;
          const own = (await whole(this.db, () => filedJob(this.db, job.design.id)))?.job ?? null;
          await this.crew.known(jobThing(job), copied(job), own && copied(own), job.ancestry);
          // A job that is the same here may have been bought for there.
          if (own && copied(own).print === copied(job).print)
            await this.boughtCame(workshop, job, job.design.id);
          continue;
        }
        if (chosen === 'merge' && there) {
          await this.crew.putBrought(job, brought.get(thingKey(jobThing(job))), workshop.photos, ancestry);
          await this.boughtCame(workshop, job, job.design.id);
          kept.push(job.design.id);
          continue;
        }
        if (there && chosen === 'replace') await intoTrash(this.db, [job.design.id]);
        const taken = (await this.db.jobs.toCollection().primaryKeys()).map((id) => ({ id }));
        const id = taken.some((one) => one.id === job.design.id)
          ? freshId(taken, job.design.id)
          : job.design.id;
        const into = house === null ? undefined : houseIds.get(house);
        await this.putJob(id, job, into, workshop.photos, (there?.revision ?? 0) + 1);
        await this.crew.cameFrom(
          { kind: 'job', id },
          copied({ ...job, design: { ...job.design, id } }),
          ancestry,
        );
        await this.boughtCame(workshop, job, id);
        kept.push(id);
      }
      // As light a job or a house that is the same here does not come along; what is bought for it does.
      const along = new Set([
        ...workshop.houses.map(({ id }) => id),
        ...workshop.jobs.map(({ job }) => job.design.id),
      ]);
      for (const [list, theirs] of Object.entries(boughtIn(workshop)))
        if (!along.has(list) && ((await this.db.jobs.get(list)) ?? (await this.db.houses.get(list))))
          await this.bought.take(list, theirs);
      if (workshop.shop) {
        const own = Shop.safeParse((await this.db.shop.get('shop'))?.value);
        const value = own.success ? mergeShops(null, own.data, workshop.shop).value : workshop.shop;
        await this.db.shop.put({ id: 'shop', value });
      }
      return kept;
    });
  }

  private boughtCame = async (workshop: Workshop, { design }: Job, id: string): Promise<void> => {
    const theirs = boughtIn(workshop)[design.id];
    if (theirs) await this.bought.take(id, theirs);
  };

  private putJob = (
    id: string,
    given: Job,
    house: string | undefined,
    photos: readonly WorkshopPhoto[],
    revision: number,
  ): Promise<void> =>
    whole(this.db, async () => {
      // A photo that another job has already gets a name of its own.
      const names = new Map<string, string>();
      for (const photo of photos) {
        if (photo.job !== given.design.id) continue;
        const there = await this.db.photos.get(photo.id);
        const own = there && there.jobId !== id ? crypto.randomUUID() : photo.id;
        names.set(photo.id, own);
        await this.db.photos.put({ id: own, jobId: id, bytes: photo.bytes });
      }
      const renamed = renamedPictures(given, names);
      const design = { ...renamed.design, id };
      await this.db.jobs.put({
        id,
        ...storedDesign(design),
        cursor: 0,
        revision,
        ...(house === undefined ? {} : { house }),
      });
      await this.db.records.put({ id, ...storedRecord(renamed.record), revision });
      await this.db.summaries.put(lineOf(id, design, house));
      const stored = house === undefined ? undefined : await this.db.houses.get(house);
      const own = soundHouse(stored?.house);
      if (!stored || !own) return;
      await this.db.houses.put({
        ...stored,
        house: panelAfter(own, null, design),
        revision: stored.revision + 1,
      });
    });

  /** A backup was made. */
  async backedUp(): Promise<void> {
    await this.db.shop.put({ id: BACKUP, value: Date.now() });
  }

  async backup(): Promise<BackupState> {
    const value = (await this.db.shop.get(BACKUP))?.value;
    const at = typeof value === 'number' && Number.isFinite(value) ? value : null;
    const lines = await this.db.summaries.toArray();
    return { at, changed: lines.filter(({ updatedAt }) => updatedAt > (at ?? 0)).length };
  }

  /** A folder or a file that this browser may write to again; kept as the platform gives it. */
  async setHandle(name: string, handle: FileSystemHandle | null): Promise<void> {
    if (handle) await this.db.shop.put({ id: `handle ${name}`, value: handle });
    else await this.db.shop.delete(`handle ${name}`);
  }

  async handle(name: string): Promise<FileSystemHandle | null> {
    const value = (await this.db.shop.get(`handle ${name}`))?.value;
    return typeof value === 'object' && value !== null && 'kind' in value
      ? (value as FileSystemHandle)
      : null;
  }

  /** What was removed in the last day. */
  trash = async (): Promise<readonly { readonly id: string; readonly name: string; readonly at: number }[]> =>
    (await trashed(this.db)).map(({ id, name, at }) => ({ id, name, at }));

  putBack = (id: string): Promise<boolean> => putBack(this.db, id);
}
