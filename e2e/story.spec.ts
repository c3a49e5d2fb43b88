import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { test } from './alive';
import { exportJob, isPhone } from './export-job';
import { stored } from './stored';

const open = async (page: Page) => {
  await page.goto('/');
  await page.getByRole('link', { name: /Sunroom plant shelf/ }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Sunroom plant shelf' })).toBeVisible();
};
const answer = (page: Page) => page.locator('[data-answer]');

test('from a wish to a proven outlet', { tag: '@tablet' }, async ({ page }) => {
  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(error.message));
  await open(page);

  // The answer is there at once, without scrolling.
  await expect(answer(page)).toHaveText('Pull 12-3, 18 ft. Break the brass tab.');
  await expect(answer(page)).toBeInViewport();
  await expect(page.locator('[data-fill]')).toHaveAttribute('data-fill', '13.50');
  await expect(page.locator('[data-load]')).toContainText('890 of 2400 VA');

  // Feed at the outlet: the splices move there, and so does the fill.
  await page.getByRole('radio', { name: 'Plant shelf' }).click();
  await expect(page.locator('[data-fill]')).toHaveAttribute('data-fill', '18.00');
  await expect(page.locator('[data-run="feed"]')).toContainText('12-2');
  await expect(page.locator('[data-run="shelf-run"]')).toContainText('12-3');

  // Both halves from the switch: the tab stays whole and the run still takes three wires.
  await page
    .getByRole('radiogroup', { name: 'Upper half' })
    .getByRole('radio', { name: /garden door switch/ })
    .click();
  await expect(answer(page)).toContainText('All tabs stay whole.');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(answer(page)).toContainText('Break the brass tab.');
  await page.getByRole('button', { name: /^Redo/ }).click();
  await expect(answer(page)).toContainText('All tabs stay whole.');
  await page.getByRole('button', { name: /^Undo/ }).click();

  // The make-up of the open box, step by step.
  await page.getByRole('link', { name: /Make up/ }).click();
  await expect(page.getByRole('group', { name: 'The open box at Plant shelf' })).toBeVisible();
  const step = page.getByRole('button', { name: /^Break the tab between the brass screws only/ });
  await step.click();
  await expect(page.getByText('a whole tab would join them')).toBeVisible();
  await expect(page.getByText('broken', { exact: true })).toBeVisible();

  // Energize: flick the switch in the drawing, plug in, measure.
  await page.getByRole('link', { name: /Energize/ }).click();
  await expect(answer(page)).toContainText('Verified: works as intended in both switch positions');
  const shelf = page.getByRole('group', { name: 'Plant shelf, energized' });
  await page.getByRole('button', { name: 'Lamp', exact: true }).click();
  await shelf.getByRole('button', { name: /lower half/ }).click();
  await expect(shelf.getByRole('button', { name: 'lower half, dead' })).toBeVisible();
  await page.getByRole('button', { name: 'single-pole switch, off' }).click();
  await expect(shelf.getByRole('button', { name: 'lower half, live' })).toBeVisible();
  await page.getByRole('button', { name: 'Tester' }).click();
  await shelf.getByRole('button', { name: /upper half/ }).click();
  await expect(page.locator('[data-tester]')).toContainText('correct');

  await page.getByRole('button', { name: 'Meter', exact: true }).click();
  await shelf.getByRole('button', { name: 'upper brass screw' }).click();
  await shelf.getByRole('button', { name: 'upper silver screw' }).click();
  await expect(page.locator('[data-meter]')).toHaveText(/^1(19|20)\.\d V$/);

  await page.getByRole('switch', { name: 'Breaker 14' }).first().click();
  await expect(shelf.getByRole('button', { name: 'upper half, dead' })).toBeVisible();
  await expect(page.locator('[data-meter]')).toHaveText(/Ghost|0\.0 V/);

  const rows = page.locator('[data-proof] tbody tr');
  await expect(rows).toHaveCount(2);
  await expect(rows.nth(0)).toContainText('off');
  await expect(rows.nth(0)).toContainText('dead');
  await expect(rows.nth(1)).not.toContainText('dead');

  // Close the tab, come back: all is there.
  await stored(page);
  await page.reload();
  await expect(page.getByRole('switch', { name: 'Breaker 14' }).first()).not.toBeChecked();
  await expect(shelf.getByRole('button', { name: 'upper half, dead' })).toBeVisible();
  await page.getByRole('link', { name: /Lay out/ }).click();
  await expect(page.getByRole('radio', { name: 'Plant shelf' })).toBeChecked();
  expect(errors).toEqual([]);
});

test('a new half-switched outlet in at most 8 taps', async ({ page }) => {
  let taps = 0;
  const tap = async (role: 'link' | 'button' | 'radio', name: string) => {
    taps++;
    await page.getByRole(role, { name, exact: true }).first().click();
  };
  await page.goto('/');
  await tap('link', 'New job');
  await tap('link', 'Half-switched outlet One half from a switch, the other always on.');
  await tap('radio', 'at the outlet');
  await tap('radio', '15 A');
  await tap('button', 'Show the make-up');
  await expect(answer(page)).toHaveText('Pull 14-3, 15 ft. Break the brass tab.');
  await expect(page.getByRole('group', { name: 'The open box at Outlet' })).toBeVisible();
  expect(taps).toBeLessThanOrEqual(8);
});

test('an exported job comes back from its file', { tag: '@once' }, async ({ page, browser }) => {
  await open(page);
  await page.getByRole('radio', { name: 'Plant shelf' }).click();
  await expect(page.locator('[data-fill]')).toHaveAttribute('data-fill', '18.00');
  const file = await exportJob(page);
  expect(JSON.parse(readFileSync(file, 'utf8'))).toMatchObject({ format: 'split-tap-job', version: 4 });

  const elsewhere = await browser.newContext({ viewport: page.viewportSize() });
  const other = await elsewhere.newPage();
  await other.goto('/');
  await other.getByLabel('File to import').setInputFiles(file);
  await expect(other.getByRole('heading', { level: 1, name: 'Sunroom plant shelf' })).toBeVisible();
  await expect(other.locator('[data-fill]')).toHaveAttribute('data-fill', '18.00');
  await elsewhere.close();
});

test('further outlets: add one, see its cable, take it out again', async ({ page }) => {
  await open(page);
  await page.getByText('Add or remove').click();
  await page.getByRole('button', { name: 'Outlet', exact: true }).last().click();
  await expect(page.getByRole('button', { name: /^Outlet 3/ })).toBeVisible();
  await expect(answer(page)).toContainText('12-2, 12 ft');
  await page.getByRole('button', { name: /^Outlet 3/ }).click();
  await expect(page.getByRole('heading', { name: 'Outlet 3: what it does' })).toBeVisible();
  await page.getByText('Add or remove').click();
  await page.getByRole('button', { name: 'Remove Outlet 3' }).click();
  await expect(page.getByRole('button', { name: /^Outlet 3/ })).toHaveCount(0);
});

test(
  'the attic hatch: the answer is no, with the run, its need and what to do instead',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/job/attic-hatch-switch/lay-out');
    const no = page.getByRole('alert');
    await expect(no).toContainText('needs 3 insulated conductors');
    await expect(no).toContainText('14-2 has 2');
    await expect(no).toContainText('with a new 14-3');
  },
);

test('on a phone the answer stays in sight while the job is edited, a refusal with its first repair', async ({
  page,
}) => {
  test.skip(!isPhone(page), 'a laptop shows the answer beside the job');
  await page.goto('/job/attic-hatch-switch/lay-out');
  const bar = page.locator('[data-answer-bar]');
  await expect(page.getByText('Ways to fix it, cheapest first')).toBeVisible();
  await expect(bar).toBeHidden();
  await page.evaluate(() => window.scrollTo(0, document.body.scrollHeight));
  await expect(bar).toContainText('▲');
  const repair = bar.getByRole('button').nth(1);
  await repair.click();
  // What was refused can be wired: the bar says what to pull.
  await expect(bar).not.toContainText('▲');
  await expect(bar).toContainText('ft');
  await bar.getByRole('button').first().click();
  await expect(bar).toBeHidden();
});
