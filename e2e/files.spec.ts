import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { test } from './alive';
import { exportJob } from './export-job';
import { keptOffline, stored } from './stored';

const STAGES = [
  'brief',
  'plan',
  'find',
  'lay-out',
  'options',
  'check',
  'make-up',
  'energize',
  'test',
  'take-off',
  'day',
  'record',
  'print',
] as const;

const dialogOf = (page: Page) => page.getByRole('alertdialog');
const home = async (page: Page) => {
  await page.goto('/');
  await expect(page.getByRole('button', { name: 'Import' })).toBeVisible();
};
const give = (page: Page, file: Parameters<ReturnType<Page['getByLabel']>['setInputFiles']>[0]) =>
  page.getByLabel('File to import').setInputFiles(file);

/** A job of one's own, changed once. */
async function ownJob(page: Page, name: string): Promise<void> {
  await page.goto('/new?start=half-switched');
  await page.getByLabel('Name of the job').fill(name);
  await page.getByRole('button', { name: 'Show the make-up' }).click();
  await stored(page);
}

test(
  'everything goes out as one file and comes into another browser; what is there already is told, and chosen',
  { tag: '@once' },
  async ({ page, browser }) => {
    await ownJob(page, 'Porch');
    await home(page);
    await expect(page.locator('[data-backup]')).toContainText(
      'Never backed up: 1 job is in this browser alone.',
    );
    const saving = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Back up everything' }).click();
    const file = await (await saving).path();
    await expect(page.locator('[data-backup]')).toContainText('Last backup today. Nothing changed since.');

    const other = await (await browser.newContext()).newPage();
    await home(other);
    const zip = { name: 'all.splittap.zip', mimeType: 'application/zip', buffer: readFileSync(file) };
    await give(other, zip);
    // One job that is new opens at once.
    await expect(other).toHaveURL(/\/job\/porch\/lay-out/);
    await other.goto('/job/porch/lay-out');
    await other.getByText('Circuits and names').click();
    await other.getByLabel('Job', { exact: true }).fill('Porch, front');
    await other.getByLabel('Job', { exact: true }).press('Enter');
    await stored(other);
    await home(other);
    await give(other, zip);
    await expect(dialogOf(other)).toContainText('0 new, 1 changed, 0 the same as here.');
    await expect(dialogOf(other)).toContainText('older than here');
    await dialogOf(other).getByLabel('Porch: what to do').selectOption('replace');
    await dialogOf(other).getByRole('button', { name: 'Import', exact: true }).click();
    await expect(other).toHaveURL(/\/job\/porch\/lay-out/);
    await expect(other.getByRole('heading', { level: 1, name: 'Porch', exact: true })).toBeVisible();
    // What was replaced is kept for a day.
    await home(other);
    await expect(other.getByText('Porch, front,')).toBeVisible();
  },
);

test('a job that is removed can be put back for a day', { tag: '@once' }, async ({ page }) => {
  await ownJob(page, 'Shed');
  await home(page);
  await page.getByRole('button', { name: 'Remove Shed' }).click();
  await dialogOf(page).getByRole('button', { name: 'Leave it as it is' }).click();
  await expect(page.getByRole('link', { name: 'Shed' })).toBeVisible();
  // A second tap of the same finger asks nothing: it is tapped until it is one of its own.
  await expect(async () => {
    await page.getByRole('button', { name: 'Remove Shed' }).click();
    await dialogOf(page).getByRole('button', { name: 'Remove it' }).click({ timeout: 500 });
  }).toPass();
  await expect(page.getByRole('link', { name: 'Shed' })).toBeHidden();
  await page.getByRole('button', { name: 'Put back' }).click();
  await page.getByRole('link', { name: 'Shed' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Shed' })).toBeVisible();
});

test(
  'a file dropped on any page is taken in; what is no file of ours is told by what it is',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/job/stair/lay-out');
    const file = await exportJob(page);
    const text = readFileSync(file, 'utf8')
      .replace('"id": "stair"', '"id": "cellar"')
      .replace('"name": "Stair"', '"name": "Cellar"');
    const drop = (name: string, content: string) =>
      page.evaluate(
        ([called, inside]) => {
          const data = new DataTransfer();
          data.items.add(new File([inside!], called!));
          window.dispatchEvent(new DragEvent('drop', { dataTransfer: data, cancelable: true }));
        },
        [name, content],
      );
    await drop(
      'photo.svg',
      '<svg xmlns="http://www.w3.org/2000/svg"><script>document.title="owned"</script></svg>',
    );
    await expect(page.locator('[data-notice]')).toContainText('photo.svg');
    await drop('cellar.splittap.json', text);
    await expect(page).toHaveURL(/\/job\/cellar\/lay-out/);
    await expect(page).not.toHaveTitle(/owned/);
  },
);

test(
  'a house goes out with its jobs and comes in beside the one that is there',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/house/alder-court-12');
    await expect(page.locator('[data-answer]')).toBeVisible();
    const file = await exportJob(page, 'Export house');
    const text = readFileSync(file, 'utf8').replace('"spaces": 24', '"spaces": 30');
    await home(page);
    await give(page, {
      name: 'alder.splittap-house.json',
      mimeType: 'application/json',
      buffer: Buffer.from(text),
    });
    await expect(dialogOf(page)).toContainText('0 new, 1 changed, 8 the same as here.');
    await expect(dialogOf(page)).toContainText('goes on from what is here');
    await expect(dialogOf(page)).toContainText('Spaces');
    await dialogOf(page).getByRole('button', { name: 'Import nothing' }).click();
    await expect(page.getByRole('heading', { name: /Alder Court 12/ })).toHaveCount(1);
  },
);

test(
  'where there is no room left, the change is refused with the way out, and the job stays readable',
  { tag: '@once' },
  async ({ page }) => {
    await ownJob(page, 'Full');
    await page.goto('/job/full/record');
    await page.getByLabel('Add a note').fill('before');
    await page.getByRole('button', { name: 'Add note' }).click();
    await stored(page);
    // What a browser does that has no room left.
    await page.evaluate(() => {
      IDBObjectStore.prototype.add = () => {
        throw new DOMException('full', 'QuotaExceededError');
      };
    });
    await page.getByLabel('Add a note').fill('there is no room for this');
    await page.getByRole('button', { name: 'Add note' }).click();
    await expect(page.locator('[data-notice]')).toContainText('no room left in this browser');
    await expect(page.locator('[data-entry]')).toHaveCount(1);
    await expect(page.locator('[data-entry]')).toContainText('before');
    await page.reload();
    await expect(page.locator('[data-entry]')).toHaveCount(1);
  },
);

test('a folder that was chosen is backed up into by itself', { tag: '@once' }, async ({ page }) => {
  await ownJob(page, 'Barn');
  // The browser's own folder stands for one that a person chooses.
  await page.addInitScript(() => {
    Reflect.set(window, 'showDirectoryPicker', () => navigator.storage.getDirectory());
  });
  await home(page);
  await page.getByRole('button', { name: 'Back up into a folder by itself' }).click();
  await expect(page.locator('[data-notice]')).toContainText('Backed up:');
  const names = () =>
    page.evaluate(async () => {
      const folder = (await navigator.storage.getDirectory()) as unknown as {
        keys: () => AsyncIterable<string>;
      };
      const all: string[] = [];
      for await (const name of folder.keys()) all.push(name);
      return all;
    });
  expect((await names()).filter((name) => name.endsWith('.splittap.zip'))).toHaveLength(1);
});

test('a job that was opened from a file is saved back into it', { tag: '@once' }, async ({ page }) => {
  await page.goto('/job/stair/lay-out');
  const text = readFileSync(await exportJob(page), 'utf8')
    .replace('"id": "stair"', '"id": "cellar"')
    .replace('"name": "Stair"', '"name": "Cellar"');
  // The browser's own folder stands for the user's disk, the page for the platform that opens a file with the app.
  await page.addInitScript(() => {
    Object.defineProperty(window, 'launchQueue', {
      value: {
        setConsumer: (consumer: unknown) => {
          Reflect.set(window, 'openWith', consumer);
        },
      },
    });
  });
  await page.goto('/');
  await expect(page.getByRole('button', { name: 'Import' })).toBeVisible();
  await expect.poll(() => page.evaluate(() => Reflect.has(window, 'openWith'))).toBe(true);
  await page.evaluate(async (content) => {
    const folder = await navigator.storage.getDirectory();
    const file = await folder.getFileHandle('cellar.splittap.json', { create: true });
    const stream = await file.createWritable();
    await stream.write(content);
    await stream.close();
    (Reflect.get(window, 'openWith') as (launched: object) => void)({ files: [file] });
  }, text);
  await expect(page).toHaveURL(/\/job\/cellar\/lay-out/);
  await page.getByText('Circuits and names').click();
  await page.getByLabel('Job', { exact: true }).fill('Cellar stair');
  await page.getByLabel('Job', { exact: true }).press('Enter');
  await stored(page);
  await page.getByRole('banner').getByRole('button', { name: 'More' }).click();
  await page.getByRole('menuitem', { name: /Save back/ }).click();
  await expect(page.locator('[data-notice]')).toContainText('Saved back');
  const inside = await page.evaluate(async () => {
    const folder = await navigator.storage.getDirectory();
    return (await (await folder.getFileHandle('cellar.splittap.json')).getFile()).text();
  });
  expect(inside).toContain('"name": "Cellar stair"');
});

test.describe('with its copy for offline', () => {
  test.use({ serviceWorkers: 'allow' });
  test(
    'what is shared to the installed app is taken in; a photo and the packet are there without a network',
    { tag: '@once' },
    async ({ page, context }) => {
      await page.goto('/job/stair/record');
      await keptOffline(page);
      const picture = await page.evaluate(() => {
        const canvas = document.createElement('canvas');
        canvas.width = 40;
        canvas.height = 30;
        return canvas.toDataURL('image/png').split(',')[1]!;
      });
      await page
        .getByLabel('Choose photos')
        .setInputFiles({ name: 'box.png', mimeType: 'image/png', buffer: Buffer.from(picture, 'base64') });
      await expect(page.locator('[data-photo] img')).toBeVisible();
      await stored(page);
      await context.setOffline(true);
      await page.reload();
      await expect(page.locator('[data-photo] img')).toBeVisible();
      expect(
        await page.locator('[data-photo] img').evaluate((image) => (image as HTMLImageElement).naturalWidth),
      ).toBe(40);
      for (const stage of STAGES) {
        await page.goto(`/job/stair/${stage}`);
        await expect(page.getByRole('heading', { level: 1, name: 'Stair' })).toBeVisible();
        await expect(page.getByRole('main').last()).not.toBeEmpty();
        await expect(page.getByText('This stage broke')).toHaveCount(0);
      }
      for (const other of [
        '/house/alder-court-12',
        '/house/alder-court-12/take-off',
        '/tables',
        '/drills',
        '/new',
      ]) {
        await page.goto(other);
        await expect(page.getByRole('main').last()).not.toBeEmpty();
      }
      await page.goto('/job/stair/record');
      await page.getByRole('link', { name: 'Packet and owner’s sheet' }).click();
      await expect(page.locator('[data-section="cover"]')).toContainText('Verified');
      const saving = page.waitForEvent('download');
      await page.getByRole('button', { name: 'Save as PDF' }).click();
      expect(
        readFileSync(await (await saving).path())
          .subarray(0, 5)
          .toString(),
      ).toBe('%PDF-');
      await context.setOffline(false);

      const text = readFileSync(await exportAgain(page), 'utf8').replace(
        '"id": "stair"',
        '"id": "shared-job"',
      );
      await page.evaluate(async (content) => {
        const form = new FormData();
        form.set('file', new File([content], 'shared.splittap.json'));
        await fetch('/share', { method: 'POST', body: form, redirect: 'manual' });
      }, text);
      await page.goto('/?shared');
      await expect(page).toHaveURL(/\/job\/shared-job\/lay-out/);
    },
  );
});

async function exportAgain(page: Page): Promise<string> {
  await page.goto('/job/stair/lay-out');
  return exportJob(page);
}
