import { expect, type Page } from '@playwright/test';
import { test } from './alive';

const load = async (page: Page, name: string, text: string) => {
  await page.goto('/');
  await page
    .getByLabel('File to import')
    .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) });
};
const job = (change: (file: { version: number; job: Record<string, unknown> }) => void): string => {
  const file = {
    format: 'split-tap-job',
    version: 1,
    job: {
      id: 'bad',
      name: 'Bad',
      edition: '2020',
      circuits: [{ id: 'c', number: '1', breakerA: 20, leg: 'A' }],
      boxes: ['a', 'b'].map((id) => ({ id, name: id, family: 'nail-on', gangs: 1, volumeIn3: 20 })),
      runs: [
        { id: 'feed', from: 'panel', to: 'a', lengthFt: 20, circuits: ['c'] },
        { id: 'on', from: 'a', to: 'b', lengthFt: 20 },
      ],
      devices: [
        {
          id: 'outlet',
          box: 'b',
          gang: 0,
          kind: 'duplex',
          wants: {
            upper: { does: 'power', circuit: 'c', control: null },
            lower: { does: 'power', circuit: 'c', control: null },
          },
        },
      ],
      groups: [],
    } as Record<string, unknown>,
  };
  change(file);
  return JSON.stringify(file);
};

const CASES: [name: string, text: string, says: RegExp][] = [
  ['cut short', job(() => undefined).slice(0, 300), /not complete JSON \(it breaks off at line 1, column/],
  ['another kind', '{"rows": []}', /not a Split Tap job file/],
  [
    'a future version',
    job((file) => (file.version = 9)),
    /version 9; this program reads up to 4.*Update Split Tap/,
  ],
  [
    'a run that leads nowhere',
    job((file) => (file.job['runs'] as unknown[]).push({ id: 'back', from: 'b', to: 'b', lengthFt: 4 })),
    /job\.runs\[2\]: run "back" starts and ends in the same box/,
  ],
  [
    'an unknown device',
    job((file) => Object.assign((file.job['devices'] as object[])[0] ?? {}, { kind: 'teleporter' })),
    /job\.devices\[0\]\.kind: must be "duplex"/,
  ],
  ['10 MB of junk', 'x'.repeat(10_000_000), /10,000,000 characters; a job file has at most 2,000,000/],
];

test(
  'a bad file says what, where and the way out, and changes nothing',
  { tag: '@once' },
  async ({ page }) => {
    for (const [name, text, says] of CASES)
      await test.step(name, async () => {
        await load(page, 'bad.json', text);
        await expect(page.locator('[data-notice]')).toContainText(says);
        await expect(page).toHaveURL(/\/$/);
        await page.reload();
        await expect(page.getByRole('heading', { name: 'Jobs in no house' })).toHaveCount(0);
      });
  },
);

test('a name with HTML in it is shown as text; nothing runs', { tag: '@once' }, async ({ page }) => {
  const dialogs: string[] = [];
  page.on('dialog', (dialog) => {
    dialogs.push(dialog.message());
    void dialog.dismiss();
  });
  const name = '<img src=x onerror=alert(1)><b>Shelf</b>';
  await load(
    page,
    'html.json',
    job((file) => (file.job['name'] = name)),
  );
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(name);
  await expect(page.locator('h1 img, h1 b')).toHaveCount(0);
  expect(dialogs).toEqual([]);
});

test(
  'an address of no job and an address of no page say so and lead home',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/job/no-such-job/lay-out');
    await expect(page.getByRole('heading', { name: 'This job cannot be opened' })).toBeVisible();
    await page.getByRole('link', { name: 'Home page', exact: true }).click();
    await expect(page.getByRole('link', { name: 'New job' })).toBeVisible();
    await page.goto('/nowhere/at/all');
    await expect(page.getByRole('heading', { name: 'There is no page at this address' })).toBeVisible();
  },
);

test('a form that is filled in wrongly keeps its page and says why', { tag: '@once' }, async ({ page }) => {
  await page.goto('/new?start=two-circuits');
  await page.getByLabel('Circuit number 2').fill('1');
  await page.locator('form').evaluate((form: HTMLFormElement) => (form.noValidate = true));
  await page.getByRole('button', { name: 'Show the make-up' }).click();
  await expect(page.getByRole('alert')).toContainText('two circuits need two numbers');
});
