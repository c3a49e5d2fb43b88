import Dexie from 'dexie';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { DEMO_LIST } from '@core/handover/jobs/demo-list';
import { demoJob, demoWhole } from '@core/handover/jobs/demo-house';
import { EMPTY_RECORD } from '@core/job/model/record';
import { newSurvey } from '@core/job/seen/seen-box';
import { SplitTapDatabase, type JournalEntry } from './database';
import { JobStore } from './jobs';
import { JobSession } from './session';
import { say } from '~/words/storage';

const ID = 'sunroom-plant-shelf';
let db: SplitTapDatabase;
let store: JobStore;
let count = 0;
const open: JobSession[] = [];

beforeEach(() => {
  db = new SplitTapDatabase(`test-${count++}`);
  store = new JobStore(db);
});
afterEach(() => {
  for (const session of open.splice(0)) session.close();
});

/** A page of a job: `watching` it follows what others store. */
async function page(id = ID, watching = false): Promise<JobSession> {
  const opened = await store.open(id);
  if (!opened.ok) throw new Error(opened.problems[0]!.message);
  const session = new JobSession(opened.value, store);
  if (watching) session.watch();
  open.push(session);
  return session;
}
const run = (session: JobSession, ...commands: readonly object[]) =>
  session.send({ intent: 'commands', commands });
const rename = (name: string) => ({ do: 'rename job', name });
const setUpper = (control: string | null) => ({
  do: 'set control',
  device: 'shelf-outlet',
  part: 'upper',
  control,
});
const view = (session: JobSession) => {
  const { design, undo, redo } = session.snapshot();
  const want = design.devices.find(({ id }) => id === 'shelf-outlet')?.wants['upper'];
  return {
    control: want?.does === 'power' ? want.control : undefined,
    undo: undo?.label ?? null,
    redo: redo?.label ?? null,
  };
};
const undo = (session: JobSession) =>
  session.send({ intent: 'undo', seq: session.snapshot().undo?.seq ?? 0 });
const redo = (session: JobSession) =>
  session.send({ intent: 'redo', seq: session.snapshot().redo?.seq ?? 0 });
const storedName = async () => {
  const opened = await store.open(ID);
  return opened.ok ? opened.value.design.name : null;
};

describe('a job in the browser', () => {
  test('a demo job is kept from its first opening; a change survives closing', async () => {
    await run(await page(), setUpper('shelf'));
    db.close();
    store = new JobStore(new SplitTapDatabase(db.name));
    expect(view(await page()).control).toBe('shelf');
  });

  test('undo and redo go back and forth; a new change drops what was undone', async () => {
    const own = await page();
    await run(own, setUpper('shelf'));
    await run(own, { do: 'set rating', device: 'shelf-outlet', ratingA: 20 });
    await undo(own);
    expect(view(own)).toEqual({ control: 'shelf', undo: 'switched', redo: '20 A receptacle' });
    await undo(own);
    expect(view(own)).toEqual({ control: null, undo: null, redo: 'switched' });
    await redo(own);
    expect(view(own).control).toBe('shelf');
    await undo(own);
    await run(own, rename('Shelf'));
    expect(view(own)).toEqual({ control: null, undo: 'new name', redo: null });
    await undo(own);
    expect(view(own)).toMatchObject({ control: null, undo: null });
    expect(own.snapshot().design.name).toBe(demoJob(ID)!.name);
  });

  test('what is noted is not undone, and does not touch the design', async () => {
    const own = await page();
    const { design } = own.snapshot();
    await run(own, { do: 'set brief', change: { wish: 'A lamp that stays on' } });
    expect(own.snapshot().design).toBe(design);
    expect(own.snapshot().undo).toBeNull();
    expect((await page()).snapshot().record.brief.wish).toBe('A lamp that stays on');
  });

  test('a command that names nothing changes nothing and says what', async () => {
    const own = await page();
    const before = await store.raw(ID);
    expect(await run(own, { ...setUpper(null), device: 'gone' })).toMatchObject([
      { path: 'device', message: 'there is no device "gone"' },
    ]);
    expect(await run(own, { do: 'no such thing' })).not.toEqual([]);
    expect(await store.raw(ID)).toEqual(before);
  });

  test('a job that is there already comes in beside it', async () => {
    await page();
    expect(await store.add(demoWhole(ID)!)).toMatchObject({ design: { id: `${ID}-2` } });
    expect((await store.list()).map(({ id }) => id)).toEqual(expect.arrayContaining([ID, `${ID}-2`]));
    expect(await store.list()).toHaveLength(DEMO_LIST.length + 1);
  });

  test('a stored job that no longer reads is listed, named and kept', async () => {
    await db.jobs.put({ id: 'old', design: { name: 'Old', boxes: 'none' }, cursor: 0, revision: 1 });
    await db.summaries.put({ id: 'old', name: 'Old', site: '', updatedAt: 1 });
    expect((await store.list())[0]).toMatchObject({ id: 'old', name: 'Old' });
    const opened = await store.open('old');
    expect(opened.ok).toBe(false);
    expect(!opened.ok && opened.problems.some(({ path }) => path === 'design.boxes')).toBe(true);
    expect(await store.raw('old')).toMatchObject({ design: { name: 'Old', boxes: 'none' } });
  });

  test('a job with a bad cursor can be changed, and undone from there', async () => {
    const { design } = demoWhole(ID)!;
    await db.jobs.put({ id: ID, design, cursor: 'x' as never, revision: 1 });
    const own = await page();
    expect(await run(own, rename('Shelf'))).toEqual([]);
    expect(await undo(own)).toEqual([]);
    expect(await storedName()).toBe(design.name);
  });

  test('a scene is kept beside its job, and goes with it', async () => {
    const own = await page();
    const { scene } = own.snapshot();
    await own.send({ intent: 'scene', scene: { ...scene, openBreakers: ['c14'] } });
    expect((await store.scene(ID)).openBreakers).toEqual(['c14']);
    await store.remove(ID);
    expect((await store.scene(ID)).openBreakers).toEqual([]);
    expect((await store.list()).map(({ id }) => id)).not.toContain(ID);
  });
});

describe('what is shown is stored', () => {
  test('a tap is shown and written down before anything is awaited', async () => {
    const own = await page();
    const done = run(own, rename('At once'));
    expect(own.snapshot().design.name).toBe('At once');
    expect(own.busy()).toBe(true);
    await done;
    expect(own.busy()).toBe(false);
  });

  test('what was written down and never carried out, since the page died, is carried out at the next opening', async () => {
    const own = await page();
    const entry: JournalEntry = {
      jobId: ID,
      tab: 'gone',
      intent: { intent: 'commands', commands: [{ do: 'rename job', name: 'From the dead' }] },
      base: own.snapshot().revision,
      replaced: {},
    };
    await store.writeDown(entry);
    await store.writeDown({
      ...entry,
      intent: { intent: 'commands', commands: [{ do: 'remove box', box: 'nowhere' }] },
    });
    expect((await page()).snapshot().design.name).toBe('From the dead');
    // What could not be is told, once.
    expect(await store.refusals(ID)).toMatchObject([{ message: 'there is no box "nowhere"' }]);
    expect(await store.refusals(ID)).toEqual([]);
  });

  test('fifty quick taps, none awaited, are all stored, in order', async () => {
    const own = await page();
    const all = Array.from({ length: 50 }, (_, index) => run(own, rename(`Name ${index}`)));
    expect((await Promise.all(all)).flat()).toEqual([]);
    expect(await storedName()).toBe('Name 49');
    expect(own.snapshot().revision).toEqual((await store.revision(ID))!);
    await undo(own);
    expect(own.snapshot().design.name).toBe('Name 48');
  });
});

describe('two tabs, one truth', () => {
  const settled = async (holds: () => boolean) => {
    for (let left = 400; left > 0 && !holds(); left--) await new Promise((resolve) => setTimeout(resolve, 5));
    expect(holds()).toBe(true);
  };

  test('the other tab sees a change without being asked', async () => {
    const [a, b] = [await page(ID, true), await page(ID, true)];
    await run(a, rename('Seen'));
    await settled(() => b.snapshot().design.name === 'Seen');
    await run(b, { do: 'set brief', change: { facts: 'plaster' } });
    await settled(() => a.snapshot().record.brief.facts === 'plaster');
  });

  test('a change made on a page that is behind is made on what is stored', async () => {
    const [a, b] = [await page(), await page()];
    await run(a, setUpper('shelf'));
    expect(await run(b, { do: 'set rating', device: 'shelf-outlet', ratingA: 20 })).toEqual([]);
    expect(view(b).control).toBe('shelf');
    expect(b.snapshot().design.devices.find(({ id }) => id === 'shelf-outlet')?.ratingA).toBe(20);
  });

  test('the same field changed in both is refused with both values, never overwritten in silence', async () => {
    const [a, b] = [await page(), await page()];
    const old = a.snapshot().design.name;
    await run(a, rename('A'));
    const [problem] = await run(b, rename('B'));
    expect(problem).toMatchObject({ path: 'name', again: true });
    expect(problem!.message).toContain('"A"');
    expect(problem!.message).toContain(JSON.stringify(old));
    expect(await storedName()).toBe('A');
    expect(b.snapshot().design.name).toBe('A');
    // Shown now, it can be changed.
    expect(await run(b, rename('B'))).toEqual([]);
  });

  test('boxes are told apart by their names, wherever they stand in the list by now', async () => {
    const [a, b] = [await page(), await page()];
    await run(a, { do: 'remove box', box: 'garden-door' });
    expect(await run(b, { do: 'set box', box: 'plant-shelf', change: { heightIn: 20 } })).toEqual([]);
    expect(await run(b, { do: 'set box', box: 'garden-door', change: { heightIn: 20 } })).toMatchObject([
      { message: 'there is no box "garden-door"' },
    ]);
  });

  test('readings of two tabs stand beside each other', async () => {
    const [a, b] = [await page('hall-console'), await page('hall-console')];
    const [survey] = a.snapshot().record.surveys;
    const reading = (from: 'black' | 'white') => ({
      do: 'add reading',
      survey: survey!.id,
      reading: {
        setup: { breakers: 'all off', apart: 'as found', switches: 'as they are', loadsOut: false },
        probe: {
          with: 'continuity',
          from: { on: 'conductor', cable: 'lower', insulation: from },
          to: { on: 'ground', box: 'hall-found' },
        },
        value: { is: 'ohms', ohms: null },
      },
    });
    await run(a, reading('black'));
    expect(await run(b, reading('white'))).toEqual([]);
    expect(b.snapshot().record.surveys[0]!.readings).toHaveLength(2);
  });

  test('undo takes back only what the page offered', async () => {
    const [a, b] = [await page(), await page()];
    await run(b, rename('B'));
    await run(a, setUpper('shelf'));
    const [problem] = await undo(b);
    expect(problem!.message).toContain(say('jobs.lastChangeNow', { entry: 'switched' }));
    expect(view(b)).toMatchObject({ control: 'shelf', undo: 'switched' });
    expect(await undo(b)).toEqual([]);
    expect(await storedName()).toBe('B');
  });

  test('a demo job opened twice at once is opened, not reset; on purpose it starts over', async () => {
    await run(await page(), rename('Mine'));
    await Promise.all([store.open(ID), store.open(ID), store.open(ID)]);
    expect(await storedName()).toBe('Mine');
    expect(await store.reset(ID)).toBe(true);
    expect(await storedName()).toBe(demoJob(ID)!.name);
    expect(await store.reset('no-demo')).toBe(false);
  });
});

test('a store of version 1 is taken over: job, record, undo and bench', async () => {
  const name = `test-old-${count++}`;
  const old = new Dexie(name);
  old.version(1).stores({ jobs: 'id, updatedAt', history: '[jobId+seq], jobId', scenes: 'jobId' });
  const { design, record } = demoWhole('hall-console')!;
  const ticks = [{ box: 'hall-switch', step: 'mark', says: 'Mark', at: '2026-11-20T10:00:00.000Z' }];
  const { brief, surveys } = record;
  const renamed = { ...design, brief, surveys, ticks, name: 'Renamed' };
  await old.table('jobs').bulkPut([
    { id: 'hall-console', job: renamed, cursor: 2, updatedAt: 7 },
    { id: 'broken', job: 'not a job', cursor: 'x' },
  ]);
  await old.table('history').bulkPut([
    {
      jobId: 'hall-console',
      seq: 0,
      label: 'new name',
      patches: [{ op: 'replace', path: ['name'], value: 'Renamed' }],
      inverse: [{ op: 'replace', path: ['name'], value: design.name }],
    },
    {
      jobId: 'hall-console',
      seq: 1,
      label: 'tick',
      patches: [{ op: 'add', path: ['ticks', 0], value: ticks[0] }],
      inverse: [{ op: 'replace', path: ['ticks', 'length'], value: 0 }],
    },
  ]);
  old.close();

  db = new SplitTapDatabase(name);
  store = new JobStore(db);
  const own = await page('hall-console');
  expect(own.snapshot().design).toEqual({ ...design, name: 'Renamed' });
  expect(own.snapshot().record).toEqual({ ...record, ticks: [{ ...ticks[0], did: null }] });
  // The tick is not undone; the name before it is.
  await undo(own);
  await undo(own);
  expect(own.snapshot().design.name).toBe(design.name);
  expect(own.snapshot().record.ticks).toHaveLength(1);
  expect((await store.list()).map(({ id, updatedAt }) => [id, updatedAt])).toEqual([
    ['hall-console', expect.any(Number)],
    ['broken', 0],
  ]);
  expect((await store.open('broken')).ok).toBe(false);
  expect(await store.raw('broken')).toMatchObject({ design: 'not a job' });
});

test('a list of many jobs reads their summaries, not the jobs', async () => {
  const { design } = demoWhole(ID)!;
  for (let index = 0; index < 20; index++)
    await store.add({ design: { ...design, name: `Job ${index}` }, record: EMPTY_RECORD });
  let reads = 0;
  db.jobs.hook('reading', (job) => {
    reads++;
    return job;
  });
  expect(await store.list()).toHaveLength(20);
  expect(reads).toBe(0);
});

test('a survey added on one page and one added on the other both stand', async () => {
  const [a, b] = [await page(), await page()];
  await run(a, { do: 'add survey', survey: newSurvey('one', 'One', '14') });
  expect(await run(b, { do: 'add survey', survey: newSurvey('two', 'Two', '14') })).toEqual([]);
  expect(b.snapshot().record.surveys.map(({ id }) => id)).toEqual(['one', 'two']);
});
