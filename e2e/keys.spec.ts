import { expect } from '@playwright/test';
import { test } from './alive';
import { isPhone } from './export-job';

test('the first job by keys alone: a starting point, its make-up, checked off, energized', async ({
  page,
}) => {
  test.skip(isPhone(page), 'a phone has no keys');
  const { keyboard } = page;
  await page.goto('/');
  await expect(page.getByRole('link', { name: 'New job' })).toBeVisible();
  const pick = async (typed: string, name: string | RegExp) => {
    // Pressed again only where the page was not there yet to hear it.
    const palette = page.getByRole('dialog');
    await expect(async () => {
      if (!(await palette.isVisible())) await keyboard.press('Control+k');
      await expect(palette).toBeVisible({ timeout: 5000 });
    }).toPass();
    await keyboard.type(typed);
    await expect(page.getByRole('option', { name, selected: true })).toBeVisible();
    await keyboard.press('Enter');
  };
  await pick('half-switched', 'Half-switched outlet');
  await expect(page.getByRole('heading', { name: 'Half-switched outlet' })).toBeVisible();
  const show = page.getByRole('button', { name: 'Show the make-up' });
  for (let tabs = 0; tabs < 40 && !(await show.evaluate((own) => own === document.activeElement)); tabs++)
    await keyboard.press('Tab');
  await keyboard.press('Enter');
  await expect(page.getByRole('group', { name: 'The open box at Outlet' })).toBeVisible();

  // Boxes along the run by arrows, stages by single keys.
  await keyboard.press('ArrowLeft');
  await expect(page.getByRole('group', { name: 'The open box at Switch' })).toBeVisible();
  await keyboard.press('ArrowRight');
  await expect(page.getByRole('group', { name: 'The open box at Outlet' })).toBeVisible();
  await keyboard.press('l');
  await expect(page).toHaveURL(/\/lay-out/);
  await pick('new box fed outlet', /New box fed from .*: an outlet/);
  await expect(page.getByRole('button', { name: /^Outlet 3/ })).toBeVisible();
  await keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: /^Outlet 3/ })).toHaveCount(0);
  await keyboard.press('Control+Shift+Z');
  await expect(page.getByRole('button', { name: /^Outlet 3/ })).toBeVisible();
  await keyboard.press('e');
  await expect(page.locator('[data-answer]')).toContainText('Verified');
  await keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('Energize');
  // Whoever dictates turns single keys off.
  await page.getByRole('checkbox', { name: /Single keys/ }).focus();
  await keyboard.press('Space');
  await keyboard.press('Escape');
  await keyboard.press('m');
  await expect(page).toHaveURL(/\/energize/);
});

test('everything is found by its name: a job, a rule, a table', async ({ page }) => {
  test.skip(isPhone(page), 'by the three dots there');
  await page.goto('/job/stair/lay-out');
  await page.getByRole('button', { name: 'Find anything by name' }).click();
  await page.getByRole('dialog').getByRole('combobox').fill('P01');
  await page.getByRole('option', { name: /^P01/ }).click();
  await expect(page).toHaveURL(/\/tables\?rule=P01/);
  await expect(page.getByRole('status')).toContainText(/^1 /);
  await page.getByRole('button', { name: 'Find anything by name' }).click();
  await page.getByRole('dialog').getByRole('combobox').fill('landing with');
  await page.getByRole('option', { name: 'Landing with three switches' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Landing with three switches' })).toBeVisible();
});

test('hands busy: one step over the whole screen, the left hand, the sun', async ({ page }) => {
  await page.goto('/job/sunroom-plant-shelf/make-up');
  await page.getByRole('button', { name: 'One step at a time' }).click();
  const one = page.getByRole('dialog', { name: 'One step at a time' });
  await expect(one).toContainText('0 of');
  const first = await one.locator('p').nth(1).textContent();
  await one.getByRole('button', { name: 'Done, next' }).click();
  await expect(one).toContainText('1 of');
  await expect(one.locator('p').nth(1)).not.toHaveText(first ?? '');
  await page.keyboard.press('Escape');
  await expect(one).toHaveCount(0);
  if (isPhone(page)) {
    await page.getByRole('button', { name: 'More' }).click();
    await page.getByRole('menuitem', { name: 'Display and language' }).click();
  } else await page.getByRole('button', { name: 'Display and language' }).click();
  await page.getByRole('radio', { name: 'Sun' }).click();
  await page.getByRole('radio', { name: 'left hand' }).click();
  await page.getByRole('button', { name: 'Done', exact: true }).last().click();
  await page.reload();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'sun');
  await expect(page.locator('html')).toHaveAttribute('data-hand', 'left');
});

test(
  'a word of the trade can be tapped for what it means; all of them stand in Tables',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/job/sunroom-plant-shelf/lay-out');
    await page.locator('[data-answer] [data-explains="tab"]').click();
    await expect(page.locator('[data-term]')).toContainText('The break-off link between two screws');
    await page.goto('/tables#glossary');
    await expect(page.getByRole('heading', { name: 'Words of the trade' })).toBeVisible();
    await expect(page.getByRole('img', { name: 'pigtail, drawn' })).toBeVisible();
  },
);
