import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { test } from './alive';

const OLD = JSON.parse(readFileSync('core/testing/old-stores/v2-stair.splittap.json', 'utf8')) as {
  design: object;
  record: object;
};

/** Stores of a version as the browser has them: a store by name, its key, its indexes. */
type Stores = Readonly<Record<string, { readonly key: string | null; readonly indexes: readonly string[] }>>;
const V2: Stores = {
  jobs: { key: 'id', indexes: [] },
  records: { key: 'id', indexes: [] },
  summaries: { key: 'id', indexes: ['updatedAt'] },
  history: { key: '[jobId+seq]', indexes: ['jobId'] },
  scenes: { key: 'jobId', indexes: [] },
  journal: { key: null, indexes: ['jobId'] },
};
const V1: Stores = {
  jobs: { key: 'id', indexes: ['updatedAt'] },
  history: { key: '[jobId+seq]', indexes: ['jobId'] },
  scenes: { key: 'jobId', indexes: [] },
};
const V3: Stores = {
  ...V2,
  drills: { key: null, indexes: ['at'] },
  shop: { key: 'id', indexes: [] },
};

/** A database of an earlier version, made before the app is first opened. */
async function leftBehind(
  page: Page,
  version: number,
  stores: Stores,
  rows: Readonly<Record<string, readonly object[]>>,
): Promise<void> {
  await page.goto('/icon.svg');
  await page.evaluate(
    async ([number, shape, kept]) => {
      const asked = indexedDB.open('split-tap', number * 10);
      asked.onupgradeneeded = () => {
        for (const [name, { key, indexes }] of Object.entries(shape)) {
          const store = asked.result.createObjectStore(
            name,
            key === null
              ? { keyPath: 'seq', autoIncrement: true }
              : { keyPath: key.startsWith('[') ? key.slice(1, -1).split('+') : key },
          );
          for (const index of indexes) store.createIndex(index, index);
        }
      };
      const db = await new Promise<IDBDatabase>((resolve, reject) => {
        asked.onsuccess = () => resolve(asked.result);
        asked.onerror = () => reject(new Error('not made'));
      });
      const tx = db.transaction(Object.keys(kept), 'readwrite');
      for (const [name, own] of Object.entries(kept)) for (const row of own) tx.objectStore(name).put(row);
      await new Promise<void>((resolve) => {
        tx.oncomplete = () => resolve();
      });
      db.close();
    },
    [version, stores, rows] as const,
  );
}

const own = { ...OLD.design, id: 'mine', name: 'Mine' };
const now = {
  jobs: [{ id: 'mine', design: own, cursor: 0, revision: 3 }],
  records: [{ id: 'mine', record: OLD.record, revision: 1 }],
  summaries: [{ id: 'mine', name: 'Mine', site: '', updatedAt: 5 }],
};

for (const [version, stores, rows] of [
  [
    1,
    V1,
    { jobs: [{ id: 'mine', job: { ...own, ...OLD.record, tests: undefined }, cursor: 0, updatedAt: 5 }] },
  ],
  [2, V2, now],
  [3, V3, now],
] as const)
  test(
    `jobs that version ${version} of the store has left are listed, open and can be changed`,
    { tag: '@once' },
    async ({ page }) => {
      await leftBehind(page, version, stores, JSON.parse(JSON.stringify(rows)) as typeof rows);
      await page.goto('/');
      await page.getByRole('link', { name: 'Mine' }).click();
      await expect(page.getByRole('heading', { level: 1, name: 'Mine' })).toBeVisible();
      await expect(page.locator('[data-answer]')).toContainText('ft');
      await page.getByRole('link', { name: /Record/ }).click();
      await page.getByLabel('Add a note').fill('still here');
      await page.getByRole('button', { name: 'Add note' }).click();
      await expect(page.locator('[data-entry]')).toContainText('still here');
    },
  );

test(
  'a record that is damaged is named, can be saved as it is, and keeps nothing else from opening',
  { tag: '@once' },
  async ({ page }) => {
    await leftBehind(page, 3, V3, {
      jobs: [
        ...now.jobs,
        { id: 'broken', design: { name: 'Broken', boxes: 'none' }, cursor: 0, revision: 1 },
      ],
      records: now.records,
      summaries: [...now.summaries, { id: 'broken', name: 'Broken', site: '', updatedAt: 6 }],
    });
    await page.goto('/');
    await page.getByRole('link', { name: 'Broken' }).click();
    await expect(page.getByText('This job cannot be opened')).toBeVisible();
    const saving = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Download the saved data' }).click();
    expect(readFileSync(await (await saving).path(), 'utf8')).toContain('"boxes": "none"');
    await page.goto('/');
    await page.getByRole('link', { name: 'Mine' }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Mine' })).toBeVisible();
    // A backup takes what can be read, and says what it left.
    await page.goto('/');
    const backup = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Back up everything' }).click();
    await backup;
    await expect(page.locator('[data-notice]')).toContainText('broken');
  },
);
