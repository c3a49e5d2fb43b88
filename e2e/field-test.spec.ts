import { expect, type Page } from '@playwright/test';
import { test } from './alive';
import { expectClean } from './clean';

const JOB = '/job/sunroom-plant-shelf/test';
const cards = (page: Page) => page.locator('li [data-test]');
const answer = (page: Page) => page.locator('[data-answer]');

/** Reads every test of the script as it must be. */
async function readAll(page: Page, from = 0): Promise<void> {
  const count = await cards(page).count();
  for (let index = from; index < count; index++) {
    const card = cards(page).nth(index);
    const must = (await card.getByText(/^Must show: /).innerText()).slice('Must show: '.length);
    await card.getByRole('button', { name: must, exact: true }).click();
    await expect(card).toHaveAttribute('data-read', 'fits');
  }
}

test(
  'the shortest script, read as it must be, passes the work; the readings are kept',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto(JOB);
    await expect(answer(page)).toContainText('5 tests before the covers');
    await readAll(page);
    const first = 'All 5 tests before the covers as they must be. Not told yet: 4 mistakes.';
    await expect(answer(page)).toHaveText(first);
    await expect(page.locator('[data-untold]')).toContainText('Ground open at a splice or screw (2 places)');
    await page.reload();
    await expect(answer(page)).toHaveText(first);
    // What only a heavier test tells is asked for by whoever wants it.
    await page.getByText('Full proof: 3 tests more').click();
    await expect(cards(page)).toHaveCount(8);
    await readAll(page, 5);
    await expect(answer(page)).toHaveText(
      'All 8 tests of the full proof read, all as they must be: the work is as planned.',
    );
  },
);

test(
  'a reading that does not fit names the mistake with its fix, and the next test settles it',
  { tag: '@tablet' },
  async ({ page }) => {
    await page.goto(JOB);
    await expect(cards(page)).toHaveCount(5);
    await cards(page).first().getByRole('button', { name: '● ○ ● hot and neutral swapped' }).click();
    await expect(answer(page)).toContainText('1 does not fit');
    const suspects = page.getByRole('region', { name: 'What it may be' });
    await expect(suspects).toContainText(
      'Hot and neutral swapped at a device: the duplex receptacle at Plant shelf',
    );
    await expect(suspects).toContainText('Fix: Land the white on silver and the hot on brass.');
    const next = page.locator('[data-next]');
    await expect(next.getByRole('heading')).toHaveText('Retest this one');
    await next.getByRole('button', { name: '● ○ ● hot and neutral swapped' }).click();
    await expect(suspects.getByRole('listitem').first()).toContainText('Hot and neutral swapped');
    await cards(page).first().getByRole('button', { name: 'Read again' }).click();
    await expect(suspects).toHaveCount(0);
  },
);

test('axe finds nothing on the script, read and unread, in either theme', async ({ page }) => {
  await page.goto(JOB);
  await expect(cards(page)).toHaveCount(5);
  await cards(page).first().getByRole('button').nth(1).click();
  await expect(page.getByRole('region', { name: 'What it may be' })).toBeVisible();
  await expectClean(page);
});

test('the script is read by keyboard alone', { tag: '@once' }, async ({ page }) => {
  await page.goto(JOB);
  await expect(cards(page)).toHaveCount(5);
  const first = cards(page).first();
  await first.getByRole('button').first().focus();
  await page.keyboard.press('Enter');
  await expect(first).toHaveAttribute('data-read', 'fits');
});

test(
  'something is wrong, without an instrument: what is seen names what it may be, lit in its box; taken back it is gone',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto(JOB);
    await expect(cards(page)).toHaveCount(5);
    await page.getByText('Something is wrong: say what you see').click();
    await page
      .getByRole('button', { name: 'Plant shelf, lower half stays on, whatever the switches do' })
      .click();
    await expect(page.locator('[data-seen]')).toContainText('Seen: Plant shelf, lower half stays on');
    const suspects = page.getByRole('region', { name: 'What it may be' });
    await expect(suspects).toHaveAttribute('data-verdict', 'open');
    await expect(suspects).toContainText(
      'Hot tab left whole on a split outlet: the duplex receptacle at Plant shelf',
    );
    await expect(suspects.getByRole('group', { name: 'Plant shelf, what to look at' })).toBeVisible();
    await expect(page.locator('[data-next]')).toBeVisible();
    await expectClean(page, ['light']);
    await page.getByRole('button', { name: 'Take back' }).click();
    await expect(suspects).toHaveCount(0);
  },
);
