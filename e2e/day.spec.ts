import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { test } from './alive';
import { stored } from './stored';

const task = (page: Page, kind: string) => page.locator(`li[data-task="${kind}"]`);

test('the day of a job: how long, what is off; a crew of two; checked off here it is ticked in Make up, and kept', async ({
  page,
}) => {
  await page.goto('/job/hall-console/day');
  const answer = page.locator('[data-answer]');
  await expect(answer).toContainText(/for one, done .+ Off: circuit 9, .+ 3 trips to the panel\./);
  await expect(task(page, 'off')).toContainText('lock it, prove dead');
  await page.getByRole('button', { name: 'Mara' }).click();
  await page.getByRole('button', { name: 'Theo' }).click();
  await expect(answer).toContainText('for 2');
  // Whoever may not work at the panel has nothing of it on their list.
  await page.getByRole('toolbar', { name: 'Whose tasks' }).getByRole('button', { name: 'Theo' }).click();
  await expect(task(page, 'off')).toHaveCount(0);
  await page.getByRole('button', { name: 'Everyone' }).click();
  await task(page, 'off')
    .getByRole('button', { name: /^Done:/ })
    .click();
  await expect(task(page, 'off').and(page.locator('[data-done="false"]'))).toHaveCount(0);
  await task(page, 'make up')
    .getByRole('button', { name: /^Done:/ })
    .first()
    .click();
  await stored(page);
  await page.reload();
  await expect(page.getByText(/\d tasks done/)).toBeVisible();
  await page.goto('/job/hall-console/make-up?box=hall-switch');
  await expect(page.locator('[data-step="done"]').first()).toBeVisible();
  await page.goto('/job/hall-console/record');
  await expect(page.getByText('lock it, prove dead').first()).toBeVisible();
});

test(
  'a lane is tapped where a block is or near it; by keyboard it goes on block by block',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/job/stair/day');
    const visit = page.locator('[data-lanes]').first();
    const lane = visit.getByRole('button', { name: /^Next task of / });
    const blocks = visit.locator('li');
    await blocks.last().scrollIntoViewIfNeeded();
    // A better order that comes meanwhile would move the blocks under the hand.
    await expect(page.locator('main [aria-busy="false"]')).toBeVisible();
    for (const block of [blocks.first(), blocks.last()]) {
      const [own, all] = [(await block.boundingBox())!, (await lane.boundingBox())!];
      await lane.click({ position: { x: own.x + own.width / 2 - all.x, y: all.height / 2 } });
      await expect(block).toHaveAttribute('data-chosen', '');
    }
    // After the last comes the first.
    await lane.press('Enter');
    await expect(blocks.first()).toHaveAttribute('data-chosen', '');
    await lane.press('Enter');
    await expect(blocks.nth(1)).toHaveAttribute('data-chosen', '');
    await expect(page.locator('[data-chosen]')).toHaveCount(1);
  },
);

test(
  'I must go: what to cap, and what to finish instead until the breaker is on again',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/job/hall-console/day');
    for (const kind of ['set', 'off', 'open', 'cable', 'make up'])
      await task(page, kind)
        .getByRole('button', { name: /^Done:/ })
        .click();
    await page.getByRole('button', { name: 'I must go' }).click();
    const dialog = page.getByRole('dialog');
    await expect(dialog.locator('[data-stop]')).toBeVisible();
    const finishing = dialog.locator('[data-finishing]');
    if ((await finishing.getAttribute('open')) === null) await finishing.locator('summary').click();
    await expect(finishing.locator('li').last()).toContainText('Breaker of circuit 9 on');
  },
);

test(
  'the day of the house: windows shared, a job left out, checked off for its job; sheets, CSV, calendar',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/house/alder-court-12/day');
    await expect(page.locator('[data-answer]')).toContainText('3 visits:');
    await expect(page.locator('[data-together]')).toContainText('Together in one go');
    await page.getByRole('button', { name: 'Hall console', exact: true }).click();
    await expect(page.getByText('Set the box: Console')).toHaveCount(0);
    await page.getByRole('button', { name: 'Hall console', exact: true }).click();
    const box = page.locator('li[data-task="set"]', { hasText: 'Set the box: Console' });
    await box.getByRole('button', { name: /^Done:/ }).click();
    await expect(box.and(page.locator('[data-done="false"]'))).toHaveCount(0);
    // Laundry is half made up: what is capped before everyone leaves is drawn, and so is what would be finished instead.
    await page.getByRole('button', { name: 'I must go' }).click();
    const laundry = page.locator('[data-stop="12"]');
    await expect(laundry.locator('[data-box-drawing]')).toBeVisible();
    await expect(laundry.locator('[data-finishing]')).toContainText('until it is on again');
    await page.getByRole('button', { name: 'Close' }).click();
    const saved = page.waitForEvent('download');
    await page.getByRole('button', { name: 'CSV', exact: true }).click();
    const csv = readFileSync(await (await saved).path(), 'utf8');
    expect(csv.split('\r\n')[0]).toBe('visit,from,to,minutes,who,job,where,what,circuits off');
    await page.getByLabel('First day').fill('2026-05-29');
    const calendar = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Calendar' }).click();
    expect(readFileSync(await (await calendar).path(), 'utf8')).toContain('DTSTART:20260529T080000');
    await page.getByRole('button', { name: 'Crew sheet and notice' }).click();
    await expect(page.locator('[data-section="notice"]')).toContainText('circuit 9');
    await page.goto('/job/hall-console/day');
    await expect(page.getByText('One task done')).toBeVisible();
  },
);
