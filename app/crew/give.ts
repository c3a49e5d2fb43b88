import { mergeHouses } from '@core/job/merge/house';
import { mergeJobs } from '@core/job/merge/job';
import { thingKey, type Thing } from '@core/job/merge/relation';
import type { House } from '@core/job/model/house';
import type { Job } from '@core/job/model/job';
import type { Workshop } from '@core/handover/files/workshop';
import { openStore } from '~/storage/opened';
import { saveFile } from '~/ui/save-file';
import { fileWorker } from '~/workers/core';

/** A file as it leaves: it says what it grew from, so that it comes together with what is done here meanwhile. */
interface GivenFile {
  readonly name: string;
  readonly content: string | Uint8Array;
  readonly type: string;
  readonly unreadable: readonly string[];
}

const gather = async ({ kind, id }: Thing) => {
  const opened = await openStore();
  // What was tapped and waits goes with it.
  await opened.store.carryOutWaiting();
  const files = await opened.files();
  const { workshop, unreadable } = await (kind === 'job' ? files.gather([id]) : files.gatherHouse(id));
  return { files, workshop, unreadable };
};

/** With its photos as a zip, where it has some and they are wanted; else as plain text. */
async function fileOf(thing: Thing, withPhotos: boolean, to: string): Promise<GivenFile> {
  const { files, workshop, unreadable } = await gather(thing);
  const given = await files.crew.give(workshop, to);
  const { id } = thing;
  if (withPhotos && given.photos.length > 0)
    return {
      name: `${id}.splittap.zip`,
      content: await fileWorker.ask((worker) => worker.writeFile(given)),
      type: 'application/zip',
      unreadable,
    };
  const type = 'application/json';
  const [first] = given.jobs;
  const house = given.houses.find((one) => one.id === id);
  if (thing.kind === 'house' && house) {
    const { writeHouseFile } = await import('@core/job/model/house-file');
    const ancestry = given.ancestry?.[id];
    const content = writeHouseFile({
      house,
      jobs: given.jobs.map(({ job }) => job),
      ...(ancestry ? { ancestry } : {}),
      bought: given.bought?.[id] ?? [],
    });
    return { name: `${id}.splittap-house.json`, content, type, unreadable };
  }
  const { writeJobFile } = await import('@core/job/model/job-file');
  return { name: `${id}.splittap.json`, content: first ? writeJobFile(first.job) : '', type, unreadable };
}

/** As a download. Gives what could not be read. */
export async function exportThing(thing: Thing, withPhotos = false): Promise<readonly string[]> {
  const { name, content, type, unreadable } = await fileOf(thing, withPhotos, '');
  if (content !== '') saveFile(name, content, type);
  return unreadable;
}

/** To the share sheet of the platform where it has one that takes files; else as a download. */
export async function share(thing: Thing, to: string): Promise<void> {
  const { name, content, type } = await fileOf(thing, true, to);
  const file = new File([typeof content === 'string' ? content : new Uint8Array(content)], name, { type });
  const sheet = { files: [file], title: name };
  if (typeof navigator.canShare === 'function' && navigator.canShare(sheet)) {
    try {
      await navigator.share(sheet);
      return;
    } catch (error) {
      // Turned away from: nothing is given. What the sheet does not take is saved.
      if (error instanceof Error && error.name === 'AbortError') return;
    }
  }
  saveFile(name, content, type);
}

/** As light: only what is new since the last hand-over, or everything. */
export async function lightOf(
  thing: Thing,
  everything: boolean,
  to: string,
): Promise<{ bytes: Uint8Array; photos: number }> {
  const { files, workshop } = await gather(thing);
  // The house of a single job comes along with it only where all is wanted.
  const own: Workshop = thing.kind === 'house' || everything ? workshop : { ...workshop, houses: [] };
  const shared = everything ? new Map<string, never>() : await files.crew.shared(own);
  const given = await files.crew.give(own, to);
  const { writeLight } = await import('@core/handover/light/message');
  return { bytes: writeLight(given, shared), photos: own.photos.length };
}

/** Who had it when, and what changed here since. */
export interface Hands {
  readonly hands: readonly { readonly how: 'given' | 'taken'; readonly at: string; readonly by: string }[];
  /** Things that changed since the last of them; null where nobody had it. */
  readonly since: number | null;
}

export async function handsOf(thing: Thing): Promise<Hands> {
  const { files, workshop } = await gather(thing);
  const { hands } = await files.crew.kin.of(thing);
  if (hands.length === 0) return { hands, since: null };
  const shared = await files.crew.shared(workshop);
  const changes = [
    ...workshop.jobs.flatMap(({ job }) => {
      const copy = shared.get(thingKey({ kind: 'job', id: job.design.id }))?.value as Job | undefined;
      return copy ? mergeJobs(copy, job, copy).changes : [];
    }),
    ...workshop.houses.flatMap((house) => {
      const copy = shared.get(thingKey({ kind: 'house', id: house.id }))?.value as House | undefined;
      return copy ? mergeHouses(copy, house, copy).changes : [];
    }),
  ];
  return { hands, since: new Set(changes.map(({ path }) => path.slice(0, 3).join('/'))).size };
}
