import Dexie from 'dexie';
import { readFileSync } from 'node:fs';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { demoHouse, demoPictures, demoWhole } from '@core/handover/jobs/demo-house';
import type { Design } from '@core/job/model/design';
import { House } from '@core/job/model/house';
import { EMPTY_RECORD } from '@core/job/model/record';
import { SplitTapDatabase } from './database';
import { FileStore } from './files';
import { HouseStore } from './houses';
import { JobStore } from './jobs';
import { PhotoStore } from './photos';
import { JobSession } from './session';

const HALL = 'hall-console';
let db: SplitTapDatabase;
let store: JobStore;
let houses: HouseStore;
let files: FileStore;
let count = 0;
const open: JobSession[] = [];

beforeEach(() => {
  db = new SplitTapDatabase(`houses-${count++}`);
  store = new JobStore(db);
  houses = new HouseStore(db);
  files = new FileStore(db);
});
afterEach(() => {
  for (const session of open.splice(0)) session.close();
});

async function page(id: string, watching = false): Promise<JobSession> {
  const opened = await store.open(id);
  if (!opened.ok) throw new Error(opened.problems[0]!.message);
  const session = new JobSession(opened.value, store);
  if (watching) session.watch();
  open.push(session);
  return session;
}
const run = (session: JobSession, ...commands: readonly object[]) =>
  session.send({ intent: 'commands', commands });
const nine = (session: JobSession) =>
  session.snapshot().design.circuits.find(({ number }) => number === '9')!;
const setNine = (session: JobSession, change: object) =>
  run(session, { do: 'set circuit', circuit: nine(session).id, change });
const until = async (met: () => boolean): Promise<void> => {
  for (let tries = 0; !met() && tries < 200; tries++) await new Promise((resolve) => setTimeout(resolve, 10));
  expect(met()).toBe(true);
};

describe('jobs of a house', () => {
  test('a breaker changed in one is changed in another that is open, and undone in both', async () => {
    const [hall, stair] = [await page(HALL), await page('stair', true)];
    expect(await setNine(hall, { protection: 'dual' })).toEqual([]);
    await until(() => nine(stair).protection === 'dual');
    expect((await houses.open(demoHouse.id)).ok).toBe(true);
    await hall.send({ intent: 'undo', seq: hall.snapshot().undo!.seq });
    await until(() => nine(stair).protection === 'afci');
    expect(nine(await page('porch-soffit')).protection).toBe('afci');
  });

  test('the same breaker changed in two jobs is refused where it was not seen, with both values', async () => {
    const [hall, stair] = [await page(HALL), await page('stair')];
    await setNine(hall, { breakerA: 20 });
    const [problem] = await setNine(stair, { breakerA: 30 });
    expect(problem).toMatchObject({ path: expect.stringContaining('breakerA') });
    expect(problem!.message).toContain('20');
    expect(nine(stair).breakerA).toBe(20);
    expect(await setNine(stair, { breakerA: 15 })).toEqual([]);
  });

  test('what a job adds to a circuit, the others know at once; its own is not counted twice', async () => {
    const stair = await page('stair', true);
    const before = nine(stair).others.VA;
    const porch = await page('porch-soffit');
    const outlet = porch.snapshot().design.devices.find(({ id }) => id === 'soffit-outlet')!;
    const own = nine(porch).others.VA;
    expect(
      await run(porch, { do: 'set load', device: outlet.id, part: 'upper', watts: 400, continuous: false }),
    ).toEqual([]);
    await until(() => nine(stair).others.VA !== before);
    expect(nine(porch).others.VA).toBe(own);
  });

  test('a job moved in takes over the panel, moved out it keeps what it has and is forgotten by the others', async () => {
    await store.openDemo(demoHouse.id);
    const { design } = demoWhole('stair')!;
    const alone: Design = {
      ...design,
      id: 'shed',
      circuits: design.circuits.map((circuit) => ({ ...circuit, breakerA: 20, protection: 'none' as const })),
    };
    await store.add({ design: alone, record: EMPTY_RECORD });
    expect(await houses.differences('shed', demoHouse.id)).toEqual(
      expect.arrayContaining([expect.stringContaining('breaker 20 A, on the panel 15 A')]),
    );
    const before = nine(await page(HALL)).others.VA;
    expect(await houses.move('shed', demoHouse.id)).toMatchObject({ ok: true });
    expect(nine(await page('shed'))).toMatchObject({ breakerA: 15, protection: 'afci' });
    const within = nine(await page(HALL)).others.VA;
    expect(within).toBeGreaterThan(before);
    expect(await houses.move('shed', null)).toMatchObject({ ok: true });
    const out = await page('shed');
    expect(out.snapshot().around).toBeNull();
    expect(nine(out).breakerA).toBe(15);
    expect(nine(await page(HALL)).others.VA).toBe(before);
    expect(await houses.move('no-such', null)).toMatchObject({ ok: false });
  });

  test('a house changed is put back as it was, unless another change has followed', async () => {
    const house = await houses.create(
      House.omit({ id: true }).parse({ name: 'Quarry Lane 4', edition: '2023' }),
    );
    const done = await houses.run(house.id, { do: 'set house', change: { name: 'Quarry Lane 5' } });
    if (!done.ok || !done.value) throw new Error('refused');
    const { before, after } = done.value;
    expect(await houses.run(house.id, { do: 'put back', before, after })).toMatchObject({ ok: true });
    expect(await houses.open(house.id)).toMatchObject({ value: { house: { name: 'Quarry Lane 4' } } });
    const again = await houses.run(house.id, { do: 'set house', change: { spaces: 12 } });
    await houses.run(house.id, { do: 'add person', person: { name: 'Mara', role: '' } });
    if (!again.ok || !again.value) throw new Error('refused');
    expect(
      await houses.run(house.id, { do: 'put back', before: again.value.before, after: again.value.after }),
    ).toMatchObject({ ok: false });
    expect(await houses.run('none', { do: 'set house', change: {} })).toMatchObject({ ok: false });
  });

  test('a house that cannot be read leaves its jobs readable, alone, and is named in a backup', async () => {
    await page(HALL);
    await db.houses.put({ id: demoHouse.id, house: { name: 7 }, revision: 9, updatedAt: 0 });
    const hall = await page(HALL);
    expect(hall.snapshot().around).toBeNull();
    expect(await houses.open(demoHouse.id)).toMatchObject({ ok: false });
    expect((await files.gather('all')).unreadable).toEqual([demoHouse.id]);
  });
});

describe('nothing is lost', () => {
  const photo = {
    id: 'p-1',
    at: '2026-05-04T08:00:00.000Z',
    by: '',
    caption: '',
    box: null,
    type: 'image/png',
    bytes: 3,
    widthPx: 1,
    heightPx: 1,
    marks: [],
    removed: null,
  };

  test('a job that is removed comes back whole within a day: design, record, undo, photos; after it, not', async () => {
    const hall = await page(HALL);
    const photos = new PhotoStore(db);
    const id = await photos.add(HALL, Uint8Array.of(1, 2, 3));
    await run(hall, { do: 'rename job', name: 'Hall' }, { do: 'add photo', photo: { ...photo, id } });
    await store.remove(HALL);
    expect(await photos.bytes(id)).toBeNull();
    const [kept] = await files.trash();
    expect(kept!.name).toBe('Hall');
    expect(await files.putBack(kept!.id)).toBe(true);
    const back = await page(HALL);
    expect(back.snapshot().design.name).toBe('Hall');
    expect(back.snapshot().undo?.label).toBe('new name');
    expect(back.snapshot().record.photos).toHaveLength(1);
    expect(await photos.bytes(id)).toEqual(Uint8Array.of(1, 2, 3));
    await store.remove(HALL);
    const [again] = await files.trash();
    await db.trash.update(again!.id, { at: Date.now() - 25 * 3600 * 1000 });
    expect(await files.trash()).toEqual([]);
  });

  test('a house goes with its jobs or without them, and comes back', async () => {
    await store.openDemo(demoHouse.id);
    await houses.remove(demoHouse.id, true);
    expect(await store.list()).toEqual([]);
    const [kept] = await files.trash();
    expect(kept!.name).toBe('Alder Court 12');
    expect(await files.putBack(kept!.id)).toBe(true);
    expect(await store.list()).toHaveLength(8);
    await houses.remove(demoHouse.id, false);
    expect((await store.list()).every(({ house }) => house === undefined)).toBe(true);
    expect(nine(await page(HALL)).protection).toBe('afci');
  });

  test('all of a browser goes out and comes into another: the same again; what differs is set beside or replaces', async () => {
    const hall = await page(HALL);
    const photos = new PhotoStore(db);
    const id = await photos.add(HALL, Uint8Array.of(9, 8, 7));
    await run(hall, { do: 'add photo', photo: { ...photo, id } });
    await store.add({
      design: { ...demoWhole('attic-hatch-switch')!.design, id: 'alone' },
      record: EMPTY_RECORD,
    });
    const { workshop, unreadable } = await files.gather('all');
    expect(unreadable).toEqual([]);
    expect(workshop.jobs).toHaveLength(9);

    const other = new SplitTapDatabase(`houses-other-${count++}`);
    const there = new FileStore(other);
    expect((await there.preview(workshop)).every(({ state }) => state === 'new')).toBe(true);
    expect(await there.take(workshop, () => 'add')).toHaveLength(9);
    expect((await there.gather('all')).workshop).toEqual(workshop);
    expect((await there.preview(workshop)).every(({ state }) => state === 'same')).toBe(true);

    await run(await page(HALL), { do: 'rename job', name: 'Renamed' });
    const { workshop: next } = await files.gather([HALL]);
    const rows = await there.preview(next);
    expect(rows.map(({ state }) => state)).toEqual(['same', 'strange']);
    const beside = await there.take(next, ({ kind }) => (kind === 'house' ? 'skip' : 'add'));
    expect(beside).toEqual([`${HALL}-2`]);
    // The photo stands twice: each job has its own; the demo brings one of its own.
    expect(await other.photos.count()).toBe(2 + demoPictures.length);
    expect(await there.take(next, ({ kind }) => (kind === 'house' ? 'skip' : 'replace'))).toEqual([HALL]);
    const [kept] = await there.trash();
    expect(kept!.name).toBe('Hall console');
    const opened = await new JobStore(other).open(HALL);
    expect(opened.ok && opened.value.design.name).toBe('Renamed');
    expect(opened.ok && opened.value.around?.house.id).toBe(demoHouse.id);
  });

  test('a backup is due by what changed since the last', async () => {
    await store.openDemo(demoHouse.id);
    expect(await files.backup()).toEqual({ at: null, changed: 0 });
    await run(await page(HALL), { do: 'rename job', name: 'Hall' });
    expect((await files.backup()).changed).toBe(1);
    await files.backedUp();
    expect(await files.backup()).toEqual({ at: expect.any(Number), changed: 0 });
  });
});

describe('stores of earlier versions', () => {
  const { design, record } = JSON.parse(
    readFileSync('core/testing/old-stores/v2-stair.splittap.json', 'utf8'),
  ) as { design: Design; record: object };
  const V2 = {
    jobs: 'id',
    records: 'id',
    summaries: 'id, updatedAt',
    journal: '++seq, jobId',
    history: '[jobId+seq], jobId',
    scenes: 'jobId',
  };

  test.each([
    [2, V2],
    [3, { ...V2, drills: '++seq, at', shop: 'id' }],
  ])(
    'of version %i: job, record, what was tapped last, shop and drills are there',
    async (version, stores) => {
      const name = `houses-old-${count++}`;
      const old = new Dexie(name);
      old.version(version).stores(stores);
      await old.open();
      await old.table('jobs').put({ id: 'stair', design, cursor: 0, revision: 4 });
      await old.table('records').put({ id: 'stair', record, revision: 2 });
      await old.table('summaries').put({ id: 'stair', name: 'Stair', site: '', updatedAt: 5 });
      await old.table('journal').add({
        jobId: 'stair',
        tab: 'old',
        intent: { intent: 'commands', commands: [{ do: 'rename job', name: 'Tapped last' }] },
        base: { design: 4, record: 2 },
        replaced: { name: 'Stair' },
      });
      if (version > 2) await old.table('shop').put({ id: 'bought stair', value: ['tape'] });
      old.close();

      db = new SplitTapDatabase(name);
      store = new JobStore(db);
      const own = (await page('stair')).snapshot();
      expect(own.design.name).toBe('Tapped last');
      expect(own.design.boxes).toHaveLength(design.boxes.length);
      expect(own.around).toBeNull();
      expect(own.record.log).toEqual([]);
      expect(own.undo?.label).toBe('new name');
      if (version > 2) expect((await db.shop.get('bought stair'))?.value).toEqual(['tape']);
      expect(await houses.move('stair', null)).toBeDefined();
    },
  );
});
