import { readFileSync } from 'node:fs';
import { expect, type Browser, type Page } from '@playwright/test';
import { test } from './alive';
import { exportJob, fromBar, isPhone } from './export-job';
import { stored } from './stored';

const JOB = 'hall-console';

/** Another device: a browser of its own. */
async function device(browser: Browser, baseURL: string | undefined, like: Page): Promise<Page> {
  const context = await browser.newContext({
    baseURL: baseURL ?? '',
    viewport: like.viewportSize(),
    serviceWorkers: 'block',
  });
  return context.newPage();
}

async function open(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await page.locator('[data-standing]').waitFor({ state: 'detached' });
}

const named = (page: Page, name: string) =>
  page.addInitScript((who) => localStorage.setItem('splitTapWho', who), name);

/** Gives the job as a file; takes a file in on the home page, up to what comes together. */
const given = async (page: Page): Promise<string> => {
  await open(page, `/job/${JOB}/lay-out`);
  return exportJob(page);
};
async function taking(page: Page, file: string) {
  await open(page, '/');
  await page.getByLabel('File to import').setInputFiles(file);
  const dialog = page.getByRole('alertdialog');
  await dialog.locator('[data-incoming]').first().waitFor();
  return dialog;
}
/** One new job alone opens at once. */
async function begins(page: Page, file: string): Promise<void> {
  await open(page, '/');
  await page.getByLabel('File to import').setInputFiles(file);
  await page.waitForURL(/lay-out/);
}
const job = (page: Page) => page.getByRole('alertdialog').locator('[data-incoming]').last();

async function renames(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name: 'Rename Console', exact: true }).click();
  const field = page.getByRole('textbox', { name: 'Rename Console' });
  await field.fill(name);
  await field.press('Enter');
  await stored(page);
}

async function checkOff(page: Page, count: number): Promise<void> {
  await open(page, `/job/${JOB}/make-up?box=hall-switch`);
  for (let tick = 0; tick < count; tick++)
    await page
      .getByRole('button', { name: /^Check off:|^Done$/ })
      .filter({ visible: true })
      .first()
      .click();
  await stored(page);
}

/** What a device has of the job, without what names and times it has of its own. */
async function content(page: Page): Promise<unknown> {
  const { design, record } = JSON.parse(readFileSync(await given(page), 'utf8')) as {
    design: object;
    record: { log: object[] };
  };
  return { design, record };
}

test(
  'two devices: the plan changed on one, check-offs and a photo on the other, both given both ways; equal in the end',
  { tag: '@once' },
  async ({ page: mara, browser, baseURL }) => {
    await named(mara, 'Mara');
    const theo = await device(browser, baseURL, mara);
    await named(theo, 'Theo');
    // Theo has none of it yet.
    await begins(theo, await given(mara));

    await open(mara, `/job/${JOB}/lay-out`);
    await renames(mara, 'Shelf console');
    await checkOff(theo, 2);
    await open(theo, `/job/${JOB}/record`);
    await theo.getByLabel('Choose photos').setInputFiles({
      name: 'box.png',
      mimeType: 'image/png',
      // One pixel.
      buffer: Buffer.from(
        'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
        'base64',
      ),
    });
    await expect(theo.locator('[data-photo]')).toHaveCount(1);
    await stored(theo);

    // Theo's comes to Mara: nothing is here before it was seen.
    const dialog = await taking(mara, await exportJob(theo, 'Export with photos'));
    await expect(job(mara)).toHaveAttribute('data-incoming', 'apart');
    await expect(job(mara).locator('[data-came]')).toContainText('2 check-offs');
    await expect(job(mara).locator('[data-came]')).toContainText('one photo');
    await expect(job(mara)).toContainText('What came in from Theo:');
    await expect(job(mara).locator('[data-effect="true"]')).toBeVisible();
    await dialog.getByRole('button', { name: 'Import', exact: true }).click();
    await mara.waitForURL(/lay-out/);
    await open(mara, `/job/${JOB}/record`);
    await expect(mara.locator('[data-photo] img')).toBeVisible();
    await expect(mara.getByText('From Theo:').first()).toBeVisible();

    // And back: Mara's goes on from Theo's.
    await taking(theo, await given(mara));
    await expect(job(theo)).toHaveAttribute('data-incoming', 'ahead');
    await expect(job(theo).locator('[data-came]')).toContainText('Shelf console');
    await theo.getByRole('alertdialog').getByRole('button', { name: 'Import', exact: true }).click();
    await theo.waitForURL(/lay-out/);
    await expect(theo.getByText('Shelf console').first()).toBeVisible();
    const [one, other] = [await content(mara), await content(theo)];
    // The log of whoever took something in says so, and what other jobs of a house add is none of its own; all else is equal.
    const plain = (value: unknown): unknown =>
      JSON.parse(JSON.stringify(value), (field, own: unknown) =>
        field === 'others'
          ? null
          : field === 'log' && Array.isArray(own)
            ? own.filter((entry: { says: string }) => !entry.says.startsWith('From ')).length
            : own,
      );
    expect(plain(one)).toEqual(plain(other));

    // What came in is taken back: the rename is Mara's, and gone again here.
    await fromDots(theo, 'Take back what came from Mara');
    await expect(theo.getByText('Console', { exact: true }).first()).toBeVisible();
    await theo.context().close();
  },
);

/** A tool that is rare stands behind the dots on every screen. */
async function fromDots(page: Page, name: string): Promise<void> {
  await open(page, `/job/${JOB}/lay-out`);
  const item = page.getByRole('menuitem', { name });
  await expect(async () => {
    await page.keyboard.press('Escape');
    await page.getByRole('banner').getByRole('button', { name: 'More' }).click();
    await expect(item).toBeVisible({ timeout: 1500 });
  }).toPass();
  await item.click();
}

test('what both changed is a pair, one tap each; nothing is imported before it is chosen', async ({
  page: mara,
  browser,
  baseURL,
}) => {
  test.skip(!isPhone(mara), 'crews hold phones');
  const theo = await device(browser, baseURL, mara);
  await begins(theo, await given(mara));
  for (const [page, name] of [
    [mara, 'By the door'],
    [theo, 'At the stair'],
  ] as const) {
    await open(page, `/job/${JOB}/lay-out`);
    await renames(page, name);
  }
  const dialog = await taking(mara, await given(theo));
  const take = dialog.getByRole('button', { name: 'Import', exact: true });
  const conflict = job(mara).locator('[data-conflict]');
  await expect(conflict).toHaveAttribute('data-conflict', 'open');
  await expect(take).toBeDisabled();
  await conflict.getByRole('button', { name: /At the stair/ }).click();
  await expect(conflict).toHaveAttribute('data-conflict', 'theirs');
  await take.click();
  await mara.waitForURL(/lay-out/);
  await expect(mara.getByText('At the stair').first()).toBeVisible();
  await theo.context().close();
});

test(
  'as light: the camera of one reads the codes of the other, no network between them',
  { tag: '@once' },
  async ({ page: mara, browser, baseURL }) => {
    const theo = await device(browser, baseURL, mara);
    // What stands before Theo's camera: a canvas that is painted with what Mara's screen shows.
    await theo.addInitScript(() => {
      const canvas = document.createElement('canvas');
      [canvas.width, canvas.height] = [900, 900];
      const seen = canvas.getContext('2d');
      Reflect.set(window, 'see', (url: string) => {
        const picture = new Image();
        picture.onload = () => {
          if (!seen) return;
          seen.fillStyle = '#888';
          seen.fillRect(0, 0, 900, 900);
          seen.imageSmoothingEnabled = false;
          seen.drawImage(picture, 60, 60, 780, 780);
        };
        picture.src = url;
      });
      navigator.mediaDevices.getUserMedia = () => Promise.resolve(canvas.captureStream(15));
    });
    await checkOff(mara, 1);
    await open(mara, '/house/alder-court-12');
    await fromBar(mara, 'Give');
    await mara.getByRole('button', { name: 'As light, screen to camera' }).click();
    const shown = mara.locator('canvas[data-light]');
    await expect(shown).not.toHaveAttribute('data-light', '0');
    await open(theo, '/');
    await theo.getByRole('button', { name: 'Take by camera' }).click();
    const dialog = theo.getByRole('alertdialog');
    await expect(async () => {
      const url = await shown.evaluate((canvas: HTMLCanvasElement) => canvas.toDataURL());
      await theo.evaluate((picture) => (Reflect.get(window, 'see') as (url: string) => void)(picture), url);
      await expect(dialog).toBeVisible({ timeout: 60 });
    }).toPass({ intervals: [20] });
    await expect(dialog).toContainText('9 new');
    await dialog.getByRole('button', { name: 'Import', exact: true }).click();
    await expect(theo.getByText('jobs were taken in').first()).toBeVisible();
    await open(theo, `/job/${JOB}/make-up?box=hall-switch`);
    await expect(theo.locator('[data-step="done"]').first()).toBeVisible();
    await theo.context().close();
  },
);
