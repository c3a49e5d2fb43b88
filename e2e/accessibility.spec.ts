import { expect, test } from '@playwright/test';
import { expectClean } from './clean';

const PAGES = [
  '/',
  '/new',
  '/new?start=several-places',
  '/nowhere',
  '/job/sunroom-plant-shelf/lay-out',
  '/job/sunroom-plant-shelf/make-up',
  '/job/sunroom-plant-shelf/energize',
  '/job/stair/brief',
  '/job/hall-console/find',
  '/job/attic-hatch-switch/find',
  '/job/porch-soffit/find',
  '/job/hall-console/options',
  '/job/sunroom-plant-shelf/load',
  '/job/porch-soffit/load?view=protection',
  '/job/hall-console/load?view=rules',
  '/tables',
  '/drills',
  '/job/stair/make-up?box=stair-foot',
  '/job/stair/print',
  '/job/stair/take-off',
  '/job/porch-soffit/energize',
  '/job/den-media-wall/lay-out',
  '/job/attic-hatch-switch/lay-out',
  '/job/no-such-job/make-up',
];

for (const address of PAGES) {
  test(`${address}: axe finds nothing in either theme, and it does not scroll sideways`, async ({ page }) => {
    await page.goto(address);
    await expect(page.getByRole('heading').first()).toBeVisible();
    await expect(page.getByText('Opening the job')).toHaveCount(0);
    // What is folded away is looked at as well.
    await page.evaluate(() => {
      for (const part of document.querySelectorAll('details')) part.open = true;
    });
    await expectClean(page);
  });
}

test('stages and boxes are reached by keyboard alone', async ({ page }) => {
  await page.goto('/job/sunroom-plant-shelf/energize');
  const handle = page.getByRole('button', { name: 'single-pole switch, off' });
  await handle.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'single-pole switch, on' })).toBeFocused();
});
