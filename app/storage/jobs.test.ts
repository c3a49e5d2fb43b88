import { beforeEach, describe, expect, test } from '@jest/globals';
import { demoJob } from '@core/jobs/demo-house';
import { writeJobFile } from '@core/model/file';
import { SplitTapDatabase } from './database';
import { JobStore } from './jobs';

let db: SplitTapDatabase;
let store: JobStore;
let count = 0;

beforeEach(() => {
  db = new SplitTapDatabase(`test-${count++}`);
  store = new JobStore(db);
});

const ID = 'sunroom-plant-shelf';
const control = async () => {
  const open = await store.open(ID);
  if (!open.ok) throw new Error('not open');
  const want = open.value.job.devices.find(({ id }) => id === 'shelf-outlet')?.wants['upper'];
  return {
    control: want?.does === 'power' ? want.control : undefined,
    undo: open.value.undo,
    redo: open.value.redo,
  };
};
const setUpper = (to: string | null) =>
  store.run(ID, [{ do: 'set control', device: 'shelf-outlet', part: 'upper', control: to }]);

describe('a job in the browser', () => {
  test('a demo job is kept from its first opening; a change survives closing', async () => {
    await store.open(ID);
    await setUpper('shelf');
    db.close();
    store = new JobStore(new SplitTapDatabase(db.name));
    expect((await control()).control).toBe('shelf');
  });

  test('undo and redo go back and forth; a new change drops what was undone', async () => {
    await store.open(ID);
    await setUpper('shelf');
    await store.run(ID, [{ do: 'set rating', device: 'shelf-outlet', ratingA: 20 }]);
    await store.undo(ID);
    expect(await control()).toEqual({ control: 'shelf', undo: 'switched', redo: '20 A receptacle' });
    await store.undo(ID);
    expect(await control()).toEqual({ control: null, undo: null, redo: 'switched' });
    await store.redo(ID);
    expect((await control()).control).toBe('shelf');
    await store.undo(ID);
    await store.run(ID, [{ do: 'rename job', name: 'Shelf' }]);
    expect(await control()).toEqual({ control: null, undo: 'new name', redo: null });
    await store.undo(ID);
    await store.undo(ID);
    expect((await control()).control).toBe(null);
  });

  test('a command that names nothing changes nothing and says what', async () => {
    await store.open(ID);
    const before = await store.raw(ID);
    const result = await store.run(ID, [{ do: 'set control', device: 'gone', part: 'upper', control: null }]);
    expect(result).toMatchObject({
      ok: false,
      problems: [{ path: 'device', message: 'there is no device "gone"' }],
    });
    expect(await store.raw(ID)).toEqual(before);
  });

  test('an imported job that is there already comes in beside it', async () => {
    await store.open(ID);
    const imported = await store.import(writeJobFile(demoJob(ID)!));
    expect(imported).toMatchObject({ ok: true, value: { id: `${ID}-2` } });
    expect((await store.list()).map(({ id }) => id).sort()).toEqual([ID, `${ID}-2`]);
  });

  test('a stored record that no longer reads is listed, named and kept', async () => {
    await db.jobs.put({ id: 'old', job: { name: 'Old', boxes: 'none' }, cursor: 0, updatedAt: 1 });
    expect((await store.list())[0]).toMatchObject({ id: 'old', readable: false });
    const opened = await store.open('old');
    expect(opened.ok).toBe(false);
    expect(!opened.ok && opened.problems.some(({ path }) => path === 'job.boxes')).toBe(true);
    expect(await store.raw('old')).toEqual({ name: 'Old', boxes: 'none' });
  });

  test('a scene is kept beside its job, and goes with it', async () => {
    await store.open(ID);
    const scene = await store.scene(ID);
    await store.setScene(ID, { ...scene, openBreakers: ['c14'] });
    expect((await store.scene(ID)).openBreakers).toEqual(['c14']);
    await store.remove(ID);
    expect((await store.scene(ID)).openBreakers).toEqual([]);
    expect(await store.list()).toEqual([]);
  });
});
