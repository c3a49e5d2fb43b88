import fc from 'fast-check';
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { DEMO_HOUSE, DEMO_LIST } from '@core/handover/jobs/demo-list';
import { draws } from '@core/testing/draws';
import { drawn } from '@core/testing/random-commands';
import { lookScript } from '~/standing/early';
import { SplitTapDatabase, type StoredStanding } from './database';
import { HouseStore } from './houses';
import { JobStore } from './jobs';
import { OF_SHOP, writeDown } from './journal';
import { JobSession } from './session';
import { ShopStore } from './shop-store';
import { keepStanding } from './standing';

/* What stood last stands again only as long as every thing it shows is stored as it was then: looked up by the very script
   that runs in the page, which shares no code with what keeps it. */

const AT = '/job/stair/lay-out';
const PAGE = { at: AT, build: 'b1', html: '<p>As it stood</p>' };
let db: SplitTapDatabase;
let store: JobStore;
beforeEach(async () => {
  // The script knows the store by its name.
  db = new SplitTapDatabase();
  await db.delete();
  db = new SplitTapDatabase();
  store = new JobStore(db);
  for (const { id } of DEMO_LIST) await store.openDemo(id);
});
afterEach(() => db.delete());

/** What the page finds before its program is there; null where it is left as it is. */
async function look(at = AT): Promise<StoredStanding | null> {
  const place: { stoodLast?: Promise<StoredStanding> } = {};
  const [pathname = '', query = ''] = at.split('?');
  // The text of the page's script, as a browser runs it.
  // oxlint-disable-next-line typescript/no-implied-eval
  const script = new Function('globalThis', 'document', 'location', 'indexedDB', lookScript) as (
    ...given: readonly unknown[]
  ) => void;
  // It is through with looking once it closes the store, or gets none.
  let resolve: (nothing: null) => void = () => undefined;
  const through = new Promise<null>((tell) => (resolve = tell));
  const opened = {
    open: (name: string) => {
      const request = indexedDB.open(name);
      request.addEventListener('error', () => resolve(null));
      request.addEventListener('success', () => {
        const own = request.result;
        const close = own.close.bind(own);
        own.close = () => {
          close();
          resolve(null);
        };
      });
      return request;
    },
  };
  script(
    place,
    { documentElement: { dataset: { been: 'yes' } } },
    { pathname, search: query && `?${query}` },
    opened,
  );
  return Promise.race([place.stoodLast ?? null, through]);
}

async function session(id = 'stair'): Promise<JobSession> {
  const opened = await store.open(id);
  if (!opened.ok) throw new Error('not opened');
  return new JobSession(opened.value, store);
}
async function keep(id = 'stair', at = AT): Promise<boolean> {
  const { revision, scene } = (await session(id)).snapshot();
  return keepStanding(db, { ...PAGE, at }, { of: 'job', job: id, revision, scene });
}
/** All that a page of the job can show of it. */
async function seen(): Promise<unknown> {
  const { design, record, scene, undo, redo, around } = (await session()).snapshot();
  return { design, record, scene, undo, redo, around, shop: await db.shop.toArray() };
}

/** Each way in which something that a page shows is changed; all but the last are carried out. */
const CHANGES: Readonly<Record<string, fc.Arbitrary<() => Promise<unknown>>>> = {
  'a command': fc.tuple(drawn, fc.nat(9)).map(([draw, of]) => async () => {
    const one = await session();
    const command = draw(one.snapshot().design, (list, index) => list[(index + of) % list.length]!);
    return one.send({ intent: 'commands', commands: [command] });
  }),
  'a note': fc.constantFrom('brass on the stair', 'asked twice').map(
    (text) => async () =>
      (await session()).send({
        intent: 'commands',
        commands: [
          { do: 'log', entry: { at: '2026-05-01T10:00:00.000Z', by: 'Mara', kind: 'note', says: text } },
        ],
      }),
  ),
  'an undo': fc.constant(async () => {
    const one = await session();
    await one.send({ intent: 'commands', commands: [{ do: 'rename job', name: 'Stairs' }] });
    await keep();
    return one.send({ intent: 'undo', seq: one.snapshot().undo?.seq ?? 0 });
  }),
  'a switch thrown': fc.constantFrom(true, false).map(
    (on) => async () =>
      (await session()).send({
        intent: 'scene',
        scene: { ...(await session()).snapshot().scene, openBreakers: on ? ['c7'] : [] },
      }),
  ),
  'the house': fc.constantFrom(15, 20).map(
    (breakerA) => () =>
      new HouseStore(db).run(DEMO_HOUSE.id, {
        do: 'set panel circuit',
        number: '7',
        change: { breakerA },
      }),
  ),
  'another job of the house': fc.constantFrom(400, 900).map((watts) => async () => {
    const one = await session('hall-console');
    const outlet = one.snapshot().design.devices.find(({ kind }) => kind.includes('duplex'));
    return one.send({
      intent: 'commands',
      commands: [{ do: 'set load', device: outlet?.id ?? '', part: 'upper', watts, continuous: false }],
    });
  }),
  'the shop': fc
    .constantFrom('2', '3.50')
    .map((price) => () => new ShopStore(db).run({ do: 'set', change: { prices: { staple: price } } })),
  'the job removed': fc.constant(() => store.remove('stair')),
  'started over': fc.constant(() => store.reset('stair')),
};

test('what stood last is found; after whatever changed what a page shows it is not', async () => {
  const ways = Object.entries(CHANGES).map(([name, way]) => way.map((run) => ({ name, run })));
  const changed = new Set<string>();
  await fc.assert(
    fc.asyncProperty(fc.oneof(...ways), async ({ name, run }) => {
      await store.openDemo('stair');
      // What was refused is told by the page that opens next.
      await store.refusals('stair');
      expect([name, await keep(), await db.journal.toArray()]).toEqual([name, true, []]);
      expect((await look())?.html).toBe(PAGE.html);
      const before = JSON.stringify(await seen());
      await run();
      const now = await seen().then(
        (own) => JSON.stringify(own),
        () => 'gone',
      );
      if (now === before) return;
      changed.add(name);
      expect([name, await look()]).toEqual([name, null]);
    }),
    { numRuns: draws(60, 300) },
  );
  expect([...changed].sort()).toEqual(Object.keys(CHANGES).sort());
});

test('what waits to be carried out, on the job or on the shop, leaves the page as it is', async () => {
  await keep();
  await writeDown(db, { on: 'shop', jobId: OF_SHOP, change: { do: 'set', change: { color: 'ivory' } } });
  expect(await look()).toBeNull();
  expect(await keep()).toBe(false);
});

test('a page that shows what is not stored is not kept', async () => {
  const { revision, scene } = (await session()).snapshot();
  const kept = await keepStanding(db, PAGE, {
    of: 'job',
    job: 'stair',
    revision: { ...revision, design: revision.design + 1 },
    scene,
  });
  expect([kept, await look()]).toEqual([false, null]);
});

test('a list stands as long as its jobs and houses are as they were', async () => {
  const jobs = (await store.list()).map(({ id, updatedAt }) => [id, updatedAt] as const);
  const keepList = () => keepStanding(db, { ...PAGE, at: '/' }, { of: 'list', jobs });
  expect(await keepList()).toBe(true);
  expect((await look('/'))?.html).toBe(PAGE.html);
  await (
    await session('hall-console')
  ).send({
    intent: 'commands',
    commands: [{ do: 'rename job', name: 'Hall shelf' }],
  });
  expect(await look('/')).toBeNull();
  expect(await keepList()).toBe(false);
});

test('of many pages the last ones are kept, each at its address', async () => {
  for (let index = 0; index < 30; index++) await keep('stair', `${AT}?box=${index}`);
  expect(await db.standing.count()).toBe(24);
  expect(await look(`${AT}?box=2`)).toBeNull();
  expect((await look(`${AT}?box=29`))?.at).toBe(`${AT}?box=29`);
});

test('a browser that has no store gets none by looking', async () => {
  await db.delete();
  expect(await look()).toBeNull();
  expect((await indexedDB.databases()).map(({ name }) => name)).not.toContain('split-tap');
});
