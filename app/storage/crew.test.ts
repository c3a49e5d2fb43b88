import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { bringHouses, bringTogether } from '@core/handover/crew/bring';
import { readAnyFile, writeWorkshop, type Workshop } from '@core/handover/files/workshop';
import { demoHouse, demoWhole } from '@core/handover/jobs/demo-house';
import { changeHouse } from '@core/job/commands/house';
import { canonical } from '@core/base/merge/same';
import { comparable } from '@core/job/merge/job';
import type { Job } from '@core/job/model/job';
import { worked } from '@core/testing/diverge';
import { draws } from '@core/testing/draws';
import { thingKey } from '@core/job/merge/relation';
import type { Brought } from './crew';
import { SplitTapDatabase } from './database';
import { FileStore } from './files';
import { JobStore } from './jobs';
import { ShopStore } from './shop-store';
import { storedDesign, storedRecord } from './sealed';

/*
 * Two devices and one house: given, taken, worked on apart, given again; through the bytes of a file each time.
 */
const JOB = 'hall-console';

interface Device {
  readonly db: SplitTapDatabase;
  readonly files: FileStore;
  readonly jobs: JobStore;
}
const all: SplitTapDatabase[] = [];
let count = 0;
function device(): Device {
  const db = new SplitTapDatabase(`crew-${count++}`);
  all.push(db);
  return { db, files: new FileStore(db), jobs: new JobStore(db) };
}
let mara: Device;
let theo: Device;
beforeEach(async () => {
  mara = device();
  theo = device();
  await mara.jobs.openDemo(demoHouse.id);
});
afterEach(() => all.splice(0).forEach((db) => db.close()));

/** Through the bytes of a file, as it goes from hand to hand. */
async function given({ files }: Device, id = JOB): Promise<Workshop> {
  const bytes = writeWorkshop(await files.crew.give((await files.gather([id])).workshop));
  const read = readAnyFile(bytes);
  if (!read.ok) throw new Error(read.problems[0]?.message);
  return read.value;
}

async function brought({ files }: Device, workshop: Workshop): Promise<Map<string, Brought>> {
  const met = new Map<string, Brought>();
  for (const row of await files.preview(workshop)) {
    const meeting =
      row.state === 'new' || row.state === 'same' ? null : await files.crew.meeting(workshop, row);
    if (meeting?.kind === 'job') {
      const { job } = bringTogether(meeting.base, meeting.ours, meeting.theirs, new Map());
      met.set(thingKey(row), { kind: 'job', ours: meeting.ours, job });
    } else if (meeting) {
      const { house } = bringHouses(meeting.base, meeting.ours, meeting.theirs, new Map());
      met.set(thingKey(row), { kind: 'house', ours: meeting.ours, house });
    }
  }
  return met;
}

/** Takes in what comes as it is offered; gives how each stood. */
async function takes(to: Device, workshop: Workshop): Promise<readonly string[]> {
  const rows = await to.files.preview(workshop);
  const met = await brought(to, workshop);
  const states = new Map(rows.map((row) => [thingKey(row), row.state]));
  await to.files.take(
    workshop,
    (one) => {
      const state = states.get(thingKey(one));
      return state === 'new' ? 'add' : state === 'ahead' || state === 'apart' ? 'merge' : 'skip';
    },
    met,
  );
  return rows.map(({ state }) => state);
}

async function jobOf({ jobs }: Device, id = JOB): Promise<Job> {
  const opened = await jobs.open(id);
  if (!opened.ok) throw new Error(opened.problems[0]?.message);
  const { design, record } = opened.value;
  return { design, record };
}

/** Works on a job as a page would have it stored. */
async function works({ db }: Device, job: Job): Promise<void> {
  const row = (await db.jobs.get(JOB))!;
  await db.jobs.put({ ...row, ...storedDesign(job.design), revision: row.revision + 1 });
  await db.records.put({ id: JOB, ...storedRecord(job.record), revision: 9 });
}

/** Ticks a line of the job's list, or takes the tick off. */
const ticks = async ({ db }: Device, key: string, done = true): Promise<void> => {
  await new ShopStore(db).run({ do: 'tick', list: JOB, key, bought: done });
};
const bought = async ({ db }: Device): Promise<readonly string[]> =>
  [...(await new ShopStore(db).open(JOB)).bought].sort();

test('what is bought goes along; what both bought apart is said, and a line that is put back is back', async () => {
  await ticks(mara, 'cable 14-2');
  await ticks(mara, 'box');
  await takes(theo, await given(mara));
  expect(await bought(theo)).toEqual(['box', 'cable 14-2']);
  await ticks(theo, 'duplex');
  await ticks(theo, 'switch');
  await ticks(theo, 'box', false);
  await ticks(mara, 'duplex');
  const back = await given(theo);
  // The plan is the same on both: what is bought comes all the same.
  expect(await mara.files.boughtComing(back)).toEqual({ came: 1, twice: [{ list: JOB, lines: 1 }] });
  expect(await takes(mara, back)).toContain('same');
  expect(await bought(mara)).toEqual(['cable 14-2', 'duplex', 'switch']);
  await takes(theo, await given(mara));
  expect(await bought(theo)).toEqual(await bought(mara));
});

const content = (job: Job): string => canonical(comparable(job));

test(`${draws(12, 300)} times: what both did is on both in the end, whoever gives first; given again it is the same`, async () => {
  await takes(theo, await given(mara));
  let apart = 0;
  for (let seed = 0; seed < draws(12, 300); seed++) {
    const [one, other] = [await jobOf(mara), await jobOf(theo)];
    // Notes of both; the plan of one: neither has to be chosen of.
    const noted = worked(one, 'Mara', seed * 2, 3);
    await works(mara, { design: one.design, record: noted.record });
    await works(theo, worked(other, 'Theo', seed * 2 + 1, 2));
    const [first, second] = seed % 2 === 0 ? [mara, theo] : [theo, mara];
    const states = await takes(second, await given(first));
    if (states.includes('apart')) apart++;
    await takes(first, await given(second));
    expect(content(await jobOf(first)) === content(await jobOf(second))).toBe(true);
    expect(await takes(second, await given(first))).not.toContain('apart');
  }
  expect(apart).toBeGreaterThan(draws(12, 300) / 2);
});

test('what came in is taken back within a day, and what was done since stays', async () => {
  await takes(theo, await given(mara));
  const before = await jobOf(mara);
  const theirs = await jobOf(theo);
  await works(theo, {
    ...theirs,
    record: { ...theirs.record, brief: { ...theirs.record.brief, wish: 'A lamp that stays on' } },
  });
  await takes(mara, await given(theo));
  const after = await jobOf(mara);
  expect(after.record.brief.wish).toBe('A lamp that stays on');
  await works(mara, {
    ...after,
    record: { ...after.record, brief: { ...after.record.brief, facts: 'Brick' } },
  });
  expect(await mara.files.crew.takeBack({ kind: 'job', id: JOB })).toBe(true);
  const now = await jobOf(mara);
  expect(now.record.brief).toEqual({ ...before.record.brief, facts: 'Brick' });
  expect(await mara.files.crew.takeBack({ kind: 'job', id: JOB })).toBe(false);
});

test('two people on the panel of one house', async () => {
  await takes(theo, await given(mara));
  const change = async ({ db }: Device, command: Parameters<typeof changeHouse>[1]) => {
    const row = (await db.houses.get(demoHouse.id))!;
    const done = changeHouse(row.house as typeof demoHouse, command);
    if (!done.ok) throw new Error(done.problems[0]?.message);
    await db.houses.put({ ...row, house: done.value.house, revision: row.revision + 1 });
  };
  await change(mara, { do: 'add person', person: { name: 'Ines', role: 'apprentice' } });
  await change(theo, { do: 'set house', change: { spaces: 42 } });
  expect(await takes(theo, await given(mara))).toContain('apart');
  const house = (await theo.db.houses.get(demoHouse.id))!.house as typeof demoHouse;
  expect(house.spaces).toBe(42);
  expect(house.people.map(({ name }) => name)).toContain('Ines');
  expect(await takes(mara, await given(theo))).toContain('ahead');
  expect((await mara.db.houses.get(demoHouse.id))!.house).toEqual(house);
});

test('a take that breaks off at any of its writes has changed nothing; the next one is whole', async () => {
  await takes(theo, await given(mara));
  await works(mara, worked(await jobOf(mara), 'Mara', 5, 3));
  await works(theo, worked(await jobOf(theo), 'Theo', 6, 3));
  const workshop = await given(mara);
  const dump = async () =>
    JSON.stringify(await Promise.all(theo.db.tables.map((table) => table.toArray())), (_, value: unknown) =>
      value instanceof Uint8Array ? value.length : value,
    );
  const before = await dump();
  let broken = 0;
  for (let at = 1; ; at++) {
    let writes = 0;
    const stop = () => {
      if (++writes === at) throw new Error('killed');
    };
    for (const table of theo.db.tables) {
      table.hook('creating', stop);
      table.hook('updating', stop);
      table.hook('deleting', stop);
    }
    const done = await takes(theo, workshop).then(
      () => true,
      () => false,
    );
    for (const table of theo.db.tables) {
      table.hook('creating').unsubscribe(stop);
      table.hook('updating').unsubscribe(stop);
      table.hook('deleting').unsubscribe(stop);
    }
    if (done) break;
    broken++;
    expect((await dump()) === before).toBe(true);
  }
  expect(broken).toBeGreaterThan(3);
  expect((await dump()) === before).toBe(false);
});

test('what changed here while the file was looked at is not overwritten', async () => {
  await takes(theo, await given(mara));
  await works(mara, worked(await jobOf(mara), 'Mara', 5, 3));
  await works(theo, worked(await jobOf(theo), 'Theo', 6, 2));
  const workshop = await given(mara);
  const met = await brought(theo, workshop);
  await works(theo, worked(await jobOf(theo), 'Theo', 7, 1));
  const before = content(await jobOf(theo));
  await expect(
    theo.files.take(workshop, ({ kind }) => (kind === 'job' ? 'merge' : 'skip'), met),
  ).rejects.toThrow('was changed here');
  expect(content(await jobOf(theo)) === before).toBe(true);
});

test('an old file, of which nothing is known, is set beside unless it is asked for', async () => {
  const old = demoWhole(JOB)!;
  const workshop: Workshop = {
    houses: [],
    photos: [],
    shop: null,
    jobs: [{ house: null, job: { ...old, design: { ...old.design, name: 'Another name' } } }],
  };
  const [row] = await mara.files.preview(workshop);
  expect(row!.state).toBe('strange');
  const meeting = await mara.files.crew.meeting(workshop, row!);
  if (meeting?.kind !== 'job') throw new Error('no meeting');
  expect(meeting.base).toBeNull();
  const { conflicts, whole } = bringTogether(null, meeting.ours, meeting.theirs, new Map());
  expect(whole).toBe(false);
  expect(conflicts.map(({ what }) => what)).toEqual(['Name']);
});
