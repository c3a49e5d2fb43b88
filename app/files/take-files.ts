import type { Choice, Incoming } from '@core/handover/files/preview';
import type { BoughtOf } from '@core/choices/takeoff/bought';
import { boughtIn, type Workshop } from '@core/handover/files/workshop';
import { ZIP_LIMITS } from '@core/handover/files/limits';
import { bad, good, type Checked, type Problem } from '@core/job/model/problem';
import { thingKey, type Thing } from '@core/job/merge/relation';
import type { BoughtComing } from '~/storage/bought';
import type { Brought, Meeting } from '~/storage/crew';
import type { FileStore } from '~/storage/files';
import { openStore } from '~/storage/opened';
import { keepForGood } from '~/storage/persist';
import { fileWorker } from '~/workers/core';
import { say } from '~/words/files';

/** What came in a file, held until it is said what to do with it. */
export interface Coming {
  readonly workshop: Workshop;
  readonly rows: readonly Incoming[];
  /** By kind and id, both copies of what differs. */
  readonly meetings: ReadonlyMap<string, Meeting>;
  /** Of the shop's own figures, how many come in, and how many both set otherwise: those stay. */
  readonly shop: { readonly came: number; readonly kept: number } | null;
  /** What is bought already, and what both bought. */
  readonly bought: BoughtComing;
}

const store = (): Promise<FileStore> => openStore().then(({ files }) => files());

/** Reads files in a worker and holds them against what is kept. Nothing is stored yet. */
export async function readFiles(files: readonly File[]): Promise<Checked<Coming>> {
  const problems: Problem[] = [];
  const read: Workshop[] = [];
  for (const file of files) {
    // Told by its size before any of it is read.
    if (file.size > ZIP_LIMITS.bytes) {
      problems.push({
        path: file.name,
        message: say('take.tooLarge', {
          mb: (file.size / 1e6).toFixed(0),
          most: ZIP_LIMITS.bytes / 1e6,
        }),
        wayOut: say('take.choose'),
      });
      continue;
    }
    const bytes = new Uint8Array(await file.arrayBuffer());
    const done = await fileWorker.ask<Checked<Workshop>>((worker) => worker.readFile(bytes));
    if (done.ok) read.push(done.value);
    else problems.push(...done.problems.map((one) => ({ ...one, path: `${file.name} ${one.path}`.trim() })));
  }
  if (read.length === 0) return bad(...problems);
  const workshop: Workshop = {
    houses: read.flatMap(({ houses }) => houses),
    jobs: read.flatMap(({ jobs }) => jobs),
    photos: read.flatMap(({ photos }) => photos),
    shop: read.findLast(({ shop }) => shop !== null)?.shop ?? null,
    bought: Object.assign({}, ...read.map(boughtIn)) as BoughtOf,
    ancestry: Object.assign({}, ...read.map(({ ancestry }) => ancestry)) as NonNullable<Workshop['ancestry']>,
  };
  return problems.length > 0 ? { ok: false, problems } : good(await held(workshop));
}

/** What came, held against what is kept. */
export async function held(workshop: Workshop): Promise<Coming> {
  // What was tapped and waits is here first.
  await (await openStore()).store.carryOutWaiting();
  const files = await store();
  const rows = await files.preview(workshop);
  const meetings = new Map<string, Meeting>();
  for (const row of rows) {
    if (row.state === 'new' || row.state === 'same') continue;
    const meeting = await files.crew.meeting(workshop, row);
    if (meeting) meetings.set(thingKey(row), meeting);
  }
  return {
    workshop,
    rows,
    meetings,
    shop: await files.shopComing(workshop),
    bought: await files.boughtComing(workshop),
  };
}

/** Stores what was chosen. Gives the ids of the jobs that came in. */
export async function take(
  { workshop }: Coming,
  choice: (one: Thing) => Choice,
  brought: ReadonlyMap<string, Brought> = new Map(),
): Promise<readonly string[]> {
  const kept = await (await store()).take(workshop, choice, brought);
  keepForGood();
  return kept;
}

/** The file that a job came from, to be saved back into. */
export const remember = async (job: string, from: FileSystemFileHandle): Promise<void> =>
  (await store()).setHandle(`job ${job}`, from);
