import { expect, type Page } from '@playwright/test';
import { test } from './alive';
import { readPdf } from './read-pdf';
import { isPhone } from './export-job';
import { keptOffline, stored } from './stored';

const progress = (page: Page) => page.getByRole('heading', { level: 3 }).filter({ hasText: 'done' });

test('a whole box is ticked with one thumb; a change of the plan shows what no longer holds', async ({
  page,
}) => {
  test.skip(!isPhone(page), 'for the phone');
  await page.goto('/job/sunroom-plant-shelf/lay-out');
  await page.getByRole('radio', { name: 'Plant shelf' }).click();
  await expect(page.locator('[data-fill]')).toHaveAttribute('data-fill', '18.00');
  await page.getByRole('link', { name: /Make up/ }).click();
  await expect(progress(page)).toContainText('0 of 11 done');
  // In the middle of the work: which breaker may be on, and what would have to be capped and covered first.
  await page.getByRole('button', { name: 'I must go' }).click();
  const stop = page.getByRole('dialog', { name: 'May I stop here?' });
  await expect(stop.locator('[data-stop]')).toContainText('Leave the breaker of this job off and locked.');
  await expect(stop).toContainText('Plant shelf: put a cover on');
  await stop.getByRole('button', { name: 'Close' }).click();

  for (let step = 1; step <= 11; step++) {
    if (isPhone(page)) await page.getByRole('button', { name: 'Done', exact: true }).click();
    else
      await page
        .getByRole('button', { name: /^Check off:/ })
        .first()
        .click();
    await expect(progress(page)).toContainText(`${step} of 11 done`);
  }
  await stored(page);
  await page.reload();
  await expect(progress(page)).toContainText('11 of 11 done');
  await expect(page.locator('[data-stale]')).toHaveCount(0);

  // The feed moves to the switch: splices that were made are not in the plan any more.
  await page.getByRole('link', { name: /Lay out/ }).click();
  await page.getByRole('radio', { name: 'Garden door', exact: true }).click();
  await expect(page.locator('[data-fill]')).toHaveAttribute('data-fill', '13.50');
  await page.getByRole('link', { name: /Make up/ }).click();
  const stale = page.locator('[data-stale]');
  await expect(stale).toContainText('no longer match');
  await expect(stale).toContainText('Splice the 2 neutrals, add 1 pigtail');
  await expect(page.locator('[data-step="stale"]').first()).toContainText('Checked off as:');
  await stale.getByRole('button', { name: 'Not done' }).first().click();
  await expect(stale.getByRole('button', { name: 'Not done' })).toHaveCount(2);
});

test('targets under the thumb are at least 44 px', async ({ page }) => {
  test.skip(!isPhone(page), 'for the phone');
  await page.goto('/job/stair/make-up?box=stair-foot');
  await expect(progress(page)).toBeVisible();
  const small = await page.evaluate(() =>
    [...document.querySelectorAll('main button, main a, nav a, header button, header a')]
      // A word in a sentence is as high as the sentence; what answers a finger round it is larger.
      .filter((element) => element.checkVisibility() && !element.matches('[data-explains]'))
      .map((element) => ({
        name: element.getAttribute('aria-label') ?? element.textContent,
        box: element.getBoundingClientRect(),
      }))
      .filter(({ box }) => box.width > 0 && (box.height < 44 || box.width < 40))
      .map(({ name, box }) => `${name}: ${box.width.toFixed(0)} × ${box.height.toFixed(0)}`),
  );
  expect(small).toEqual([]);
});

test('layers, the other side, and the next box by arrow', { tag: '@tablet' }, async ({ page }) => {
  await page.goto('/job/stair/make-up?box=stair-foot');
  const figure = page.getByRole('group', { name: 'The open box at Stair foot' });
  await expect(figure).toBeVisible();
  await page.getByRole('button', { name: 'Grounds', exact: true }).click();
  const opacity = (wire: string) => figure.locator(`[data-wire="${wire}"]`).getAttribute('opacity');
  expect(await opacity('feed:bare@stair-foot')).toBe('1');
  expect(await opacity('feed:black@stair-foot')).toBe('0.2');
  await page.getByRole('button', { name: 'Back view' }).click();
  await expect(page.getByText('left and right are mirrored')).toBeVisible();
  await page.getByRole('button', { name: 'To Stair head', exact: true }).click();
  await expect(page.getByRole('group', { name: 'The open box at Stair head' })).toBeVisible();
  await page.keyboard.press('ArrowLeft');
  await expect(figure).toBeVisible();
});

test('a swipe turns to the next box', async ({ page }) => {
  test.skip(!isPhone(page), 'for the phone');
  await page.goto('/job/stair/make-up?box=stair-foot');
  const swipe = (from: number, to: number) =>
    page.locator('main').evaluate(
      (main, [start, end]) => {
        const touch = (x: number) => new Touch({ identifier: 1, target: main, clientX: x, clientY: 500 });
        main.dispatchEvent(new TouchEvent('touchstart', { bubbles: true, touches: [touch(start)] }));
        main.dispatchEvent(new TouchEvent('touchend', { bubbles: true, changedTouches: [touch(end)] }));
      },
      [from, to] as const,
    );
  await expect(page.getByRole('group', { name: 'The open box at Stair foot' })).toBeVisible();
  await swipe(300, 80);
  await expect(page.getByRole('group', { name: 'The open box at Stair head' })).toBeVisible();
  await swipe(80, 300);
  await expect(page.getByRole('group', { name: 'The open box at Stair foot' })).toBeVisible();
});

test('an over-filled box says so and takes one that would do', { tag: '@once' }, async ({ page }) => {
  await page.goto('/job/sunroom-plant-shelf/make-up?box=garden-door');
  await page.getByText('Smallest boxes that fit').click();
  await page.getByLabel('Stamped volume, in³').fill('14');
  await page.getByLabel('Stamped volume, in³').press('Enter');
  await expect(page.locator('[data-fill]')).toContainText('Box over-filled');
  await page.getByLabel('Rings, marked, in³').fill('5');
  await page.getByLabel('Rings, marked, in³').press('Enter');
  await expect(page.locator('[data-fill]')).toContainText('18.00 of 19');
  await page.getByLabel('Rings, marked, in³').fill('0');
  await page.getByLabel('Rings, marked, in³').press('Enter');
  await page.getByRole('button', { name: /^Use nail-on/ }).click();
  await expect(page.locator('[data-fill]')).toContainText('18.00 of 18');
});

for (const format of ['A4', 'Letter'] as const) {
  test(`printed on ${format}: one box a page with its steps and fill, then the test script`, async ({
    page,
  }) => {
    test.skip(isPhone(page), 'printed once');
    await page.goto('/job/stair/print');
    await expect(page.getByRole('heading', { name: 'Stair light' })).toBeVisible();
    await expect(page.locator('[data-script]')).toHaveAttribute('aria-busy', 'false');
    const pdf = await readPdf(new Uint8Array(await page.pdf({ format })));
    // Three boxes, then the test script.
    expect(pdf.numPages).toBeGreaterThanOrEqual(4);
    const texts = await Promise.all(
      [1, 2, 3, 4].map(async (number) => {
        const { items } = await (await pdf.getPage(number)).getTextContent();
        return items
          .map((item) => ('str' in item ? item.str : ''))
          .join(' ')
          .replace(/\s+/g, ' ');
      }),
    );
    expect(
      texts.map((text) =>
        ['Stair foot', 'Stair head', 'Stair light', 'Test script'].find((name) => text.startsWith(name)),
      ),
    ).toEqual(['Stair foot', 'Stair head', 'Stair light', 'Test script']);
    expect(texts[3]).toContain('11 tests tell every one of');
    const last = await (await pdf.getPage(pdf.numPages)).getTextContent();
    expect(last.items.map((item) => ('str' in item ? item.str : '')).join(' ')).toContain('Panel directory');
    expect(texts[0]).toContain('Splice the 2 grounds, add 3 pigtails');
    expect(texts[0]).toContain('Box fill: 20.00 of 30.3 in³');
    expect(texts[2]).not.toContain('Splice the 2 grounds, add 3 pigtails');
  });
}

test.describe(() => {
  test.use({ serviceWorkers: 'allow' });
  test(
    'works without a network after the first visit, deep links and new jobs too',
    { tag: '@once' },
    async ({ page, context }) => {
      await page.goto('/');
      await keptOffline(page);
      await context.setOffline(true);
      await page.goto('/job/stair/make-up?box=stair-foot');
      await expect(page.getByRole('group', { name: 'The open box at Stair foot' })).toBeVisible();
      await page
        .getByRole('button', { name: /^Check off:/ })
        .first()
        .click();
      await expect(progress(page)).toContainText('1 of 14 done');
      await stored(page);
      await page.reload();
      await expect(progress(page)).toContainText('1 of 14 done');
      await page.goto('/');
      await page.getByRole('link', { name: 'New job' }).click();
      await page.getByRole('link', { name: /^Half-switched outlet/ }).click();
      await page.getByRole('button', { name: 'Show the make-up' }).click();
      await expect(page.getByRole('group', { name: 'The open box at Outlet' })).toBeVisible();
      await page.goto('/no/such/page');
      await expect(page.getByRole('heading', { name: 'There is no page at this address' })).toBeVisible();
    },
  );
});
